import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { fitOf } from './fit-steps';
import { allSaved, copyOfDemo, expect, test } from './house';

const PHONE = { width: 390, height: 844 };
const MINUTE = 60_000;

const stepHead = (page: Page) => page.getByRole('region', { name: 'Step', exact: true });
const done = (page: Page) => page.getByRole('button', { name: 'Done, next step' });

/** Goes on by key, looking at what is asked, until the large words stand there. */
async function byKeyUntil(page: Page, words: RegExp | string): Promise<void> {
  const sheet = page.getByRole('main');
  for (let presses = 0; presses < 60; presses += 1) {
    if (await sheet.getByText(words).isVisible()) return;
    const before = await sheet.innerText();
    const isAsked = await page.getByRole('alert').filter({ hasText: 'Look first' }).isVisible();
    await page.keyboard.press(isAsked ? 'Alt+y' : 'Alt+Enter');
    await expect.poll(() => sheet.innerText()).not.toBe(before);
  }
  throw new Error(`never came to ${String(words)}`);
}

test('a flat pane by keyboard alone: what is to be looked at is asked where film goes on, then step by step to the end', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'SW1');
  await byKeyUntil(page, 'Look first: blank and surface belong together?');
  await expect(page.getByRole('region', { name: /^Before film goes on: 0 of/ })).toBeVisible();
  await page.keyboard.press('Alt+Enter');
  await expect(stepHead(page)).toContainText('Look first: blank and surface belong together?');
  await byKeyUntil(page, 'Step 13 of 13 · all done');
  await expect(page.getByText('Step 13 of 13 · all done')).toBeVisible();
  await expect(stepHead(page)).toContainText(/Done \d\d:\d\d, Wren\./);
  await expect(page.getByRole('button', { name: /^Next: SW2, as SW1/ })).toBeVisible();
  await allSaved(page);
  await page.reload();
  await expect(page.getByText('Step 13 of 13 · all done')).toBeVisible();
  await expect(page.getByText(/Blank and surface belong together/)).toBeVisible();
});

test('a column by touch on a phone: the counter, targets of 56 px and more, words of 20 px, contrast AAA, nothing scrolls to reach done', async ({
  page,
  as,
}) => {
  await page.setViewportSize(PHONE);
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'CO1');
  await page.getByRole('button', { name: 'Reckoning' }).click();
  await page.getByRole('button', { name: /\d+\. One wing round/ }).click();
  await page.getByRole('button', { name: 'Close reckoning' }).click();
  for (let look = 0; look < 4; look += 1)
    await page.getByRole('main').getByRole('button', { name: 'Right', exact: true }).click();
  await expect(stepHead(page)).toContainText('0 of 9, next: 1');
  for (let round = 1; round <= 3; round += 1)
    await page.getByRole('button', { name: `Round ${round} of 9 done` }).click();
  await expect(stepHead(page)).toContainText('3 of 9, next: 4');

  const sheet = page.getByRole('main');
  const small = await sheet.locator('button:visible, label.act:visible, summary:visible').evaluateAll((all) =>
    all
      .map((own) => ({ box: own.getBoundingClientRect(), says: own.textContent.trim() }))
      .filter(({ box }) => box.height < 56 || box.width < 56)
      .map(({ says, box }) => `${says}: ${box.width} × ${box.height}`),
  );
  expect(small).toEqual([]);
  const sizes = await sheet
    .locator('yp-step-body p')
    .evaluateAll((all) => all.map((own) => parseFloat(getComputedStyle(own).fontSize)));
  expect(Math.min(...sizes)).toBeGreaterThanOrEqual(20);
  const round = page.getByRole('button', { name: 'Round 4 of 9 done' });
  const box = await round.boundingBox();
  expect((box?.y ?? 999) + (box?.height ?? 0)).toBeLessThanOrEqual(PHONE.height);
  expect(box?.y ?? 0).toBeGreaterThan(PHONE.height / 2);
  for (const theme of ['noon', 'cellar']) {
    await page.evaluate((name) => (document.documentElement.dataset['theme'] = name), theme);
    const { violations } = await new AxeBuilder({ page })
      .setLegacyMode(true)
      .include('main')
      .withRules(['color-contrast-enhanced', 'target-size', 'button-name', 'label'])
      .analyze();
    expect(violations.flatMap(({ nodes }) => nodes.map(({ html }) => html))).toEqual([]);
  }

  await page.getByRole('button', { name: 'Timer' }).click();
  const timer = page.getByRole('timer', { name: /^This step/ });
  await expect(timer).toHaveText(/^\s*\d\d:\d\d\s*$/);
  const high = await timer.evaluate((own) => {
    const canvas = document.createElement('canvas').getContext('2d');
    if (canvas === null) return 0;
    const { fontWeight, fontSize, fontFamily } = getComputedStyle(own);
    canvas.font = `${fontWeight} ${fontSize} ${fontFamily}`;
    const { actualBoundingBoxAscent } = canvas.measureText('0');
    return actualBoundingBoxAscent * new DOMMatrix(getComputedStyle(own).transform).d;
  });
  expect(high).toBeGreaterThanOrEqual(100);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await expect(page.getByText('The screen stays lit while a step runs.')).toBeVisible();
  await allSaved(page);
});

