import { format } from 'date-fns';

/** Today by the clock of this device, in its local calendar. */
export const deviceDay = (): string => format(new Date(), 'yyyy-MM-dd');
