import { Hono } from 'hono';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { servePages } from './pages.js';

test('pages go out compressed to who takes it so, whole to who does not; a view is the page, a missing asset is none', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-test-'));
  const files = {
    'index.html': '<p>page</p>'.repeat(99),
    'assets/one-1.js': 'export const one = 1;'.repeat(99),
  };
  mkdirSync(join(folder, 'assets'));
  for (const [name, text] of Object.entries(files)) {
    writeFileSync(join(folder, name), text);
    writeFileSync(join(folder, `${name}.gz`), gzipSync(text));
  }
  writeFileSync(join(folder, 'assets/font.woff2'), 'font');
  const app = new Hono();
  servePages(app, folder);
  const ask = async (path: string, accepted: string) => {
    const answer = await app.request(path, { headers: { 'accept-encoding': accepted } });
    const bytes = Buffer.from(await answer.arrayBuffer());
    const encoding = answer.headers.get('content-encoding');
    const text = (encoding === 'gzip' ? gunzipSync(bytes) : bytes).toString();
    return {
      status: answer.status,
      encoding,
      text,
      header: (name: string) => answer.headers.get(name) ?? '',
    };
  };
  // RFC 9110, 12.5.3: an encoding goes only to who accepts it, and what varies with it says so.
  for (const [path, text, kept] of [
    ['/assets/one-1.js', files['assets/one-1.js'], /immutable/],
    ['/index.html', files['index.html'], /no-cache/],
    ['/jobs/any/sheet', files['index.html'], /no-cache/],
    ['/', files['index.html'], /no-cache/],
  ] as const) {
    const [plain, packed] = [await ask(path, 'identity'), await ask(path, 'br, gzip')];
    expect([plain.encoding, packed.encoding]).toEqual([null, 'gzip']);
    expect([plain.text, packed.text]).toEqual([text, text]);
    expect(packed.header('vary')).toMatch(/accept-encoding/i);
    expect(packed.header('content-type')).toBe(plain.header('content-type'));
    expect(plain.header('cache-control')).toMatch(kept);
    expect(packed.header('cache-control')).toMatch(kept);
  }
  expect(await ask('/assets/font.woff2', 'gzip')).toMatchObject({ encoding: null, text: 'font' });
  expect((await ask('/assets/gone.js', 'gzip')).status).toBe(404);
  rmSync(folder, { recursive: true, force: true });
});
