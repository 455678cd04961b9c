import fc from 'fast-check';
import { oddChange, withOddChange } from '../../core/test/odd-input.js';

const paths = [
  ...['jobs', 'jobs/ID', 'jobs/ID/edits', 'jobs/ID/history', 'jobs/ID/view', 'jobs/ID/shares', 'jobs/none'],
  ...[
    'firm',
    'deleted',
    'deleted/ID',
    'photos',
    'photos/x.jpg',
    'photos/..%2f..%2fx',
    'offers/x',
    'reel',
    'nothing',
  ],
];
const headers: readonly Record<string, string>[] = [
  {},
  { 'content-type': 'application/json' },
  { 'content-type': 'application/json; charset=utf-8', 'x-device': 'x'.repeat(300) },
  { 'content-type': 'text/plain' },
  { origin: 'http://elsewhere.invented' },
];

/**
 * A request that no page of ours would send: any method at any address with a body that is nearly right, or not at all.
 */
export const oddRequest = fc.record({
  path: fc.oneof(fc.constantFrom(...paths), fc.webPath()),
  method: fc.constantFrom('GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD'),
  headers: fc.constantFrom(...headers),
  body: fc.oneof(
    fc.record({
      of: fc.constantFrom('job', 'edits', 'firm'),
      changes: fc.array(oddChange, { maxLength: 3 }),
    }),
    fc.string({ maxLength: 40 }),
    fc.json(),
  ),
});
type OddRequest = typeof oddRequest extends fc.Arbitrary<infer T> ? T : never;

/** The request to send; `good` are valid bodies from which the odd ones are derived. */
export function requestOf(
  { path, method, headers: said, body }: OddRequest,
  id: string,
  good: Readonly<Record<'job' | 'edits' | 'firm', unknown>>,
): [path: string, init: RequestInit] {
  const sent =
    typeof body === 'string'
      ? body
      : JSON.stringify(body.changes.reduce<unknown>(withOddChange, good[body.of]));
  const hasBody = method !== 'GET' && method !== 'HEAD' && method !== 'DELETE';
  const at = path.startsWith('/') ? path : `/${path.replace('ID', id)}`;
  return [`/api${at}`, { method, headers: said, ...(hasBody ? { body: sent } : {}) }];
}
