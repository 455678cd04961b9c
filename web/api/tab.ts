/**
 * Each tab has a name of its own, so that two tabs of one browser do not overwrite each other's data. It survives a
 * reload; a duplicated tab takes a new one. A Web Lock of that name is held for as long as the tab lives.
 */
const key = 'open-trench-tab';
const lockOf = (tab: string) => `open-trench tab ${tab}`;
const newName = () => crypto.randomUUID().slice(0, 4);

let own = newName();

/** Four characters that no other open tab of this browser has. */
export const tabName = (): string => own;

/** Claims this tab's name; to be awaited before anything is written. */
export async function claimTab(): Promise<void> {
  // Not allowed in some private windows: the tab then has a new name after each reload.
  const known = read();
  if (known) own = known;
  while (!(await held(lockOf(own)))) own = newName();
  keep(own);
}

/** The page before a reload may hold its lock a moment longer, ms. */
const reload_ms = 500;

/** Holds a lock until the tab ends; false where another tab has it. Without Web Locks it always succeeds. */
function held(name: string): Promise<boolean> {
  if (!hasLocks()) return Promise.resolve(true);
  return new Promise((done) => {
    const hold = () => {
      done(true);
      return new Promise(() => undefined);
    };
    navigator.locks.request(name, { signal: AbortSignal.timeout(reload_ms) }, hold).catch(() => {
      done(false);
    });
  });
}

export const hasLocks = (): boolean => typeof navigator !== 'undefined' && 'locks' in navigator;

/** Names of the other tabs that are open in this browser. */
export async function otherTabs(): Promise<ReadonlySet<string>> {
  if (!hasLocks()) return new Set();
  const { held: all = [] } = await navigator.locks.query();
  const prefix = lockOf('');
  const names = all.flatMap(({ name }) => (name?.startsWith(prefix) ? [name.slice(prefix.length)] : []));
  return new Set(names.filter((name) => name !== own));
}

function read(): string | undefined {
  try {
    return sessionStorage.getItem(key) ?? undefined;
  } catch {
    return undefined;
  }
}

function keep(name: string): void {
  try {
    sessionStorage.setItem(key, name);
  } catch {
    // As above: storage may not be allowed.
  }
}
