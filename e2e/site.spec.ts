import type { Page } from '@playwright/test';
import type { Job } from '../core/job/schema.js';
import { axeFaults } from './support/axe.js';
import { jobOf } from './support/headless.js';
import { expect, startServer, test } from './support/server.js';

const jobId = 'demo-1-quarry-lane';

async function lineOf(page: Page, url: string) {
  const { job } = (await (await page.request.get(`${url}/api/jobs/${jobId}`)).json()) as { job: Job };
  const [line] = job.lines;
  if (!line) throw new Error('the demo job has a line');
  return { line, job };
}

test('the ground is drawn: edges dragged and snapped, points dropped and moved, by mouse and by key', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/${jobId}/site`);
  const edge = (name: RegExp) => page.getByRole('slider', { name }).first();
  const lawn = edge(/^Downstream end of the lawn/);
  await expect(lawn).toBeVisible();
  const before = await lineOf(page, server.url);
  const index = before.line.surfaces?.findIndex(({ kind }) => kind === 'lawn') ?? -1;

  // Along the strip by mouse: the neighbor follows, so no gap results.
  const box = await lawn.boundingBox();
  if (!box) throw new Error('the edge is on the page');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 20, y, { steps: 4 });
  await page.mouse.move(x - 40, y, { steps: 4 });
  await page.mouse.up();
  await expect
    .poll(async () => (await lineOf(page, server.url)).line.surfaces?.[index]?.to_ft)
    .toBeLessThan(before.line.surfaces?.[index]?.to_ft ?? 0);
  const dragged = (await lineOf(page, server.url)).line.surfaces ?? [];
  expect(dragged[index + 1]?.from_ft).toBe(dragged[index]?.to_ft);
  expect(((dragged[index]?.to_ft ?? 0.1) * 2) % 1).toBe(0);

  // By key, half a foot a press.
  await lawn.focus();
  await page.keyboard.press('ArrowRight');
  await expect
    .poll(async () => (await lineOf(page, server.url)).line.surfaces?.[index]?.to_ft)
    .toBe((dragged[index]?.to_ft ?? 0) + 0.5);

  // A point dropped at the cursor and moved; one placed by the camera says why it stays.
  await page.getByRole('tab', { name: /^Points/ }).click();
  await page.getByTestId('strip').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByRole('button', { name: /^Add point at/ }).click();
  const point = page.getByRole('slider', { name: 'point 1' });
  await expect(point).toBeVisible();
  await point.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect
    .poll(async () => (await lineOf(page, server.url)).line.points.at(-1))
    .toMatchObject({ kind: 'other', plusMinus_ft: 3 });
  await expect(page.getByRole('slider', { name: /^bend, placed by the camera/ })).toHaveAttribute(
    'aria-disabled',
    'true',
  );

  // An end attached to the point moves with it.
  await page.getByRole('tab', { name: /No dig/ }).click();
  await page.getByLabel('To measured from').first().selectOption({ label: 'at point 1' });
  await expect(page.getByText(/moves with it/)).toHaveText(/now 44\.0 ft/);
  await point.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByRole('tab', { name: /No dig/ }).click();
  await expect(page.getByText(/moves with it/)).toHaveText(/now 49\.0 ft/);

  await page.getByRole('tab', { name: /Crossings/ }).click();
  await expect(page.getByText(/Call for the utility locate/)).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await server.stop();
});

test('a second line joins the first, a neighbour’s cleanout is never used, marks give the plan', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/${jobId}/site`);
  await expect(page.getByTestId('plan')).toBeVisible();
  await page.getByLabel('What came up where, and what they saw').fill('paper in the yard');
  await page.getByLabel('What came up where, and what they saw').blur();
  await expect
    .poll(async () => (await lineOf(page, server.url)).job.site?.complaint)
    .toBe('paper in the yard');
  await page.getByRole('button', { name: 'Add another line' }).click();
  await page.getByLabel('Called').fill('Guest house');
  await page.getByLabel(/Joins it at about/).fill('37 1/2 ft');
  await page.getByRole('button', { name: 'Add the line' }).click();
  await expect(page.getByRole('heading', { name: 'Guest house' })).toBeVisible();
  const { job } = await lineOf(page, server.url);
  expect(job.lines[1]).toMatchObject({
    id: 'guest-house',
    end: 'JOIN',
    points: [{ id: 'CO1' }, { kind: 'tie-in', onto: { line: job.lines[0]?.id, point: 'T1' } }],
  });
  expect(job.lines[0]?.points.at(-1)).toMatchObject({ id: 'T1', kind: 'tie-in', station_ft: 37.5 });
  await page.getByRole('link', { name: 'Camera log' }).click();
  await expect(page).toHaveURL(/\/log$/);
  await page.getByLabel(/What the camera shows/).fill('24 tie-in; stop');
  await page.getByLabel(/What the camera shows/).press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'joins House line' })).toHaveCount(1);

  await page.getByRole('link', { name: 'Site' }).click();
  await page.getByRole('button', { name: 'House line', exact: true }).click();
  await page.getByLabel('Name of the point').first().focus();
  await page.getByLabel('Whose cleanout').selectOption('neighbour');
  await expect(page.getByText(/recorded, never used/)).toBeVisible();
  await expect
    .poll(async () => (await lineOf(page, server.url)).line.points[0])
    .toMatchObject({ owner: 'neighbour', usable: false });
  // On the sheet each line is a tab, and where they join one press opens the other.
  await page.getByRole('link', { name: 'Sheet' }).click();
  await page.getByRole('button', { name: /^Guest house joins here at 37.5 ft/ }).click();
  await expect(page.getByRole('button', { name: 'Guest house', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await server.stop();
});

test('a surface is asked for what it is, and says what it is laid over', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/demo-1-quarry-lane/site`);
  const before = (await jobOf(page, server.url, 'demo-1-quarry-lane')).lines[0]?.surfaces ?? [];
  await page.getByRole('tab', { name: /^Surfaces/ }).click();
  await page.getByRole('button', { name: /^Add surface at/ }).click();
  const asks = page.getByRole('group', { name: 'What lies there' });
  await expect(asks).toContainText('on the list already');
  await asks.getByRole('button', { name: 'pavers', exact: true }).click();
  await expect(asks).toHaveCount(0);
  await expect
    .poll(async () => (await jobOf(page, server.url, 'demo-1-quarry-lane')).lines[0]?.surfaces?.at(-1)?.kind)
    .toBe('pavers');
  await page.keyboard.press('Control+z');
  await expect
    .poll(async () => (await jobOf(page, server.url, 'demo-1-quarry-lane')).lines[0]?.surfaces)
    .toEqual(before);
});

test('a depth is on the list only once somebody measured it, in feet as people write them', async ({
  page,
}) => {
  const server = await startServer('demo');
  await page.goto(`${server.url}/jobs/demo-2-larkfield-court/site`);
  const tab = page.getByRole('tab', { name: /^Depths/ });
  await tab.click();
  const before = Number(/\d+/.exec((await tab.textContent()) ?? '')?.[0]);
  await page.getByRole('button', { name: /^Add depth/ }).click();
  const field = page.getByRole('textbox', { name: 'Depth of the invert there, ft' });
  await field.fill('deep');
  await field.press('Enter');
  await expect(page.getByText(/^Not taken: feet, such as/)).toBeVisible();
  await expect(tab).toHaveText(`Depths${before}`);
  await field.fill("4'6");
  await field.press('Enter');
  await expect(tab).toHaveText(`Depths${before + 1}`);
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  const { job } = (await (
    await page.request.get(`${server.url}/api/jobs/demo-2-larkfield-court`)
  ).json()) as {
    job: { lines: { depths?: { invert_ft: number }[] }[] };
  };
  expect(job.lines[0]?.depths?.at(-1)?.invert_ft).toBe(4.5);
  await server.stop();
});

test('a distance between marks and a taped place are there only once somebody read the tape', async ({
  page,
  server,
}) => {
  const jobId = 'demo-2-larkfield-court';
  const measured = async () => {
    const answer = (await (await page.request.get(`${server.url}/api/jobs/${jobId}`)).json()) as {
      job: { lines: { markDistances?: object[]; places?: object[] }[] };
    };
    const { markDistances = [], places = [] } = answer.job.lines[0] ?? {};
    return [...markDistances, ...places];
  };
  await page.goto(`${server.url}/jobs/${jobId}/site`);
  await page.getByRole('tab', { name: /^Marks/ }).click();
  for (const name of ['gate post', 'hydrant']) {
    await page.getByRole('button', { name: /^Add mark/ }).click();
    await page.getByLabel('What the mark is').last().fill(name);
    await page.getByLabel('What the mark is').last().press('Enter');
  }
  await page.getByRole('button', { name: 'Add: How far apart' }).click();
  await page.getByRole('button', { name: 'Add: Taped from two marks' }).click();
  const taped = page.getByRole('group', { name: 'Taped from two marks' });
  await expect(taped.getByRole('button', { name: 'Add it' })).toBeDisabled();
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  expect(await measured()).toEqual([]);
  const between = page.getByLabel('Measured between them, ft');
  await between.fill(`31'6`);
  await between.press('Enter');
  await taped.getByLabel('First tape, ft').fill('12 1/2');
  await taped.getByLabel('Second tape, ft').fill('24');
  await taped.getByLabel('Side').selectOption('right');
  await taped.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByTestId('saved')).toHaveText('Saved');
  await expect
    .poll(measured)
    .toMatchObject([
      { distance_ft: 31.5 },
      { side: 'right', tapes: [{ distance_ft: 12.5 }, { distance_ft: 24 }] },
    ]);
});
