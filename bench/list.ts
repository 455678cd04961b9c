import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '../e2e/support/server.js';
import { seedJobs } from './seed-jobs.js';

/**
 * The list with thousands of jobs compared with the same list with ten, in a real browser on the real server: opening,
 * searching, filtering. Prints ratios and fractions of a second; nothing is asserted. SEED_JOBS sets the number, 5000
 * by default.
 */
const many = Number(process.env.SEED_JOBS ?? 5000);
const few = 10;
const print = (text: string) => process.stdout.write(`${text}\n`);
const median = (all: readonly number[]) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;

/** Milliseconds from typing into the search to a list with only the matches. */
const search = (page: Page, text: string, every: string) =>
  page.evaluate(
    async ([typed, word]) => {
      const field = document.querySelector<HTMLInputElement>('#find');
      if (!field) throw new Error('no search field');
      const start = performance.now();
      // Through the native setter, so that React sees it as typing.
      Reflect.set(HTMLInputElement.prototype, 'value', typed, field);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      const settled = () => [...document.querySelectorAll('li')].every((row) => row.innerText.includes(word));
      do await new Promise((next) => requestAnimationFrame(next));
      while (!settled());
      return performance.now() - start;
    },
    [text, every] as const,
  );

/** Milliseconds from pressing a filter to the next frame with it. */
const narrow = (page: Page, name: string) =>
  page.evaluate(async (text) => {
    const button = [...document.querySelectorAll('button')].find((each) => each.textContent === text);
    const was = button?.getAttribute('aria-pressed');
    const start = performance.now();
    button?.click();
    do await new Promise((next) => requestAnimationFrame(next));
    while (button?.getAttribute('aria-pressed') === was);
    return performance.now() - start;
  }, name);

interface Measured {
  readonly opened_ms: number;
  readonly searched_ms: number;
  readonly narrowed_ms: number;
  readonly workedOut_ms: number;
}

async function measure(count: number): Promise<Measured> {
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-list-'));
  await seedJobs(folder, count);
  const server = await startServer('none', folder);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const began = Date.now();
    const pending = async () => {
      const rows = (await (await page.request.get(`${server.url}/api/jobs`)).json()) as { fresh: boolean }[];
      return rows.filter(({ fresh }) => !fresh).length;
    };
    while ((await pending()) > 0) await page.waitForTimeout(1000);
    const workedOut_ms = Date.now() - began;
    const [opened, searched, narrowed]: [number[], number[], number[]] = [[], [], []];
    for (let i = 0; i < 5; i++) {
      const start = Date.now();
      await page.goto(server.url);
      await page.getByRole('listitem').first().waitFor();
      opened.push(Date.now() - start);
      searched.push(await search(page, 'hollow clay', 'Hollow'));
      await search(page, '', '');
      narrowed.push(await narrow(page, 'Due'));
    }
    return {
      opened_ms: median(opened),
      searched_ms: median(searched),
      narrowed_ms: median(narrowed),
      workedOut_ms,
    };
  } finally {
    await browser.close();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

const [small, large] = [await measure(few), await measure(many)];
const ratio = (key: keyof Measured) => (large[key] / Math.max(1, small[key])).toFixed(1);
const ofSecond = (key: keyof Measured) => `${((100 * large[key]) / 1000).toFixed(0)} % of a second`;
print(`${many} jobs against ${few}, medians of 5`);
print(`list opened: ${ratio('opened_ms')} times as long, ${ofSecond('opened_ms')}`);
print(`two words searched: ${ratio('searched_ms')} times as long, ${ofSecond('searched_ms')}`);
print(`narrowed to what is due: ${ratio('narrowed_ms')} times as long, ${ofSecond('narrowed_ms')}`);
print(
  `worked out beside the requests after a start: ${((large.workedOut_ms / many / Math.max(1, small.workedOut_ms / few)) * 100).toFixed(0)} % of the time a job takes among ${few}`,
);
