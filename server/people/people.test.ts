import { execFileSync } from 'node:child_process';
import { underFirm, type Firm } from '../../core/job/firm.js';
import type { Job } from '../../core/job/schema.js';
import { viewForCrew } from '../../core/views/for-crew.js';
import { jobView } from '../../core/views/job-view.js';
import { randomJob } from '../../core/test/random-job.js';
import type { HistoryPage } from '../jobs/routes.js';
import type { StoredJob } from '../jobs/store.js';
import { realApp, shopHost } from '../test/real-app.js';
import { hashPassphrase, isPassphrase, passphraseFault } from './passphrase.js';
import type { Person } from './people.js';
import { mayRequest, roles, type Role } from './roles.js';

let app: Awaited<ReturnType<typeof realApp>>;
const passphrase = (name: string) => `quiet ladder ${name.length} pear brook`;
const made: Partial<Record<Role, Person>> = {};
const cookies: Partial<Record<Role, string>> = {};

const json = (body: unknown, method = 'POST'): RequestInit => ({
  method,
  body: JSON.stringify(body),
  headers: { 'content-type': 'application/json' },
});

async function signIn(name: string, said = passphrase(name)) {
  const answer = await app.askShop('/api/sign-in', json({ name, passphrase: said }));
  return { status: answer.status, cookie: answer.headers.get('set-cookie') ?? '' };
}

const as = (role: Role, path: string, init: RequestInit = {}) => app.askShop(path, init, cookies[role]);

beforeAll(async () => {
  app = await realApp();
  for (const role of roles) {
    const answer = await app.ask(
      '/api/people',
      json({ name: `Pat ${role}`, role, passphrase: passphrase(`Pat ${role}`) }),
    );
    expect(answer.status).toBe(201);
    made[role] = (await answer.json()) as Person;
    cookies[role] =
      (await signIn(`pat ${role.toUpperCase()}`, passphrase(`Pat ${role}`))).cookie.split(';')[0] ?? '';
  }
}, 60_000);
afterAll(() => app.close());

/** By @noble/hashes, another implementation of RFC 7914; in a process of its own, since Jest slows it down tenfold. */
function scryptElsewhere(passphrase: string, salt: string, N: number): string {
  const program = `
    import { scrypt } from '@noble/hashes/scrypt';
    const [passphrase, salt, N] = process.argv.slice(1);
    const hash = scrypt(passphrase, Buffer.from(salt, 'base64url'), { N: Number(N), r: 8, p: 1, dkLen: 32 });
    process.stdout.write(Buffer.from(hash).toString('base64url'));`;
  const args = ['--input-type=module', '--eval', program, passphrase, salt, String(N)];
  return execFileSync(process.execPath, args, { encoding: 'utf8' });
}

test('what is stored of a passphrase is its scrypt hash, salted', async () => {
  const usual = await hashPassphrase('correct horse battery');
  const [, logN, r, p, salt = '', hash] = usual.split('$');
  expect([logN, r, p]).toEqual(['17', '8', '1']);
  expect(scryptElsewhere('correct horse battery', salt, 2 ** 17)).toBe(hash);
  expect(await isPassphrase('correct horse battery', usual)).toBe(true);
  const cheap = 2 ** 10;
  const [one, other] = [
    await hashPassphrase('correct horse battery', cheap),
    await hashPassphrase('correct horse battery', cheap),
  ];
  expect(one).not.toBe(other);
  for (const wrong of ['correct horse batterz', '', ' correct horse battery'])
    expect(await isPassphrase(wrong, one)).toBe(false);
  expect(await isPassphrase('correct horse battery', undefined)).toBe(false);
});

test('a passphrase that is short, one character over and over, or holds the name is refused, and says why', () => {
  expect(passphraseFault('eleven char', 'Ana')).toContain('at least 12');
  expect(passphraseFault('abababababababab', 'Ana')).toContain('must not repeat');
  expect(passphraseFault('four anastasia words', 'Anastasia')).toContain('the name');
  expect(passphraseFault('four words go here', 'Ana')).toBeUndefined();
});

