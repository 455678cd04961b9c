/** Requests made before the page could use them, by address. */
const asked = new Map<string, Promise<Response>>();

/**
 * Starts a request the page is sure to need, and returns its answer. What it says is read as soon as it is here, while the
 * other scripts are on their way, and `json` gives that to everyone who asks.
 */
export function prefetch(path: string): Promise<Response> {
  const answer = fetch(path).then((its) => {
    if (!its.ok || its.status === 204) return its;
    const body: Promise<unknown> = its.json();
    body.catch(() => undefined);
    return Object.assign(its, { json: () => body });
  });
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
