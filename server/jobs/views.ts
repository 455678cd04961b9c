import { eq, sql } from 'drizzle-orm';
import { underFirm, type Firm } from '../../core/job/firm.js';
import { markOf } from '../../core/job/mark.js';
import type { CachedView } from '../../core/views/cached-view.js';
import type { Database } from '../storage/database.js';
import { views } from '../storage/tables.js';
import type { StoredJob } from './store.js';
import { derivedDataOn, type DerivedData, type DerivedDataParts } from './derived-data.js';

export interface Views extends Pick<DerivedData, 'recompute' | 'recomputeSoon'> {
  /** The last computed view of a job as JSON, which nothing here reads; undefined where there is none. */
  json: (id: string) => Promise<string | undefined>;
  /** The view of the current job: the cached one where it matches, else computed now. */
  of: (stored: StoredJob, firm: Firm) => Promise<CachedView>;
}

/** Long enough that anyone typing on a job has its view already, ms. */
const quiet_ms = 60_000;
/** A cached view lets a job open at once; older jobs are computed when opened. */
const newest = 50;

/** Caches the complete view of the jobs changed last, so that any device can show it at once. */
export function viewsOn(parts: Omit<DerivedDataParts<CachedView>, 'table' | 'quiet_ms' | 'newest'>): Views {
  return {
    ...derivedDataOn({ ...parts, table: views, quiet_ms, newest }),
    async json(id) {
      const text = sql<string | null>`${views.said}::text`;
      const [row] = await parts.db.select({ text }).from(views).where(eq(views.job, id));
      return row?.text ?? undefined;
    },
    async of({ id, job }, firm) {
      const kept = await readView(parts.db, id);
      const isOfThis = kept?.program === parts.program && kept.mark === markOf(underFirm(job, firm));
      return isOfThis ? kept : parts.work(job, firm);
    },
  };
}

async function readView(db: Database, id: string): Promise<CachedView | undefined> {
  const [row] = await db.select({ said: views.said }).from(views).where(eq(views.job, id));
  return row?.said ?? undefined;
}
