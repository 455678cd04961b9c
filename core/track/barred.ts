import { overlaps } from '../line/intervals.js';
import type { Method } from '../job/vocabulary.js';
import { runningSums } from '../search/columns.js';
import type { Track } from './track.js';

/** Running count of cells where a method leaves some obligation unmet. */
export function barredFor({ cells, obligations }: Track, method: Method): Float64Array {
  const unmet = obligations.cured.filter(({ methods }) => !methods.includes(method));
  return runningSums(cells.length, (i) => {
    const cell = cells[i];
    return cell && unmet.some(({ place }) => overlaps(place, cell)) ? 1 : 0;
  });
}
