import { rmSync } from 'node:fs';
import { isNull, sql } from 'drizzle-orm';
import { jobHead, lineHead, type Edit } from '../../core/edits/index.js';
import { accept } from '../../core/offer/accept.js';
import { digestOf } from '../../core/views/digest.js';
import { scopeOf } from '../../core/scope/scope.js';
import { randomJob } from '../../core/test/random-job.js';
import { emptyFirm } from '../../core/job/firm.js';
import { markOf } from '../../core/job/mark.js';
import { openDatabase, type OpenedDatabase } from '../storage/database.js';
import { digestsOn } from './digests.js';
import { firmOn } from './firm.js';
import { logged } from '../storage/logged.js';
import { openPostgres } from '../storage/postgres.js';
import { postgresPrograms, startPostgres, type RunningPostgres } from '../test/postgres.js';
import { sharesOn } from './shares.js';
import { jobs as jobsTable, shares as sharesTable } from '../storage/tables.js';
import { storeOn, type Store } from './store.js';
import { dead, migrations, newDataFolder, thread } from '../test/new-folder.js';
import { readyJob } from '../../core/solve/ready.js';

const bin = postgresPrograms();
/** A real PGlite folder in a thread, synced to disk, as the server has it; and a real PostgreSQL server, where this machine has one. */
const engines = ['PGlite', ...(bin === undefined ? [] : ['PostgreSQL'])] as const;

