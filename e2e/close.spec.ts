import type { Locator, Page } from '@playwright/test';
import { allSaved, copyOfDemo, expect, test } from './house';

const reckoning = (page: Page): Locator => page.getByRole('complementary', { name: 'Reckoning' });
const figure = (page: Page, word: string): Locator =>
  reckoning(page).locator('yp-figure button, p.flex').filter({ hasText: word }).locator('.figure').first();

test('what the job costs: its band, the price that keeps the margin, the chance to lose at a price; what is guessed', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/close`);
  await expect(page.getByRole('heading', { name: 'What does it cost?' })).toBeVisible();
  await expect(figure(page, 'Costs on average')).toContainText(/^CHF\s[\d,]+\.\d\d$/);
  await expect(figure(page, 'Four jobs in five like it')).toContainText(/CHF.* to CHF/);
  const money = async (word: string): Promise<number> =>
    Number(((await figure(page, word).textContent()) ?? '').replace(/[^\d.]/g, ''));
  const price = await money('Price, net');
  expect(price).toBeGreaterThan(await money('Costs on average'));
  expect(Math.abs((await money('With tax')) / (price * 1.081) - 1)).toBeLessThan(1e-4);
  await expect(page.getByRole('row', { name: /^SW1 \d+\.\d\d \d+ \d+\.\d\d$/ })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Film, CHF' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Rests on guesses' })).toContainText('minutes of each step');
  await reckoning(page)
    .getByRole('button', { name: /^Costs on average/ })
    .click();
  await expect(reckoning(page).getByText('K = F + r · t̄ + R')).toBeVisible();
  await reckoning(page).getByLabel('A price you think of').fill('10');
  await reckoning(page).getByLabel('A price you think of').press('Tab');
  await expect(figure(page, 'Chance to lose at')).toHaveText('10 in 10');
  await reckoning(page).getByLabel('Chance taken that less of it is kept').selectOption('5 %');
  await expect.poll(() => money('Price, net')).toBeGreaterThan(price);
});

test('terms are asked, never guessed: without a margin there is no price; what is no currency or no margin is named and stays', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/close`);
  const margin = reckoning(page).getByLabel('Margin to be kept of the price');
  await margin.fill('100');
  await margin.press('Tab');
  await expect(
    reckoning(page)
      .getByText(/0 to 99/)
      .first(),
  ).toBeVisible();
  await margin.fill('');
  await margin.press('Tab');
  await expect(reckoning(page)).toContainText('Say the margin wanted: it is asked, never guessed.');
  await expect(figure(page, 'Price, net')).toBeHidden();
  await reckoning(page).getByLabel('Currency, three letters').fill('X1');
  await reckoning(page).getByLabel('Currency, three letters').press('Tab');
  await expect(reckoning(page).getByRole('alert')).toContainText("'X1' given; three letters, such as CHF.");
  await expect(reckoning(page).getByLabel('Currency, three letters')).toHaveValue('X1');
  await allSaved(page);
});
