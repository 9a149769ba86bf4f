import { formChecks } from '../../catalogue/form-checks/formChecks';

/** A form check as it is seen: `heel leaves the floor`. */
export const seenWords = (code: string): string => formChecks.find((c) => c.code === code)?.seen ?? code;
