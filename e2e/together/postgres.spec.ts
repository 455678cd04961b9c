import { postgresPrograms, startPostgres } from '../../server/test/postgres.js';
import { copyOfFirstStart, expect, startServer, test } from '../support/server.js';

const bin = postgresPrograms();
test.skip(bin === undefined, 'this machine has no PostgreSQL server (Debian: apt-get install postgresql)');

test('two servers share one PostgreSQL database: what is typed at one shows at the other, also after the database was away', async ({
  browser,
}) => {
  const postgres = await startPostgres(bin ?? '');
  const env = { DATABASE_URL: postgres.database() };
  const one = await startServer('demo', copyOfFirstStart('none'), env);
  const other = await startServer('demo', copyOfFirstStart('none'), env);
  const open = async (url: string) => {
    const page = await (await browser.newContext()).newPage();
    await page.goto(`${url}/jobs/demo-2-larkfield-court/log`);
    await expect(page.getByLabel(/What the camera shows/)).toBeVisible();
    return page;
  };
  const [office, truck] = [await open(one.url), await open(other.url)];
  const type = async (page: typeof office, line: string) => {
    const typed = page.getByLabel(/What the camera shows/);
    await typed.fill(line);
    await typed.press('Enter');
  };
  const row = (page: typeof office, text: string) => page.getByRole('row').filter({ hasText: text }).first();
  await type(truck, '12.3 hole at 4');
  await expect(row(office, 'Hole')).toBeVisible();
  await expect(truck.getByTestId('saved')).toHaveText('Saved');

  await postgres.stop();
  await type(truck, '15.5 crack');
  await expect(truck.getByTestId('saved')).toHaveText('1 waiting');
  const away = await office.request.get(`${one.url}/api/jobs`);
  expect([away.status(), await away.text()]).toEqual([
    503,
    expect.stringContaining('database cannot be reached'),
  ]);
  postgres.start();
  await expect(truck.getByTestId('saved')).toHaveText('Saved');
  await expect(row(office, 'Crack')).toBeVisible();
  await type(office, '18 offset');
  await expect(row(truck, '18')).toBeVisible();
  await one.stop();
  await other.stop();
  await postgres.remove();
});
