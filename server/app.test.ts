import fc from 'fast-check';
import { readFileSync, readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { emptyFirm, underFirm } from '../core/job/firm.js';
import { markOf } from '../core/job/mark.js';
import type { Job } from '../core/job/schema.js';
import { offerOf, type Offer } from '../core/offer/offer.js';
import { readJob } from '../core/files/read.js';
import { jobView } from '../core/views/job-view.js';
import type { CachedView } from '../core/views/cached-view.js';
import type { JobRow } from './jobs/digests.js';
import type { Share } from './jobs/shares.js';
import type { StoredJob } from './jobs/store.js';
import { oddRequest, requestOf } from './test/odd-request.js';
import { realApp, type Requester } from './test/real-app.js';

const root = resolve(import.meta.dirname, '..');
let app: Awaited<ReturnType<typeof realApp>>;
const ask: Requester = (...asked) => app.ask(...asked);
const askAsCustomer: Requester = (...asked) => app.askAsCustomer(...asked);

const demo = (): Job => {
  const read = readJob(JSON.parse(readFileSync(join(root, 'demo/jobs/3-alder-terrace.json'), 'utf8')));
  if (!read.job) throw new Error('the demo job is sound');
  return read.job;
};

beforeAll(async () => {
  app = await realApp();
  const pictures = join(root, 'demo', 'photos');
  for (const name of readdirSync(pictures)) await app.photos.keep(readFileSync(join(pictures, name)));
}, 60_000);
afterAll(() => app.close());

const sendJson = (path: string, body: unknown, method = 'POST', headers: Record<string, string> = {}) =>
  ask(path, {
    method,
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json', ...headers },
  });

async function addDemo(): Promise<string> {
  const answer = await sendJson('/api/jobs', demo());
  expect(answer.status).toBe(201);
  return ((await answer.json()) as { id: string }).id;
}

async function share(id: string) {
  const answer = await sendJson(`/api/jobs/${id}/shares`, {});
  expect(answer.status).toBe(201);
  return (await answer.json()) as { share: Share; secret: string; base: string };
}

test('only this server’s own pages may ask: a foreign origin or host is turned away', async () => {
  expect((await ask('/api/jobs')).status).toBe(200);
  expect((await ask('/api/jobs', { headers: { host: 'evil.test' } })).status).toBe(403);
  expect((await sendJson('/api/jobs', demo(), 'POST', { origin: 'http://evil.test' })).status).toBe(403);
  expect((await sendJson('/api/jobs', demo(), 'POST', { origin: 'http://127.0.0.1:9999' })).status).toBe(403);
  expect((await sendJson('/api/jobs', demo(), 'POST', { origin: 'http://127.0.0.1:4870' })).status).toBe(201);
});

// RFC 9457: problem details.
test('what is wrong is answered as problem details, and nothing is written', async () => {
  const count = async () => ((await (await ask('/api/jobs')).json()) as JobRow[]).length;
  const before = await count();
  for (const [body, status, says] of [
    ['{', 400, 'not JSON'],
    [JSON.stringify({ format: 'open-trench-job', version: 9 }), 422, 'version'],
    [JSON.stringify({ ...demo(), accepted: { on: 'yesterday' } }), 422, 'accepted.on'],
    [
      JSON.stringify({ ...demo(), lines: demo().lines.map((line) => ({ ...line, alsoCure: ['x'] })) }),
      422,
      'alsoCure',
    ],
  ] as const) {
    const answer = await ask('/api/jobs', {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json' },
    });
    expect(answer.status).toBe(status);
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    expect(await answer.text()).toContain(says);
  }
  expect((await ask('/api/jobs', { method: 'POST', body: '{}' })).status).toBe(415);
  expect((await ask('/api/nothing')).status).toBe(404);
  expect((await ask('/api/jobs/nobody')).status).toBe(404);
  expect((await ask('/api/jobs/nobody/shares', { method: 'POST' })).status).toBe(404);
  expect(await count()).toBe(before);
});

test('every answer forbids what the pages do not need', async () => {
  const policy = (await ask('/api/jobs')).headers.get('content-security-policy') ?? '';
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain("frame-ancestors 'none'");
  // Scripts of our own files only: neither inline nor evaluated.
  expect(policy).not.toMatch(/script-src[^;]*'unsafe-(inline|eval)'/);
  const outside = (await askAsCustomer('/api/offers/x')).headers;
  expect(outside.get('content-security-policy')).toBe(policy);
  expect(outside.get('referrer-policy')).toBe('no-referrer');
});

test('the list tells of each job what was worked out of it, and follows a change', async () => {
  const id = await addDemo();
  await app.digests.recompute();
  const row = async () =>
    ((await (await ask('/api/jobs')).json()) as JobRow[]).find((each) => each.id === id);
  expect(await row()).toMatchObject({
    title: '22 Alder Terrace',
    customer: 'P. Lindqvist',
    fresh: true,
    digest: {
      verdict: ['urgent', 'repair'],
      methods: ['line'],
      accepted: { on: '2026-03-27', total: demo().accepted?.total },
      repair: 'whole',
    },
  });
  // The list carries no sentence that its rows do not show.
  expect(JSON.stringify((await row())?.digest?.due)).not.toContain('why');
  const answer = await sendJson(`/api/jobs/${id}/edits`, {
    sent: 'a-set-of-one',
    edits: [{ kind: 'accepted', set: null }],
  });
  expect(answer.status).toBe(200);
  await app.digests.recompute();
  const after = await row();
  expect(after?.digest?.accepted).toBeUndefined();
  expect(after?.digest?.repair).toBeUndefined();
});

test('the view of a job is kept as it was worked out last, under the mark of what it was worked out from', async () => {
  const id = await addDemo();
  const kept = async () => (await (await ask(`/api/jobs/${id}/view`)).json()) as CachedView;
  const job = async () => ((await (await ask(`/api/jobs/${id}`)).json()) as StoredJob).job;
  expect((await ask(`/api/jobs/${id}/view`)).status).toBe(204);
  await app.views.recompute();
  const first = await kept();
  expect(first).toMatchObject({ mark: markOf(underFirm(await job(), emptyFirm)), program: 'test' });
  expect(first.view).toEqual(JSON.parse(JSON.stringify(jobView(underFirm(await job(), emptyFirm)))));
  const edits = [{ kind: 'accepted', set: null }];
  expect((await sendJson(`/api/jobs/${id}/edits`, { sent: 'a-set-of-one', edits })).status).toBe(200);
  // Until it is computed again the previous one stays, and its mark says so.
  expect((await kept()).mark).toBe(first.mark);
  await app.views.recompute();
  expect((await kept()).mark).toBe(markOf(underFirm(await job(), emptyFirm)));
  expect((await kept()).mark).not.toBe(first.mark);
});

// A hundred thousand of these are tried by `npm run bench -- fuzz`.
test('whatever is asked is answered: nothing that a stranger sends is a fault of the server', async () => {
  const id = await addDemo();
  const good = {
    job: demo(),
    edits: { sent: 'a set of edits', base: 1, edits: [{ kind: 'job', set: { title: 'x' } }] },
    firm: { was: emptyFirm, set: { ...emptyFirm, name: 'x' } },
  };
  await fc.assert(
    fc.asyncProperty(oddRequest, async (odd) => {
      const answer = await ask(...requestOf(odd, id, good));
      expect(answer.status).toBeLessThan(500);
      await answer.body?.cancel();
    }),
    { numRuns: 300 },
  );
  expect(app.logged).toEqual([]);
});

test('a customer reads the offer behind a secret from outside, and nothing else', async () => {
  const id = await addDemo();
  const { secret, base, share: made } = await share(id);
  expect(base).toBe('https://offers.invented.test');
  const answer = await askAsCustomer(`/api/offers/${secret}`);
  expect(answer.headers.get('cache-control')).toBe('no-store');
  const offer = (await answer.json()) as Offer;
  const own = offerOf(demo(), emptyFirm, offer.on);
  expect(offer.ways.map(({ total }) => total)).toEqual(own.ways.map(({ total }) => total));
  // The sums behind the rates, the log and the notes stay within the company.
  expect(offer.ways.flatMap(({ priceLines }) => priceLines.flatMap(({ working }) => working))).toEqual([]);
  expect(JSON.stringify(offer)).not.toMatch(/complaint|"runs"|groundwater/);
  const lines = offer.ways.flatMap(({ priceLines }) => priceLines);
  expect(
    lines.every(({ quantity, rate, amount, from }) => quantity === 1 && rate === amount && from === ''),
  ).toBe(true);
  expect(answer.headers.get('x-robots-tag')).toContain('noindex');
  expect(answer.headers.get('x-open-trench')).not.toBeNull();

  for (const path of ['/api/jobs', `/api/jobs/${id}`, '/api/firm', `/api/jobs/${id}/shares`, '/api/reel']) {
    for (const method of ['GET', 'POST', 'PUT', 'DELETE']) {
      expect((await askAsCustomer(path, { method })).status).toBe(404);
    }
  }
  expect((await askAsCustomer(`/api/offers/${secret}`, { method: 'DELETE' })).status).toBe(404);

  // Photos of this offer, by its secret; not others, and not without it.
  const [photo] = offer.proof.flatMap(({ photos }) => photos);
  expect((await askAsCustomer(`/api/offers/${secret}/photos/${photo ?? ''}`)).status).toBe(200);
  expect((await askAsCustomer(`/api/offers/wrong/photos/${photo ?? ''}`)).status).toBe(404);
  expect((await askAsCustomer(`/api/offers/${secret}/photos/${'0'.repeat(64)}.jpg`)).status).toBe(404);
  expect((await askAsCustomer(`/api/offers/${secret}/photos/..%2f..%2fpackage.json`)).status).toBe(404);

  expect((await ask(`/api/jobs/${id}/shares/${made.id}`, { method: 'DELETE' })).status).toBe(204);
  const closed = await askAsCustomer(`/api/offers/${secret}`);
  expect(closed.status).toBe(404);
  expect(await closed.text()).toContain('not open');
  expect((await ask(`/api/jobs/${id}/shares/${made.id}`, { method: 'DELETE' })).status).toBe(404);
});

test('the firm is refused with the path of each fault', async () => {
  const bad = await sendJson(
    '/api/firm',
    {
      was: emptyFirm,
      set: { ...emptyFirm, validity_days: 0, rules: { findings: { offset: { bounds: [3, 2, 1] } } } },
    },
    'PUT',
  );
  expect(bad.status).toBe(422);
  expect(await bad.text()).toContain('validity_days');
  const unordered = await sendJson(
    '/api/firm',
    { was: emptyFirm, set: { ...emptyFirm, rules: { findings: { offset: { bounds: [3, 2, 1] } } } } },
    'PUT',
  );
  expect(unordered.status).toBe(422);
  expect(await unordered.text()).toContain('rules.findings.offset.bounds');
  expect(app.logged).toEqual([]);
});

test('one bad thing is refused with its path, and stops nothing that comes after it', async () => {
  const id = await addDemo();
  const [line] = demo().lines;
  const [run] = line?.runs ?? [];
  if (!line || !run) throw new Error('the demo job has a run');
  let count = 0;
  const send = (entry: string, set: object) =>
    sendJson(`/api/jobs/${id}/edits`, {
      sent: `bad-thing-${++count}`,
      edits: [{ kind: 'entry', line: line.id, run: run.id, entry, set }],
    });
  const joint = (own: string, more: object = {}) => ({
    id: own,
    kind: 'joint',
    reading_ft: 5,
    pass: 'back',
    ...more,
  });
  const refused = async (answer: Promise<Response>) => {
    const { status } = await answer;
    const { errors = [] } = (await (await answer).json()) as { errors?: { path: string; message: string }[] };
    return [status, errors[0]?.path];
  };
  // RFC 8259 lets both into JSON; PostgreSQL's jsonb takes neither.
  for (const note of ['a\u0000b', '\ud800', 'x\udfff'])
    expect(await refused(send('n1', joint('n1', { note })))).toEqual([422, 'edits[0].set.note']);
  expect(await refused(send('n1', joint('n2')))).toEqual([422, 'edits[0].set.id']);
  expect((await send('n1', joint('n1', { note: 'an emoji is a pair: \u{1f527}' }))).status).toBe(200);
  // A whole table of rows is written at once.
  const rows = Array.from({ length: 1200 }, (_, i) => joint(`row${i}`, { reading_ft: 1 + i / 40 }));
  const all = await sendJson(`/api/jobs/${id}/edits`, {
    sent: 'a whole table',
    edits: rows.map((set) => ({ kind: 'entry', line: line.id, run: run.id, entry: set.id, set })),
  });
  expect(all.status).toBe(200);
}, 60_000);

test('one photo sent twelve times at once is kept once, and each is answered', async () => {
  const photo = new Uint8Array(
    readFileSync(join(root, 'demo/photos', readdirSync(join(root, 'demo/photos'))[0] ?? '')),
  );
  const bytes = new Uint8Array([...photo, 1]);
  const answers = await Promise.all(
    Array.from({ length: 12 }, () => ask('/api/photos', { method: 'POST', body: bytes })),
  );
  expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 12 }, () => 201));
  expect(new Set(await Promise.all(answers.map((each) => each.text()))).size).toBe(1);
});

test('links that do not exist may be tried so often and no more', async () => {
  const { secret } = await share(await addDemo());
  const tried = [];
  for (let i = 0; i < 70; i++) tried.push((await askAsCustomer(`/api/offers/guess-${i}`)).status);
  expect(tried.slice(0, 50).every((status) => status === 404)).toBe(true);
  expect(tried.at(-1)).toBe(429);
  // The shop itself can still read while somebody outside tries links.
  expect((await ask(`/api/offers/${secret}`)).status).toBe(200);
}, 60_000);
