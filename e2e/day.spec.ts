import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { SEARCHED, bars, keep, plan, play, pushedIntoOtherWork, test } from './day-steps';
import { v7 as newId } from 'uuid';
import { put, rowsOf } from './fit-steps';
import { copyOfDemo, expect } from './house';

test('planned under cloud; when the forecast turns clear, the plan moves out of the sun and says why', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await play(page, 'mild overcast');
  await page.goto(`${await copyOfDemo(page)}/day`);
  await plan(page);
  await keep(page);
  await expect(page.getByText(/^Start /)).toBeVisible();
  await play(page, 'clear cold snap');
  await page.getByRole('button', { name: 'Ask again' }).click();
  const moved = page.getByRole('region', { name: 'What moved' });
  await expect(moved).toBeVisible(SEARCHED);
  await expect(moved.getByText(/the sun is on it, until/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep this plan' })).toBeVisible(SEARCHED);
});

/** Stretches of the front that are pushed on, until one can be planned round. */
const MOST_TRIED = 6;

test('a stretch dragged into the sun is refused with the minute; by keyboard too; pinned it stays through the next plan', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/day`);
  await plan(page);
  const first = page.getByRole('region', { name: 'Day in order' }).getByRole('button').first();
  await first.click();
  await expect(first).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('region', { name: 'Step picked' })).toContainText(
    (await first.locator('strong').textContent()) ?? 'nothing',
  );
  await page.getByRole('button', { name: 'by surface' }).click();
  await expect(page.getByRole('button', { name: 'by surface', pressed: true })).toBeVisible();
  const bar = bars(page, 'SW[1246]').first();
  const before = await bar.getAttribute('aria-label');
  const box = await bar.boundingBox();
  const lane = await page.getByRole('region', { name: 'Board' }).boundingBox();
  if (box === null || lane === null) throw new Error('no bar of the front is drawn');
  await page.mouse.move(box.x + 4, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(lane.x + lane.width * 0.55, box.y + box.height / 2, { steps: 6 });
  await expect(
    page.getByRole('alert').filter({ hasText: /the sun is on it, until \d\d:\d\d/ }),
  ).toBeVisible();
  await page.mouse.up();
  await expect(
    page.getByRole('alert').filter({ hasText: /cannot start .*the sun is on it, until \d\d:\d\d/ }),
  ).toBeVisible();
  expect(await bar.getAttribute('aria-label')).toBe(before);
  await bar.focus();
  await page.keyboard.press('p');
  await expect(bar).toHaveAttribute('aria-label', /pinned/);
  const pinned = await bar.getAttribute('aria-label');
  await page.getByRole('button', { name: 'Plan again' }).click();
  await expect(page.getByRole('button', { name: 'Keep this plan' })).toBeVisible(SEARCHED);
  await expect(
    page.getByRole('region', { name: 'Board' }).getByRole('button', {
      name: new RegExp(`^${(pinned ?? 'none').split(', ').slice(0, 3).join(', ')}, .*pinned`),
    }),
  ).toBeVisible();
});

test('a stretch that only other work stands in the way of is put there, and the rest is planned round it', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  const round = page.getByRole('button', { name: /^Put it at .* and plan the rest round it$/ });
  const none = page.getByText('There is no plan');
  const board = page.getByRole('region', { name: 'Board' });
  let isPlanned = false;
  /** So late in the day that what must follow at once finds no place: that is said, another is tried. */
  for (let past = 0; past < MOST_TRIED && !isPlanned; past += 1) {
    await page.goto(`${job}/day`);
    await plan(page);
    await page.getByRole('button', { name: 'by surface' }).click();
    const [tag, work] = (await pushedIntoOtherWork(page, round, past)).split(', ');
    const wanted = /Put it at (.*) and/.exec((await round.textContent()) ?? '')?.[1] ?? 'nowhere';
    const name = new RegExp(`^${tag ?? ''}, ${work ?? ''}, ${wanted} to .*pinned`);
    const put = board.getByRole('button', { name }).first();
    await round.click();
    await expect(put.or(none).first()).toBeVisible(SEARCHED);
    isPlanned = await put.isVisible();
    if (!isPlanned) await expect(page.getByText(/finds no place in these days/)).toBeVisible();
  }
  expect(isPlanned).toBe(true);
  await expect(page.getByRole('button', { name: /no longer holds/ })).toHaveCount(0);
  await expect(round).toHaveCount(0);
});

test('the calendar is read back by an independent parser, and a new plan does not double its events', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/day`);
  await plan(page);
  await keep(page);
  const read = async (): Promise<readonly ICAL.Event[]> => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Calendar (ICS)' }).click(),
    ]);
    return new ICAL.Component(
      ICAL.parse(readFileSync(await file.path(), 'utf8')) as ConstructorParameters<typeof ICAL.Component>[0],
    )
      .getAllSubcomponents('vevent')
      .map((own) => new ICAL.Event(own));
  };
  const once = await read();
  expect(once.length).toBeGreaterThan(20);
  expect(new Set(once.map(({ uid }) => uid)).size).toBe(once.length);
  for (const event of once)
    expect(event.endDate.toJSDate().getTime()).toBeGreaterThan(event.startDate.toJSDate().getTime());
  await plan(page);
  await keep(page);
  expect((await read()).map(({ uid }) => uid).sort()).toEqual(once.map(({ uid }) => uid).sort());
  const firstDay = String((await rowsOf(page, job))['plannedStep']?.map((own) => own['startsAt']).sort()[0]);
  const reason = { key: 'of a story', kind: 'other', surfaceId: null, applicationId: null, markId: null };
  await put(page, job, [
    {
      ...{ op: 'put', table: 'visit', id: newId() },
      fields: {
        ...{ reasons: [reason], notBefore: null, due: null, plannedAt: firstDay, people: [], note: '' },
        state: 'open',
      },
    },
  ]);
  await expect(page.getByRole('group', { name: 'Visits' })).toContainText('Asked to come by');
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Day sheet (PDF)' }).click(),
  ]);
  expect(
    readFileSync(await sheet.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});
