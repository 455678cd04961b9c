import { randomUUID } from 'node:crypto';
import { format } from 'date-fns';
import { Hono, type Context } from 'hono';
import * as z from 'zod';
import { viewForCrew } from '../../core/views/for-crew.js';
import { editSchema } from '../../core/edits/schema.js';
import type { Parts } from '../app.js';
import { asJson, body, query } from '../body.js';
import { follow } from '../events.js';
import type { RequestEnv } from '../people/public-address.js';
import { historyFor, jobFor, listFor, mayMake, type Reader } from '../people/for-reader.js';
import { problem } from '../problem.js';
import type { JobChange, Written } from './store.js';

const mostEdits = 5000;
/** Changes a page loads at once; older ones follow on request. */
const changesAPage = 500;
/** Cursor for an older page of the history. */
const historyQuery = z.object({ before: z.coerce.number().int().min(1).optional() });

const isUuid = (id: string) => z.uuid().safeParse(id).success;
const notUuid = { path: 'id', message: 'must be a UUID (RFC 9562)' };

export interface HistoryPage {
  /** Newest first. */
  readonly changes: readonly JobChange[];
  /** Cursor: older changes precede this order; null at the first change. */
  readonly before: number | null;
}

const editsSchema = z.strictObject({
  /** The sender's own id of this set, so that sending it twice applies it once. */
  sent: z.string().min(8).max(80),
  /** The version of the job the edits were based on, to find concurrent changes. */
  base: z.number().int().min(0).optional(),
  /** Sets of this sender accepted since then. */
  own: z.array(z.string().max(80)).max(2000).optional(),
  /** The set this one reverts. */
  undoes: z.string().max(80).optional(),
  edits: z.array(editSchema).min(1).max(mostEdits),
});

/** A job or the company has changed: derived data is computed again. */
export function recomputeSoon({ digests, views }: Pick<Parts, 'digests' | 'views'>): void {
  digests.recomputeSoon();
  views.recomputeSoon();
}

const jsonType = { 'content-type': 'application/json' } as const;

/** Jobs as open files, changed by edits; each reader sees what their role may. */
export function jobsOn(parts: Pick<Parts, 'store' | 'firm' | 'digests' | 'views'>) {
  const { store, firm, digests, views } = parts;
  const changed = () => {
    recomputeSoon(parts);
  };
  return (
    new Hono<RequestEnv>()
      .get('/jobs', async (c) => {
        const list = await listFor(c.get('person'), await digests.list());
        return c.body(list, 200, jsonType);
      })
      .post('/jobs', asJson, body(z.unknown()), async (c) => {
        const written = await store.add(randomUUID(), c.req.valid('json'), device(c), c.get('person')?.id);
        changed();
        return 'stored' in written ? c.json(written.stored, 201) : refusal(c, written);
      })
      // Made by a page with an id of its own: sending it twice makes it once.
      .put('/jobs/:id', asJson, body(z.unknown()), async (c) => {
        const id = c.req.param('id');
        if (!isUuid(id)) return problem(c, 422, 'This cannot be accepted as it is', { errors: [notUuid] });
        const written = await store.add(id, c.req.valid('json'), device(c), c.get('person')?.id);
        changed();
        return 'stored' in written ? c.json(written.stored) : refusal(c, written);
      })
      .get('/jobs/:id', async (c) => {
        const stored = await store.read(c.req.param('id'));
        return stored ? c.json(jobFor(c.get('person'), stored)) : problem(c, 404, 'No such job');
      })
      .delete('/jobs/:id', async (c) =>
        (await store.remove(c.req.param('id'))) ? c.body(null, 204) : problem(c, 404, 'No such job'),
      )
      .get('/jobs/:id/view', async (c) => {
        const kept = await views.json(c.req.param('id'));
        // None is kept of a job that was never worked out.
        return kept ? c.body(kept, 200, jsonType) : c.body(null, 204);
      })
      .get('/jobs/:id/crew-view', async (c) => {
        const stored = await store.read(c.req.param('id'));
        if (!stored) return problem(c, 404, 'No such job');
        const { view } = await views.of(stored, await firm.read());
        return c.json({ version: stored.version, view: viewForCrew(view) });
      })
      .get('/jobs/:id/history', query(historyQuery), async (c) =>
        c.json(await historyPage(store, c.req.param('id'), c.get('person'), c.req.valid('query').before)),
      )
      .get('/jobs/:id/changes', (c) => follow(c, store, c.req.param('id')))
      .post('/jobs/:id/edits', asJson, body(editsSchema), async (c) => {
        const person = c.get('person');
        const set = c.req.valid('json');
        const barred = set.edits.find(({ kind }) => !mayMake(person, kind));
        if (barred)
          return problem(c, 403, 'Crew changes what was logged and measured, and nothing else of a job');
        const written = await store.edit(c.req.param('id'), set, device(c), person?.id);
        changed();
        return 'stored' in written ? c.json(jobFor(person, written.stored)) : refusal(c, written);
      })
  );
}

/** Deleted jobs that can be restored. */
export const deletedJobs = ({ store, digests, views }: Pick<Parts, 'store' | 'digests' | 'views'>) =>
  new Hono<RequestEnv>()
    .get('/', async (c) => c.json(await store.deleted()))
    .post('/:id', async (c) => {
      const back = await store.bringBack(c.req.param('id'));
      recomputeSoon({ digests, views });
      return back ? c.body(null, 204) : problem(c, 404, 'No such deleted job');
    });

/** A page of the history, newest first. */
async function historyPage(
  store: Parts['store'],
  id: string,
  reader: Reader,
  before?: number,
): Promise<HistoryPage> {
  const page = await store.history(id, changesAPage, before);
  const last = page.at(-1);
  return {
    changes: historyFor(reader, page),
    before: page.length === changesAPage && last ? last.order : null,
  };
}

/** Links for a job's customer to read its offer. */
export const sharesOfJobs = ({
  store,
  firm,
  shares,
  customersAt,
}: Pick<Parts, 'store' | 'firm' | 'shares' | 'customersAt'>) =>
  new Hono()
    .get('/:id/shares', async (c) => c.json(await shares.list(c.req.param('id'))))
    .post('/:id/shares', async (c) => {
      const stored = await store.read(c.req.param('id'));
      if (!stored) return problem(c, 404, 'No such job');
      // Today in the shop's time zone, not in UTC.
      const on = format(new Date(), 'yyyy-MM-dd');
      const made = await shares.make(stored.id, { on, job: stored.job, firm: await firm.read() });
      return c.json({ ...made, base: customersAt }, 201);
    })
    .delete('/:id/shares/:share', async (c) =>
      (await shares.close(c.req.param('id'), c.req.param('share')))
        ? c.body(null, 204)
        : problem(c, 404, 'No such open link'),
    );

const device = (c: Context) => (c.req.header('x-device') ?? 'unknown').slice(0, 80);

function refusal(c: Context, written: Exclude<Written, { stored: unknown }>): Response {
  if ('missing' in written) return problem(c, 404, 'No such job');
  return 'conflicts' in written
    ? problem(c, 409, 'Somebody else changed this in the meantime', {
        conflicts: written.conflicts,
        version: written.version,
      })
    : problem(c, 422, 'This cannot be accepted as it is', { errors: written.faults });
}
