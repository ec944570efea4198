import type { Page } from '@playwright/test';
import { allSaved, copyOfDemo, expect, test } from './house';

async function checkOf(page: Page, job: string, tag: string): Promise<void> {
  await page.goto(`${job}/check`);
  if ((page.viewportSize()?.width ?? 0) < 768) await page.getByRole('button', { name: 'Surfaces' }).click();
  await page.getByRole('searchbox', { name: 'Find a surface' }).fill(tag);
  await page.getByRole('option', { name: new RegExp(` ${tag} `) }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tag);
}
const one = (page: Page) => page.getByRole('region', { name: /^Mark \d+$/ });
const reckoning = (page: Page) => page.getByRole('complementary').or(page.getByRole('main'));

test('marks are put where they are and judged by a rule set, with the number that decided; another set judges otherwise', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await checkOf(page, job, 'SW1');
  const picture = page.getByRole('img', { name: 'SW1: 0 marks' });
  const box = await picture.boundingBox();
  if (box === null) throw new Error('nothing drawn');
  await page.mouse.click(box.x + box.width / 2 + 20, box.y + box.height / 2);
  await expect(one(page).getByText('Measure what it is: it decides.')).toBeVisible();
  await one(page).getByLabel('What it is').selectOption('speck');
  await expect(one(page).getByText('Measure its size: it decides.')).toBeVisible();
  await one(page).getByLabel('Size').fill('5');
  await one(page).getByLabel('Size').press('Tab');
  await expect(one(page).getByRole('heading')).toHaveText('Mark 1: measure it');
  await expect(one(page).getByText('whether it is obtrusive, a person says')).toBeVisible();
  await page.getByLabel('Judged by').selectOption('laminated glass kind');
  await expect(one(page).getByRole('heading')).toHaveText('Mark 1: redo');
  await expect(one(page).getByText('1 mark over 3 mm in the main zone; 0 may be.')).toBeVisible();
  await expect(reckoning(page).getByText('By the worst of 1.').first()).toBeVisible();
  await allSaved(page);
  await page.reload();
  await expect(page.getByRole('list', { name: 'SW1: 1 marks' })).toContainText('1. speck');
  await page.getByLabel('Judged by').selectOption('laminated glass kind');
  await page.getByRole('list', { name: 'SW1: 1 marks' }).getByRole('button').click();
  await one(page).getByRole('button', { name: 'Gone', exact: true }).click();
  await expect(page.getByRole('list', { name: 'SW1: 0 marks' })).toContainText('gone');
  await page.keyboard.press('Control+z');
  await expect(one(page).getByRole('heading')).toHaveText('Mark 1: redo');
  await allSaved(page);
});

test('by keys: a mark in the middle, moved on the grid; a bubble asks water or air, a scratch film or glass; sizes nobody has are said', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.setViewportSize({ width: 390, height: 844 });
  const job = await copyOfDemo(page);
  await checkOf(page, job, 'SW2');
  await page.getByRole('button', { name: 'A mark in the middle' }).press('Enter');
  await one(page).getByLabel('What it is').selectOption('bubble');
  await expect(one(page).getByText('Water or air?')).toBeVisible();
  await one(page).getByRole('button', { name: 'Water', exact: true }).press('Enter');
  await expect(one(page).getByRole('heading')).toHaveText('Mark 1: watch');
  for (let times = 0; times < 3; times += 1)
    await one(page).getByRole('button', { name: 'Move by arrow keys' }).press('ArrowRight');
  await one(page).getByLabel('What it is').selectOption('scratch');
  await one(page).getByRole('button', { name: 'In the glass' }).press('Enter');
  await expect(one(page).getByText('In the glass, and not recorded before the work')).toBeVisible();
  await one(page).getByLabel('What it is').selectOption('speck');
  await one(page).getByLabel('Size').fill('3.1 m');
  await one(page).getByLabel('Size').press('Tab');
  await expect(one(page).getByText('No mark is of that size')).toBeVisible();
  await one(page).getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('No marks yet')).toBeVisible();
  await allSaved(page);
});
