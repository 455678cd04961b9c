/** What the server was asked before the page could use it, by address. */
const asked = new Map<string, Promise<Response>>();

/** Asks the server for what the page is sure to ask for. */
export function askEarly(path: string): void {
  const answer = fetch(path);
  // The rejection reaches whoever takes the answer.
  answer.catch(() => undefined);
  asked.set(path, answer);
}

/** Asks the server as `fetch` does; what was asked for already is taken, once. */
export const fetchEarly: typeof fetch = (input, init) => {
  const path = typeof input === 'string' && init?.method === 'GET' ? input : undefined;
  const early = path === undefined ? undefined : asked.get(path);
  if (path === undefined || !early) return fetch(input, init);
  asked.delete(path);
  return early;
};
