import type { Page } from '@playwright/test';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import { freePort } from '../../server/test/free-port.js';
import { axeFaults } from '../support/axe.js';
import { copyOfFirstStart, expect, startServer, test } from '../support/server.js';

test.use({ ignoreHTTPSErrors: true });

const anasWords = 'copper ladder evening plum';
const bensWords = 'quiet gravel seven kettles';

async function add(page: Page, name: string, role: string, passphrase: string): Promise<void> {
  const people = page.getByTestId('people');
  await people.getByLabel('Person’s name').fill(name);
  await people.getByLabel('Role', { exact: true }).selectOption(role);
  await people.getByLabel(/^Passphrase/).fill(passphrase);
  await people.getByRole('button', { name: 'Add', exact: true }).click();
}

async function signIn(page: Page, name: string, passphrase: string): Promise<void> {
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Passphrase').fill(passphrase);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

async function noFaults(page: Page): Promise<void> {
  expect(await axeFaults(page)).toEqual([]);
}

test('a shop shares its jobs: people sign in over TLS, crew sees no price, and the history names who did what', async ({
  page,
  browser,
}) => {
  const keys = mkdtempSync(join(tmpdir(), 'open-trench-e2e-'));
  const made = await generate([{ name: 'commonName', value: 'localhost' }]);
  const [cert, key] = [join(keys, 'cert.pem'), join(keys, 'key.pem')];
  writeFileSync(cert, made.cert);
  writeFileSync(key, made.private);
  const port = await freePort();
  const server = await startServer('demo', copyOfFirstStart('demo'), {
    OPEN_TRENCH_HOST: '127.0.0.1',
    OPEN_TRENCH_SHOP_PORT: String(port),
    OPEN_TRENCH_ALLOWED_HOSTS: 'localhost',
    OPEN_TRENCH_TLS_CERT: cert,
    OPEN_TRENCH_TLS_KEY: key,
  });
  const shop = `https://localhost:${port}`;

  // On the machine itself nobody signs in; it lists who may from elsewhere.
  await page.goto(`${server.url}/firm`);
  await add(page, 'Ana Reyes', 'owner', 'too short');
  await expect(page.getByTestId('people').getByRole('alert')).toContainText('at least 12 characters');
  await expect(page.getByTestId('people').getByLabel('Person’s name')).toHaveValue('Ana Reyes');
  await add(page, 'Ana Reyes', 'owner', anasWords);
  await expect(page.getByLabel('Role of Ana Reyes')).toHaveValue('owner');
  await add(page, 'Ben Ortiz', 'crew', bensWords);
  await expect(page.getByLabel('Role of Ben Ortiz')).toHaveValue('crew');
  await noFaults(page);

  const truck = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 780 } });
  const phone = await truck.newPage();
  // A crew page requests nothing that is closed to crew.
  const closed: string[] = [];
  phone.on('response', (answer) => {
    if (answer.status() === 403) closed.push(answer.url());
  });
  await phone.goto(shop);
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await noFaults(phone);
  await signIn(phone, 'Ben Ortiz', 'not his words at all');
  await expect(phone.getByRole('alert')).toContainText('do not match');
  await signIn(phone, 'ben ortiz', bensWords);

  // Crew: the log, the lengths, the excavations; no price anywhere.
  const job = phone.getByRole('link', { name: /14 Quarry Lane/ });
  await expect(job).toBeVisible();
  await expect(phone.getByRole('button', { name: 'New job' })).toHaveCount(0);
  const noPrice = async () => {
    expect(await phone.locator('body').innerText()).not.toContain('$');
  };
  await noPrice();
  await job.click();
  const views = phone.getByRole('navigation', { name: 'Views of this job' });
  const openView = async (name: string) => {
    await views.getByRole('button', { name: 'More views of this job' }).click();
    await expect(views.getByRole('link')).toHaveCount(3);
    await views.getByRole('link', { name }).click();
  };
  const typed = phone.getByLabel(/What the camera shows/);
  await typed.fill('21.5 roots 20% at 3');
  await typed.press('Enter');
  await expect(phone.getByRole('row').filter({ hasText: '21.5' }).first()).toBeVisible();
  await expect(phone.getByTestId('saved')).toHaveText('Saved');
  await noPrice();
  await openView('Lengths');
  await expect(phone.getByRole('heading', { name: 'Shopping list' })).toBeVisible();
  await noPrice();
  // The crew at the pipe enters the temperature: the resin's working time follows.
  const workable = phone.getByTitle(/The resin stays workable for/).first();
  const before = await workable.innerText();
  await phone.getByRole('textbox', { name: 'Temperature on the day, °F' }).fill('95');
  await phone.keyboard.press('Tab');
  await expect(workable).not.toHaveText(before);
  await openView('Excavations');
  await expect(phone.getByRole('heading', { name: 'From above' })).toBeVisible();
  await noPrice();
  await noFaults(phone);
  expect(closed).toEqual([]);
  await phone.goto(`${shop}/jobs/demo-1-quarry-lane/offer`);
  await expect(phone).toHaveURL(/\/log$/);

  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/sheet`);
  await page.getByRole('button', { name: 'History of this job' }).click();
  await expect(page.getByRole('complementary', { name: 'History' })).toContainText('Ben Ortiz');
  await expect(page.getByRole('complementary', { name: 'History' })).toContainText(
    /Temperature of the day: .* → 95 °F/,
  );

  // Removed from the list, his browser is signed out; what he types then waits, and is sent under whoever signs in
  // next.
  await page.goto(`${server.url}/firm`);
  page.on('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Take Ben Ortiz off the list' }).click();
  await expect(page.getByLabel('Role of Ben Ortiz')).toHaveCount(0);
  await typed.fill('25 crack');
  await typed.press('Enter');
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect(phone.getByRole('status')).toContainText('One change waits');
  await signIn(phone, 'Ben Ortiz', bensWords);
  await expect(phone.getByRole('alert')).toContainText('do not match');
  await signIn(phone, 'Ana Reyes', anasWords);
  await expect(phone.getByRole('button', { name: 'Signed in as Ana Reyes' })).toBeVisible();
  const read = async () => {
    const answer = await page.request.get(`${server.url}/api/jobs/demo-1-quarry-lane/history`);
    const { changes } = (await answer.json()) as {
      changes: { person: string | null; edit: { kind: string } }[];
    };
    return changes.slice(0, 2).map(({ person }) => person);
  };
  await expect.poll(read).toEqual(['Ana Reyes', 'Ben Ortiz']);
  await phone.goto(`${shop}/jobs/demo-1-quarry-lane/sheet`);
  await expect(phone.getByTestId('total')).toContainText('$');

  // Signed out again: nothing of the jobs is left to see.
  await phone.getByRole('button', { name: 'Signed in as Ana Reyes' }).click();
  await noFaults(phone);
  await phone.getByRole('button', { name: 'Sign out' }).click();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  const kept = () =>
    phone.evaluate(async () => {
      const rows = await Promise.all(
        [
          ['open-trench-jobs', 'cache'],
          ['open-trench-views', 'views'],
        ].map(
          ([name = '', store = '']) =>
            new Promise<unknown[]>((done) => {
              const opening = indexedDB.open(name);
              opening.onsuccess = () => {
                const all = opening.result.transaction(store).objectStore(store).getAll();
                all.onsuccess = () => {
                  done(all.result);
                };
              };
            }),
        ),
      );
      return JSON.stringify(rows);
    });
  expect(await kept()).not.toContain('Quarry Lane');
  await truck.close();
  await server.stop();
  rmSync(keys, { recursive: true, force: true });
});
