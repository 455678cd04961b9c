import type { Page } from '@playwright/test';
import DxfParser from 'dxf-parser';
import { readFileSync } from 'node:fs';
import type { ScopeFile } from '../core/files/scope-file.js';
import { newLog } from './support/new-log.js';
import { axeFaults } from './support/axe.js';
import { jobOf, scopeOfJob } from './support/headless.js';
import { say } from './support/keyboard.js';
import { expect, startServer, test } from './support/server.js';

const jobId = 'demo-1-quarry-lane';

const headless = (page: Page, url: string, file: string) => scopeOfJob(page, url, jobId, file);
const dollars = (amount: number) => `$${Math.round(amount).toLocaleString('en-US')}`;
const total = (page: Page) => page.getByTestId('total');
const end = (page: Page, which: 'Upstream' | 'Downstream') =>
  page.getByRole('slider', { name: `${which} end of line` });
const pinsOf = async (page: Page, url: string) => (await jobOf(page, url, jobId)).lines[0]?.pins ?? [];

async function openSheet(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/jobs/${jobId}/sheet`);
  await expect(end(page, 'Downstream')).toBeVisible();
  await expect(page.getByTestId('saved')).toHaveText('Saved');
}

/** Px along the sheet per feet, from two ticks of its axis. */
async function pxPerFoot(page: Page): Promise<number> {
  const at = async (tick: string) =>
    (
      await page
        .getByTestId('sheet')
        .locator('svg text')
        .getByText(tick, { exact: true })
        .first()
        .boundingBox()
    )?.x ?? 0;
  return ((await at('60')) - (await at('20'))) / 40;
}

async function centre(page: Page, which: 'Upstream' | 'Downstream'): Promise<[number, number]> {
  const box = await end(page, which).boundingBox();
  if (!box) throw new Error('the handle is not on the sheet');
  return [box.x + box.width / 2, box.y + box.height / 2];
}

test('by mouse: an end is dragged, the price follows under the hand, the pin holds what the headless scope says, is lifted, undone and redone', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  const file = info.outputPath('job.json');
  await openSheet(page, server.url);
  const before = await headless(page, server.url, file);
  await expect(total(page)).toHaveText(dollars(before.price.total));
  const liner = before.lines[0]?.actions.find(({ method }) => method === 'line');

  const feet = await pxPerFoot(page);
  const dragDownstream = async () => {
    const [x, y] = await centre(page, 'Downstream');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 3 * feet, y, { steps: 4 });
    await page.mouse.move(x + 7 * feet, y, { steps: 8 });
  };
  await dragDownstream();
  // Still held down: the result is on the screen, and nothing is written yet.
  await expect(total(page)).not.toHaveText(dollars(before.price.total));
  expect(await pinsOf(page, server.url)).toEqual([]);
  await page.mouse.up();
  await expect.poll(() => pinsOf(page, server.url)).toHaveLength(1);
  const after = await headless(page, server.url, file);
  await expect(total(page)).toHaveText(dollars(after.price.total));
  const longer = after.lines[0]?.actions.find(({ method }) => method === 'line');
  expect(longer?.to_ft).toBeCloseTo((liner?.to_ft ?? 0) + 7, 0);
  await expect(page.getByRole('button', { name: /^Liner, .*pinned/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Liner, .*pinned/ })).toContainText(
    `cut ${(longer?.liner?.cut_ft ?? 0).toFixed(1)}`,
  );

  await page.getByRole('button', { name: 'Lift', exact: true }).click();
  await expect.poll(() => pinsOf(page, server.url)).toEqual([]);
  await expect(total(page)).toHaveText(dollars(before.price.total));
  await page.keyboard.press('Control+z');
  await expect.poll(() => pinsOf(page, server.url)).toHaveLength(1);
  await expect(total(page)).toHaveText(dollars(after.price.total));
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => pinsOf(page, server.url)).toEqual([]);

  // Dragged there again, the price while dragging is the final one.
  await expect(total(page)).toHaveText(dollars(before.price.total));
  await dragDownstream();
  await expect(total(page)).toHaveText(dollars(after.price.total));
  expect(await pinsOf(page, server.url)).toEqual([]);
  await page.mouse.up();
  await expect.poll(() => pinsOf(page, server.url)).toHaveLength(1);
  await page.keyboard.press('Control+z');
  await expect.poll(() => pinsOf(page, server.url)).toEqual([]);
  await expect(total(page)).toHaveText(dollars(before.price.total));

  // Where an end is not allowed the reason is shown, and dropping it there changes nothing.
  const [upX, upY] = await centre(page, 'Upstream');
  await page.mouse.move(upX, upY);
  await page.mouse.down();
  await page.mouse.move(upX - 6 * feet, upY, { steps: 6 });
  await expect(page.getByTestId('cannot')).toContainText('nobody has seen');
  await page.mouse.up();
  await expect(page.getByTestId('cannot')).toContainText('Lifted by: clean it and re-inspect');
  await expect(total(page)).toHaveText(dollars(before.price.total));
  expect(await pinsOf(page, server.url)).toEqual([]);
  await server.stop();
});

test('by keyboard: ends moved, another method, split, joined, lifted, undone, and every key told', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  const file = info.outputPath('job.json');
  await openSheet(page, server.url);
  const agrees = async () => {
    const scope = await headless(page, server.url, file);
    await expect(total(page)).toHaveText(dollars(scope.price.total));
    return scope;
  };
  const first = await agrees();
  await end(page, 'Downstream').focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => pinsOf(page, server.url)).toHaveLength(1);
  const moved = await agrees();
  const lineEnd = (scope: ScopeFile) =>
    scope.lines[0]?.actions.find(({ method }) => method === 'line')?.to_ft ?? 0;
  expect(lineEnd(moved)).toBeGreaterThan(lineEnd(first));
  expect(lineEnd(moved) - lineEnd(first)).toBeLessThanOrEqual(1.01);

  const sheet = page.getByRole('group', { name: /^Sheet/ });
  await sheet.focus();
  await page.keyboard.press('d');
  await expect.poll(async () => (await pinsOf(page, server.url)).some(({ split }) => split)).toBe(true);
  const split = await agrees();
  expect(split.lines[0]?.actions.filter(({ method }) => method === 'line')).toHaveLength(2);
  await page.keyboard.press('j');
  await expect.poll(async () => (await pinsOf(page, server.url)).some(({ split: each }) => each)).toBe(false);
  const joined = await agrees();
  expect(joined.lines[0]?.actions.filter(({ method }) => method === 'line')).toHaveLength(1);
  await page.keyboard.press('x');
  await expect.poll(() => pinsOf(page, server.url)).toEqual([]);
  await agrees();

  // The bar before it is the liner's dig: it is lined as well, or the reason why not is shown.
  await page.keyboard.press('p');
  await expect(page.getByRole('button', { name: /^Spot repair,/, pressed: true })).toBeVisible();
  await page.keyboard.press('l');
  await expect(page.getByTestId('cannot')).toContainText('Not possible: line from');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('cannot')).toHaveText('');
  await page.keyboard.press('d');
  await expect(page.getByTestId('cannot')).toContainText('Two digs that touch are one');

  // Arrow keys move between the bars, each announced in words.
  await page
    .getByRole('button', { name: /^Spot repair,/ })
    .first()
    .focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Leave, 12/ })).toBeFocused();
  await page.getByRole('button', { name: /^Excavation A/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Excavation B/ })).toBeFocused();

  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys of the sheet' });
  await expect(keys).toContainText('join with the next');
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);
  await page.keyboard.press('i');
  await expect(page.getByLabel(/What the camera shows/)).toBeFocused();
  await server.stop();
});

test('from the bar: all that can be done on it, what stands against it, chosen by mouse and by key', async ({
  page,
}, info) => {
  const server = await startServer('demo');
  const file = info.outputPath('job.json');
  await openSheet(page, server.url);
  const liner = page.getByRole('button', { name: /^Liner,/, pressed: true });
  await liner.click();
  const list = page.getByRole('menu', { name: /^Instead of line/ });
  const before = await headless(page, server.url, file);
  const refused = before.lines[0]?.segments
    .filter(({ method }) => method === 'line')
    .flatMap(({ rejected }) => rejected)
    .find(({ method }) => method === 'burst');
  await expect(list.getByRole('menuitem', { name: 'Burst' })).toContainText(refused?.why ?? 'a refusal');
  await list.getByRole('menuitem', { name: 'Spot repair' }).click();
  await expect.poll(() => pinsOf(page, server.url)).toMatchObject([{ method: 'open-cut' }]);
  await expect(list).toHaveCount(0);
  const dug = await headless(page, server.url, file);
  expect(dug.lines[0]?.actions.map(({ method }) => method)).toContain('open-cut');
  await expect(total(page)).toHaveText(dollars(dug.price.total));
  // By key: the list of the selected bar opens, is closed, and is opened again to remove the pin.
  await page.keyboard.press('m');
  const other = page.getByRole('menu', { name: /^Instead of replace/ });
  await expect(other).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(other).toHaveCount(0);
  // A quick hand does not wait for the list to be drawn.
  await Promise.all(['m', 'End', 'Enter'].map((key) => page.keyboard.press(key)));
  await expect.poll(() => pinsOf(page, server.url)).toEqual([]);
  await expect(total(page)).toHaveText(dollars(before.price.total));
  await server.stop();
});

test('by finger: an end is dragged on a tablet, lifted, and brought back, and two fingers zoom', async ({
  browser,
}) => {
  const server = await startServer('demo');
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    hasTouch: true,
    isMobile: true,
  });
  const page = await context.newPage();
  await openSheet(page, server.url);
  const before = await total(page).innerText();
  const feet = await pxPerFoot(page);
  const [x, y] = await centre(page, 'Downstream');
  const finger = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', by: number) =>
    finger.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x: x + by, y }],
    });
  await touch('touchStart', 0);
  for (let i = 1; i <= 10; i++) await touch('touchMove', (i * 6 * feet) / 10);
  await expect(total(page)).not.toHaveText(before);
  await touch('touchEnd', 0);
  await expect.poll(() => pinsOf(page, server.url)).toHaveLength(1);
  const [pin] = await pinsOf(page, server.url);
  expect(pin).toMatchObject({ method: 'line', endsHere: ['to'] });
  const pinned = await total(page).innerText();
  await page.getByRole('button', { name: 'Lift', exact: true }).tap();
  await expect.poll(() => pinsOf(page, server.url)).toEqual([]);
  await expect(total(page)).toHaveText(before);
  await page.getByRole('button', { name: 'History of this job' }).tap();
  await page.getByRole('button', { name: 'Undo' }).tap();
  await expect.poll(() => pinsOf(page, server.url)).toHaveLength(1);
  await expect(total(page)).toHaveText(pinned);
  await page.getByRole('complementary', { name: 'History' }).getByRole('button', { name: 'Close' }).tap();

  // Two fingers spread over the wall: the stretch between them grows.
  const spread = async (type: 'touchStart' | 'touchMove' | 'touchEnd', half: number) =>
    finger.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        type === 'touchEnd'
          ? []
          : [
              { x: 500 - half, y: 400, id: 0 },
              { x: 500 + half, y: 400, id: 1 },
            ],
    });
  const wide = await pxPerFoot(page);
  await spread('touchStart', 60);
  for (let half = 65; half <= 120; half += 5) await spread('touchMove', half);
  await spread('touchEnd', 0);
  await expect.poll(async () => (await pxPerFoot(page)) / wide).toBeCloseTo(2, 0);
  await context.close();
  await server.stop();
});

test('on a phone the price and what stands in the way stay in sight while a bar is dragged', async ({
  browser,
  server,
}) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 780 },
    hasTouch: true,
    isMobile: true,
  });
  const page = await context.newPage();
  await openSheet(page, server.url);
  await end(page, 'Upstream').evaluate((each) => {
    each.scrollIntoView({ block: 'center', inline: 'center' });
  });
  const [x, y] = await centre(page, 'Upstream');
  const by = -8 * (await pxPerFoot(page));
  const finger = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', share: number) =>
    finger.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x: x + by * share, y }],
    });
  await touch('touchStart', 0);
  for (let i = 1; i <= 10; i++) await touch('touchMove', i / 10);
  // The sheet, which scrolls by touch, stays still under it.
  await expect.poll(async () => (await centre(page, 'Upstream'))[0]).toBeCloseTo(x + by, -1);
  const cannot = page.getByTestId('cannot');
  await expect(cannot).toContainText('nobody has seen');
  await expect(cannot).toBeInViewport({ ratio: 1 });
  await expect(total(page)).toBeInViewport({ ratio: 1 });
  await touch('touchEnd', 0);
  expect(await pinsOf(page, server.url)).toEqual([]);
  await context.close();
});

test('zoomed, explained, charted, saved and printed; readable in light and dark', async ({ page }, info) => {
  const server = await startServer('demo');
  await openSheet(page, server.url);
  const sheet = page.getByTestId('sheet');
  const box = await sheet.boundingBox();
  if (!box) throw new Error('there is no sheet');
  await page.mouse.move(box.x + 500, box.y + 300);
  const feet = await pxPerFoot(page);
  await page.mouse.wheel(0, -500);
  await expect(page.getByTestId('minimap')).toBeVisible();
  const window_ = page.getByRole('slider', { name: 'What the sheet shows' });
  const shown = await window_.getAttribute('aria-valuetext');
  await window_.focus();
  await page.keyboard.press('ArrowRight');
  await expect(window_).not.toHaveAttribute('aria-valuetext', shown ?? '');
  await page.keyboard.press('0');
  await expect(page.getByTestId('minimap')).toHaveCount(0);
  expect(await pxPerFoot(page)).toBeCloseTo(feet, 6);

  await page.getByRole('button', { name: 'Legend' }).click();
  await expect(page.getByRole('dialog', { name: 'What the drawings mean' })).toContainText('Worn bottom');
  for (const colors of ['light', 'dark']) {
    expect(await axeFaults(page, { colorsOnly: colors === 'dark' })).toEqual([]);
    const other = page.getByRole('button', { name: /^Use (dark|light) colors/ });
    await other.click();
  }
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Grade and flow' }).click();
  await expect(page.getByRole('img', { name: /least slope along the line/ })).toBeVisible();
  await expect(page.getByTestId('grade-strip')).toContainText('gal/min now');

  const saved = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `Save the drawing as ${name}` }).click(),
    ]);
    const path = info.outputPath(download.suggestedFilename());
    await download.saveAs(path);
    return readFileSync(path, 'utf8');
  };
  const scope = await headless(page, server.url, info.outputPath('job.json'));
  const [line] = scope.lines;
  // The browser's own XML parser; nothing refers back to the page.
  const svg = await saved('SVG');
  const read = await page.evaluate((text) => {
    const drawn = new DOMParser().parseFromString(text, 'image/svg+xml');
    return { broken: drawn.querySelector('parsererror') !== null, words: drawn.documentElement.textContent };
  }, svg);
  expect(read.broken).toBe(false);
  expect(read.words).toContain('bituminous fiber 4 in');
  expect(svg).not.toContain('var(--');
  // dxf-parser, an independent reader.
  const dxf = new DxfParser().parseSync(await saved('DXF'));
  const holes = (dxf?.entities ?? []).filter(({ layer }) => layer === 'HOLES') as unknown as {
    vertices: { x: number; y: number }[];
  }[];
  expect(holes).toHaveLength(3 * (line?.pits.length ?? 0));
  const corners = holes.flatMap(({ vertices }) => vertices);
  for (const pit of line?.pits ?? []) {
    expect(corners).toContainEqual(
      expect.objectContaining({
        x: expect.closeTo(pit.from_ft, 2),
        y: expect.closeTo(-pit.depth_ft, 2),
      }),
    );
  }
  const printed = (await page.pdf({ preferCSSPageSize: true, printBackground: true })).toString('latin1');
  expect(printed.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  await server.stop();
});

test('a gas line through the sewer is warned of before anything else, and its place is left to its owner', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/${jobId}/log`);
  await page.getByLabel(/What the camera shows/).click();
  await say(page, '45 gas line through the pipe');
  await expect(page.getByText(/no cutter, no jetter/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByLabel('Reason').getByText(/^At 4\d\.\d ft: a utility runs through/)).toBeVisible();
  await expect(page.getByRole('img', { name: /by others/ })).toBeVisible();
  await expect(page.getByTestId('totals')).toContainText('have the owner of the utility in the pipe come');
  await server.stop();
});

test('what is broken in a belly that stays is repaired, both in sight, and past where the camera stopped', async ({
  page,
}) => {
  const server = await startServer('demo');
  await newLog(page, server.url, '3 Flat Street', 'clay');
  await page.getByLabel(/What the camera shows/).click();
  for (const line of [
    '0 located 4 ft deep',
    '62 located 4.2 ft deep',
    '12-30 belly 2 in',
    '14 broken',
    '71 offset 1 1/2',
    '71 could not pass',
  ])
    await say(page, line);
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByRole('img', { name: /by others/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /not all of it can be cured here/ })).toBeVisible();
  // One in the belly, one at the stop.
  await expect(page.getByTestId('sheet').getByRole('button', { name: /^Spot repair/ })).toHaveCount(2);
  await expect(page.getByTestId('totals')).toContainText('once the repair lets the camera past');
  await server.stop();
});
