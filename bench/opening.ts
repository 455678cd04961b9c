import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser } from '@playwright/test';
import { startServer } from '../e2e/support/server.js';
import makeFirstStarts from '../e2e/support/first-starts.js';

/**
 * How soon a demo job opened at its sheet shows its header, its name and its total, in a browser that has never been
 * here, compared with an empty page of the same server, and how much script that takes. Prints medians of nine; nothing
 * is asserted.
 */
const goals_ms = { header: 300, total: 600 };
const scriptsGoal_kB = 200;
const print = (text: string) => process.stdout.write(`${text}\n`);
const median = (all: readonly number[]) => [...all].sort((a, b) => a - b)[all.length >> 1] ?? Number.NaN;

/** Moments after the request, ms. */
interface Moments {
  readonly header: number;
  readonly name: number;
  readonly total: number;
}

/** The same, with the addresses of the scripts that were requested before the total was there. */
interface Opening extends Moments {
  readonly scripts: readonly string[];
}

const pages = resolve(import.meta.dirname, '../dist/web');

/** Size of scripts by their addresses, gzipped, kB. */
function gzipped_kB(scripts: readonly string[]): number {
  const bytes = scripts.map(
    (url) => gzipSync(readFileSync(join(pages, new URL(url).pathname)), { level: 9 }).length,
  );
  return bytes.reduce((total, each) => total + each, 0) / 1000;
}

async function inNewContext<T>(browser: Browser, url: string, measure: () => T | Promise<T>): Promise<T> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  // In the page: notes the first moment at which each is there.
  await page.addInitScript(() => {
    const seen: Record<string, number> = {};
    Object.assign(window, { seen });
    const has = {
      header: () => document.querySelector('header'),
      name: () => document.querySelector('h1')?.textContent.match(/\w/),
      total: () => document.querySelector('[data-testid="total"]')?.textContent.match(/\d/),
    };
    new MutationObserver(() => {
      for (const [name, isThere] of Object.entries(has)) if (isThere()) seen[name] ??= performance.now();
    }).observe(document, { childList: true, characterData: true, subtree: true });
  });
  await page.goto(url);
  const measured = await page.waitForFunction(measure, undefined, { polling: 100 });
  const value = (await measured.jsonValue()) as T;
  await context.close();
  return value;
}

await makeFirstStarts();
const server = await startServer('demo');
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
try {
  const [empty, opened]: [number[], Opening[]] = [[], []];
  for (let i = 0; i < 10; i++) {
    empty.push(
      await inNewContext(browser, `${server.url}/assets/none`, () => {
        const [page] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
        return page?.domContentLoadedEventEnd ?? Number.NaN;
      }),
    );
    opened.push(
      await inNewContext(browser, `${server.url}/jobs/demo-1-quarry-lane/sheet`, () => {
        const { seen } = window as unknown as { seen: Partial<Moments> };
        const { total } = seen;
        if (total === undefined) return undefined;
        const scripts = performance
          .getEntriesByType('resource')
          .flatMap(({ name, startTime }) => (name.endsWith('.js') && startTime < total ? name : []));
        return { ...(seen as Moments), scripts };
      }).then((seen) => seen as Opening),
    );
  }
  // The first one starts the browser's own parts.
  const floor = median(empty.slice(1));
  const of = (what: keyof Moments) => median(opened.slice(1).map((each) => each[what]));
  const times = (ms: number) => `${(ms / floor).toFixed(1)} times an empty page`;
  const share = (value: number, goal: number) => `${((100 * value) / goal).toFixed(0)} % of ${goal}`;
  print(`header of a job: ${times(of('header'))}, ${share(of('header'), goals_ms.header)} ms`);
  print(`with the job's name: ${times(of('name'))}, ${share(of('name'), goals_ms.header)} ms`);
  print(`sheet with its total: ${times(of('total'))}, ${share(of('total'), goals_ms.total)} ms`);
  const scripts = median(opened.map((each) => gzipped_kB(each.scripts)));
  print(`scripts it takes: ${scripts.toFixed(1)} kB gzipped, ${share(scripts, scriptsGoal_kB)} kB`);
} finally {
  await browser.close();
  await server.stop();
}
