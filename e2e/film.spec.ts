import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { DEMO_JOB, allSaved, expect, surface, test } from './house';

const verdict = (page: Page) =>
  page.getByRole('complementary', { name: 'Reckoning' }).getByRole('status').first();
const row = (page: Page, film: string) =>
  page.getByRole('table').getByRole('row', { name: new RegExp(`^${film}`) });

test('the film for the south-west front: half the light, a third of the heat off, and the annealed pane does not crack; a tempting one is stopped with its sum', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/film/${surface(5)}`);
  await expect(page.getByRole('combobox', { name: /Light kept, at least/ })).toHaveValue('0.5');
  await expect(page.getByRole('combobox', { name: /Heat taken off, at least/ })).toHaveValue('0.33');

  await page.getByRole('radio', { name: /^warm room 60/ }).check();
  await expect(verdict(page)).toContainText('Stop: glass stress');
  await expect(verdict(page)).toContainText(
    /inner pane would bear \d+\.\d MPa.*\d+\.\d without this film; it bears \d+\.\d/,
  );
  await page.getByRole('button', { name: 'Stress', exact: true }).click();
  await expect(
    page.getByText('σ = E·α·[K·(T_sun − T_dark) + K₀·max(0, T_dark − T_frame)]').first(),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: 'The other school: a rule of thumb' })).toBeVisible();

  await page.getByRole('button', { name: 'Look at outside select 60 instead' }).click();
  await expect(verdict(page)).toContainText('Go with care');
  const heat = page.getByRole('button', { name: /^Sun's heat taken off/ });
  expect(Number(/(\d+) %/.exec((await heat.textContent()) ?? '')?.[1])).toBeGreaterThanOrEqual(33);
  expect(
    Number(
      /(\d+) %/.exec((await page.getByRole('button', { name: /^Light kept/ }).textContent()) ?? '')?.[1],
    ),
  ).toBeGreaterThanOrEqual(50);
  await heat.click();
  await expect(page.getByText('SHGC = Tsol + (q_in(sun) − q_in(dark)) / I').first()).toBeVisible();
  await page.getByRole('button', { name: 'Use outside select 60 on SW5' }).click();
  await expect(page.getByText('outside, cut and fitted as trim in place')).toBeVisible();
  await allSaved(page);

  await page.getByRole('button', { name: 'Whole front' }).click();
  await expect(page.getByText(/outside select 60: \d of 8 may go; stop on SW7/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('No film yet.')).toBeVisible();
  await allSaved(page);
});

test('a cracked pane is never go, whatever the film', async ({ page, as }) => {
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/film/${surface(7)}`);
  await page.getByRole('radio', { name: /^neutral 65/ }).check();
  await expect(verdict(page)).toContainText('This glass is cracked');
  await expect(page.getByRole('table').getByText('go with care')).toHaveCount(0);
});

