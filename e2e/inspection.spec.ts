import type { Page } from '@playwright/test';
import { survey } from '../core/survey/survey.js';
import type { Entry } from '../core/job/schema.js';
import { pipes } from '../demo/reel/pipes.js';
import { newLog } from './support/new-log.js';
import { jobTitled } from './support/headless.js';
import { say, tabTo } from './support/keyboard.js';
import { expect, startServer, test } from './support/server.js';

const garden = pipes.find(({ id }) => id === 'garden');
if (!garden) throw new Error('the simulated reel has a garden pipe');
const truth = garden;

/** A step of the cable with Shift, and within what distance the picture names a thing, ft. */
const [stride_ft, atHead_ft] = [2, 0.3];

const view = (page: Page) => page.getByTestId('picture').getAttribute('aria-label');

/** One press of the cable; then the picture has moved, or the head is blocked. Answers what the picture shows. */
async function press(page: Page, key: string, before: string | null): Promise<string | null> {
  await page.keyboard.press(key);
  const now = await page.waitForFunction(
    ([was, up]) => {
      const shown = document.querySelector('[data-testid=picture]')?.getAttribute('aria-label');
      const isBlocked = up && /cannot go further|camera has reached/.test(document.body.innerText);
      return shown !== was || isBlocked ? { shown } : undefined;
    },
    [before, key.endsWith('Up')] as const,
  );
  return (await now.jsonValue())?.shown ?? null;
}

async function pushToTheEnd(page: Page): Promise<void> {
  let shown = await view(page);
  while ((await page.getByText(/camera has reached the main/).count()) === 0)
    shown = await press(page, 'Shift+ArrowUp', shown);
}

/** Pulls until the thing is at the head: in large steps while more than one is left, then in small ones. */
async function pullTo(page: Page, cable_ft: number, shows: RegExp): Promise<void> {
  let shown = await view(page);
  while (!shows.test(shown ?? '')) {
    const reading_ft = Number(/ at (-?[\d.]+):/.exec(shown ?? '')?.[1]);
    shown = await press(
      page,
      reading_ft - cable_ft > stride_ft + atHead_ft ? 'Shift+ArrowDown' : 'ArrowDown',
      shown,
    );
  }
}

/** Stamps the counter reading, then names what is there. */
async function call(page: Page, words: string): Promise<void> {
  await page.keyboard.press('Alt+KeyS');
  await say(page, words);
}

