import { string, type Schema } from 'yup';
import { intakeSections } from '../core/shapes/intake';
import { unitSystems } from '../core/shapes/person';
import { registerFilters, registerSorts } from '../core/shapes/register';
import { exactly, listOf, oneOf, wholeIn, yesNo } from './building';
import { birthDate as birthDateOf, personForm, personName } from './person';

/** What may be asked of the register, each left out at will. */
export const registerQuestion = exactly({
  search: string().max(100),
  filter: oneOf(registerFilters),
  groupId: string().max(64).nullable(),
  sort: oneOf(registerSorts),
  down: yesNo(),
  offset: wholeIn(0, 1_000_000),
  limit: wholeIn(1, 200),
});

/** How a roster is to be read, in the address of the request. */
export const importQuestion = exactly({
  dry: yesNo(),
  id: string().matches(/^[A-Za-z0-9_-]{8,64}$/, 'must be 8 to 64 letters, digits, - or _'),
  file: string().max(100),
  units: oneOf(unitSystems),
  dateOrder: oneOf(['ymd', 'dmy', 'mdy']),
  columns: string().max(1000),
});

/** A person as a partner sends them: who, and as much of the intake as is known. */
export const personRequest = (today: string) => {
  const { name, birthDate, normTable, ...rest } = personForm(today).fields;
  const optional = Object.fromEntries(
    Object.entries(rest)
      .filter(([field]) => field !== 'withdrawn' && field !== 'toComplete')
      .map(([field, schema]) => [field, (schema as Schema).optional()]),
  );
  return exactly({
    externalId: string().trim().min(1, 'must not be empty').max(100, 'must have at most 100 letters'),
    name: personName(),
    birthDate: birthDateOf(today),
    normTable: oneOf(['female', 'male']).nullable(),
    toComplete: listOf(oneOf(intakeSections).required(), intakeSections.length),
    evenSo: yesNo(),
    ...optional,
  });
};
