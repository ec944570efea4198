import { DEMO_JOB, allSaved, copyOfDemo, expect, field, surface, test } from './house';

test.beforeEach(async ({ page, as }) => {
  await as(page, 'Wren');
});

test('the contradiction of the demo is said in words, decided by one more measure, mended in one click, and undone', async ({
  page,
}) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(3)}`);
  await expect(page.getByText('Left or right height is about 18 mm off.')).toBeVisible();
  await page.getByRole('button', { name: /^Measure from the/ }).click();
  const decider = page.getByLabel(/^From the .* to the middle of/);
  await expect(decider).toBeFocused();
  await decider.fill(
    (await decider.getAttribute('aria-label'))?.includes('middle of the bottom') === true ? '2221' : '1593',
  );
  await decider.press('Tab');
  await expect(page.getByText('One measure disagrees')).toBeVisible();
  await expect(page.getByText(/The right height is about 1[5-9] mm too long/)).toBeVisible();
  await page.getByRole('button', { name: /^Right height is 21[34]\d mm/ }).click();
  await expect(page.getByText('The measures agree')).toBeVisible();
  await allSaved(page);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('Left or right height is about 18 mm off.')).toBeVisible();
  await expect(field(page, 'Right height')).toHaveValue('2158');
  await allSaved(page);
});

test('the same contradiction walked to its mending from outside: drawing, words, buttons, table and focus change sides together, and stay so over a reload', async ({
  page,
}) => {
  await page.goto(`${await copyOfDemo(page)}/survey`);
  await page.getByRole('listbox', { name: 'Surfaces' }).getByRole('option', { name: 'SW3' }).click();
  await expect(page.getByText('Left or right height is about 18 mm off.')).toBeVisible();
  await page.getByRole('button', { name: 'Seen from room' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Seen from outside' })).toBeVisible();
  await expect(field(page, 'Left height')).toHaveValue('2158');
  const ask = page.getByRole('button', { name: /^Measure from the/ });
  const words = ((await ask.textContent()) ?? '').trim().replace(/^Measure f/, 'F');
  await ask.click();
  const decider = page.getByLabel(words, { exact: true });
  await expect(decider).toBeFocused();
  await decider.fill(words.includes('middle of the bottom') ? '2221' : '1593');
  await decider.press('Tab');
  await expect(page.getByText(/The left height is about 1[5-9] mm too long/)).toBeVisible();
  await page.getByText('Every measure, and how sure').click();
  await expect(page.getByLabel('Instrument of left height 2158')).toBeVisible();
  await page.getByRole('button', { name: /^Left height is 21[34]\d mm/ }).click();
  await expect(page.getByText('The measures agree')).toBeVisible();
  await expect(field(page, 'Left height')).toHaveValue(/^21[34]\d/);
  await expect(field(page, 'Right height')).toHaveValue('2140');
});

test('the figure is redrawn while typing, before anything is taken over', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(1)}`);
  await expect(page.getByText('The measures agree')).toBeVisible();
  const shape = page
    .getByRole('img', { name: /To scale, seen from room$/ })
    .locator('path')
    .first();
  // Its size follows the room there is on the page; how wide it is for its height follows the measures alone.
  const proportion = async (): Promise<number> => {
    const [, top = 0, , , right = 0, bottom = 1, left = 0] = [
      ...((await shape.getAttribute('d')) ?? '').matchAll(/[\d.]+/g),
    ].map(Number);
    return (right - left) / (bottom - top);
  };
  await expect.poll(proportion).toBeCloseTo(1181 / 2140, 3);
  await field(page, 'Width at the bottom').fill('1281');
  await expect.poll(proportion).toBeGreaterThan(1190 / 2140);
  await field(page, 'Width at the bottom').press('Escape');
  await expect.poll(proportion).toBeCloseTo(1181 / 2140, 3);
  await expect(field(page, 'Width at the bottom')).toHaveValue('1181');
});

