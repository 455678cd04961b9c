import { formatISO } from 'date-fns';

/** This day where the page is read, as the job file writes days. */
export const today = (): string => formatISO(new Date(), { representation: 'date' });
