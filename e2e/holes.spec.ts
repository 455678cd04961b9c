import { axeFaults } from './support/axe.js';
import { jobOf, scopeOfJob } from './support/headless.js';
import { expect, startServer, test } from './support/server.js';

const jobId = 'demo-1-quarry-lane';

test('a page for each hole: its figures are the headless scope’s, and soil and depth found on the spot change it', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  const headless = () => scopeOfJob(page, server.url, jobId, info.outputPath('job.json'));
  const line = async () => (await jobOf(page, server.url, jobId)).lines[0];
  await page.goto(`${server.url}/jobs/${jobId}/holes`);
  const about = page.getByRole('complementary', { name: 'About this excavation' });
  const holes = page.getByRole('navigation', { name: /Excavations in the order/ }).getByRole('button');
  const scope = await headless();
  const pits = scope.lines[0]?.pits ?? [];
  await expect(holes).toHaveCount(pits.length);
  for (const [index, pit] of pits.entries()) {
    await holes.filter({ hasText: `Excavation ${'AB'.charAt(index)}` }).click();
    await expect(about).toContainText(`${pit.depth_ft.toFixed(1)} ft`);
    await expect(about).toContainText(
      `${(pit.bottom_ft[0] ?? 0).toFixed(1)} × ${(pit.bottom_ft[1] ?? 0).toFixed(1)} ft`,
    );
    await expect(about).toContainText(`${pit.bank_yd3.toFixed(1)} yd³`);
    await expect(about).toContainText('Upstream left');
    await expect(about).toContainText('house corner by the gate');
  }
  expect(await axeFaults(page)).toEqual([]);

  // The liner goes in last; the first excavation proves deeper than expected, and in loose ground.
  await expect(holes.last()).toContainText('the liner goes in here');
  await holes.filter({ hasText: 'Excavation A' }).click();
  await about.getByRole('radio', { name: 'C', exact: true }).click();
  await expect(about.getByRole('radio', { name: 'C', exact: true })).toHaveAttribute('aria-checked', 'true');
  const depth = about.getByLabel('Invert measured in the excavation, ft deep');
  await depth.fill('5.2');
  await depth.press('Enter');
  await expect
    .poll(async () => (await line())?.depths?.some(({ invert_ft }) => invert_ft === 5.2))
    .toBe(true);
  const after = await headless();
  expect((await line())?.soil).toBe('C');
  const [deep] = after.lines[0]?.pits ?? [];
  expect(deep?.depth_ft).toBeGreaterThan(5);
  expect(deep?.protection).toMatch(/^(slope|shore|shield)$/);
  await expect(about).toContainText(/slope 1½|shoring|shield/);
  await expect(about).toContainText('5 ft and over: nobody in without shoring');

  await page.setViewportSize({ width: 390, height: 844 });
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await server.stop();
});