test('a curved pane by a page-turner in wet lock: done, back and timer by its keys, everything else is locked; a finger holds', async ({
  page,
  as,
}) => {
  await page.setViewportSize(PHONE);
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'A-E1');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: 'Wet lock' }).click();
  const lock = page.getByRole('dialog', { name: 'Wet lock' });
  await expect(lock).toContainText('Step 1 of 15');
  await page.keyboard.press('PageDown');
  await expect(lock).toContainText('Step 2 of 15');
  await page.keyboard.press('ArrowRight');
  await expect(lock).toContainText('Step 3 of 15');
  await page.keyboard.press('PageUp');
  await expect(lock).toContainText('Step 2 of 15');
  await page.keyboard.press('PageDown');
  for (
    let asked = 0;
    asked < 12 && (await lock.getByRole('button', { name: 'Hold: right' }).isVisible());
    asked += 1
  ) {
    const before = await lock.innerText();
    await page.keyboard.press('PageDown');
    await expect.poll(() => lock.innerText()).not.toBe(before);
  }
  await page.keyboard.press(' ');
  await expect(lock.getByRole('timer')).toHaveText(/^\s*\d\d:\d\d\s*$/);

  const hold = lock.getByRole('button', { name: 'Hold: done' });
  await hold.click();
  await page.clock.fastForward(300);
  await expect(lock).toContainText('Step 3 of 15');
  await hold.hover();
  await page.mouse.down();
  await page.clock.runFor(450);
  await page.mouse.up();
  await expect(lock).toContainText('Step 4 of 15');
  for (const key of ['Alt+1', 'Alt+ArrowDown', 'Control+z', '?']) await page.keyboard.press(key);
  await page.keyboard.press('PageUp');
  await expect(lock).toContainText('Step 3 of 15');
  await expect(page).toHaveURL(/\/fit\//);
  await page.keyboard.press('Escape');
  await expect(lock).toBeHidden();
  await allSaved(page);
});

test('a wait locks, is seen at every stop and on the list of jobs, rings by the clock, and ends early with a reason', async ({
  page,
  as,
}) => {
  await page.addInitScript(() => {
    const heard = globalThis as { rang?: number };
    Object.defineProperty(navigator, 'vibrate', {
      value: () => {
        heard.rang = (heard.rang ?? 0) + 1;
        return true;
      },
    });
  });
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'CO1');
  await page.getByRole('button', { name: /\d+\. Water-based primer/ }).click();
  await done(page).click();
  await expect(page.getByRole('alert')).toContainText(/Wait: .*Not before \d\d:\d\d/);
  await expect(page.getByRole('button', { name: 'Waiting' })).toBeDisabled();
  await expect(page.getByRole('timer', { name: /^Not before \d:\d\d/ })).toBeVisible();
  await page.clock.fastForward(70 * MINUTE);
  await expect(page.getByRole('timer', { name: /^Not before/ })).toHaveText(/^\s*\d\d?:\d\d\s*$/);
  await allSaved(page);

  await page.keyboard.press('Alt+1');
  const strip = page.getByRole('region', { name: 'Waiting for' });
  await expect(strip).toContainText('CO1');
  await expect(strip).toContainText('This page rings only while the screen is on.');
  await strip.getByRole('button', { name: 'Understood' }).click();
  await expect(strip).not.toContainText('rings only');
  const file = await page.request.get(`/api${job}/day/waits`);
  expect(await file.text()).toMatch(/SUMMARY:CO1: the primer[\s\S]*BEGIN:VALARM/);
  await page.goto('/');
  await expect(
    page.getByRole('region', { name: 'Waiting for' }).getByRole('link', { name: /^CO1/ }).first(),
  ).toBeVisible();

  await fitOf(page, job, 'CO1');
  await page.getByRole('button', { name: /\d+\. Sand the primer/ }).click();
  await page.getByRole('button', { name: 'End it early' }).click();
  await page.getByRole('button', { name: 'A fan or heater was on it' }).click();
  await expect(page.getByRole('button', { name: 'Waiting' })).toBeHidden();
  await allSaved(page);
  const { rows } = (await (await page.request.get(`/api${job}`)).json()) as {
    readonly rows: { readonly waitEnd: readonly object[] };
  };
  expect(rows.waitEnd).toMatchObject([
    { how: 'early', reason: 'A fan or heater was on it', changedBy: 'Wren' },
  ]);
  await expect(page.getByRole('region', { name: 'Record' })).toContainText(
    'wait ended early: a fan or heater was on it',
  );

  await fitOf(page, job, 'CO2');
  await page.getByRole('button', { name: /\d+\. Water-based primer/ }).click();
  await done(page).click();
  await expect(page.getByRole('button', { name: 'Waiting' })).toBeVisible();
  const rang = () => page.evaluate(() => (globalThis as { rang?: number }).rang ?? 0);
  expect(await rang()).toBe(0);
  await page.clock.fastForward(130 * MINUTE);
  await expect(page.getByRole('button', { name: 'Waiting' })).toBeHidden();
  await expect.poll(rang).toBeGreaterThan(0);
  await allSaved(page);
});

