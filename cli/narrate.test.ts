import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { runNarrate } from './narrate.js';

const talk = resolve(import.meta.dirname, '../core/test/narrations/a-tradesman.vtt');
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'narrate-'));
});
afterAll(() => {
  rmSync(folder, { recursive: true });
});

async function run(...args: string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = await runNarrate(
    args,
    (text) => out.push(text),
    (text) => err.push(text),
  );
  return { code, out, err };
}

test('one JSON object a file, in order; the same file gives the same bytes', async () => {
  const { code, out, err } = await run(talk, talk);
  expect([code, err]).toEqual([0, []]);
  expect(out[0]).toBe(out[1]);
  expect(JSON.parse(out[0] ?? '')).toMatchObject({ format: 'open-trench-narration', version: 1 });
});

test('a file that is no captions file gives its fault and line, and nothing on standard output', async () => {
  const bad = join(folder, 'bad.vtt');
  writeFileSync(bad, 'WEBVTT\n\n00:01.000 --> soon\nroots\n');
  const bytes = join(folder, 'bytes.vtt');
  writeFileSync(bytes, Buffer.from([0x57, 0xff, 0xfe]));
  const { code, out, err } = await run(bad, bytes, join(folder, 'none.vtt'), talk);
  expect(code).toBe(2);
  expect(out).toHaveLength(1);
  expect(err[0]).toMatch(/bad\.vtt:3: /);
  expect(err[1]).toMatch(/not UTF-8/);
  expect(err[2]).toMatch(/cannot be read/);
  expect((await run('--direction', 'sideways', talk)).err[0]).toMatch(/downstream or upstream/);
  expect((await run()).code).toBe(2);
});
