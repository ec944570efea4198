import { expect, test } from './house';

test.beforeEach(async ({ page, as }) => {
  await as(page, 'Wren');
});

test('a job is made, renamed, duplicated, archived, deleted, and each is undone', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Kestrel Hill Funicular' })).toBeVisible();
  await page.getByRole('button', { name: 'Start job' }).click();
  await expect(page.getByText('Type what the job is called')).toBeVisible();

  await page.getByRole('button', { name: 'Rename Kestrel Hill Funicular' }).click();
  await page.getByLabel('New name of Kestrel Hill Funicular').fill('Kestrel Hill, winter');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Kestrel Hill, winter' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: 'Kestrel Hill Funicular' })).toBeVisible();

  await page.getByRole('button', { name: 'Duplicate Kestrel Hill Funicular' }).click();
  await expect(page.getByRole('heading', { name: 'Kestrel Hill Funicular (copy)' })).toBeVisible();
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: 'Kestrel Hill Funicular' })
      .filter({ hasText: '30 surfaces, 21 measured, 18 with film' }),
  ).toHaveCount(2);
  await page.getByRole('button', { name: 'Archive Kestrel Hill Funicular (copy)' }).click();
  await expect(page.getByRole('heading', { name: 'Kestrel Hill Funicular (copy)' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Archived jobs (1)' }).click();
  await page.getByRole('button', { name: 'Delete Kestrel Hill Funicular (copy)' }).click();
  await expect(page.getByText('Nothing is archived.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Kestrel Hill Funicular (copy)' })).toBeVisible();
});

test('names with HTML and SQL are shown as typed and run nothing', async ({ page }) => {
  const name = `<img src=x onerror=alert(1)> '); drop table job; --`;
  page.on('dialog', () => {
    throw new Error('something ran');
  });
  await page.goto('/');
  await page.getByLabel('New job').fill(name);
  await page.getByRole('button', { name: 'Start job' }).click();
  await expect(page.getByTitle(name)).toHaveText(name);
});

test('a film is added from its sheet; what does not fit is said and stays typed', async ({ page }) => {
  await page.goto('/films');
  await page.getByLabel('Name', { exact: true }).fill('my film 40');
  await page.getByLabel('Thickness, µm').fill('50');
  await page.getByLabel('Roll widths, semicolons between').fill('about 60');
  await page.getByRole('button', { name: 'Add this film' }).click();
  await expect(page.getByText('Roll widths: expected widths up to 5 m')).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('my film 40');
  await page.getByLabel('Roll widths, semicolons between').fill('60 in; 1830');
  await page.getByLabel('Light kept', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Add this film' }).click();
  await expect(page.getByText('my film 40 is in the catalogue.')).toBeVisible();
  await expect(page.getByRole('row', { name: /my film 40/ })).toContainText('1524 mm · 1830 mm');
});

test('a rate that was measured replaces the guess and says so', async ({ page }) => {
  await page.goto('/settings');
  await page.getByLabel('slip to wet a pane once (l/m²)').fill('0.12');
  await page.getByLabel('slip to wet a pane once (l/m²)').press('Tab');
  await expect(page.getByText('Changed by Wren.')).toBeVisible();
  await page.getByLabel('slip to wet a pane once (l/m²)').fill('much');
  await page.getByLabel('slip to wet a pane once (l/m²)').press('Tab');
  await expect(page.getByText('expected a number from 0, got “much”')).toBeVisible();
});
