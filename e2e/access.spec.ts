import AxeBuilder from '@axe-core/playwright';
import { DEMO_JOB, expect, surface, test } from './house';

const PAGES = [
  '/',
  '/films',
  '/stock',
  '/settings',
  '/bench',
  '/nowhere',
  ...[22, 24, 25, 26].map((n) => `${DEMO_JOB}/survey/${surface(n)}`),
  ...['survey', 'film', 'cut', 'day', 'fit', 'check', 'close'].map(
    (stop) => `${DEMO_JOB}/${stop}/${surface(stop === 'survey' ? 3 : 1)}`,
  ),
];

for (const theme of ['noon', 'cellar'] as const) {
  test(`every page is free of axe findings in the ${theme} theme, and nothing breaks the security policy`, async ({
    page,
    as,
  }) => {
    const complaints: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') complaints.push(message.text());
    });
    page.on('pageerror', (error) => {
      complaints.push(error.message);
    });
    await as(page, 'Wren', theme);
    for (const path of PAGES) {
      await page.goto(path);
      await expect(page.locator('h1').first()).toBeAttached();
      await page.waitForTimeout(150);
      if (path.includes('/cut/')) {
        await page.getByRole('button', { name: /^Lay out/ }).click();
        await expect(page.getByRole('table')).toBeVisible();
      }
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(
        violations.map(
          ({ id, nodes }) => `${path}: ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
        ),
      ).toEqual([]);
    }
    await page.keyboard.press('F1');
    const { violations } = await new AxeBuilder({ page })
      .include('[role=dialog], cdk-dialog-container')
      .analyze();
    expect(violations.map(({ id, nodes }) => `commands: ${id}: ${nodes[0]?.html ?? ''}`)).toEqual([]);
    expect(complaints).toEqual([]);
  });
}

test('what asks for a name is free of axe findings', async ({ page }) => {
  await page.route('/api/people', (route) => route.fulfill({ json: { people: [], ready: null } }));
  await page.goto('/');
  await page.getByRole('textbox', { name: 'New job' }).fill('Kiosk');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Who are you?' })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [390, 844],
] as const) {
  test(`at ${width} × ${height} no stop scrolls the page`, async ({ page, as }) => {
    await page.setViewportSize({ width, height });
    await as(page, 'Wren');
    for (const stop of ['survey', 'film', 'cut', 'day', 'fit', 'check', 'close']) {
      await page.goto(`${DEMO_JOB}/${stop}/${surface(1)}`);
      await expect(page.locator('h1').first()).toBeAttached();
      const over = await page.evaluate(() => ({
        x: document.documentElement.scrollWidth - innerWidth,
        y: document.documentElement.scrollHeight - innerHeight,
      }));
      expect({ stop, ...over }).toEqual({ stop, x: 0, y: 0 });
    }
  });
}

test('on a phone the schedule and the reckoning slide over the sheet; targets at Fit are at least 44 px', async ({
  page,
  as,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/fit/${surface(1)}`);
  await page.getByRole('button', { name: 'Surfaces' }).click();
  await page.getByRole('option', { name: /SW2/ }).click();
  await expect(page.getByRole('heading', { name: /^SW2/ })).toBeVisible();
  await page.getByRole('button', { name: 'Reckoning' }).click();
  await expect(page.getByRole('heading', { name: 'Steps' })).toBeVisible();
  await page.getByRole('button', { name: 'Close reckoning' }).click();
  const heights = await page
    .getByRole('main')
    .getByRole('button')
    .evaluateAll((buttons) => buttons.map((button) => button.getBoundingClientRect().height));
  expect(heights.length).toBeGreaterThan(2);
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(44);
});
