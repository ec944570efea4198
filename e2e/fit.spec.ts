import type { Page } from '@playwright/test';
import { fitOf } from './fit-steps';
import { allSaved, copyOfDemo, expect, test } from './house';

const school = (page: Page, asks: string) =>
  page.getByRole('region', { name: 'Ways of working' }).getByRole('group').filter({ hasText: asks }).first();

test('a school is by rule with its reason; one pane goes its own way, then the whole job; the steps follow', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'SW1');
  const steps = page.getByRole('region', { name: 'Steps' });
  await expect(steps).toContainText('One stroke across the top');
  await steps.getByRole('button', { name: /Just before the film/ }).click();
  await expect(page.getByText('wetted just before the film goes on, within 5 min.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Slip stays wet now, about/ })).toContainText(
    /\d+ min \(\d+ to \d+\)/,
  );

  const locked = school(page, 'Locked with');
  await expect(locked).toContainText('by rule: level and centre at once');
  await locked.getByText('Locked with').first().click();
  await locked.getByRole('radio', { name: /^quarters/ }).check();
  await expect(locked).toContainText('chosen here');
  await expect(steps).toContainText('then the four quarters');
  await locked.getByRole('button', { name: 'For the whole job: quarters' }).click();
  await allSaved(page);
  await fitOf(page, job, 'SW2');
  await expect(school(page, 'Locked with')).toContainText('as the whole job');
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('then the four quarters');
});

test('rescue glass is held back until the written consent stands in Survey; a word does not lift it', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/survey`);
  await page.getByRole('option', { name: /\bA-S1\b/ }).click();
  await page.getByText('Access, face, shade').click();
  await page.getByLabel('Rescue or escape glass').selectOption('yes');
  await expect(page.getByText('No film on rescue, escape or hammer glass before')).toBeVisible();
  await allSaved(page);

  await fitOf(page, job, 'A-S1');
  const done = page.getByRole('button', { name: 'Done, next step' });
  await expect(page.getByRole('alert')).toContainText('Held back until the written consent');
  await expect(done).toBeDisabled();
  await page.getByRole('textbox', { name: 'Note' }).fill('the driver said it is fine');
  await page.getByRole('textbox', { name: 'Note' }).blur();
  await allSaved(page);
  await expect(done).toBeDisabled();

  await page.getByRole('link', { name: /^Survey/ }).click();
  await page.getByText('Access, face, shade').click();
  await page.getByRole('button', { name: 'Note the consent' }).click();
  await expect(page.getByText('Say who agreed and the number of the paper.')).toBeVisible();
  await page.getByLabel('Agreed by').fill('funicular operator');
  await page.getByLabel('Number or date of the paper').fill('K 17');
  await page.getByRole('button', { name: 'Note the consent' }).click();
  await expect(page.getByText(/Agreed in writing by funicular operator, K 17\. Noted by Wren/)).toBeVisible();
  await allSaved(page);
  await page.getByRole('link', { name: /^Fit/ }).click();
  await expect(done).toBeEnabled();
});

test('a step that repeats counts its rounds: nine turns of a column, then done', async ({ page, as }) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'CO1');
  await page
    .getByRole('region', { name: 'Steps' })
    .getByRole('button', { name: /One wing round/ })
    .click();
  const sheet = page.getByRole('main');
  for (let look = 0; look < 4; look += 1)
    await sheet.getByRole('button', { name: 'Right', exact: true }).click();
  await expect(page.getByText('0 of 9, next: 1')).toBeVisible();
  for (let round = 1; round < 9; round += 1)
    await page.getByRole('button', { name: `Round ${round} of 9 done` }).click();
  await allSaved(page);
  await page.reload();
  await page
    .getByRole('region', { name: 'Steps' })
    .getByRole('button', { name: /One wing round/ })
    .click();
  await page.getByRole('button', { name: 'Done, next step' }).click();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByText('All 9 done')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Not done after all' })).toBeVisible();
});

test('in the middle of the work: what now, three lines, and back to the step', async ({ page, as }) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'SW1');
  await page.getByRole('button', { name: 'What now?' }).click();
  await page.getByText('Slides off').click();
  await expect(page.getByText('Squeeze the top lock.')).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByText('Squeeze the top lock.')).toBeHidden();
});

test('the slide test: it sticks, so much more soap; right, and the next mix is made so', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/day`);
  await page.getByRole('button', { name: 'Mixes' }).click();
  const slip = page.getByRole('region', { name: 'slip', exact: true });
  await slip.getByRole('button', { name: 'It sticks' }).click();
  await expect(slip.getByRole('status')).toContainText(/3\.7 ml more soap into this bottle: 1\.17 %/);
  await slip.getByRole('button', { name: 'Right: moves and stays' }).click();
  await expect(slip.getByRole('status')).toContainText('1.17 % soap is right today');
  await expect(page.getByRole('radio', { name: /^as it was right before/ })).toBeChecked();
  await expect(slip).toContainText('1.17 % soap, as it was right before');
  await allSaved(page);
});
