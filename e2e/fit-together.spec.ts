import { NOT_BEGUN } from '@yellow-pane/core/job';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { v7 as newId } from 'uuid';
import { type Rows, idOf, put, rowsOf } from './fit-steps';
import { allSaved, copyOfDemo, expect, newContext, test } from './house';
import { NOW } from './when';

const filmOn = (rows: Rows, tag: string): string =>
  rows['application']?.find((row) => row['surfaceId'] === idOf(rows, tag))?.id ?? '';
const step = (page: Page) => page.getByRole('region', { name: 'Step', exact: true });
const minutes = (by: number): string => new Date(Date.parse(NOW) + by * 60_000).toISOString();

test('a second person: ticks arrive, one is called to look, and takes over; what is next by the plan stands first', async ({
  page,
  browser,
  as,
  baseURL,
}) => {
  const theirs = await (await newContext(browser, baseURL ?? '')).newPage();
  await as(page, 'Wren');
  await as(theirs, 'Linnet');
  const job = await copyOfDemo(page);
  const rows = await rowsOf(page, job);
  const wren = rows['crewMember']?.find((row) => row['name'] === 'Wren')?.id ?? '';
  const planned = (tag: string, from: number, to: number) => ({
    op: 'put',
    table: 'plannedStep',
    id: newId(),
    fields: {
      ...{ applicationId: filmOn(rows, tag), template: 'flat-glass', step: 'protect', templateVersion: 1 },
      ...{ startsAt: minutes(from), endsAt: minutes(to), steps: ['protect', 'remeasure'] },
      ...{ people: [wren], pinned: false },
    },
  });
  await put(page, job, [planned('SW4', -10, 20), planned('PT1', 27, 60)]);
  await page.goto(`${job}/fit/${idOf(rows, 'SW1')}`);
  await expect(page.getByRole('main')).toContainText('SW4 now. Then PT1 at 09:47.');
  await expect(page.getByRole('main')).toContainText(/1\d min late\./);
  await theirs.goto(`${job}/fit/${idOf(rows, 'SW1')}`);
  await page.getByRole('button', { name: 'Done, next step' }).click();
  await expect(theirs.getByText('Step 2 of 13')).toBeVisible();

  await theirs.getByRole('link', { name: /^Survey/ }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Colleagues' }).click();
  await page.getByRole('button', { name: 'Come and look' }).click();
  await expect(page.getByText('Called: it is on the pages of the others.')).toBeVisible();
  const call = theirs.getByRole('alert').filter({ hasText: 'Wren: come and look at SW1.' });
  await expect(call).toContainText('Hold the blank against the pane');
  await call.getByRole('button', { name: 'Go to SW1' }).click();
  await expect(theirs.getByText('Step 2 of 13')).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'come and look' })).toBeHidden();

  await page.getByRole('group', { name: 'Hand it over to' }).getByRole('button', { name: 'Linnet' }).click();
  await allSaved(page);
  await theirs.goto(`${job}/fit/${idOf(rows, 'SW2')}`);
  await expect(theirs.getByText(/SW1 was handed to you by Wren, 09:2\d\./)).toBeVisible();
  await theirs.getByRole('button', { name: 'Go on there' }).click();
  await expect(theirs.getByRole('heading', { level: 1 })).toContainText('SW1');
  await page.getByRole('button', { name: 'Move the plan' }).click();
  await expect(page).toHaveURL(/\/day\//);
  await theirs.context().close();
});

test('two people tick one step at once: nothing is lost, and both names stand there', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  const rows = await rowsOf(page, job);
  await page.goto(`${job}/fit/${idOf(rows, 'SW1')}`);
  await expect(step(page)).toContainText('Cover sill and floor.');
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Done, next step' }).click();
  const context = page.context();
  const other = await context.newPage();
  await put(other, job, [
    {
      op: 'put',
      table: 'workRecord',
      id: newId(),
      fields: {
        ...NOT_BEGUN,
        ...{
          applicationId: filmOn(rows, 'SW1'),
          template: 'flat-glass',
          step: 'protect',
          templateVersion: 1,
        },
        ...{ doneAt: minutes(1), people: ['Finch'], note: 'cloth is wet' },
      },
    },
  ]);
  await page.unroute('**/api/**');
  await allSaved(page);
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(step(page)).toContainText(/Done 09:2\d, Wren, Finch\./);
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('cloth is wet');
  await page.getByRole('button', { name: 'Not done after all' }).click();
  await allSaved(page);
  expect((await rowsOf(page, job))['workRecord']?.map((row) => row['doneAt'])).toEqual([null, null]);
});