describe.each(engines)('on %s', (engine) => {
  let folder: string;
  let postgres: RunningPostgres | undefined;
  let opened: OpenedDatabase;
  let store: Store;

  beforeAll(async () => {
    folder = await newDataFolder();
    if (engine === 'PGlite') opened = await openDatabase({ folder, migrations, thread, dead });
    else {
      postgres = await startPostgres(bin ?? '');
      opened = await openPostgres({ url: postgres.database(), migrations, log: () => undefined });
    }
    store = storeOn(opened);
  }, 60_000);
  afterAll(async () => {
    await opened.close();
    await postgres?.remove();
    rmSync(folder, { recursive: true, force: true });
  });

  const add = async (id: string, seed: number) => {
    const job = randomJob(seed, { lines: 2 });
    expect(await store.add(id, job, 'test')).toMatchObject({ stored: { id, version: 1 } });
    return job;
  };

  test('a job comes back as it went in, word for word and in order', async () => {
    const job = await add('word', 11);
    expect((await store.read('word'))?.job).toEqual(job);
    expect(await store.read('nobody')).toBeUndefined();
  });

  test('an edit raises the version, keeps what it replaced, and its inverse brings it back', async () => {
    const job = await add('edit', 12);
    const [line] = job.lines;
    if (!line) throw new Error('a random job has a line');
    const written = await store.edit(
      'edit',
      {
        sent: 'first-set',
        edits: [{ kind: 'line', line: line.id, set: { ...lineHead(line), groundwater_ft: 77 } }],
      },
      'tablet',
    );
    expect(written).toMatchObject({ stored: { version: 2 } });
    const [change] = await store.history('edit', 1);
    expect(change).toMatchObject({ device: 'tablet', edit: { set: { groundwater_ft: 77 } } });
    if (!change) throw new Error('the history is empty');
    await store.edit('edit', { sent: 'second-set', edits: [change.inverse] }, 'tablet');
    expect((await store.read('edit'))?.job).toEqual(job);
  });

  test('a set goes in whole or not at all', async () => {
    const job = await add('whole', 13);
    const [line] = job.lines;
    const [run] = line?.runs ?? [];
    if (!line || !run) throw new Error('a random job has a run');
    const good = {
      kind: 'entry',
      line: line.id,
      run: run.id,
      entry: 'n1',
      set: { id: 'n1', kind: 'joint', reading_ft: 3 },
    } as const;
    const bad = {
      ...good,
      entry: 'n2',
      set: { id: 'n2', kind: 'point', reading_ft: 3, point: 'NOBODY' },
    } as const;
    const written = await store.edit('whole', { sent: 'half-bad', edits: [good, bad] }, 'test');
    expect('faults' in written && written.faults.map(({ message }) => message)).toEqual([
      'unknown point "NOBODY"',
    ]);
    expect(await store.read('whole')).toMatchObject({ version: 1, job });
  });

  test('edits sent at once go in one after the other, none lost', async () => {
    const job = await add('many', 14);
    const [line] = job.lines;
    const [run] = line?.runs ?? [];
    if (!line || !run) throw new Error('a random job has a run');
    await Promise.all(
      Array.from({ length: 20 }, (_, i) =>
        store.edit(
          'many',
          {
            sent: `set-${i}`,
            edits: [
              {
                kind: 'entry',
                line: line.id,
                run: run.id,
                entry: `n${i}`,
                set: { id: `n${i}`, kind: 'joint', reading_ft: i },
              },
            ],
          },
          'test',
        ),
      ),
    );
    const stored = await store.read('many');
    expect(stored?.version).toBe(21);
    expect(stored?.job.lines[0]?.runs[0]?.entries).toHaveLength(run.entries.length + 20);
  });

  test('two who change one thing: what fits is merged, what does not is shown to both and changes nothing', async () => {
    const job = await add('two', 16);
    const [line] = job.lines;
    const [run] = line?.runs ?? [];
    if (!line || !run) throw new Error('a random job has a run');
    const head = (more: object): Edit => ({
      kind: 'line',
      line: line.id,
      set: { ...lineHead(line), ...more },
    });
    const entry = (reading_ft: number): Edit => ({
      kind: 'entry',
      line: line.id,
      run: run.id,
      entry: 'n1',
      set: { id: 'n1', kind: 'joint', reading_ft },
    });
    const told: number[] = [];
    const end = store.listen('two', (version) => told.push(version));
    await store.edit(
      'two',
      { sent: 'office-1', edits: [head({ groundwater_ft: 9 }), entry(3)], base: 1 },
      'office',
    );
    const merged = await store.edit(
      'two',
      { sent: 'truck-1', edits: [head({ soil: 'C' })], base: 1 },
      'truck',
    );
    expect(merged).toMatchObject({ stored: { job: { lines: [{ groundwater_ft: 9, soil: 'C' }, {}] } } });
    const clash = await store.edit(
      'two',
      { sent: 'truck-2', edits: [entry(4)], base: 1, own: ['truck-1'] },
      'truck',
    );
    expect(clash).toMatchObject({
      conflicts: [{ device: 'office', mine: { set: { reading_ft: 4 } }, theirs: { set: { reading_ft: 3 } } }],
    });
    // Its own earlier sets are not conflicts; nor is the version it has now seen.
    expect(
      await store.edit('two', { sent: 'office-2', edits: [entry(5)], base: 1, own: ['office-1'] }, 'office'),
    ).toMatchObject({ stored: { version: 4 } });
    await store.edit(
      'two',
      { sent: 'office-3', edits: [{ kind: 'run', line: line.id, run: run.id, set: null }] },
      'office',
    );
    expect(await store.edit('two', { sent: 'truck-3', edits: [entry(6)], base: 5 }, 'truck')).toMatchObject({
      conflicts: [{ theirs: { set: null } }],
    });
    end();
    expect(told).toEqual([2, 3, 4, 5]);
  });

  test('a deleted job is out of sight, comes back as it was for thirty days, and then is gone with all that belongs to it', async () => {
    const job = await add('gone', 15);
    const told: number[] = [];
    const end = store.listen('gone', (version) => told.push(version));
    const set = { sent: 'gone-set-1', edits: [{ kind: 'job' as const, set: { title: 'x' } }] };
    expect(await store.remove('gone')).toBe(true);
    expect(await store.remove('gone')).toBe(false);
    expect(await store.read('gone')).toBeUndefined();
    expect(await store.version('gone')).toBeUndefined();
    expect(await store.edit('gone', set, 'test')).toEqual({ missing: true });
    expect(await store.deleted()).toMatchObject([{ id: 'gone', title: job.title }]);
    await store.clear();
    expect(await store.bringBack('gone')).toBe(true);
    expect(await store.bringBack('gone')).toBe(false);
    expect((await store.read('gone'))?.job).toEqual(job);
    expect(await store.history('gone', 5)).toHaveLength(1);
    // Pages with it open are notified of both.
    expect(told).toEqual([2, 3]);
    end();
    await store.remove('gone');
    await store.clear(new Date(Date.now() + 29 * 24 * 3_600_000));
    expect(await store.deleted()).toHaveLength(1);
    await store.clear(new Date(Date.now() + 31 * 24 * 3_600_000));
    expect(await store.deleted()).toEqual([]);
    expect(await store.bringBack('gone')).toBe(false);
    expect(await store.history('gone', 5)).toEqual([]);
  });

  test('what was accepted is frozen beside the job: other edits leave it, and taking it back is an edit', async () => {
    const job = await add('agreed', 17);
    const accepted = accept(job, emptyFirm, 'renew', '2026-04-01', 'R. Moss');
    const set = (sent: string, edit: Edit) => store.edit('agreed', { sent, edits: [edit] }, 'tablet');
    expect(await set('agreed-1', { kind: 'accepted', set: accepted })).toMatchObject({
      stored: { version: 2 },
    });
    const [line] = job.lines;
    if (!line) throw new Error('a random job has a line');
    await set('agreed-2', { kind: 'line', line: line.id, set: { ...lineHead(line), groundwater_ft: 41 } });
    await set('agreed-3', { kind: 'job', set: { ...jobHead(job), title: 'renamed' } });
    const stored = (await store.read('agreed'))?.job;
    expect(stored).toMatchObject({ title: 'renamed', accepted });
    // As an export followed by an import would.
    expect(await store.add('agreed-again', stored, 'test')).toMatchObject({ stored: { job: { accepted } } });
    await set('agreed-4', { kind: 'accepted', set: null });
    expect((await store.read('agreed'))?.job.accepted).toBeUndefined();
  });

  test('two who accept different ways at once: the first stands, the second is shown both; the same twice is no conflict', async () => {
    const job = await add('both', 21);
    const first = accept(job, emptyFirm, 'renew', '2026-04-01', 'R. Moss');
    const second = accept(job, emptyFirm, 'maintain', '2026-04-01', 'R. Moss');
    const set = (sent: string, edit: Edit) => store.edit('both', { sent, edits: [edit], base: 1 }, sent);
    expect(await set('first-one', { kind: 'accepted', set: first })).toMatchObject({
      stored: { version: 2 },
    });
    expect(await set('second-one', { kind: 'accepted', set: second })).toMatchObject({
      conflicts: [{ mine: { set: { school: 'maintain' } }, theirs: { set: { school: 'renew' } } }],
    });
    expect((await store.read('both'))?.job.accepted).toEqual(first);
    expect(await set('third-one', { kind: 'accepted', set: first })).toMatchObject({
      stored: { version: 3 },
    });
    // Concurrent changes of other fields are not conflicts.
    const [line] = job.lines;
    if (!line) throw new Error('a random job has a line');
    const dig: Edit = { kind: 'line', line: line.id, set: { ...lineHead(line), groundwater_ft: 12 } };
    expect(await set('fourth-one', dig)).toMatchObject({ stored: { version: 4 } });
  });

  test('what the list shows follows every change of a job or of its firm, and a job that fails holds up no other', async () => {
    const firm = firmOn(opened.db);
    const worked: string[] = [];
    const digests = digestsOn(
      {
        db: opened.db,
        store,
        firm,
        program: 'test',
        work: (job, under) => {
          worked.push(job.title);
          if (job.title === 'broken') throw new Error('cannot be worked out');
          return Promise.resolve(digestOf(job, under));
        },
        log: () => undefined,
      },
      2,
    );
    const job = await add('listed', 18);
    await store.add('broken', { ...job, title: 'broken' }, 'test');
    expect((await digests.list()).find(({ id }) => id === 'listed')).toMatchObject({ fresh: false });
    await digests.recompute();
    const rows = await digests.list();
    const changed = rows.map(({ changedAt }) => changedAt);
    expect(changed).toEqual([...changed].sort().reverse());
    expect(rows.every(({ fresh }) => fresh)).toBe(true);
    // Read two at a time, every job appears once.
    const standing = await opened.db
      .select({ id: jobsTable.id })
      .from(jobsTable)
      .where(isNull(jobsTable.deletedAt));
    expect(rows.length).toBeGreaterThan(5);
    expect(rows.map(({ id }) => id).sort()).toEqual(standing.map(({ id }) => id).sort());
    // Callers during a reading get a later one, shared by all of them.
    const [now, later, too] = await Promise.all([digests.list(), digests.list(), digests.list()]);
    expect(later).toBe(too);
    expect(later).not.toBe(now);
    const row = rows.find(({ id }) => id === 'listed');
    expect(row?.digest).toMatchObject({ total: scopeOf(readyJob(job)).prices.total });

    worked.length = 0;
    await digests.recompute();
    expect(worked).toEqual([]);
    const was = await firm.read();
    await firm.write(was, { ...was, prices: { ...was.prices, look: 999 } });
    await digests.recompute();
    expect(worked).toHaveLength(rows.length);
    await firm.write(await firm.read(), was);
  });

  test('a link shows the offer as it was when it was made, to its secret only, until it is closed', async () => {
    const shares = sharesOn(opened.db);
    const job = await add('shared', 19);
    const said = { on: '2026-05-01', job, firm: emptyFirm };
    const { share, secret } = await shares.make('shared', said);
    expect(Buffer.from(secret, 'base64url')).toHaveLength(32);
    await store.edit('shared', { sent: 'shared-1', edits: [{ kind: 'job', set: { title: 'later' } }] }, 'x');
    expect((await shares.open(secret))?.said).toEqual(said);
    expect(await shares.open(`${secret}x`)).toBeUndefined();
    const in91Days = new Date(Date.now() + 91 * 24 * 3_600_000);
    expect(await shares.open(secret, in91Days)).toBeUndefined();
    expect(await shares.open(share.id)).toBeUndefined();
    // The secret is nowhere in the database.
    expect(JSON.stringify(await opened.db.select().from(sharesTable))).not.toContain(secret);
    const other = await shares.make('shared', said);
    expect(await shares.close('edit', share.id)).toBe(false);
    expect(await shares.close('shared', share.id)).toBe(true);
    expect(await shares.close('shared', share.id)).toBe(false);
    expect(await shares.open(secret)).toBeUndefined();
    expect((await shares.open(other.secret))?.said).toEqual(said);
    expect((await shares.list('shared')).filter(({ closedAt }) => closedAt)).toHaveLength(1);
    await store.remove('shared');
    expect(await shares.open(other.secret)).toBeUndefined();
    await store.bringBack('shared');
    expect(await shares.open(other.secret)).toBeDefined();
  });

  test('a job that breaks the rules of the file is refused with its faults', async () => {
    expect(
      await store.add(
        'bad',
        { format: 'open-trench-job', version: 1, title: 'x', lines: [], color: 'red' },
        'test',
      ),
    ).toMatchObject({
      faults: expect.arrayContaining([{ path: 'color', message: 'unknown field' }]) as unknown,
    });
    expect(await store.read('bad')).toBeUndefined();
  });

  if (engine === 'PGlite')
    test('the folder is held: a second opening says so', async () => {
      await expect(openDatabase({ folder, migrations, dead })).rejects.toThrow(/already running on/);
    });

  test('the firm is kept once; two changes to different things go together, two to one thing clash and neither is lost', async () => {
    const firm = firmOn(opened.db);
    expect(await firm.read()).toEqual(emptyFirm);
    const first = { ...emptyFirm, name: 'Hollow Lane Drains', prices: { look: 190 } };
    expect(await firm.write(emptyFirm, first)).toEqual({ firm: first });
    const rules = { ...emptyFirm, rules: { leastGap_ft: 3 } };
    const both = { ...first, rules: { leastGap_ft: 3 } };
    expect(await firm.write(emptyFirm, rules)).toEqual({ firm: both });
    expect(await firm.write(first, { ...first, prices: {} })).toEqual({ firm: { ...both, prices: {} } });
    expect(await firm.write(first, { ...first, prices: { look: 150 } })).toEqual({ clash: ['prices.look'] });
    expect(await firm.write(first, { ...first, prices: { look: -1 } })).toMatchObject({
      faults: [{ path: 'prices.look' }],
    });
    const falling = { ...first, rules: { findings: { roots: { bounds: [30, 20, 10] } } } };
    expect(await firm.write(first, falling)).toMatchObject({
      faults: [{ path: 'rules.findings.roots.bounds' }],
    });
    expect(await firm.read()).toEqual({ ...both, prices: {} });
  });

  test('what the jobs of the firm really took is told job by job; a deleted job tells nothing, and its days change no view', async () => {
    const firm = firmOn(opened.db);
    expect(await firm.spent()).toEqual([]);
    const spent = [
      {
        id: 'S1',
        on: '2026-11-03',
        task: 'L1 dig P1',
        kind: 'dig' as const,
        hours: 2.5,
        amount: 4,
        people: 2,
      },
      { id: 'S2', on: '2026-11-04', task: 'L1 test A1', kind: 'test' as const, hours: 1, money: 12.5 },
    ];
    const job = await add('spent', 77);
    const head = { ...jobHead(job), plan: { startOn: '2026-11-02', spent } };
    const mark = markOf(job);
    const written = await store.edit(
      'spent',
      { sent: 'spent-set', edits: [{ kind: 'job', set: head }] },
      'tablet',
    );
    expect(written).toMatchObject({ stored: { job: { plan: head.plan } } });
    expect(await firm.spent()).toEqual([{ id: 'spent', title: job.title, spent }]);
    // The schedule of a job does not affect its scope: its view stays valid.
    expect(markOf({ ...job, plan: head.plan })).toBe(mark);
    const bad = { ...head, plan: { spent: [{ ...spent[0], hours: 30 }] } } as never;
    expect(
      await store.edit('spent', { sent: 'bad-set', edits: [{ kind: 'job', set: bad }] }, 'tablet'),
    ).toMatchObject({
      faults: [{ path: expect.stringContaining('hours') as string }],
    });
    await store.remove('spent');
    expect(await firm.spent()).toEqual([]);
  });

  test('a query that fails is logged by its text and code, never by what customers said', async () => {
    const secret = 'R. Moss, 5 Hidden Walk';
    const failed = await opened.db
      .execute(sql`insert into jobs (id, said) values (${secret}, ${`{"title": ${secret}`}::jsonb)`)
      .catch((error: unknown) => error);
    expect(failed).toBeInstanceOf(Error);
    expect(JSON.stringify(logged(failed))).not.toContain('Hidden Walk');
    // PostgreSQL, appendix A: invalid text representation.
    expect(logged(failed)).toMatchObject({
      code: '22P02',
      query: expect.stringContaining('insert into jobs') as unknown,
    });
  });
});
