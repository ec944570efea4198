import { NOT_BEGUN } from '@yellow-pane/core/job';
import type { Locator, Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { idOf, put, rowsOf } from './fit-steps';
import { allSaved, copyOfDemo, expect, test } from './house';
import { NOW } from './when';

const DAY_MS = 86_400_000;
const one = (page: Page): Locator => page.getByRole('region', { name: /^Mark \d+$/ });
const causes = (page: Page): Locator => page.getByRole('status').filter({ hasText: /in 10\)/ });

async function checkOf(page: Page, job: string, tag: string): Promise<void> {
  await page.goto(`${job}/check`);
  await page.getByRole('searchbox', { name: 'Find a surface' }).fill(tag);
  await page.getByRole('option', { name: new RegExp(` ${tag} `) }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tag);
}

/** The film of a surface was handed over so many days ago. */
async function laid(page: Page, job: string, tag: string, days: number): Promise<void> {
  const rows = await rowsOf(page, job);
  const film = rows['application']?.find((row) => row['surfaceId'] === idOf(rows, tag))?.id;
  const had = rows['workRecord']?.find((row) => row['applicationId'] === film && row['step'] === 'handover');
  await put(page, job, [
    {
      ...{ table: 'workRecord', id: had?.id ?? newId() },
      ...(had === undefined ? { op: 'put' } : { op: 'set', baseVersion: had['version'] }),
      fields: {
        ...{ ...NOT_BEGUN, applicationId: film, template: 'flat-glass', step: 'handover' },
        ...{ templateVersion: 1, people: ['Wren'] },
        doneAt: new Date(Date.parse(NOW) - days * DAY_MS).toISOString(),
      },
    },
  ]);
}

test('water of five days and of sixty: its chance by age, its date, what may be done when, and the curve; past its date it is no ordinary pocket', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await laid(page, job, 'SW1', 5);
  await checkOf(page, job, 'SW1');
  await page.getByRole('button', { name: 'A mark in the middle' }).click();
  await one(page)
    .getByRole('button', { name: /^water pocket/ })
    .click();
  const chance = one(page).getByText(/days old: \d+ in 10 that it is ordinary drying/);
  await expect(chance).toContainText(/^5 days old: (8|9) in 10/);
  await expect(one(page).getByRole('heading', { name: /watch until/ })).toBeVisible();
  const dates = page.getByRole('region', { name: /what may be done when/ });
  await expect(dates.getByText('Judge pockets for good')).toBeVisible();
  await expect(dates).toContainText('By the forecast, then by the climate of the place, month by month.');
  await dates.getByText('Why then: the curve and the sums').click();
  await expect(
    dates.getByRole('img', { name: 'Water left under the film and bond reached, day by day' }),
  ).toBeVisible();
  await expect(dates.getByText(/December \d\.\d\d, January \d\.\d\d/)).toBeVisible();
  await allSaved(page);
  await laid(page, job, 'SW1', 60);
  await expect(one(page).getByText('No ordinary pocket: it is past its date.')).toBeVisible();
  await expect(one(page).getByRole('heading', { name: /watch until/ })).toBeHidden();
  await allSaved(page);
});