test('a box that moves between drawing and list keeps the hand that types in it: no figure goes astray', async ({
  page,
}) => {
  await page.goto(`${await copyOfDemo(page)}/survey`);
  await page.getByRole('button', { name: 'New surface' }).click();
  await expect(field(page, 'Width at the top')).toBeFocused();
  for (const text of ['880', '880', '884', '120']) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  const beside = page.getByRole('group', { name: 'Measures beside the drawing' });
  const middle = field(page, 'Middle height');
  await expect(beside.getByLabel('Middle height')).toBeFocused();
  await page.keyboard.type('1201', { delay: 60 });
  await expect(beside.getByLabel('Middle height')).toBeHidden();
  await expect(middle).toBeFocused();
  await expect(middle).toHaveValue('1201');
  await page.keyboard.press('Enter');
  await expect(field(page, 'Right height')).toBeFocused();
});

test('what cannot be read stays in its field, marked and explained, and survives a reload', async ({
  page,
}) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(4)}`);
  const middle = field(page, 'Middle height');
  await middle.fill('about 2 metres');
  await middle.press('Tab');
  await expect(page.getByText('Not a length. Type it like 880')).toBeVisible();
  await page.reload();
  await expect(field(page, 'Middle height')).toHaveValue('about 2 metres');
  await expect(field(page, 'Middle height')).toHaveAttribute('aria-invalid', 'true');
  await field(page, 'Middle height').fill('62000');
  await expect(page.getByText('Expected 20 mm to 20 m')).toBeVisible();
  await field(page, 'Middle height').press('Escape');
});

test('a note, a remark and the name of a job to be are still there after a reload, though nothing was taken over', async ({
  page,
}) => {
  await page.goto(`${DEMO_JOB}/fit/${surface(2)}`);
  await page.getByLabel('Note', { exact: true }).pressSequentially('frame is loose');
  await page.reload();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('frame is loose');
  await page.getByLabel('Note', { exact: true }).focus();
  await page.keyboard.type('!');
  await page.keyboard.press('Tab');
  await allSaved(page);
  await page.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await page.getByText('Tag, place, glass, condition').click();
  await page.getByLabel('Remark').pressSequentially('ask about the lock');
  await page.reload();
  await page.getByText('Tag, place, glass, condition').click();
  await expect(page.getByLabel('Remark')).toHaveValue('ask about the lock');
  await page.goto('/');
  await page.getByLabel('New job').pressSequentially('Upper kiosk');
  await page.reload();
  await expect(page.getByLabel('New job')).toHaveValue('Upper kiosk');
});

test('the cut list prints light on paper with a box to tick, whatever the theme', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/cut/${surface(1)}`);
  await page.keyboard.press('Alt+d');
  await page.getByRole('button', { name: /^Lay out (?!everything)/ }).click();
  await expect(page.getByRole('table')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('columnheader', { name: 'Cut', exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Kestrel Hill Funicular: neutral 35' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Stops' })).toBeHidden();
  await expect(page.locator('yp-roll-board rect').first()).toHaveCSS('fill', 'rgb(255, 255, 255)');
});

test('arrow keys walk the figure, Enter goes on in the order of walking', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await field(page, 'Width at the top').focus();
  await page.keyboard.press('Enter');
  await expect(field(page, 'Width in the middle')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(field(page, 'Left height')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(field(page, 'Right height')).toBeFocused();
});

test('a figure opens to its formula, inputs, source and uncertainty', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(6)}`);
  await page.getByRole('button', { name: /Glass area/ }).click();
  await expect(page.getByText('A = ½ · |Σ (xᵢ·yᵢ₊₁ − xᵢ₊₁·yᵢ)|')).toBeVisible();
  await expect(page.getByText('Source: plane geometry.')).toBeVisible();
  await expect(page.getByText('one standard deviation, from the accuracy of the measures')).toBeVisible();
});

test('seen from the other side left and right change places, and the numbers with them', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(6)}`);
  await expect(field(page, 'Left height')).toHaveValue('2138');
  await page.waitForTimeout(200);
  const at = async (text: string): Promise<number> =>
    await page
      .locator(`input:visible`)
      .evaluateAll(
        (fields, wanted) =>
          (fields as HTMLInputElement[]).find(({ value }) => value === wanted)?.getBoundingClientRect().x ??
          NaN,
        text,
      );
  expect(await at('2138')).toBeLessThan(await at('2142'));
  await page.getByRole('button', { name: 'Seen from room' }).click();
  await expect(page.getByRole('button', { name: 'Seen from outside' })).toBeVisible();
  expect(await at('2138')).toBeGreaterThan(await at('2142'));
});