test('at the shop’s address: its own name, its own pages, and somebody signed in', async () => {
  expect((await app.askShop('/api/jobs')).status).toBe(401);
  expect((await as('owner', '/api/jobs')).status).toBe(200);
  expect((await as('owner', '/api/jobs', { headers: { host: 'evil.test' } })).status).toBe(421);
  expect((await as('owner', '/api/jobs', { headers: { origin: 'https://evil.test' } })).status).toBe(403);
  expect((await as('owner', '/api/jobs', { headers: { origin: `http://${shopHost}` } })).status).toBe(403);
  expect((await as('owner', '/api/jobs', { headers: { origin: `https://${shopHost}` } })).status).toBe(200);
  // Behind a proxy: only over https.
  expect((await as('owner', '/api/jobs', { headers: { 'x-forwarded-proto': 'http' } })).status).toBe(403);
  expect((await as('owner', '/api/jobs', { headers: { 'x-forwarded-proto': 'https' } })).status).toBe(200);
  // A forged cookie belongs to nobody.
  expect((await app.askShop('/api/jobs', {}, '__Host-open-trench=made-up')).status).toBe(401);
  // On this machine itself nobody signs in.
  expect((await app.ask('/api/jobs')).status).toBe(200);
  expect((await app.ask('/api/sign-in', json({ name: 'Pat owner', passphrase: 'x' }))).status).toBe(404);
});

test('the cookie goes over TLS, to this address, from its own pages, and out of reach of scripts', async () => {
  const { cookie } = await signIn('Pat owner');
  expect(cookie).toMatch(/^__Host-open-trench=[\w-]{43};/);
  for (const flag of ['Secure', 'HttpOnly', 'SameSite=Strict', 'Path=/']) expect(cookie).toContain(flag);
  const [pair] = cookie.split(';');
  const me = async (): Promise<unknown> => (await app.askShop('/api/me', {}, pair)).json();
  expect(await me()).toMatchObject({ person: { name: 'Pat owner', role: 'owner' }, signsIn: true });
  expect((await app.askShop('/api/sign-out', { method: 'POST' }, pair)).status).toBe(204);
  expect((await app.askShop('/api/me', {}, pair)).status).toBe(401);
});

test('five wrong passphrases lock a name, whoever knows it then; nothing tells a wrong name from a wrong passphrase', async () => {
  await app.people.add({ name: 'Lock', role: 'crew', passphrase: 'plain brick canal stove' });
  const wrong = await app.askShop('/api/sign-in', json({ name: 'Lock', passphrase: 'no' }));
  const nobody = await app.askShop('/api/sign-in', json({ name: 'Nobody', passphrase: 'no' }));
  expect([wrong.status, await wrong.text()]).toEqual([nobody.status, await nobody.text()]);
  for (let i = 0; i < 3; i++) expect((await signIn('Lock', 'no')).status).toBe(422);
  expect((await signIn('Lock', 'no')).status).toBe(429);
  expect((await signIn('Lock', 'plain brick canal stove')).status).toBe(429);
  const [row] = (await app.people.list()).filter(({ name }) => name === 'Lock');
  expect(row?.lockedUntil).toBeDefined();
  // The log has the event and the name typed, never a passphrase.
  const outcomes = app.noted.filter(({ who }) => who === 'Lock').map(({ outcome }) => outcome);
  expect(outcomes).toEqual(['wrong', 'wrong', 'wrong', 'wrong', 'locked', 'locked']);
  expect(JSON.stringify(app.noted)).not.toMatch(/brick|ladder/);
  // A new passphrase from an owner unlocks it.
  await as('owner', `/api/people/${row?.id ?? ''}`, json({ passphrase: 'other brick canal stove' }, 'PUT'));
  expect((await signIn('Lock', 'other brick canal stove')).status).toBe(200);
}, 30_000);

