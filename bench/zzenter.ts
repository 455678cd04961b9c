import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { newFolder, startServer } from '../e2e/support/server.js';
import { watchedLine } from './watched-line.js';
const server = await startServer('none', newFolder());
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'] });
const prof = process.env.PROF === '1';
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const made = await page.request.post(`${server.url}/api/jobs`, { data: watchedLine(400, 150) });
  const { id } = (await made.json()) as { id: string };
  const session = await page.context().newCDPSession(page);
  if (prof) { await session.send('Profiler.enable'); await session.send('Profiler.setSamplingInterval', { interval: 200 }); }
  await session.send('Performance.enable', { timeDomain: 'threadTicks' });
  const m = async () => { const { metrics } = await session.send('Performance.getMetrics'); return Object.fromEntries(metrics.map((x) => [x.name, x.value])); };
  for (const view of ['log', 'sheet'] as const) {
    await page.goto(`${server.url}/jobs/${id}/${view}`);
    const typed = page.getByLabel(/What the camera shows/);
    await typed.focus();
    await page.waitForTimeout(4000);
    for (let k = 0; k < 6; k++) {
      await page.keyboard.type(`${(view === 'log' ? 41 : 81) + 37 * k}.5 roots ${10 + k}% at a joint`);
      await page.waitForTimeout(1500);
      if (prof) await session.send('Profiler.start');
      const a = await m();
      await page.keyboard.press('Enter');
      await page.waitForTimeout(3000);
      const b = await m();
      console.log(view, k, ...['ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration', 'TaskDuration'].map((n) => n + ' ' + (1000 * (b[n]! - a[n]!)).toFixed(0)));
      if (prof) { const { profile } = await session.send('Profiler.stop'); writeFileSync(`/tmp/w/enter-${view}-${k}.cpuprofile`, JSON.stringify(profile)); }
    }
  }
} finally { await browser.close(); await server.stop(); }
