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

test("a job's page names in its head what it is drawn from, of the view it is opened at; other pages go out as built", async () => {
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-test-'));
  const page = '<html><head><script src="/assets/main.js"></script></head><body></body></html>';
  mkdirSync(join(folder, '.vite'));
  writeFileSync(join(folder, 'index.html'), page);
  // As Vite writes it: https://vite.dev/guide/backend-integration.
  const manifest = {
    '_main.js': { file: 'assets/main.js' },
    '_shared.js': { file: 'assets/shared.js', imports: ['_main.js', '_circle.js'] },
    '_circle.js': { file: 'assets/circle.js', imports: ['_shared.js'] },
    'shell/job-layout.tsx': { file: 'assets/layout.js', imports: ['_shared.js'] },
    'sheet/sheet-view.tsx': { file: 'assets/sheet.js', imports: ['_shared.js'] },
    'log/log-view.tsx': { file: 'assets/log.js', dynamicImports: ['sheet/sheet-view.tsx'] },
  };
  writeFileSync(join(folder, '.vite/manifest.json'), JSON.stringify(manifest));
  const app = new Hono();
  servePages(app, folder);
  const linksOf = async (path: string) => {
    const text = await (await app.request(path)).text();
    expect(text.replace(/ *<link[^>]*>\n? */g, '').replace(/\s/g, '')).toBe(page.replace(/\s/g, ''));
    return [...text.matchAll(/href="([^"]*)"/g)].flatMap(([, href]) => href ?? []).sort();
  };
  const answers = ['/api/firm', '/api/jobs/a%20b', '/api/jobs/a%20b/view'];
  const frame = ['/assets/circle.js', '/assets/layout.js', '/assets/shared.js'];
  expect(await linksOf('/jobs/a%20b/sheet')).toEqual([...answers, ...frame, '/assets/sheet.js'].sort());
  expect(await linksOf('/jobs/a%20b')).toEqual(await linksOf('/jobs/a%20b/sheet'));
  expect(await linksOf('/jobs/a%20b/log')).toEqual([...answers, ...frame, '/assets/log.js'].sort());
  for (const path of ['/', '/firm', '/jobs/a"onload="b/sheet', '/jobs/a/sheet/more', '/jobs/'])
    expect(await linksOf(path)).toEqual([]);
  rmSync(folder, { recursive: true, force: true });
});
