import { readFileSync } from 'node:fs';
import { axeFaults } from './support/axe.js';
import { expect, test } from './support/server.js';

test('the shopping list is ticked off, stays ticked after a reload, and goes out as a table', async ({
  page,
  server,
}, info) => {
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/lengths`);
  const boxes = page.getByRole('checkbox');
  await expect(boxes.first()).toBeVisible();
  const count = await boxes.count();
  await page.getByLabel(/Liner .* cut at 50 ft/).check();
  await page.reload();
  await expect(page.getByLabel(/Liner .* cut at 50 ft/)).toBeChecked();
  await expect(boxes).toHaveCount(count);
  await expect(page.getByText(/measure before buying: the outside of the 4 in clay/).first()).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const path = info.outputPath('to-buy.csv');
  await download.saveAs(path);
  // RFC 4180: a header, then one row per item with the same number of fields.
  const rows = readFileSync(path, 'utf8').split('\r\n');
  expect(rows[0]).toBe('what,count,unit,measure_first');
  expect(rows).toHaveLength(count + 1);
  const fields = (row: string) =>
    row.match(/("([^"]|"")*"|[^,]*)(,|$)/g)?.filter((each) => each !== '').length;
  for (const row of rows) expect(fields(row)).toBeGreaterThanOrEqual(3);
  expect(await axeFaults(page)).toEqual([]);
});