test('air bubbles that came with the sun, in lines between strokes: strokes that did not lap, with what mends it; confirmed cases change the next prior, with a job and without', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto('/why');
  await page.getByRole('button', { name: 'bubbles under film laid dry' }).click();
  const card = page.getByRole('region', { name: 'bubbles under film laid dry' });
  const before = await causes(page).textContent();
  const answer = async (question: string, state: string): Promise<void> => {
    const group = card.getByRole('group', { name: question });
    if (!(await group.isVisible())) await card.getByText('Say what else is known').click();
    await group.getByRole('button', { name: state }).click();
  };
  await answer('How do they lie?', 'lines between strokes');
  await answer('When did it come?', 'sun or heat next day');
  await expect(causes(page)).toContainText(/^ ?Probably strokes that did not lap/);
  await expect(card.getByText(/helps \d+ in 10, about \d+ min/).first()).toBeVisible();
  await expect(card.getByText(/How do they lie\? lines between strokes: speaks \w+ for/)).toBeVisible();
  await card.getByLabel('Whose work, where, what film').fill('Mill Street 4, by others');
  await card.getByLabel('What it was in the end').selectOption({ label: 'strokes that did not lap' });
  await card.getByRole('button', { name: 'Keep this case' }).click();
  await expect(card.getByText('Kept.')).toBeVisible();
  const kept = page.getByRole('region', { name: 'Kept cases' });
  await expect(kept).toContainText(
    'bubbles under film laid dry, Mill Street 4, by others: it was strokes that did not lap',
  );
  const more = Array.from({ length: 8 }, () => newId());
  for (const id of more) {
    const said = await page.request.put(`/api/cases/${id}`, {
      data: {
        who: 'Wren',
        case: {
          ...{ where: 'before', look: 'dryBubbles', answers: [], tableVersion: 1, posterior: null },
          ...{ confirmed: 'noOverlap', how: 'seen', remedy: null },
        },
      },
    });
    expect(said.ok()).toBe(true);
  }
  await page.reload();
  await page.getByRole('button', { name: 'bubbles under film laid dry', exact: true }).click();
  await expect(causes(page)).not.toHaveText(before ?? '');
  await expect(causes(page)).toContainText(/^ ?Probably strokes that did not lap/);
  await expect(page.getByRole('region', { name: 'Was the certainty deserved?' })).toContainText(
    'too few to say',
  );
  for (const id of more)
    await page.request.put(`/api/cases/${id}`, {
      headers: { 'If-Match': '"1"' },
      data: {
        ...{ who: 'Wren', removed: true },
        case: {
          ...{ where: 'before', look: 'dryBubbles', answers: [], tableVersion: 1, posterior: null },
          ...{ confirmed: null, how: null, remedy: null },
        },
      },
    });
  await page.reload();
  await kept.getByRole('button', { name: 'Take out' }).first().click();
  await expect(kept).toBeHidden();
});

test('somebody calls: three questions, what to say, and where it is ours a mark and a visit; a crack stops at once', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  const id = job.split('/').at(-1) ?? '';
  await laid(page, job, 'SW2', 300);
  await page.goto('/');
  await page.getByRole('link', { name: 'Calls and causes' }).click();
  const card = page.getByRole('region', { name: 'Somebody calls' });
  await card.getByRole('button', { name: 'A crack in the glass' }).click();
  await expect(card.getByRole('status')).toContainText('Stop using it');
  await expect(card.getByRole('status')).toContainText('A licensed glazier looks at it');
  await card.getByRole('button', { name: 'Bubbles, water or haze' }).click();
  await expect(card.getByRole('status')).toBeHidden();
  await card.getByRole('button', { name: 'under a week ago' }).click();
  await card.getByRole('button', { name: 'No', exact: true }).click();
  await expect(card.getByRole('status')).toContainText('That is normal');
  await card.getByRole('button', { name: 'longer ago' }).click();
  await expect(card.getByRole('status')).toContainText('We come by');
  const name = (
    (await (await page.request.get(`/api/jobs/${id}`)).json()) as { rows: { job: { name: string }[] } }
  ).rows.job[0]?.name;
  await card
    .getByRole('button', { name: `To ${name ?? ''}`, exact: true })
    .last()
    .click();
  const call = page.getByRole('region', { name: 'Somebody calls' });
  await expect(call).toContainText('On the phone: bubbles, water or haze, laid longer ago.');
  await page.getByRole('searchbox', { name: 'Find a surface' }).fill('SW2');
  await page.getByRole('option', { name: / SW2 / }).click();
  await call.getByRole('button', { name: 'Put it on SW2, with a visit' }).click();
  await expect(call).toBeHidden();
  await expect(page.getByRole('list', { name: /SW2: \d marks/ })).toContainText('bubble');
  await expect(page.getByRole('region', { name: 'Visits' })).toContainText('Asked to come by: SW2');
  await allSaved(page);
  const at = page.url().split('/jobs/')[1]?.split('/')[0] ?? '';
  const rows = await rowsOf(page, `/jobs/${at}`);
  expect(rows['mark']?.at(-1)).toMatchObject({ look: 'bubble', from: 'phone', x_nm: null });
  expect(rows['visit']?.at(-1)).toMatchObject({ reasons: [{ kind: 'other' }], state: 'open' });
});
