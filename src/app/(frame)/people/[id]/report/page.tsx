import { theRegister } from '../../../../../database/theRegister';
import { ReportScreen } from '../../../../../screens/scores/reportPage';
import { readPlace } from '../../../../../use-cases/places';
import { today } from '../../../../../use-cases/today';
import { thePerson, type PersonParams } from '../person';

interface Params extends PersonParams {
  readonly searchParams: Promise<{ for?: string; percent?: string }>;
}

export async function generateMetadata(context: Params) {
  return { title: `Results of ${(await thePerson(context)).person.name}` };
}

export default async function ReportPage(context: Params) {
  const { for: reader, percent } = await context.searchParams;
  return (
    <ReportScreen
      view={await thePerson(context)}
      place={await readPlace(await theRegister())}
      reader={reader === 'clinician' ? 'clinician' : 'person'}
      percent={percent === '1'}
      today={today()}
    />
  );
}
