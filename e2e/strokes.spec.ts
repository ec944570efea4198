import type { Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { fitOf, idOf, put, rowsOf } from './fit-steps';
import { allSaved, copyOfDemo, expect, test } from './house';

/** Opens a step of the film on a surface by its first words, cautions folded. */
async function stepOf(page: Page, job: string, tag: string, words: RegExp): Promise<void> {
  await fitOf(page, job, tag);
  await page.getByRole('region', { name: 'Steps', exact: true }).getByRole('button', { name: words }).click();
  const read = page.getByRole('button', { name: 'Read: fold it away' });
  if (await read.isVisible()) await read.click();
}
const strokes = (page: Page) => page.getByRole('region', { name: 'Strokes', exact: true });
const said = (page: Page, words: RegExp | string) => strokes(page).getByText(words);
const listed = (page: Page) =>
  strokes(page).getByRole('list', { name: 'Strokes in order' }).getByRole('listitem');
const pick = (page: Page, number: number) =>
  listed(page)
    .getByRole('button', { name: new RegExp(`^${number} `) })
    .click();
const act = (page: Page, name: string) => strokes(page).getByRole('button', { name, exact: true });

/** A film on a surface that has none. */
async function filmOn(page: Page, job: string, tag: string, method = 'trim in place'): Promise<void> {
  const rows = await rowsOf(page, job);
  const filmId = rows['application']?.find((row) => row['surfaceId'] === idOf(rows, 'SW1'))?.['filmId'];
  await put(page, job, [
    {
      op: 'put',
      table: 'application',
      id: newId(),
      fields: {
        ...{ surfaceId: idOf(rows, tag), side: 'room', filmId, method },
        ...{ schools: {}, over: null, position: 9 },
      },
    },
  ]);
}

/** Lengths of a surface that has none. */
async function measured(
  page: Page,
  job: string,
  tag: string,
  lengths: readonly (readonly [from: string, to: string, mm: number])[],
): Promise<void> {
  const rows = await rowsOf(page, job);
  await put(
    page,
    job,
    lengths.map(([fromPoint, toPoint, mm]) => ({
      op: 'put',
      table: 'measure',
      id: newId(),
      fields: {
        ...{ surfaceId: idOf(rows, tag), kind: 'distance', fromPoint, toPoint, text: String(mm) },
        ...{ unit: 'mm', value_nm: mm * 1_000_000, instrument: 'tape', sd_nm: null },
      },
    })),
  );
}

test('the arched fanlight: all of it gone over; one stroke later and led the other way shuts water in, by its number; mended; by keys alone', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await filmOn(page, job, 'FL1');
  await stepOf(page, job, 'FL1', /From the middle to the nearest edge/);
  await expect(said(page, /^FL1: \d+ strokes, 100 % gone over/)).toBeVisible();
  await expect(said(page, 'All of it is gone over; nothing is shut in.')).toBeVisible();
  await act(page, 'Change the strokes').press('Enter');
  await pick(page, 6);
  await act(page, 'Later').press('Enter');
  await expect(said(page, /^Stroke 7, across/)).toBeVisible();
  await act(page, 'The other way').press('Enter');
  await expect(said(page, /Stroke 7 is the first to shut water in/)).toBeVisible();
  await allSaved(page);
  await page.reload();
  await page
    .getByRole('region', { name: 'Steps', exact: true })
    .getByRole('button', { name: /From the middle to the nearest edge/ })
    .click();
  await expect(said(page, /Stroke 7 is the first to shut water in/)).toBeVisible();
  await act(page, 'Change the strokes').click();
  await pick(page, 7);
  await act(page, 'The other way').press('Enter');
  await expect(said(page, 'All of it is gone over; nothing is shut in.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(said(page, /Stroke 7 is the first to shut water in/)).toBeVisible();
  await act(page, 'As calculated').click();
  await expect(said(page, 'All of it is gone over; nothing is shut in.')).toBeVisible();
  await allSaved(page);
});

test('a stroke left out, drawn again by hand, moved by keys and by its end: the line is said before it is there', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await stepOf(page, job, 'SW1', /From the middle to the nearest edge/);
  await act(page, 'Change the strokes').click();
  await pick(page, 8);
  await act(page, 'Leave it out').click();
  await expect(said(page, /This leaves (a line here|2 lines)/)).toBeVisible();
  const gap = strokes(page).locator('svg path[fill*="gap"]').first();
  const [box, picture] = [
    await gap.boundingBox(),
    await strokes(page)
      .getByRole('group', { name: /^SW1: 44 strokes/ })
      .boundingBox(),
  ];
  if (box === null || picture === null) throw new Error('no gap is drawn');
  await act(page, 'Draw a stroke').click();
  const y = box.y + box.height / 2;
  await page.mouse.move(picture.x + picture.width / 2 - 12, y);
  await page.mouse.down();
  await page.mouse.move(picture.x + picture.width / 2 + 200, y, { steps: 4 });
  await page.mouse.up();
  await expect(said(page, /^Stroke 45, your own/)).toBeVisible();
  await expect(said(page, /This leaves/)).toHaveCount(0);
  await expect(said(page, /is the first to shut water in|All of it is gone over/)).toBeVisible();
  for (let times = 0; times < 12; times += 1) await act(page, 'Move by arrow keys').press('ArrowDown');
  await expect(said(page, /This leaves (a line here|\d lines)/)).toBeVisible();
  await allSaved(page);
  await act(page, 'Leave it out').click();
  await strokes(page).getByLabel('Lap').fill('150');
  await strokes(page).getByLabel('Lap').press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: 'lap' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(said(page, /^SW1: 44 strokes/)).toBeVisible();
  await allSaved(page);
});

test('a raked pane: played, two people at once, another blade; as one sees it from the side one stands on', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await measured(page, job, 'PT2', [
    ['bl', 'br', 1200],
    ['tl', 'bl', 700],
    ['tr', 'br', 1100],
    ['tl', 'br', Math.round(Math.hypot(1200, 700))],
    ['tr', 'bl', Math.round(Math.hypot(1200, 1100))],
  ]);
  await filmOn(page, job, 'PT2');
  await stepOf(page, job, 'PT2', /From the middle to the nearest edge/);
  await expect(said(page, /^PT2: \d+ strokes, 100 % gone over/)).toBeVisible();
  await expect(said(page, 'As one sees it from the room.')).toBeVisible();
  await act(page, 'Play').click();
  await act(page, 'Pause').click();
  await strokes(page)
    .getByRole('slider', { name: /Strokes done/ })
    .fill('6');
  await expect(said(page, /^6 of \d+$/)).toBeVisible();
  await strokes(page).getByText('Why so').click();
  const minutes = async (): Promise<number> =>
    Number.parseFloat(
      /([\d.]+) min/.exec(
        (await strokes(page)
          .getByRole('button', { name: /^One pass takes/ })
          .textContent()) ?? '',
      )?.[1] ?? '',
    );
  const alone = await minutes();
  await act(page, 'Change the strokes').click();
  await strokes(page).getByLabel('Two people, a half each at once').check();
  await expect.poll(minutes).toBeLessThan(alone);
  const before = await listed(page).count();
  await strokes(page).getByLabel('Blade').fill('250');
  await strokes(page).getByLabel('Blade').press('Tab');
  await expect.poll(async () => listed(page).count()).toBeLessThan(before);
  await expect(said(page, 'All of it is gone over; nothing is shut in.')).toBeVisible();
  await allSaved(page);
});