test('two films on one surface: each has its steps; left out with a reason, taken back with undo', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  const rows = await rowsOf(page, job);
  const frost = rows['application']?.find((row) => row['surfaceId'] === idOf(rows, 'PT1'))?.['filmId'];
  await put(page, job, [
    {
      op: 'put',
      table: 'application',
      id: newId(),
      fields: {
        ...{ surfaceId: idOf(rows, 'SW1'), side: 'outside', filmId: frost, method: 'dry-fitted' },
        ...{ schools: {}, over: null, position: 9 },
      },
    },
  ]);
  await page.goto(`${job}/fit/${idOf(rows, 'SW1')}`);
  const films = page.getByRole('group', { name: 'Which film' });
  await expect(films.getByRole('button')).toHaveText([/neutral 35, room/, /frost stripes 12, outside/]);
  await page.getByRole('button', { name: 'Done, next step' }).click();
  await expect(page.getByText(/Step 2 of 13/)).toBeVisible();
  await films.getByRole('button', { name: /frost/ }).click();
  await expect(page.getByText(/Step 1 of \d+/)).toBeVisible();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Leave this step out' }).click();
  await page.getByRole('button', { name: 'Done before' }).click();
  await expect(page.getByText(/Step 2 of \d+/)).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(step(page)).toContainText('Left out: done before.');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Done, next step' })).toBeVisible();
  await allSaved(page);
});

test('bad input at Fit: a note of 10,000 characters, a picture of 30 MB, one in HEIC, a clock set back', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  const rows = await rowsOf(page, job);
  await page.goto(`${job}/fit/${idOf(rows, 'CO1')}`);
  const note = page.getByRole('textbox', { name: 'Note' });
  await note.fill('x'.repeat(10_000));
  await note.blur();
  await expect(
    page.getByRole('alert').filter({ hasText: 'at most 4000 characters; this one has 10000' }),
  ).toBeVisible();
  await page.reload();
  await expect(note).toHaveValue('x'.repeat(10_000));
  await note.fill('short');
  await note.blur();
  await expect(page.getByText('at most 4000')).toBeHidden();

  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Problem here' }).click();
  const camera = page.getByLabel('Mark it, with a picture');
  const heic = Buffer.concat([Buffer.from('000000186674797068656963', 'hex'), Buffer.alloc(200)]);
  await camera.setInputFiles({ name: 'IMG_1.heic', mimeType: 'image/heic', buffer: heic });
  await expect(page.getByRole('alert').filter({ hasText: 'IMG_1.heic' })).toContainText(
    'set the phone to save JPEG',
  );
  const noise = Buffer.alloc(3300 * 3100 * 3);
  for (let at = 0, seed = 7; at < noise.length; at += 1) {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
    noise[at] = seed >> 16;
  }
  const large = await sharp(noise, { raw: { width: 3300, height: 3100, channels: 3 } })
    .png({ compressionLevel: 0 })
    .toBuffer();
  expect(large.length).toBeGreaterThan(30_000_000);
  await camera.setInputFiles({ name: 'large.png', mimeType: 'image/png', buffer: large });
  await expect.poll(async () => (await rowsOf(page, job))['photo']?.length).toBe(1);
  expect((await rowsOf(page, job))['photo']).toMatchObject([{ width_px: 2000, step: 'mask' }]);

  await page.getByRole('button', { name: /\d+\. Water-based primer/ }).click();
  await page.getByRole('button', { name: 'Done, next step' }).click();
  await expect(page.getByRole('alert')).toContainText('Wait:');
  await page.clock.setSystemTime(minutes(-120));
  await expect(page.getByRole('alert')).toContainText(
    'The clock of this device stands before the step was done',
  );
  await expect(page.getByRole('button', { name: 'Waiting' })).toBeDisabled();
  await allSaved(page);
});
