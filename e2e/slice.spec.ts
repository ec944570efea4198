import { readFileSync } from 'node:fs';
import { allSaved, expect, field, newContext, startServer, test } from './house';

test('the whole slice by keyboard: measure out of square, film, cut, fit; browser closed, server killed, all there', async ({
  browser,
}) => {
  const server = await startServer({ isDemo: true });
  const context = await newContext(browser, server.address);
  let page = await context.newPage();
  const type = async (text: string): Promise<void> => {
    await page.keyboard.type(text);
  };
  const press = async (...keys: string[]): Promise<void> => {
    for (const key of keys) await page.keyboard.press(key);
  };
  const command = async (words: string): Promise<void> => {
    await press('F1');
    await expect(page.getByRole('combobox', { name: 'What do you want to do?' })).toBeFocused();
    await type(words);
    await press('Enter');
  };

  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await press('Alt+n');
  await type('Kiosk at the valley stop');
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'Measure the first surface' })).toBeVisible();
  await command('new surface');
  await expect(field(page, 'Width at the top')).toBeFocused();

  await type('34 5/8');
  await press('Enter');
  await expect(field(page, 'Width at the top')).toHaveValue('879.5');
  for (const text of ['88 cm', '884', '1200', '1201', '3\'11-1/4"', '1488']) {
    await type(text);
    await press('Enter');
  }
  await type('1492,5');
  await expect(page.getByText('The measures agree').or(page.getByText('disagree'))).toBeVisible();
  await press('Enter');
  await allSaved(page);
  const surfaceUrl = page.url();
  await expect(page.getByRole('button', { name: /Out of square/ })).toBeVisible();

  await press('Alt+2');
  await expect(page.getByRole('heading', { name: 'Film for W1' })).toBeVisible();
  await press('Alt+g');
  await expect(page.locator('[name=film]:focus')).toBeVisible();
  await page.getByRole('radio', { name: /neutral 50/ }).focus();
  await press('Space', 'Alt+Enter');
  await expect(page.getByText('neutral 50 is on W1.')).toBeVisible();

  await press('Alt+3');
  await expect(page.getByRole('button', { name: 'Lay out 1 blank' })).toBeEnabled();
  await press('Alt+Enter');
  await expect(page.getByRole('rowheader', { name: 'W1' })).toBeVisible();
  await allSaved(page);
  await page.getByText('Files of this plan').click();
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'List as CSV' }).press('Enter'),
  ]);
  expect(readFileSync(await csv.path(), 'utf8')).toMatch(
    /^order,roll,strip,tag,.*\r\n1,[^,]*,1,W1,0\.0,0\.0,/,
  );
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Roll as SVG' }).press('Enter'),
  ]);
  expect(readFileSync(await svg.path(), 'utf8')).toContain('>W1</text>');

  await press('Alt+5');
  await expect(page.getByText('Step 1 of')).toBeVisible();
  await expect(page.getByText('Film can crack glass.').first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'After it, if it is laid today' })).toBeVisible();
  await press('Alt+Enter');
  await expect(page.getByText('Step 2 of')).toBeVisible();
  await page.getByLabel('Note', { exact: true }).focus();
  await type('blank 3 mm short at the left');
  await press('Tab');
  await press('Alt+t');
  await expect(page.getByRole('timer')).toBeVisible();
  await allSaved(page);

  await page.close();
  server.process.kill('SIGKILL');
  await new Promise((done) => server.process.once('exit', done));
  const again = await startServer({ folder: server.folder });
  page = await (await newContext(browser, again.address)).newPage();
  await page.addInitScript(() => {
    localStorage.setItem(
      'yellow-pane.device',
      JSON.stringify({ who: 'Finch', units: 'metric', theme: 'noon' }),
    );
  });
  await page.goto(new URL(surfaceUrl).pathname);
  await expect(field(page, 'Width at the top')).toHaveValue('879.5');
  await expect(field(page, 'Middle height')).toHaveValue('1201');
  await page.getByRole('link', { name: /^Cut/ }).click();
  await expect(page.getByRole('rowheader', { name: 'W1' })).toBeVisible();
  await page.getByRole('link', { name: /^Fit/ }).click();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('blank 3 mm short at the left');
  await expect(page.getByRole('timer')).toBeVisible();
  await again.stop();
});
