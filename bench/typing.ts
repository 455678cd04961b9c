import { chromium, type Page } from '@playwright/test';
import { newFolder, startServer } from '../e2e/support/server.js';
import { watchedLine } from './watched-line.js';

/**
 * Main-thread time of a typed key, an Enter and a dragged end on a line of 400 ft with 150 entries, in a real browser:
 * script, style and layout, relative to their budgets. Prints ratios; nothing is asserted.
 */
const [length_ft, entries] = [400, 150];
const goals = { key_ms: 8, enter_ms: 50, move_ms: 1000 / 60 };
const print = (text: string) => process.stdout.write(`${text}\n`);

type Worked = () => Promise<number>;

/** Processor time the main thread has spent on script, style and layout, ms: other processes do not count. */
async function clockOf(page: Page): Promise<Worked> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable', { timeDomain: 'threadTicks' });
  return async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    const counted = ['ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration'];
    return metrics.reduce((sum, { name, value }) => (counted.includes(name) ? sum + 1000 * value : sum), 0);
  };
}

/** Waits until the page has been nearly idle for half a second. */
async function settled(page: Page, worked: Worked): Promise<number> {
  for (let before = await worked(); ;) {
    await page.waitForTimeout(500);
    const now = await worked();
    if (now - before < 5) return now;
    before = now;
  }
}

async function share(page: Page, worked: Worked, what: string, may_ms: number, act: () => Promise<number>) {
  const before = await settled(page, worked);
  const times = await act();
  const took = ((await settled(page, worked)) - before) / times;
  print(`${what}: ${((100 * took) / may_ms).toFixed(0)} % of ${may_ms.toFixed(0)} ms`);
}

const server = await startServer('none', newFolder());
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const made = await page.request.post(`${server.url}/api/jobs`, { data: watchedLine(length_ft, entries) });
  const { id } = (await made.json()) as { id: string };
  // What is already logged is asked about, not written: each view gets a finding of its own.
  for (const [view, words] of [
    ['log', '41.5 roots 30% at a joint'],
    ['sheet', '143.5 roots 20% at a joint'],
  ] as const) {
    await page.goto(`${server.url}/jobs/${id}/${view}`);
    const typed = page.getByLabel(/What the camera shows/);
    await typed.focus();
    const worked = await clockOf(page);
    await settled(page, worked);
    // The first words a page reads take longer than all later ones.
    await page.keyboard.type('40 crack along at 3, about', { delay: 20 });
    await typed.fill('');
    await share(page, worked, `a key typed on the ${view}`, goals.key_ms, async () => {
      await page.keyboard.type(words);
      return words.length;
    });
    await share(page, worked, `Enter on the ${view}, all that follows`, goals.enter_ms, async () => {
      await page.keyboard.press('Enter');
      return 1;
    });
  }
  const handle = page.getByRole('slider', { name: /end of/ }).first();
  const box = await handle.boundingBox();
  if (!box) throw new Error('no end to drag');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const worked = await clockOf(page);
  await share(page, worked, 'an end dragged, a move', goals.move_ms, async () => {
    await page.mouse.move(x, y);
    await page.mouse.down();
    const moves = 90;
    for (let i = 0; i < moves; i++) {
      await page.mouse.move(x + 40 * Math.sin(i / 12), y);
      await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(drawn)));
    }
    return moves;
  });
  await page.mouse.up();
} finally {
  await browser.close();
  await server.stop();
}
