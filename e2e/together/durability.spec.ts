import { statSync } from 'node:fs';
import { expect, test, type APIRequestContext } from '@playwright/test';
import { spawn } from 'node:child_process';
import { join, resolve } from 'node:path';
import { jointEdit } from '../support/joint-edit.js';
import { startServer } from '../support/server.js';

const root = resolve();
const jobId = 'demo-2-larkfield-court';

async function entriesOf(request: APIRequestContext, url: string): Promise<string[]> {
  const stored = (await (await request.get(`${url}/api/jobs/${jobId}`)).json()) as {
    job: { lines: { runs: { entries: { id: string }[] }[] }[] };
  };
  return stored.job.lines.flatMap((line) => line.runs.flatMap((run) => run.entries.map(({ id }) => id)));
}

test('killed in the middle of writing, again and again, it loses nothing it acknowledged', async ({
  request,
}) => {
  const server = await startServer('demo');
  const acknowledged: string[] = [];
  let n = 0;
  for (let round = 0; round < 4; round++) {
    const url = `${server.url}/api/jobs/${jobId}/edits`;
    const state = { stopping: false };
    const writing = (async () => {
      while (!state.stopping) {
        const edit = jointEdit(++n);
        const answer = await request
          .post(url, { data: { sent: `set-${n}-${round}`, edits: [edit] } })
          .catch(() => undefined);
        if (answer?.ok()) acknowledged.push(edit.entry);
      }
    })();
    const enough = acknowledged.length + 15;
    await expect.poll(() => acknowledged.length).toBeGreaterThan(enough);
    await server.kill();
    state.stopping = true;
    await writing;
    await server.start();
    const kept = new Set(await entriesOf(request, server.url));
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
  }
  await server.stop();
});

test('one set of edits sent twice goes in once', async ({ request }) => {
  const server = await startServer('demo');
  const url = `${server.url}/api/jobs/${jobId}/edits`;
  const data = { sent: 'the-same-set', edits: [jointEdit(1)] };
  const first = (await (await request.post(url, { data })).json()) as { version: number };
  const second = (await (await request.post(url, { data })).json()) as { version: number };
  expect(second.version).toBe(first.version);
  expect((await entriesOf(request, server.url)).filter((id) => id === 'k1')).toHaveLength(1);
  await server.stop();
});

test('a data folder serves one process; the second says so and leaves it alone', async ({ request }) => {
  const server = await startServer('none');
  const second = spawn(process.execPath, [join(root, 'dist', 'server.mjs')], {
    env: { ...process.env, OPEN_TRENCH_DATA: server.folder, PORT: '0' },
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  let said = '';
  second.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const code = await new Promise((done) => second.once('exit', done));
  expect(code).toBe(1);
  expect(said).toContain('another Open Trench is already running on');
  expect((await request.get(`${server.url}/api/jobs`)).ok()).toBe(true);
  // What it writes is for its owner's eyes.
  expect(statSync(join(server.folder, 'lock.json')).mode & 0o077).toBe(0);
  await server.stop();
});

test('what is wrong is answered as problem details with the path of each fault', async ({ request }) => {
  const server = await startServer('demo');
  const edits = `${server.url}/api/jobs/${jobId}/edits`;
  const refused = async (url: string, data: unknown, headers: Record<string, string> = {}) => {
    const answer = await request.post(url, {
      data: typeof data === 'string' ? Buffer.from(data) : data,
      headers,
    });
    expect(answer.headers()['content-type']).toContain('application/problem+json');
    return (await answer.json()) as { status: number; errors?: { path: string; message: string }[] };
  };
  const before = await entriesOf(request, server.url);
  expect(await refused(edits, '{"sent":', { 'content-type': 'application/json' })).toMatchObject({
    status: 400,
  });
  const unknown = await refused(edits, { sent: 'set-12345', edits: [{ ...jointEdit(1), color: 'red' }] });
  expect(unknown).toMatchObject({
    status: 422,
    errors: [{ path: 'edits[0].color', message: 'unknown field' }],
  });
  const dangling = await refused(edits, {
    sent: 'set-23456',
    edits: [
      jointEdit(1),
      { ...jointEdit(2), set: { id: 'k2', kind: 'point', reading_ft: 3, point: 'NOWHERE' } },
    ],
  });
  expect(dangling).toMatchObject({
    status: 422,
    errors: [{ path: expect.stringContaining('.point') as unknown }],
  });
  expect(await entriesOf(request, server.url)).toEqual(before);
  expect(
    await refused(`${server.url}/api/jobs/nobody/edits`, { sent: 'set-34567', edits: [jointEdit(1)] }),
  ).toMatchObject({ status: 404 });
  expect(await refused(edits, 'x'.repeat(21 * 1024 * 1024))).toMatchObject({ status: 413 });
  expect(
    await refused(
      edits,
      { sent: 'set-45678', edits: [jointEdit(1)] },
      { origin: 'http://elsewhere.example' },
    ),
  ).toMatchObject({ status: 403 });
  expect((await request.get(`${server.url}/assets/gone.js`)).status()).toBe(404);
  await server.stop();
});