test('a whole simulated inspection by keyboard alone: out and back, two cleanouts, stations within ± of the truth', async ({
  page,
}) => {
  const server = await startServer('none');
  await page.goto(server.url);
  await tabTo(page, 'New job');
  await page.keyboard.press('Enter');
  await tabTo(page, 'Name or address');
  await page.keyboard.type('5 Sorrel Bank');
  await tabTo(page, /Cap to level pipe/);
  await page.keyboard.type(String(truth.accesses[0]?.riser_ft));
  await tabTo(page, 'Start the camera log');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/log$/);
  await tabTo(page, 'Reel');
  await page.keyboard.press('Enter');
  await expect(page.getByText('simulated picture')).toBeVisible();
  await page.keyboard.press('Alt+KeyI');

  await pushToTheEnd(page);
  await call(page, 'main; stop main');
  const riser = truth.accesses[0]?.riser_ft ?? 0;
  const back = (station: number) => station + riser;
  await pullTo(page, back(78.2), /mirror|pipe/);
  await call(page, 'main back');
  await pullTo(page, back(71.4), /open joint/);
  await call(page, 'gap 3/4 at joint');
  await pullTo(page, back(64), /crack/);
  await call(page, 'crack around');
  await pullTo(page, back(53.4), /roots/);
  await call(page, 'roots 30% 9-3 at joint');
  await pullTo(page, back(50.5), /water standing/);
  await call(page, 'belly starts');
  for (let shown = await view(page); /water standing/.test(shown ?? '');)
    shown = await press(page, 'ArrowDown', shown);
  await call(page, 'belly ends 1 in');
  await pullTo(page, back(41.2), /cleanout/);
  await page.keyboard.press('Alt+KeyL');
  await expect(page.getByLabel(/What the camera shows/)).toHaveValue(/located .* deep/);
  await page.keyboard.press('Escape');
  await call(page, 'cleanout two-way riser 3.1');
  await pullTo(page, back(32.4), /offset/);
  await call(page, 'offset 1/2');
  await pullTo(page, back(23.4), /roots/);
  await call(page, 'roots 15% 10-1 at joint');
  await pullTo(page, back(17.4), /change to ABS|change to clay/i);
  // Pulling back, the head sees the clay first.
  await call(page, 'clay 4 > abs 4');

  // The second run, from the garden cleanout passed by the first.
  await tabTo(page, 'Add a run');
  await page.keyboard.press('Enter');
  await tabTo(page, 'In at');
  await page.keyboard.press('ArrowDown');
  await tabTo(page, 'Add the run');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Run 2/ })).toHaveAttribute('aria-pressed', 'true');
  await tabTo(page, 'Simulated access point');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('counter')).toHaveText('0.0');
  await page.keyboard.press('Alt+KeyI');
  await pushToTheEnd(page);
  await call(page, 'main; stop main');
  const second = (truth.accesses[1]?.riser_ft ?? 0) - (truth.accesses[1]?.at_ft ?? 0);
  await pullTo(page, second + 53.4, /roots/);
  await page.keyboard.press('Alt+KeyS');
  await page.keyboard.type('roots 30% 9-3');
  await expect(page.getByText(/Near:/)).toBeVisible();
  await page.keyboard.press('Control+.');
  await say(page, '');

  const [line] = (await jobTitled(page, server.url, /./)).lines;
  if (!line) throw new Error('the job has a line');
  const solved = survey(line);
  const entries = line.runs.flatMap((run) => run.entries);
  const at = (find: (entry: Entry) => boolean, end: 'from' | 'to' = 'from') => {
    const entry = entries.find(find);
    const placed = entry && solved.endsOf(entry.id)?.[end];
    if (!placed) throw new Error('something that was called has no station');
    return placed;
  };
  const finding = (kind: string, n = 0) => {
    const all = entries.filter(
      (entry) => entry.kind === 'finding' && entry.finding === kind && !entry.sameAs,
    );
    return (entry: Entry) => entry === all[n];
  };
  const found: [string, number, { station_ft: number; plusMinus_ft: number }][] = [
    ['main', 78.6, at((entry) => entry.kind === 'point' && entry.point === 'MAIN')],
    ['gap', 71.4, at(finding('separation'))],
    ['crack', 64, at(finding('crack'))],
    ['heavy roots', 53.4, at(finding('roots'))],
    ['sag end', 50.5, at(finding('belly'))],
    ['sag start', 45, at(finding('belly'), 'to')],
    ['cleanout', 41.2, at((entry) => entry.kind === 'point' && entry.point.startsWith('cleanout'))],
    ['step', 32.4, at(finding('offset'))],
    ['roots', 23.4, at(finding('roots', 1))],
    ['change', 17.4, at((entry) => entry.kind === 'change')],
  ];
  for (const [what, true_ft, placed] of found) {
    expect(
      Math.abs(placed.station_ft - true_ft),
      `${what}: ${placed.station_ft} ± ${placed.plusMinus_ft}`,
    ).toBeLessThan(placed.plusMinus_ft);
  }
  // The screen matches the core.
  const main = found[0]?.[2].station_ft ?? 0;
  await expect(page.getByRole('row').filter({ hasText: 'Main' }).first()).toContainText(main.toFixed(1));
  await server.stop();
});