test('trim of a pre-squared blank shows two edges; the other side is cut where one stands outside', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await stepOf(page, job, 'A-S1', /Only the other side and the bottom/);
  const trim = page.getByRole('region', { name: 'What is trimmed' });
  await expect(trim.getByText('Trimmed: right, bottom, in 4 cuts.')).toBeVisible();
  await expect(trim.getByText('left: factory edge: it is not cut')).toBeVisible();
  await expect(trim.getByText('top: squared cut: it is not cut again')).toBeVisible();
  await trim.getByRole('button', { name: /^Points of a blade/ }).click();
  await expect(trim.getByText('what a point is good for', { exact: false }).first()).toBeVisible();
});

test('the liner by halves on a pane of 1.5 × 2.4 m, for one person and for two', async ({ page, as }) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await measured(page, job, 'PT2', [
    ['tl', 'tr', 1500],
    ['bl', 'br', 1500],
    ['tl', 'bl', 2400],
    ['tr', 'br', 2400],
  ]);
  await filmOn(page, job, 'PT2');
  const doneBy = async (crew: string): Promise<void> => {
    await page.goto(`${job}/survey`);
    await page.getByRole('option', { name: /\bPT2\b/ }).click();
    await page.getByText('Access, face, shade').click();
    await page.getByLabel('Done by').selectOption(crew);
    await allSaved(page);
  };
  await doneBy('one person');
  await fitOf(page, job, 'PT2');
  const school = page
    .getByRole('region', { name: 'Ways of working' })
    .getByRole('group')
    .filter({ hasText: 'Liner off by' })
    .first();
  await school.getByText('Liner off by').first().click();
  await school.getByRole('radio', { name: /^halves on the glass/ }).check();
  await page
    .getByRole('region', { name: 'Steps', exact: true })
    .getByRole('button', { name: /peel the liner to exactly half/ })
    .click();
  const liner = page.getByRole('region', { name: 'How the liner comes off' });
  await expect(liner.getByText('1. 1225 mm down, spray, lay it back')).toBeVisible();
  await expect(liner.getByText('2. 1225 mm up, spray, lay it back')).toBeVisible();
  await expect(liner.getByText('Alone: holds the film and rolls it up from below.')).toBeVisible();
  await allSaved(page);
  await doneBy('two people');
  await stepOf(page, job, 'PT2', /peel the liner to exactly half/);
  await expect(liner.getByText('Person 1 holds the film and rolls it up from below.')).toBeVisible();
  await expect(liner.getByText('Person 2 draws the liner.')).toBeVisible();
});
