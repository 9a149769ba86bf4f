import { string } from 'yup';
import { reportReaders } from '../core/shapes/printed';
import { exactly, oneOf, yesNo } from './building';

/** Which page went to the printer: for whom, and what it held when it was shown. */
export const printedForm = exactly({
  reader: oneOf(reportReaders).required(),
  percent: yesNo().required(),
  fingerprint: string().required(),
});
