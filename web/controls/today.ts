import { formatISO } from 'date-fns';

/** Today's date where the page is open, in the job file's format. */
export const today = (): string => formatISO(new Date(), { representation: 'date' });
