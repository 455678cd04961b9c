import { firmQuery } from '../api/firm';
import { jobQuery } from '../api/job';
import { lastMe, seesPrices } from '../api/last-me';
import { ownViewQuery, servedViewQuery } from '../view/cached-views';
import type { QueryClient } from '@tanstack/react-query';

/** Fetches what every view of a job is drawn from. */
export const fetchJobOpening = (client: QueryClient, id: string): Promise<unknown> =>
  Promise.all([
    client.query(jobQuery(id)),
    client.query(firmQuery),
    ...(seesPrices(lastMe()) ? [client.query(ownViewQuery(id)), client.query(servedViewQuery(id))] : []),
  ]);
