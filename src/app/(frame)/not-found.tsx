import { NothingHere } from '../../screens/frame/nothingHere';

export default NothingHere;
