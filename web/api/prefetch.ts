/** Requests made before the page could use them, by address. */
const asked = new Map<string, Promise<Response>>();

/** Starts a request the page is sure to need, and returns its answer. */
export function prefetch(path: string): Promise<Response> {
  const answer = fetch(path);
  // The rejection reaches whoever takes the answer.
  answer.catch(() => undefined);
  asked.set(path, answer);
  return answer;
}

/** `fetch`, except that an early request to the same address is used, once. */
export const fetchPrefetched: typeof fetch = (input, init) => {
  const path = typeof input === 'string' && init?.method === 'GET' ? input : undefined;
  const early = path === undefined ? undefined : asked.get(path);
  if (path === undefined || !early) return fetch(input, init);
  asked.delete(path);
  return early;
};