test('a new passphrase, another role or an end of the way in signs out what was signed in; the last owner stays', async () => {
  const person = await app.people.add({
    name: 'Sam',
    role: 'estimator',
    passphrase: 'north kettle seven oak',
  });
  const id = 'person' in person ? person.person.id : '';
  const pair = async (said: string) => (await signIn('Sam', said)).cookie.split(';')[0];
  const isIn = async (cookie: string | undefined) =>
    (await app.askShop('/api/me', {}, cookie)).status === 200;
  const first = await pair('north kettle seven oak');
  expect(await isIn(first)).toBe(true);
  const own = json({ was: 'north kettle seven oak', set: 'south kettle eight oak' }, 'PUT');
  const changed = await app.askShop('/api/me/passphrase', own, first);
  expect(changed.status).toBe(200);
  expect(await isIn(first)).toBe(false);
  const second = changed.headers.get('set-cookie')?.split(';')[0];
  expect(await isIn(second)).toBe(true);
  await as('owner', `/api/people/${id}`, json({ role: 'crew' }, 'PUT'));
  expect(await isIn(second)).toBe(false);
  const third = await pair('south kettle eight oak');
  await as('owner', `/api/people/${id}`, { method: 'DELETE' });
  expect(await isIn(third)).toBe(false);
  expect((await signIn('Sam', 'south kettle eight oak')).status).toBe(422);
  // Two owners who remove each other at the same moment leave one.
  const two = await app.people.add({ name: 'Owen', role: 'owner', passphrase: 'third kettle nine oak' });
  const other = 'person' in two ? two.person.id : '';
  const both = await Promise.all(
    [made.owner?.id ?? '', other].map((each) => app.people.change(each, { role: 'estimator' })),
  );
  expect(both.filter((done) => 'faults' in done)).toHaveLength(1);
  if ('person' in (both[0] ?? {})) await app.people.change(made.owner?.id ?? '', { role: 'owner' });
  await app.people.remove(other);
  cookies.owner = (await signIn('Pat owner')).cookie.split(';')[0] ?? '';
  const alone = await as('owner', `/api/people/${made.owner?.id ?? ''}`, { method: 'DELETE' });
  expect([alone.status, await alone.text()]).toEqual([422, expect.stringContaining('last owner')]);
}, 30_000);

test('every address of the interface is closed to crew but those named here, and people are an owner’s', () => {
  const asked = [...new Set(app.shop.routes.map(({ method, path }) => `${method} ${path}`))].filter(
    (each) => !each.startsWith('ALL') && each.includes(' /api/'),
  );
  expect(asked.length).toBeGreaterThan(25);
  const open = (role: Role) =>
    asked.filter((each) => {
      const [method = '', path = ''] = each.split(' ');
      return mayRequest(role, method, path.replace('/api', '').replaceAll(/:\w+/g, 'x'));
    });
  expect(open('crew').sort()).toEqual(
    [
      ...[
        'GET /api/me',
        'PUT /api/me/passphrase',
        'GET /api/firm',
        'GET /api/changes',
        'GET /api/reel',
        'POST /api/reel',
      ],
      ...['GET /api/jobs', 'GET /api/jobs/:id', 'GET /api/jobs/:id/crew-view', 'GET /api/jobs/:id/history'],
      ...[
        'GET /api/jobs/:id/changes',
        'POST /api/jobs/:id/edits',
        'POST /api/photos',
        'GET /api/photos/:name',
      ],
    ].sort(),
  );
  const closedToEstimators = asked.filter((each) => !open('estimator').includes(each));
  expect(closedToEstimators.sort()).toEqual(
    [
      ...['GET /api/people', 'POST /api/people', 'PUT /api/people/:id', 'DELETE /api/people/:id'],
      ...['PUT /api/firm', 'POST /api/backups'],
    ].sort(),
  );
  expect(open('owner')).toHaveLength(asked.length);
});

