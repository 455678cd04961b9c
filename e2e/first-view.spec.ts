import type { Page } from '@playwright/test';
import { expect, startServer, test } from './support/server.js';

test.use({ serviceWorkers: 'allow' });

const jobId = 'demo-2-larkfield-court';
const sheet = (url: string) => `${url}/jobs/${jobId}/sheet`;
const total = (page: Page) => page.getByTestId('total');
const worker = /view\.worker/;

test('a job opens on what was worked out of it last, on the server or here, and says so when that is out of date', async ({
  browser,
}) => {
  const server = await startServer('demo');
  // A browser that can compute nothing: what it shows was sent to it.
  const idle = await browser.newContext({ serviceWorkers: 'block' });
  await idle.route(worker, (route) => route.abort());
  const first = await idle.newPage();
  await first.goto(sheet(server.url));
  await expect(total(first)).toHaveText(/^\$\d/);
  const given = await total(first).textContent();
  await expect(first.getByText('as of the last change')).toHaveCount(0);

  const working = await browser.newContext({ serviceWorkers: 'block' });
  const second = await working.newPage();
  await second.goto(sheet(server.url));
  await expect(total(second)).toHaveText(given ?? '');
  const line = second.getByLabel(/What the camera shows/);
  await line.fill('4.5 collapse');
  await line.press('Enter');
  await expect(total(second)).not.toHaveText(given ?? '');
  await expect(second.getByTestId('saved')).toHaveText('Saved');
  await expect(second.getByText('as of the last change')).toHaveCount(0);
  const worked = await total(second).textContent();

  // The other browser is notified, and cannot compute it.
  await expect(first.getByText('as of the last change')).toBeVisible();
  await expect(total(first)).toHaveText(given ?? '');

  // The runner-up is shown: everything was computed and is cached.
  await expect(
    second.getByText(/more over ten years|at the same cost|Nothing else is allowed here/).first(),
  ).toBeVisible();
  await second.close();
  await working.route(worker, (route) => route.abort());
  const third = await working.newPage();
  await third.goto(sheet(server.url));
  await expect(total(third)).toHaveText(worked ?? '');
  await expect(third.getByText('as of the last change')).toHaveCount(0);
  await Promise.all([idle.close(), working.close()]);
  await server.stop();
});

test('the header stands where it stays before the scripts of the page are there, and the sheet joins it in one step', async ({
  browser,
  server,
}) => {
  const job = 'demo-1-quarry-lane';
  for (const width of [390, 768, 1280]) {
    const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width, height: 800 } });
    const page = await context.newPage();
    let letGo: () => void = () => undefined;
    const held = new Promise<void>((go) => {
      letGo = go;
    });
    await page.route(/\/assets\/first-.*\.js/, async (route) => {
      await held;
      await route.continue();
    });
    const asked: string[] = [];
    page.on('request', (request) => asked.push(new URL(request.url()).pathname));
    await page.goto(`${server.url}/jobs/${job}/sheet`, { waitUntil: 'commit' });
    const name = page.locator('h1').filter({ hasText: '14 Quarry Lane', visible: true });
    const tab = page.locator('header nav > *').filter({ hasText: 'Sheet', visible: true }).last();
    const fonts = () => page.evaluate(() => document.fonts.ready.then(() => undefined));
    const places = async () => {
      const boxes = await Promise.all([name, tab].map((each) => each.boundingBox()));
      return boxes.map((box) => box && [box.x, box.y, box.height].map(Math.round));
    };
    await expect(tab).toBeVisible();
    await fonts();
    const first = await places();
    await expect(total(page)).toHaveCount(0);
    letGo();
    await expect(total(page)).toHaveText(/^\$\d/);
    // A phone has the name in a bar of its own, with more in it.
    const same = async () => (await places()).slice(width < 768 ? 1 : 0);
    await expect.poll(same).toEqual(first.slice(width < 768 ? 1 : 0));
    // What the first drawing was made from was asked for once.
    for (const path of [`/api/jobs/${job}/view`, '/api/firm'])
      expect(asked.filter((each) => each === path)).toHaveLength(1);
    await context.close();
  }
});

test('undo works on every view and says what it took back; a key that cannot act says why; the hand stays where it was', async ({
  page,
}) => {
  const server = await startServer('demo');
  const notice = page.getByTestId('notice');
  await page.goto(`${server.url}/jobs/${jobId}/log`);
  const line = page.getByLabel(/What the camera shows/);
  const row = page.getByRole('row').filter({ hasText: '12.5' });
  await line.fill('12.5 joint');
  await line.press('Enter');
  await expect(row).toHaveCount(1);
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  await page.getByRole('link', { name: 'Lengths' }).click();
  await expect(page).toHaveTitle(/^Lengths · 3 Larkfield Court/);
  await page.keyboard.press('Control+z');
  await expect(notice).toHaveText('Taken back: Joint, at 12.5 on the counter');
  await page.keyboard.press('Control+y');
  await expect(notice).toHaveText('Brought back: Joint, at 12.5 on the counter');

  await page.getByRole('link', { name: 'Camera log' }).click();
  // The sheet has a line of the same name.
  await expect(page).toHaveURL(/\/log$/);
  await expect(line).toBeVisible();
  await page.keyboard.press('Alt+p');
  await expect(notice).toContainText('No video is open');
  await page.keyboard.press('Alt+s');
  await expect(notice).toContainText('No reel is connected');
  const removes = page.getByRole('button', { name: /^Delete / });
  const next = (await removes.nth(1).getAttribute('aria-label')) ?? '';
  await removes.nth(0).click();
  await expect(page.getByRole('button', { name: next, exact: true })).toBeFocused();
  const opener = page.getByRole('button', { name: 'History of this job' });
  await opener.click();
  // Its code is loaded when it is first opened.
  const history = page.getByRole('complementary', { name: 'History' });
  await expect(history).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(history).toHaveCount(0);
  await expect(opener).toBeFocused();
  await server.stop();
});

test('at every width the views can be reached: what does not fit stands behind More', async ({
  page,
  server,
}) => {
  await page.goto(sheet(server.url));
  const views = page.getByRole('navigation', { name: 'Views of this job' });
  for (const width of [360, 390, 768, 1024, 1280, 1920]) {
    await page.setViewportSize({ width, height: 800 });
    const more = views.getByRole('button', { name: 'More views of this job' });
    await expect(views.getByRole('link', { name: 'Sheet' })).toBeVisible();
    const links = views.getByRole('link');
    // The tabs are laid out again once the page has its width, which may close what was just opened.
    await expect(async () => {
      if ((await links.count()) < 9) await more.click({ timeout: 1000 });
      const boxes = await links.evaluateAll((all) =>
        all.map((link) => link.getBoundingClientRect().toJSON() as DOMRect),
      );
      expect(boxes).toHaveLength(9);
      for (const { x, width: across } of boxes) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x + across).toBeLessThanOrEqual(width);
      }
    }).toPass();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(width);
    if (await more.isVisible()) await page.keyboard.press('Escape');
  }
});
