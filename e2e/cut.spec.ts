import { allSaved, copyOfDemo, expect, test } from './house';

test('blanks are laid out, the layout is proven the shortest, and undo takes it off the roll again', async ({ page, as }) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await page.getByRole('button', { name: /^Lay out/ }).click();
  await expect(page.getByRole('table', { name: /Cut list/ })).toBeVisible();
  await expect(page.getByText(/Nothing can use less on this roll: this is proven/)).toBeVisible();
  await allSaved(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('table', { name: /Cut list/ })).toHaveCount(0);
  await allSaved(page);
});