test('crew reads a job, its list, its history and what is done without a price, and changes only what was logged', async () => {
  const firm: Firm = {
    format: 'open-trench-firm',
    version: 1,
    prices: { cleaning_per_ft: 77.13, dated: '2026-04-17' },
  };
  const before = (await (await app.ask('/api/firm')).json()) as Firm;
  expect((await app.ask('/api/firm', json({ was: before, set: firm }, 'PUT'))).status).toBe(200);
  const job: Job = { ...randomJob(11), title: '8 Slate Row', prices: { look: 313.31 } };
  const { id } = (await (await as('estimator', '/api/jobs', json(job))).json()) as StoredJob;
  const priced = { kind: 'job', set: { title: '8 Slate Row', prices: { look: 414.41 } } };
  expect(
    (await as('estimator', `/api/jobs/${id}/edits`, json({ sent: 'estimator-1', edits: [priced] }))).status,
  ).toBe(200);
  await app.digests.recompute();

  const refused = await as('crew', `/api/jobs/${id}/edits`, json({ sent: 'crew-set-1', edits: [priced] }));
  expect([refused.status, await refused.text()]).toEqual([
    403,
    expect.stringContaining('nothing else of a job'),
  ]);
  const [line] = job.lines;
  const [run] = line?.runs ?? [];
  const entry = {
    ...{ kind: 'entry', line: line?.id, run: run?.id, entry: 'by-crew' },
    set: { id: 'by-crew', kind: 'note', note: 'lid is under the hedge' },
  };
  const noted = await as('crew', `/api/jobs/${id}/edits`, json({ sent: 'crew-set-2', edits: [entry] }));
  expect([noted.status, await noted.text()]).toEqual([200, expect.not.stringContaining('414.41')]);

  // Whoever stands at the pipe enters the temperature; the estimator's other values stay.
  const warm = { sent: 'crew-set-3', edits: [{ kind: 'temperature', set: { temperature_F: 91 } }] };
  expect((await as('crew', `/api/jobs/${id}/edits`, json(warm))).status).toBe(200);

  const whole = (await (await app.ask(`/api/jobs/${id}`)).json()) as StoredJob;
  expect([whole.job.site?.temperature_F, whole.job.prices]).toEqual([91, { look: 414.41 }]);
  const view = jobView(underFirm(whole.job, firm));
  const total = String(view.scope.prices.total);
  expect(Number(total)).toBeGreaterThan(0);
  for (const path of ['jobs', `jobs/${id}`, `jobs/${id}/crew-view`, `jobs/${id}/history`, 'firm']) {
    const answer = await as('crew', `/api/${path}`);
    expect(answer.status).toBe(200);
    const said = await answer.text();
    for (const secret of ['77.13', '313.31', '414.41', total]) expect(said).not.toContain(secret);
  }
  expect(await (await as('crew', `/api/jobs/${id}/crew-view`)).json()).toEqual(
    JSON.parse(JSON.stringify({ version: whole.version, view: viewForCrew(view) })),
  );
  expect((await as('crew', `/api/jobs/${id}/view`)).status).toBe(403);

  const history = (await (await as('owner', `/api/jobs/${id}/history`)).json()) as HistoryPage;
  expect(history.changes.map(({ person }) => person)).toEqual([
    ...['Pat crew', 'Pat crew', 'Pat estimator', 'Pat estimator'],
  ]);
  const crews = (await (await as('crew', `/api/jobs/${id}/history`)).json()) as HistoryPage;
  expect(crews.changes.map(({ edit }) => edit.kind)).toEqual(['temperature', 'entry']);
});

test('the history goes back to the first edit, a page at a time', async () => {
  const { id } = (await (await app.ask('/api/jobs', json(randomJob(12)))).json()) as StoredJob;
  const [line] = randomJob(12).lines;
  const edits = Array.from({ length: 1203 }, (_, n) => ({
    ...{ kind: 'entry', line: line?.id, run: line?.runs[0]?.id, entry: 'again' },
    set: { id: 'again', kind: 'note', note: `note ${n}` },
  }));
  expect((await app.ask(`/api/jobs/${id}/edits`, json({ sent: 'many-edits', edits }))).status).toBe(200);
  const orders: number[] = [];
  for (let before: number | null | undefined; before !== null;) {
    const page = (await (
      await app.ask(`/api/jobs/${id}/history${before === undefined ? '' : `?before=${before}`}`)
    ).json()) as HistoryPage;
    orders.push(...page.changes.map(({ order }) => order));
    before = page.before;
  }
  expect(orders).toHaveLength(1204);
  expect(orders).toEqual([...new Set(orders)].sort((a, b) => b - a));
  expect((await app.ask(`/api/jobs/${id}/history?before=x`)).status).toBe(422);
});