test('what is not known is named, with how to find it out, and noting it changes the verdict', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/survey/${surface(5)}`);
  await page.getByText(/^\s*Glass: Double, replacement/).click();
  await page.getByRole('combobox', { name: 'Coating' }).first().selectOption('unknown');
  await allSaved(page);
  await page.keyboard.press('Alt+2');
  await page.getByRole('radio', { name: /^neutral 50/ }).check();
  await expect(verdict(page)).toContainText('Not known: whether it is coated');
  await expect(
    page.getByText('Hold a flame to it: one reflection of another colour is a coating.'),
  ).toBeVisible();
  await expect(page.getByText('Not known: whether it is coated.').first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(verdict(page)).toContainText('Stop: glass stress');
});

test('clear security film may go on the ticket hatch with its margin; edges seen sound are kept with who and when; the customer reads no megapascals', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/film/${surface(8)}`);
  await expect(verdict(page)).toContainText('Go with care: glass stress');
  await expect(row(page, 'hold clear 200').getByText(/^\d\.\d of 9\.0 MPa$/)).toBeVisible();
  await expect(page.getByText(/Rule of thumb: it adds \d % to the sun/)).toBeVisible();
  await expect(page.getByText('Not known: whether the sun reaches it.')).toBeVisible();
  const edges = page.getByRole('region', { name: 'Edges of TH1' });
  await edges.getByRole('button', { name: 'Seen, sound' }).click();
  await expect(edges).toContainText(/Seen sound by Wren, .*2026/);
  await expect(page.getByText('Taken for want of knowing: an edge nobody has seen.')).toHaveCount(0);
  await allSaved(page);
  await page.getByRole('button', { name: 'Customer sheet' }).click();
  const sheet = page.getByRole('region', { name: 'Customer sheet' });
  await expect(sheet).toContainText(/load the edge of the pane with \d+ % of what it is taken to bear/);
  await expect(sheet).not.toContainText('MPa');
  await page.keyboard.press('Control+z');
  await expect(edges.getByRole('button', { name: 'Seen, sound' })).toBeVisible();
  await page.getByRole('button', { name: 'Choose', exact: true }).click();
  await page.getByRole('combobox', { name: /Light kept, at least/ }).selectOption('0.5');
  await page.getByRole('radio', { name: /^silver 20/ }).check();
  await expect(page.getByText(/^\s*No: it keeps \d+ % of the light, not 50 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Customer sheet' }).click();
  await expect(sheet).toContainText(/Not all of it: it keeps \d+ % of the light, not 50 %/);
  await page.keyboard.press('Control+z');
  await allSaved(page);
});

test('a pattern for the partition hides faces with both rooms lit, and the truth about night is told; the customer sheet prints light', async ({
  page,
  as,
}) => {
  await as(page, 'Wren', 'cellar');
  await page.goto(`${DEMO_JOB}/film/${surface(9)}`);
  await page.getByRole('radio', { name: /^frost dots 6/ }).check();
  await expect(
    page.getByText('Faces are hidden with both rooms lit, not from a dark room into a lit one'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Preview', exact: true }).click();
  await expect(
    page.getByRole('img', {
      name: /frost dots 6, looking from A, both sides lit: \d+ % of the contrast is left; outlines only/,
    }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Here dark, there lit' }).click();
  await expect(
    page.getByRole('img', { name: /from a dark A into a lit B: \d+ % of the contrast is left; seen, paler/ }),
  ).toBeVisible();
  await page.getByRole('slider', { name: 'Share of the pane with film' }).fill('100');
  await page.getByRole('button', { name: 'Customer sheet' }).click();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'frost dots 6 for PT1' })).toBeVisible();
  await expect(page.getByText('Privacy, honestly:')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print the customer sheet' })).toBeHidden();
  expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe(
    'rgb(255, 255, 255)',
  );
  await page.emulateMedia({ media: 'screen' });
});

test('wishes move the order, limits say who misses them, four films stand side by side, and undo takes a wish back', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/film/${surface(6)}`);
  await expect(row(page, 'silver 20').getByText('not 50 %')).toBeVisible();
  await page.getByRole('combobox', { name: /Light kept, at least/ }).selectOption('no limit');
  await expect(row(page, 'silver 20').getByText('not 50 %')).toHaveCount(0);
  await page.getByRole('slider', { name: 'Not be seen by day' }).fill('3');
  await expect(page.getByRole('slider', { name: 'Not be seen by day' })).toHaveAttribute(
    'aria-valuetext',
    'above all',
  );
  for (const film of ['silver 20', 'neutral 35', 'clear select 70', 'frost 70'])
    await page.getByRole('checkbox', { name: `Lay ${film} side by side` }).check();
  await page.getByRole('button', { name: 'Compare (4)' }).click();
  await expect(page.getByRole('row', { name: /^Seen into at night/ })).toContainText('seen clearly');
  await page.getByRole('button', { name: 'Choose', exact: true }).click();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('combobox', { name: /Light kept, at least/ })).toHaveValue('0.5');
  await page.getByText('Room and weather').click();
  const coldest = page.getByRole('textbox', { name: /Coldest clear night/ });
  await coldest.fill('cold');
  await coldest.press('Tab');
  await expect(page.getByText('Coldest clear night: expected -60 to 40 °C, got cold.')).toBeVisible();
  await expect(coldest).toHaveValue('cold');
  await coldest.fill('');
  await coldest.press('Tab');
});

test('on a door the film must hold: paint, tape test and primer decide, and the fire caution is there', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${DEMO_JOB}/film/${surface(11)}`);
  await page.getByRole('radio', { name: /^oak grain/ }).check();
  await expect(verdict(page)).toContainText('Go: the surface');
  await expect(page.getByText('Adhesion promoter on laps, seams and inside corners only')).toBeVisible();
  await expect(page.getByText(/Escape routes|escape routes/)).toBeVisible();
  await page.goto(`${DEMO_JOB}/film/${surface(12)}`);
  await page.getByRole('radio', { name: /^oak grain/ }).check();
  await expect(verdict(page)).toContainText('Unknown');
});

