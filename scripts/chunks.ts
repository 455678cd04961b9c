import { resolve } from 'node:path';

/** The part of the bundler's module graph used here: a module's imports by path, at once and when asked for. */
interface Graph {
  getModuleInfo: (id: string) => { importedIds: string[]; dynamicallyImportedIds: string[] } | null;
}

const web = (file: string) => resolve(import.meta.dirname, '..', 'web', file);
const layout = web('shell/job-layout.tsx');
const sheet = web('sheet/sheet-view.tsx');
/** It imports every view of a job, and the list. */
const early = web('early.ts');
/** Pages outside a job: what they share with a job is built apart from what only a job needs. */
const outside = [
  'jobs/job-list.tsx',
  'offer/customer-view.tsx',
  'firm/firm-view.tsx',
  'after/due-view.tsx',
  'practice/practice-list.tsx',
].map(web);
const isOurs = (id: string) => !id.includes('node_modules');

/** What each page needs from its start, found once for each: its own modules and the packages they import. */
function needsOfPages(): (page: string, graph: Graph) => ReadonlySet<string> {
  const known = new Map<string, Set<string>>();
  return (page, graph) => {
    const before = known.get(page);
    if (before) return before;
    const found = new Set<string>();
    known.set(page, found);
    const open = [page];
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      if (found.has(id)) continue;
      found.add(id);
      if (isOurs(id)) open.push(...(graph.getModuleInfo(id)?.importedIds ?? []));
    }
    return found;
  };
}

/**
 * Which file a module of ours is built into: `common` and `job` hold what the frame of a job needs, `views` what the
 * sheet shares with the other views of a job, `sheet` what is its own; the rest is left to the bundler. Left to the
 * bundler alone, a job opened first requests 65 files, half of them under 1.5 kB, at about a millisecond of the page's
 * thread each. A group takes what its modules import too, so that the sheet comes last.
 */
export function chunksByView(priority: number) {
  const needsOf = needsOfPages();
  const isNeededBy = (pages: readonly string[], id: string, graph: Graph) =>
    pages.some((page) => needsOf(page, graph).has(id));
  const shared = (id: string, graph: Graph): string | null => {
    if (isNeededBy([layout], id, graph)) return isNeededBy(outside, id, graph) ? 'common' : 'job';
    const views = graph.getModuleInfo(early)?.dynamicallyImportedIds ?? [];
    const others = [...outside, ...views.filter((each) => each !== sheet)];
    return isNeededBy([sheet], id, graph) && isNeededBy(others, id, graph) ? 'views' : null;
  };
  const own = (id: string, graph: Graph) => (isNeededBy([sheet], id, graph) ? 'sheet' : null);
  return [
    { name: shared, test: isOurs, priority },
    { name: own, test: isOurs, priority: priority - 1 },
  ];
}
