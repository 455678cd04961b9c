import { axeFaults } from '../support/axe.js';
import { jobOf, scopeOfFile, scopeOfJob } from '../support/headless.js';
import { expect, keptPages, startServer, test } from '../support/server.js';

test.use({ serviceWorkers: 'allow' });

const jobId = 'demo-1-quarry-lane';

test('a rate and a rule changed for one job change its price and its reasons, as the headless scope says', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  const said = () => jobOf(page, server.url, jobId);
  const headless = () => scopeOfJob(page, server.url, jobId, info.outputPath('job.json'));
  const before = (await headless()).price.total;
  await page.goto(`${server.url}/jobs/${jobId}/rules`);
  const digging = page.getByLabel('Excavation to 5 ft');
  await digging.fill('300');
  await digging.press('Enter');
  await expect.poll(async () => (await said()).prices?.digTo5_per_yd3).toBe(300);
  // The demo job sets its repair approach and currency itself; the rate is its third own value.
  await expect(page.getByText('this job’s own')).toHaveCount(3);
  const offset = page.getByLabel('Offset, failed');
  await offset.fill('24');
  await offset.press('Enter');
  await expect.poll(async () => (await said()).rules?.findings?.offset?.bounds).toEqual([5, 15, 24]);
  const after = await headless();
  expect(after.price.total).toBeGreaterThan(before);
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByTestId('total')).toHaveText(
    `$${Math.round(after.price.total).toLocaleString('en-US')}`,
  );

  // Invalid values are refused by name, and the input is not lost.
  await page.getByRole('link', { name: 'Rates and rules' }).click();
  await offset.fill('10');
  await offset.press('Enter');
  await expect(page.getByRole('alert')).toContainText('bounds rise from the first to the last');
  await page.getByRole('alert').getByRole('button', { name: 'Close' }).click();
  await digging.fill('');
  await digging.press('Enter');
  await expect.poll(async () => (await said()).prices?.digTo5_per_yd3).toBeUndefined();
  expect(await axeFaults(page)).toEqual([]);
  await server.stop();
});

test('the firm’s rates and rules hold for every job, a job’s own stand over them, and what is typed outlives the server', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  await page.goto(server.url);
  await page.getByRole('link', { name: /Company/ }).click();
  const put = async (label: string, value: string) => {
    const field = page.getByLabel(label, { exact: true });
    await field.fill(value);
    await field.press('Enter');
  };
  await expect(page.getByTestId('firm-saved')).toHaveText('Saved');
  await put('Name', 'Hollow Lane Drains');
  await put('Excavation to 5 ft', '400');
  await put('Another exclusion', 'finishes inside the house');
  await put('Least old pipe left between two repairs', '2');
  await expect(page.getByTestId('firm-saved')).toHaveText('Saved');
  expect(await axeFaults(page)).toEqual([]);

  // Changes made while the server is away wait in the browser, through a reload, and are sent when it is back.
  await keptPages(page);
  await server.kill();
  await put('Permit in public ground', '1234');
  await expect(page.getByTestId('firm-saved')).toHaveText('Waiting for the server');
  await page.reload();
  await expect(page.getByLabel('Permit in public ground', { exact: true })).toHaveValue('1234');
  await server.start();
  await expect(page.getByTestId('firm-saved')).toHaveText('Saved', { timeout: 30_000 });
  expect(await (await page.request.get(`${server.url}/api/firm`)).json()).toMatchObject({
    name: 'Hollow Lane Drains',
    prices: { digTo5_per_yd3: 400, permit_per_hole: 1234 },
    rules: { leastGap_ft: 2 },
    exclusions: ['finishes inside the house'],
  });

  // An exported job includes the company's rates: the headless scope matches the screen.
  await page.goto(server.url);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export 14 Quarry Lane as a job file' }).click(),
  ]);
  const file = info.outputPath('exported.json');
  await download.saveAs(file);
  const scope = scopeOfFile(file);
  expect(scope.price.lines.find(({ what }) => what.startsWith('Dig where it is up to 5'))?.rate).toBe(400);
  await page.goto(`${server.url}/jobs/${jobId}/sheet`);
  await expect(page.getByTestId('total')).toHaveText(
    `$${Math.round(scope.price.total).toLocaleString('en-US')}`,
  );
  await expect(page.getByText('usually 5 ft; by the company')).toBeVisible();

  // A hot day shortens the resin's working time, and the warning is where the liner is.
  await page.getByRole('link', { name: 'Lengths' }).click();
  await put('Temperature on the day, °F', '98');
  await expect(page.getByText(/the resin can be worked for 21 min at 98 °F/)).toBeVisible();
  await expect(page.getByText('finishes inside the house')).toBeVisible();

  // The job's own value overrides the company's.
  await page.getByRole('link', { name: 'Rates and rules' }).click();
  await expect(page.getByLabel('Excavation to 5 ft')).toHaveAttribute('placeholder', '400');
  await put('Excavation to 5 ft', '100');
  await page.getByRole('link', { name: 'Lengths' }).click();
  await page
    .getByText(/yd³ × 100$/)
    .first()
    .click();
  await expect(page.getByText('price book, digTo5_per_yd3')).toBeVisible();
  await server.stop();
});