test('films come in from a list, wrong lines are named, and a spectrum fills the sheet', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto('/films');
  await page.getByLabel('Import a list').setInputFiles({
    name: 'films.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'name,family,thickness um,widths mm,light through,light back room\n=cmd,solar,45,1220,0.5,0.1\nbad,solar,45,1220,0.9,0.4',
    ),
  });
  await expect(page.getByText('1 film imported.')).toBeVisible();
  await expect(page.getByText(/line 3, .*must not exceed 1/)).toBeVisible();
  await expect(page.getByRole('rowheader', { name: /^=cmd/ })).toBeVisible();
  const spectrum = Array.from(
    { length: 221 },
    (_, index) => `${300 + index * 10};${index < 48 ? 70 : 10};8;8`,
  ).join('\n');
  await page
    .getByLabel('Fill in from a spectrum (CSV)')
    .setInputFiles({ name: 's.csv', mimeType: 'text/csv', buffer: Buffer.from(spectrum) });
  await expect(page.getByText(/Read 221 lines: light 70 %/)).toBeVisible();
  await expect(page.getByLabel('Light kept', { exact: true })).toHaveValue('70.0');
  await page
    .getByLabel('Fill in from a spectrum (CSV)')
    .setInputFiles({ name: 's.csv', mimeType: 'text/csv', buffer: Buffer.from('300;1;2;3\n400;x;y;z') });
  await expect(page.getByText(/Line 2: expected wavelength/)).toBeVisible();
});

test('the sheet of a chosen film is kept in this browser, and read there while the server is away', async ({
  page,
  as,
  context,
}) => {
  await as(page, 'Wren');
  const film = '0199b9a6-000d-7000-8000-000000000003';
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#246' } })
    .png()
    .toBuffer();
  const put = await page.request.put(`/api/films/${film}/sheet?name=sheet.png&who=Wren&personId=`, {
    headers: { 'Content-Type': 'image/png' },
    data: picture,
  });
  expect(put.ok() ? '' : await put.text()).toBe('');
  await page.goto('/jobs/0199b9a6-0003-7000-8000-000000000002/film/0199b9a6-0007-7000-8000-000000000384');
  const link = page.getByRole('link', { name: /^Data sheet/ }).first();
  await expect(link).toBeVisible();
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const asked = indexedDB.open('yellow-pane');
            asked.onsuccess = () => {
              const count = asked.result.transaction('sheets').objectStore('sheets').count();
              count.onsuccess = () => {
                resolve(count.result);
                asked.result.close();
              };
            };
          }),
      ),
    )
    .toBe(1);
  await context.setOffline(true);
  const opened = context.waitForEvent('page');
  await link.click();
  expect((await opened).url()).toMatch(/^blob:/);
  await context.setOffline(false);
});
