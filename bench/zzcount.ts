import { chromium } from '@playwright/test';
import { newFolder, startServer } from '../e2e/support/server.js';
import { watchedLine } from './watched-line.js';
const server = await startServer('none', newFolder());
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'] });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const made = await page.request.post(`${server.url}/api/jobs`, { data: watchedLine(400, 150) });
  const { id } = (await made.json()) as { id: string };
  for (const view of ['log', 'sheet'] as const) {
    await page.goto(`${server.url}/jobs/${id}/${view}`);
    const typed = page.getByLabel(/What the camera shows/);
    await typed.focus();
    await page.waitForTimeout(4000);
    for (let k = 0; k < 2; k++) {
      await page.keyboard.type(`${(view === 'log' ? 41 : 81) + 37 * k}.5 roots ${10 + k}% at a joint`);
      await page.waitForTimeout(1500);
      await page.evaluate(() => (globalThis as any).__c.clear(),(globalThis as any).__d=[],(globalThis as any).__p?.clear());
      await page.keyboard.press('Enter');
      await page.waitForTimeout(3000);
      if (k === 1) console.log(view, await page.evaluate(() => [...(globalThis as any).__p]), JSON.stringify(await page.evaluate(() => [...(globalThis as any).__c].sort((a: any, b: any) => b[1] - a[1]).slice(0, 50))));
    }
  }
} finally { await browser.close(); await server.stop(); }
