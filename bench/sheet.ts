import { chromium, expect, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { newFolder, startServer } from '../e2e/support/server.js';
import { watchedLine } from './watched-line.js';

/**
 * How the sheet holds a frame: the page in a real browser, a 120 ft line with 40 findings, an end dragged to and fro for
 * five seconds. Prints shares and ratios; nothing is asserted.
 */
const frame_ms = 1000 / 60;
const print = (text: string) => process.stdout.write(`${text}\n`);
const root = resolve(import.meta.dirname, '..');

/** Size of a built script as it crosses, gzipped, kB. */
const weightOf = (name: string) =>
  gzipSync(readFileSync(join(root, 'dist', 'web', 'assets', name))).length / 1000;

/** Asked a few times a second: asked at every frame, as `waitFor` does, it takes the page's thread from the page. */
const workedOut = (page: Page) =>
  expect(page.getByText('Working it out')).toHaveCount(0, { timeout: 60_000 });

const server = await startServer('none', newFolder());
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const made = await page.request.post(`${server.url}/api/jobs`, { data: watchedLine(120, 40) });
  const { id } = (await made.json()) as { id: string };
  const loaded = new Set<string>();
  page.on('response', (answer) => {
    const script = /\/assets\/([^/]+\.js)$/.exec(answer.url())?.[1];
    if (script && !script.includes('worker')) loaded.add(script);
  });
  await page.goto(`${server.url}/jobs/${id}/sheet`);
  await workedOut(page);
  await page.waitForLoadState('networkidle');
  const first_kB = [...loaded].reduce((sum, name) => sum + weightOf(name), 0);
  print(
    `scripts that a sheet opened first loads: ${((100 * first_kB) / 200).toFixed(0)} % of 200 kB gzipped`,
  );
  await page.goto(server.url);
  const link = page.getByRole('link', { name: /Bench, 120 ft/ });
  await link.click();
  const handle = page.getByRole('slider', { name: /^Downstream end/ });
  await handle.waitFor();
  await workedOut(page);

  const opened: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.getByRole('link', { name: /all jobs/ }).click();
    await link.waitFor();
    opened.push(
      await page.evaluate(async () => {
        const row = document.querySelector<HTMLElement>('li a[href*="/sheet"]');
        const start = performance.now();
        row?.click();
        while (!document.querySelector('[data-testid="sheet"] svg')) {
          await new Promise((next) => requestAnimationFrame(next));
        }
        return performance.now() - start;
      }),
    );
  }
  opened.sort((a, b) => a - b);
  print(
    `first picture of the sheet after a click, warm: ${((100 * (opened[2] ?? 0)) / 300).toFixed(0)} % of 300 ms (median of 5)`,
  );

  await handle.waitFor();
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.evaluate(() => {
    const frames: number[] = [];
    const long: number[] = [];
    const heard = { frames, long, on: true };
    Object.assign(window, { heard });
    new PerformanceObserver((list) => {
      for (const each of list.getEntries()) long.push(each.duration);
    }).observe({ type: 'longtask' });
    let last = performance.now();
    const tick = (now: number) => {
      frames.push(now - last);
      last = now;
      if (heard.on) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  const began = Date.now();
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; Date.now() - began < 5000; i++) {
    await page.mouse.move(x + 60 * Math.sin(i / 12), y);
  }
  await page.mouse.up();
  const { frames, long } = await page.evaluate(() => {
    const { heard } = window as unknown as { heard: { frames: number[]; long: number[]; on: boolean } };
    heard.on = false;
    return { frames: heard.frames.slice(1), long: heard.long };
  });
  const dropped = frames.reduce((sum, each) => sum + Math.max(0, Math.round(each / frame_ms) - 1), 0);
  const late = frames.filter((each) => each > 1.5 * frame_ms).length;
  print(
    `dragging for 5 s: ${frames.length} frames drawn, ${((100 * late) / frames.length).toFixed(1)} % of them late by half a frame or more, ${((100 * dropped) / (frames.length + dropped)).toFixed(1)} % of all dropped`,
  );
  print(
    `main thread: ${long.length} tasks over 50 ms, the longest ${(Math.max(0, ...long) / frame_ms).toFixed(1)} frames`,
  );
} finally {
  await browser.close();
  await server.stop();
}