test('six panes cleaned in one tick, one struck out; each keeps its own clock', async ({ page, as }) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'SW1');
  await page.keyboard.press('Alt+o');
  await page.getByRole('button', { name: 'Done on many' }).click();
  const which = page.getByRole('group', { name: 'Touch what is not done, to strike it out' });
  await expect(which.getByRole('button')).toHaveText(['SW2', 'SW4', 'SW6']);
  await which.getByRole('button', { name: 'SW6' }).click();
  await page.getByRole('button', { name: 'Done on 3' }).click();
  await expect(page.getByText('Step 2 of 13')).toBeVisible();
  await fitOf(page, job, 'SW4');
  await expect(page.getByText('Step 2 of 13')).toBeVisible();
  await fitOf(page, job, 'SW6');
  await expect(page.getByText('Step 1 of 13')).toBeVisible();
  await allSaved(page);
});

test('the sun is about to reach the pane: warned by the minute; once it is on it, no film goes on without a word', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'SW1');
  await expect(stepHead(page)).toContainText(/The sun reaches it in \d+ min, at 09:3\d/);
  const [, before] = /in (\d+) min/.exec(await stepHead(page).innerText()) ?? [];
  await page.clock.fastForward(5 * MINUTE);
  await expect(stepHead(page)).toContainText(`The sun reaches it in ${Number(before) - 5} min`);
  await page.clock.fastForward(20 * MINUTE);
  await expect(stepHead(page)).toContainText(/The sun is on it until 1\d:\d\d: no film now\./);
  await expect(done(page)).toBeEnabled();
  await page.getByRole('button', { name: /\d+\. Just before the film/ }).click();
  await expect(page.getByRole('alert')).toContainText('Not right: no sun on it.');
  await expect(page.getByRole('alert')).toContainText(/The sun is on it until 1\d:\d\d\./);
  await page.getByRole('button', { name: 'Shaded by a cloth' }).click();
  await expect(page.getByRole('alert')).toContainText('Look first: blank and surface belong together?');
  await expect(
    page.getByRole('button', { name: /^begun No sun on it Shaded by a cloth\. Wren/ }),
  ).toBeVisible();
  await allSaved(page);
});

const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAIAAAACUFjqAAAAEklEQVR4nGP4z8CAB+GTG8HSALfKY52fTcuYAAAAAElFTkSuQmCC',
  'base64',
);
const picture = { name: 'speck.png', mimeType: 'image/png', buffer: PICTURE };