/** Every number anywhere in a value. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbersIn) : [];
}

test('an awkward inspection goes in as it is spoken, without one invented number', async ({ page }) => {
  const server = await startServer('demo');
  await newLog(page, server.url, '31 Weir Cottages');
  const typed = page.getByLabel(/What the camera shows/);
  await expect(typed).toBeFocused();
  const spoken = [
    'about 63 belly starts',
    '56 belly ends',
    'roots; a few more past that',
    'each joint, roots, 20 to 41',
    '~30 clay',
    '3 past the change, step, small',
    'then crack',
    'possible hole top left',
    '41 no 42 stopped, roots',
  ];
  // Some of it cannot be read as it is: it is marked, and the words are still there to be corrected.
  const refused: string[] = [];
  for (const words of spoken) {
    await typed.fill(words);
    await typed.press('Enter');
    await expect
      .poll(
        async () =>
          (await typed.inputValue()) === '' || (await typed.getAttribute('aria-invalid')) === 'true',
      )
      .toBe(true);
    if ((await typed.inputValue()) !== '') refused.push(words);
    await typed.fill('');
  }
  expect(refused).toEqual(['roots; a few more past that', 'possible hole top left']);
  await page.keyboard.type('then possible hole top left');
  await page.keyboard.press('Enter');
  // A run against the flow from a second cleanout that was only paced, called off a turned picture.
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByLabel('In at').selectOption('new');
  await page.getByLabel('Toward the').selectOption('upstream');
  await page.getByLabel('Counter zeroed').selectOption('unknown');
  await page.getByLabel('From the line’s zero').fill('55');
  await page.getByLabel('Measured by').selectOption('paced');
  await page.getByLabel('Good within').fill('4');
  await page.getByRole('button', { name: 'Add the run' }).click();
  await expect(page.getByRole('button', { name: /Run 2/ })).toHaveAttribute('aria-pressed', 'true');
  await typed.press(']');
  await typed.fill('12 roots 10-2');
  await typed.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'after the turn' })).toHaveCount(1);
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  await expect(page.getByText(/to read from the video/)).toBeVisible();
  await expect(page.getByText('end not reached')).toBeVisible();

  const job = await jobTitled(page, server.url, '31 Weir Cottages');
  const said = new Set([63, 56, 20, 41, 30, 3, 42, 12, 10, 2, 6.5, 10.5]);
  const entries = job.lines[0]?.runs.flatMap((run) => run.entries) ?? [];
  expect(entries).toHaveLength(8);
  expect(numbersIn(entries).filter((number) => !said.has(number))).toEqual([]);
  expect(entries.filter((entry) => entry.kind === 'stop')).toMatchObject([{ reading_ft: 42, why: 'roots' }]);

  // One of them is resolved: the queue opens it in its own words, and what was missing is added.
  await page.keyboard.press('Alt+KeyN');
  await expect(page.getByText('Changing:')).toBeVisible();
  await page.keyboard.press('Escape');
  await server.stop();
});

test('on a slow machine every line that leaves the field is in the log, however fast it is typed', async ({
  page,
  server,
}) => {
  await newLog(page, server.url, '33 Weir Cottages');
  const typed = page.getByLabel(/What the camera shows/);
  await expect(typed).toBeFocused();
  // The processor at a sixth of its speed: answers and renders come late, between and after keys.
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 6 });
  const stations = Array.from({ length: 16 }, (_, i) => 5 + 3 * i);
  for (const station of stations) {
    await page.keyboard.type(`${station} crack along`);
    await expect(typed).toHaveValue(`${station} crack along`);
    await page.keyboard.press('Enter');
    await expect(typed).toHaveValue('');
  }
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  const job = await jobTitled(page, server.url, '33 Weir Cottages');
  const readings = job.lines[0]?.runs.flatMap(({ entries }) =>
    entries.map((entry) => ('reading_ft' in entry ? entry.reading_ft : undefined)),
  );
  expect(readings?.sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual(stations);
});
