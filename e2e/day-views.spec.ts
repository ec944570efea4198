import { SEARCHED, keep, minutesAfter, plan, test, view } from './day-steps';
import { allSaved, copyOfDemo, expect, surface } from './house';

test('the sun of a surface is shown with its band, mixes for the bottles at hand, the kit is ticked off and stays ticked', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/day`);
  await view(page, 'Sun').click();
  await expect(page.getByRole('heading', { name: /SW1: sun from \d\d:\d\d to \d\d:\d\d/ })).toBeVisible();
  await expect(page.getByText(/A bearing 2° off moves its coming by ±\d+ min/)).toBeVisible();
  await view(page, 'Mixes').click();
  await expect(page.getByRole('region', { name: 'slip', exact: true })).toContainText('bottles of 946 ml');
  await page.getByRole('radio', { name: /concentrate/ }).check();
  await expect(page.getByRole('region', { name: 'slip', exact: true })).toContainText(
    'How much a cap holds is not known',
  );
  await view(page, 'Kit').click();
  await page.getByRole('checkbox', { name: /^blade points/ }).check();
  await allSaved(page);
  await page.reload();
  await view(page, 'Kit').click();
  await expect(page.getByRole('checkbox', { name: /^blade points/ })).toBeChecked();
  await page.getByRole('textbox', { name: 'tape in stock' }).fill('minus');
  await page.getByRole('textbox', { name: 'tape in stock' }).blur();
  await expect(
    page.getByRole('alert').filter({ hasText: 'In stock: expected a number from 0' }),
  ).toBeVisible();
  await page.getByRole('textbox', { name: 'tape in stock' }).fill('1');
  await page.getByRole('textbox', { name: 'tape in stock' }).blur();
  await expect(page.getByRole('region', { name: 'To buy' })).toContainText(/tape: \d+ m/);
});

test('cold rolls say by when they must be inside; a wall found dry by hand lets the plan go on', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/day`);
  await plan(page);
  await keep(page);
  await view(page, 'Waits').click();
  await expect(page.getByText(/^inside by /).first()).toBeVisible();
  await page.getByLabel('They come from').fill('18');
  await page.getByLabel('They come from').blur();
  await expect(page.getByText('no wait').first()).toBeVisible();
  await page.getByLabel('They come from').fill('-99');
  await page.getByLabel('They come from').blur();
  await expect(page.getByText(/-40/).first()).toBeVisible();
  const wall = page.getByRole('region', { name: 'wall drying after the wash' });
  await expect(wall).toContainText(/WL1\s*from .*, dry about /);
  await wall.getByRole('button', { name: 'Dry to the touch: over' }).first().click();
  await expect(wall).toContainText('ended by hand');
  await allSaved(page);
});

test('without a gun nobody can shrink: there is no plan, and what would have to give is named', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/day`);
  await view(page, 'Crew').click();
  const heat = page.getByRole('checkbox', { name: 'works with the gun' });
  await expect(heat.nth(0)).toBeChecked();
  await expect(heat.nth(2)).not.toBeChecked();
  await page.getByRole('spinbutton', { name: 'heat gun' }).fill('0');
  await page.getByRole('spinbutton', { name: 'heat gun' }).blur();
  await view(page, 'Order').click();
  await page.getByRole('button', { name: 'Plan the days' }).click();
  await expect(page.getByText('There is no plan')).toBeVisible(SEARCHED);
  await expect(page.getByRole('region', { name: 'What would have to give' })).toContainText(
    'one more heat gun',
  );
  await page.goto(`${new URL(page.url()).pathname.split('/day')[0] ?? ''}/survey/${surface(1)}`);
});

test("a skyline is drawn into the sun's way and takes sun away; the minute the sun comes sets the bearing; both are undone", async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/day`);
  await view(page, 'Sun').click();
  const heading = page.getByRole('heading', { name: /SW1: (sun from|no direct sun)/ });
  await expect(heading).toContainText('sun from');
  const before = await heading.textContent();
  const drawing = page.getByRole('group', { name: 'Skyline to draw' });
  await drawing.scrollIntoViewIfNeeded();
  const box = await drawing.boundingBox();
  if (box === null) throw new Error('the skyline is not drawn');
  for (const corner of await drawing.getByRole('slider').all())
    await expect(corner).toHaveAttribute('aria-valuenow', /\d/);
  await page.mouse.click(box.x + box.width * 0.5, box.y + box.height * 0.1);
  await expect(page.getByLabel('Height over level, °')).toHaveValue(/^\d/);
  await allSaved(page);
  await expect(heading).not.toHaveText(before ?? '');
  await page.getByLabel('Height over level, °').fill('95');
  await page.getByLabel('Height over level, °').blur();
  await expect(
    page.getByRole('alert').filter({ hasText: 'Height over level: expected -10 to 90 degrees, got 95.' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading).toHaveText(before ?? '');
  await page.getByLabel('or today at').fill('03:00');
  await page.getByRole('button', { name: 'The sun has just come' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'At 03:00 no bearing within 25° of 225°' }),
  ).toBeVisible();
  const comes = /from (\d+:\d\d)/.exec(before ?? '')?.[1] ?? '';
  const set = page.getByRole('status').filter({ hasText: /225° is now \d+\.?\d*°, by the sun at/ });
  /** The day shown is tomorrow: where its clock has been put on, the sun comes an hour earlier by today's. */
  for (const later of [minutesAfter(comes, 6), minutesAfter(comes, -54)]) {
    await page.getByLabel('or today at').fill(later);
    await page.getByRole('button', { name: 'The sun has just come' }).click();
    await expect(set.or(page.getByRole('alert').filter({ hasText: `At ${later} no bearing` }))).toBeVisible();
    if (await set.isVisible()) break;
  }
  await expect(set).toBeVisible();
  await allSaved(page);
  await expect(heading).not.toHaveText(before ?? '');
});

test('days beyond the forecast are planned by the sun of a clear sky, and it is said how many stretches and until when the forecast goes', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/day`);
  await view(page, 'Crew').click();
  await page.getByLabel('First day').fill('2026-12-09');
  await allSaved(page);
  await view(page, 'Order').click();
  await plan(page);
  await keep(page);
  await expect(
    page.getByText(
      /\d+ stretch(es lie| lies) beyond it: planned by the sun of a clear sky, temperatures not known yet/,
    ),
  ).toBeVisible();
  await expect(page.getByText(/The forecast ends/).first()).toBeVisible();
});