test('a mark with its picture in one press, placed by a touch; the server gone for three steps: ticks, reading, mark and picture wait and arrive', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'SW1');
  const panel = page.getByRole('region', { name: 'More' });
  await page.keyboard.press('Alt+o');
  await panel.getByRole('button', { name: 'Problem here' }).click();
  await panel.getByLabel('Mark it, with a picture').setInputFiles(picture);
  await expect(panel.getByText('Marked. Touch the drawing where it is.')).toBeVisible();
  await panel.getByRole('img', { name: /^Blank/ }).click();
  await expect(panel.getByText('Marked where you touched. It waits at Check.')).toBeVisible();
  await panel.getByRole('button', { name: 'speck' }).click();
  await allSaved(page);

  await page.route('**/api/**', (route) => route.abort());
  await byKeyUntil(page, 'Step 4 of 13');
  await page.keyboard.press('Alt+o');
  await panel.getByRole('button', { name: 'Read and keep' }).click();
  await panel.getByRole('textbox').fill('900');
  await panel.getByRole('button', { name: 'Keep' }).click();
  await expect(panel.getByRole('alert')).toContainText(
    'The surface temperature cannot be 900 °C: from -40 °C to 150 °C.',
  );
  await expect(panel.getByRole('textbox')).toHaveValue('900');
  await panel.getByRole('textbox').fill('12.5');
  await panel.getByRole('button', { name: 'Keep' }).click();
  await expect(panel.getByRole('listitem').filter({ hasText: '12.5 °C' })).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(panel).toBeHidden();
  await page.keyboard.press('Alt+o');
  await panel.getByRole('button', { name: 'Problem here' }).click();
  await panel.getByLabel('Mark it, with a picture').setInputFiles(picture);
  await expect(panel.getByText('Marked. Touch the drawing where it is.')).toBeVisible();
  await page.unroute('**/api/**');
  await allSaved(page);

  const read = async () =>
    (
      (await (await page.request.get(`/api${job}`)).json()) as {
        readonly rows: Readonly<Record<string, readonly { readonly id: string }[]>>;
      }
    ).rows;
  await expect.poll(async () => (await read())['photo']?.length).toBe(2);
  const rows = await read();
  expect(rows['workRecord']).toHaveLength(3);
  expect(rows['gateTick']).toHaveLength(7);
  expect(rows['reading']).toMatchObject([{ quantity: 'surface temperature', value: 12.5, shown: '12.5' }]);
  expect(rows['mark']).toMatchObject([
    { look: 'speck', from: 'fit' },
    { look: 'not said', x_nm: null },
  ]);
  for (const { id } of rows['photo'] ?? [])
    await expect
      .poll(async () => (await page.request.get(`/api${job}/photos/${id}`)).headers()['content-type'])
      .toBe('image/jpeg');
});

test('the label is read by the camera; slip that was sprayed counts down, and wet again teaches; a finger drawn across walks', async ({
  page,
  as,
}) => {
  await page.addInitScript(() => {
    Object.assign(globalThis, {
      BarcodeDetector: class {
        detect = () => Promise.resolve([{ rawValue: (globalThis as { code?: string }).code ?? '' }]);
      },
    });
  });
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await fitOf(page, job, 'SW1');
  const own = page.url();
  const reads = async (code: string): Promise<void> => {
    await page.evaluate((text) => Object.assign(globalThis, { code: text }), code);
    await page.getByLabel('Read the label').setInputFiles(picture);
  };
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await reads('no address');
  await expect(page.getByText('No code was read')).toBeVisible();
  await reads(own.replace(/[0-9a-f-]{36}$/, '0199b9a6-0007-7000-8000-000000000002'));
  await expect(page.getByText('Stop: this label is of another job.')).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('Not right: blank and surface belong together.');
  await reads(own);
  await expect(page.getByText('This blank is for SW1: right.')).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();

  await byKeyUntil(page, 'Step 7 of 13');
  await expect(page.getByRole('region', { name: 'Record' })).toContainText(
    /household, 0\.78 % soap|as it was right/,
  );
  const wet = page.getByRole('status').filter({ hasText: /Wet, about \d+ min more/ });
  await expect(wet).toBeVisible();
  const left = async (): Promise<number> => Number(/about (\d+) min/.exec(await wet.innerText())?.[1]);
  const before = await left();
  await page.clock.fastForward(5 * MINUTE);
  await expect.poll(left).toBeLessThan(before - 2);
  await page.clock.fastForward(120 * MINUTE);
  await expect(page.getByText('Dry by now, as calculated: wet it again.')).toBeVisible();
  const learned = async () =>
    (
      (await (await page.request.get('/api/learned')).json()) as readonly {
        key: string;
        value: number;
        n: number;
      }[]
    ).find(({ key }) => key === 'water-film');
  await page.getByRole('button', { name: 'Wet again' }).click();
  await expect(page.getByText('Dry by now')).toBeHidden();
  await expect.poll(async () => (await learned())?.n).toBeGreaterThanOrEqual(1);
  expect((await learned())?.value).toBeGreaterThan(60);

  const drawn = async (from: number, to: number): Promise<void> => {
    for (const [type, clientX] of [
      ['touchstart', from],
      ['touchend', to],
    ] as const)
      await stepHead(page).evaluate(
        (region, own) => {
          const touch = new Touch({ identifier: 1, target: region, clientX: own.clientX, clientY: 300 });
          region.dispatchEvent(
            new TouchEvent(own.type, { touches: [touch], changedTouches: [touch], bubbles: true }),
          );
        },
        { type, clientX },
      );
  };
  await drawn(300, 100);
  await expect(page.getByText('Step 8 of 13')).toBeVisible();
  await drawn(100, 300);
  await expect(page.getByText('Step 7 of 13')).toBeVisible();
  await allSaved(page);
});