const STEPS = 20;

test('many steps are undone and redone one by one (a hundred and more: job-state.spec)', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(12)}`);
  const left = field(page, 'Left height');
  for (let step = 0; step < STEPS; step += 1) {
    await left.fill(String(2000 + step));
    await left.press('Tab');
  }
  await allSaved(page);
  const undo = page.getByRole('button', { name: /^Undo/ });
  for (let step = 0; step < STEPS; step += 1) await undo.click();
  await expect(left).toHaveValue('');
  await allSaved(page);
  const redo = page.getByRole('button', { name: /^Redo/ });
  for (let step = 0; step < STEPS; step += 1) await redo.click();
  await expect(left).toHaveValue(String(1999 + STEPS));
  await allSaved(page);
});

test('a surface is deleted with its measures, and undo brings all of it back', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(8)}`);
  await page.getByText('Tag, place, glass, condition').click();
  await page.getByRole('button', { name: 'Delete this surface' }).click();
  await expect(page.getByRole('option', { name: /TH1/ })).toHaveCount(0);
  await allSaved(page);
  await page.keyboard.press('Control+z');
  await page.getByRole('option', { name: /TH1/ }).click();
  await expect(field(page, 'Width at the top')).toHaveValue('760');
  await allSaved(page);
});

test('a surface that is chosen while a stop is still being loaded is opened there', async ({ page }) => {
  await page.goto(`${DEMO_JOB}/cut`);
  await expect(page.getByRole('listbox', { name: 'Surfaces' })).toBeVisible();
  await page.route(/\/chunk-.*\.js$/, async (route) => {
    await new Promise((done) => {
      setTimeout(done, 1500);
    });
    await route.continue();
  });
  await page.getByRole('link', { name: /^Survey/ }).click();
  await page.getByRole('listbox', { name: 'Surfaces' }).getByRole('option', { name: 'SW2' }).click();
  await expect(field(page, 'Width at the top')).toBeVisible();
  await expect(page).toHaveURL(new RegExp(`/survey/${surface(2)}`));
});

test('deep links, the back key and the filter move through the job; units switch without changing what is kept', async ({
  page,
}) => {
  await page.goto(`${DEMO_JOB}/survey/${surface(13)}`);
  await expect(field(page, 'Width at the top')).toHaveValue('879.5');
  await page.keyboard.press('Alt+u');
  await expect(field(page, 'Width at the top')).toHaveValue('34 5/8');
  await page.keyboard.press('Alt+u');
  await page.keyboard.press('/');
  await page.keyboard.type('ticket');
  await expect(page.getByRole('listbox', { name: 'Surfaces' }).getByRole('option')).toHaveCount(1);
  await page.getByRole('option', { name: /TH1/ }).click();
  await expect(page).toHaveURL(new RegExp(surface(8)));
  await page.keyboard.press('Alt+5');
  await expect(page).toHaveURL(/\/fit\//);
  await page.goBack();
  await page.goBack();
  await expect(page.getByRole('heading', { name: /^A-S1/ })).toBeVisible();
  await page.goto(`${DEMO_JOB}/survey/0199b9a6-0007-7000-8000-00000000ffff`);
  await expect(page.getByRole('heading', { name: 'This surface is not in the job' })).toBeVisible();
});
