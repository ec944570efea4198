import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import ICAL from 'ical.js';
import sharp from 'sharp';
import { v7 as newId } from 'uuid';
import { idOf, put, rowsOf } from './fit-steps';
import { allSaved, copyOfDemo, expect, test } from './house';

const SUMMIT = '/jobs/0199b9a6-0003-7000-8000-000000000002';
/** Neutral film of the shelter. */
const ITS_FILM = '0199b9a6-000d-7000-8000-000000000003';

async function checkOf(page: Page, job: string, tag: string): Promise<void> {
  await page.goto(`${job}/check`);
  if ((page.viewportSize()?.width ?? 0) < 768) await page.getByRole('button', { name: 'Surfaces' }).click();
  await page.getByRole('searchbox', { name: 'Find a surface' }).fill(tag);
  await page.getByRole('option', { name: new RegExp(` ${tag} `) }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tag);
}
const one = (page: Page): Locator => page.getByRole('region', { name: /^Mark \d+$/ });
const round = (page: Page): Locator => page.getByRole('region', { name: 'Round' });
const visits = (page: Page): Locator => page.getByRole('region', { name: 'Visits' });
const panel = (page: Page): Locator => page.getByRole('complementary').or(page.getByRole('main'));
const say = (page: Page, look: string): Promise<void> =>
  one(page)
    .getByRole('button', { name: new RegExp(`^${look}\\b`) })
    .click();

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
  await say(page, 'speck');
  await expect(one(page).getByText('Measure its size: it decides.')).toBeVisible();
  await one(page).getByLabel('Size', { exact: true }).fill('5');
  await one(page).getByLabel('Size', { exact: true }).press('Tab');
  await expect(one(page).getByRole('heading', { level: 2 })).toHaveText('Mark 1: measure it');
  await expect(one(page).getByText('whether it is obtrusive, a person says')).toBeVisible();
  await one(page).getByRole('button', { name: 'Looked: not obtrusive' }).click();
  await expect(one(page).getByRole('heading', { level: 2 })).toHaveText('Mark 1: accept');
  await expect(one(page).getByText(/^accept: Wren, .* film, six feet, version 1/)).toBeVisible();
  await page.getByLabel('Judged by').selectOption({ label: 'laminated glass kind' });
  await expect(one(page).getByRole('heading', { level: 2 })).toHaveText('Mark 1: redo');
  await expect(one(page).getByText('1 mark over 3 mm in the main zone; 0 may be.')).toBeVisible();
  await expect(panel(page).getByText('By the worst of 1 mark; not all of it').first()).toBeVisible();
  await allSaved(page);
  await page.reload();
  await expect(page.getByRole('list', { name: 'SW1: 1 marks' })).toContainText('1. speck: redo');
  await page.getByRole('list', { name: 'SW1: 1 marks' }).getByRole('button').click();
  await one(page).getByRole('button', { name: 'Gone', exact: true }).click();
  await expect(page.getByRole('list', { name: 'SW1: 0 marks' })).toContainText('gone');
  await page.keyboard.press('Control+z');
  await expect(one(page).getByRole('heading', { level: 2 })).toHaveText('Mark 1: redo');
  await expect(page.getByRole('link', { name: 'Check 1 to do again' })).toBeVisible();
  await allSaved(page);
  // One that somebody told of without saying where gets its place by a tap.
  const tests = { press: 'not tried', warm: 'not tried', shape: 'not tried' };
  await put(page, job, [
    {
      ...{ op: 'put', table: 'mark', id: newId() },
      fields: {
        ...{ surfaceId: idOf(await rowsOf(page, job), 'SW1'), applicationId: null, step: 'lay', tests },
        ...{ look: 'finger', x_nm: null, y_nm: null, size_nm: null, length_nm: null, note: '' },
        ...{ firstSeenAt: '2026-11-25T09:00:00.000Z', from: 'fit', goneAt: null },
      },
    },
  ]);
  await page.getByRole('button', { name: /2\. finger: no place yet/ }).click();
  await expect(one(page).getByText('Seen at Fit, 25 Nov 2026, 10:00.')).toBeVisible();
  const drawn = await page.getByRole('img', { name: 'SW1: 1 marks' }).boundingBox();
  if (drawn === null) throw new Error('nothing drawn');
  await page.mouse.click(drawn.x + drawn.width / 2 + 30, drawn.y + drawn.height / 3);
  await expect(one(page).getByRole('heading', { level: 2 })).toHaveText('Mark 2: fix now');
  await expect(one(page).getByRole('region', { name: 'Put it right' })).toContainText('Blot the edge dry');
  await allSaved(page);
});

test('by keys: a mark in the middle, named by a letter, moved on the grid; three questions tell water from air; sizes nobody has are said', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.setViewportSize({ width: 390, height: 844 });
  const job = await copyOfDemo(page);
  await checkOf(page, job, 'SW2');
  await page.getByRole('button', { name: 'A mark in the middle' }).press('Enter');
  await one(page).getByRole('button', { name: 'Move by arrow keys' }).press('b');
  await expect(one(page).getByText('Press with a thumb through a cloth:')).toBeVisible();
  await one(page).getByRole('button', { name: 'creeps away' }).press('Enter');
  await expect(one(page).getByRole('heading', { level: 2 })).toHaveText('Mark 1: watch');
  await one(page).getByRole('button', { name: 'joined to an edge' }).press('Enter');
  await expect(one(page).getByRole('heading', { level: 2 })).toHaveText('Mark 1: fix now');
  await expect(one(page).getByRole('region', { name: 'Put it right' })).toContainText('Never prick');
  const where = await rowsOf(page, job);
  for (let times = 0; times < 3; times += 1)
    await one(page).getByRole('button', { name: 'Move by arrow keys' }).press('ArrowRight');
  await allSaved(page);
  const moved = await rowsOf(page, job);
  const x = (rows: typeof moved): number => Number(rows['mark']?.[0]?.['x_nm']) / 1e6;
  expect(x(moved) % 10).toBe(0);
  expect(x(moved) - x(where)).toBeGreaterThan(20);
  await one(page).getByRole('button', { name: 'Move by arrow keys' }).press('r');
  await one(page).getByRole('button', { name: 'In the glass' }).press('Enter');
  await expect(one(page).getByText('In the glass, and not recorded before the work')).toBeVisible();
  await one(page).getByRole('button', { name: 'Move by arrow keys' }).press('s');
  await one(page).getByLabel('Size', { exact: true }).fill('3.1 m');
  await one(page).getByLabel('Size', { exact: true }).press('Tab');
  await expect(one(page).getByText('No mark is of that size')).toBeVisible();
  await one(page).getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('No marks yet')).toBeVisible();
  await allSaved(page);
});

test.describe('by touch on a phone', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });
  test('a round is walked piece by piece with five marks on the way; what was not looked at is hatched until the whole was', async ({
    page,
    as,
  }) => {
    await as(page, 'Wren');
    const job = await copyOfDemo(page);
    await checkOf(page, job, 'TH1');
    await expect(round(page)).toContainText('Edge, piece 1 of 8');
    const looks = ['speck', 'line', 'finger', 'gap', 'crease'];
    const hatch = page.locator('[data-left]');
    for (let piece = 0; piece < 40; piece += 1) {
      const next = round(page).getByRole('button', { name: 'Looked at', exact: true });
      if (!(await next.isVisible())) break;
      const look = looks[piece];
      if (look !== undefined) {
        await round(page).getByRole('button', { name: 'A mark here' }).tap();
        await one(page)
          .getByRole('button', { name: new RegExp(`^${look}\\b`) })
          .tap();
        await page.getByRole('button', { name: 'On with the round' }).tap();
      }
      const before = await round(page).textContent();
      await next.tap();
      await expect(round(page)).not.toHaveText(before ?? '');
      if (piece === 0) await expect(hatch).toHaveAttribute('d', /M.+Z/);
    }
    await expect(round(page)).toContainText('The whole face and all edges were looked at.');
    await expect(hatch).toHaveAttribute('d', '');
    await expect(page.getByRole('list', { name: 'TH1: 5 marks' }).getByRole('listitem')).toHaveCount(5);
    await allSaved(page);
    const rows = await rowsOf(page, job);
    expect(
      new Set(rows['lookTick']?.map((own) => `${String(own['view'])} ${String(own['strip'])}`)).size,
    ).toBe(rows['lookTick']?.length);
    await round(page)
      .getByRole('button', { name: /^Not looked at/ })
      .tap();
    await expect(hatch).toHaveAttribute('d', /M.+Z/);
    await allSaved(page);
  });
});

/** Corners of the card in the picture, as a finger finds them. */
const CARD = [
  [62, 178],
  [914, 183],
  [918, 722],
  [58, 718],
] as const;

/** A card and a pocket beside it, as a phone sees them: how large the pocket is, px of 10 a millimetre. */
async function pictureOf(pocket: { readonly rx: number; readonly ry: number } | undefined): Promise<Buffer> {
  const spot =
    pocket === undefined
      ? ''
      : `<ellipse cx="1150" cy="500" rx="${pocket.rx}" ry="${pocket.ry}" fill="#8a9296"/>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1500" height="900"><rect width="1500" height="900" fill="#c8d2d4"/><rect x="60" y="180" width="856" height="540" fill="#20242a"/>${spot}</svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 92 }).toBuffer();
}

test('a pocket is gone by a pair of pictures: squared by four taps on a card, found by one, measured in both; the person decides', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await checkOf(page, job, 'SW4');
  await page.getByRole('button', { name: 'A mark in the middle' }).click();
  await say(page, 'water pocket');
  const take = async (name: string, buffer: Buffer): Promise<void> => {
    await one(page)
      .getByLabel('Take a picture of it')
      .setInputFiles({ name, mimeType: 'image/jpeg', buffer });
  };
  const photos = one(page).getByRole('list', { name: 'Pictures of this mark' }).getByRole('button');
  const tapAt = async (x: number, y: number): Promise<void> => {
    const sheet = one(page).getByRole('img', { name: 'Picture to tap' });
    await sheet.scrollIntoViewIfNeeded();
    const box = await sheet.boundingBox();
    if (box === null) throw new Error('no picture');
    const scale = Math.min(box.width / 1500, box.height / 900);
    const [left, top] = [box.x + (box.width - 1500 * scale) / 2, box.y + (box.height - 900 * scale) / 2];
    await page.mouse.click(left + x * scale, top + y * scale);
  };
  const card = async (): Promise<void> => {
    for (const [x, y] of CARD) await tapAt(x, y);
  };
  await take('first.jpg', await pictureOf({ rx: 60, ry: 45 }));
  await photos.first().click();
  await tapAt(62, 178);
  // What is tapped stays when a colleague changes the picture's row meanwhile.
  await allSaved(page);
  const [row] = (await rowsOf(page, job))['photo'] ?? [];
  const caption = { caption: 'by the door' };
  await put(page, job, [
    { op: 'set', table: 'photo', id: row?.id ?? '', baseVersion: row?.['version'], fields: caption },
  ]);
  await page.waitForTimeout(600);
  await expect(one(page).getByText('Tap corner 2 of 4 of the card', { exact: false })).toBeVisible();
  for (const [x, y] of CARD.slice(1)) await tapAt(x, y);
  await tapAt(300, 800);
  await expect(one(page).getByText('Nothing stands out there: draw round it by taps.')).toBeVisible();
  await tapAt(1150, 500);
  // An ellipse of 12 by 9 mm: 84.8 mm².
  await expect(one(page).getByText(/^8[2-8] mm² ±/)).toBeVisible();
  await one(page).getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(photos.first()).toContainText('mm²');
  await page.clock.fastForward('24:00:00');
  await take('last.jpg', await pictureOf(undefined));
  await expect(photos).toHaveCount(2);
  await photos.last().click();
  await card();
  await one(page).getByRole('button', { name: 'Nothing there any more' }).click();
  const pair = one(page).getByRole('region', { name: 'First and last picture' });
  await expect(pair.getByRole('status')).toHaveText('By the pictures: gone. You decide.');
  await pair.getByRole('button', { name: 'gone' }).click();
  await expect(page.getByRole('list', { name: 'SW4: 0 marks' })).toContainText('1. water pocket: gone');
  await allSaved(page);
  const rows = await rowsOf(page, job);
  expect(rows['photo']?.map((own) => own['paired'])).toEqual([null, 'gone']);
  expect(rows['photo']?.[1]?.['pairOfId']).toBe(rows['photo']?.[0]?.id);
  await one(page)
    .getByLabel('Take a picture of it')
    .setInputFiles({ name: 'broken.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(
    panel(page)
      .getByText(/broken\.jpg/)
      .first(),
  ).toBeVisible();
});

test('the finished job: marks of six kinds, one watched, one made anew; a redo goes back to Cut and lies on an offcut', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await checkOf(page, SUMMIT, 'ST3');
  const before = await rowsOf(page, SUMMIT);
  expect(new Set(before['mark']?.map((own) => own['look'])).size).toBeGreaterThanOrEqual(6);
  await expect(page.getByRole('list', { name: 'ST3: 2 marks' })).toContainText(
    /water pocket: watch until \d+ March 2027/,
  );
  await expect(visits(page)).toContainText('Are the pockets gone: ST3');
  const offcut = {
    ...{ filmId: ITS_FILM, what: 'offcut', label: 'O-77', lot: 'N50-2119', width_nm: 1_100_000_000 },
    ...{ length_nm: 1_400_000_000, perMetre: 3, leftEdge: true, rightEdge: false, where: 'box', gone: false },
  };
  const answer = await page.request.put(`/api/rolls/${newId()}`, {
    data: { who: 'Wren', roll: offcut },
  });
  expect(answer.ok() ? '' : await answer.text()).toBe('');
  await checkOf(page, SUMMIT, 'ST2');
  await page.getByRole('button', { name: 'A mark in the middle' }).click();
  await say(page, 'crease');
  await one(page).getByLabel('Size', { exact: true }).fill('6');
  await one(page).getByLabel('Size', { exact: true }).press('Tab');
  await one(page).getByRole('button', { name: 'Looked: obtrusive' }).click();
  await expect(one(page).getByRole('heading', { level: 2 })).toContainText('redo');
  await one(page).getByRole('button', { name: 'Remake it' }).click();
  await expect(one(page).getByText('Its blank waits at Cut, its steps are open again.')).toBeVisible();
  await allSaved(page);
  await one(page).getByRole('button', { name: 'To Cut' }).click();
  await page.getByRole('button', { name: 'Find film for 1 more' }).click();
  await expect(
    page.getByRole('region', { name: 'Offcut O-77' }).getByRole('button', { name: /^ST2,/ }),
  ).toBeVisible();
  await allSaved(page);
  const rows = await rowsOf(page, SUMMIT);
  const application = rows['application']?.find((own) => own['surfaceId'] === idOf(rows, 'ST2'))?.id;
  const pieces = (rows['cutPiece'] ?? []).filter((own) => own['applicationId'] === application);
  const roll = rows['cutRoll']?.find(
    ({ id }) => id === pieces.find((own) => own['spoiledAt'] === null)?.['rollId'],
  );
  expect(roll?.['label']).toBe('O-77');
  expect(
    rows['workRecord']?.filter((own) => own['applicationId'] === application && own['doneAt'] !== null),
  ).toEqual([]);
});

test('a visit is planned, moved and read back from its calendar; what is open is said before a job is archived', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  const rows = await rowsOf(page, job);
  const [surfaceId, id] = [idOf(rows, 'SW5'), newId()];
  const said = { personId: null, who: 'Finch', at: '2026-11-20T09:00:00.000Z' };
  const tests = { press: 'not tried', warm: 'not tried', shape: 'not tried' };
  await put(page, job, [
    {
      ...{ op: 'put', table: 'mark', id },
      fields: {
        ...{ surfaceId, applicationId: null, step: null, look: 'water pocket', x_nm: 300_000_000 },
        ...{ y_nm: 400_000_000, size_nm: 8_000_000, length_nm: null, firstSeenAt: said.at, from: 'customer' },
        ...{ note: '', goneAt: null, tests },
      },
    },
    {
      ...{ op: 'put', table: 'markDecision', id: newId() },
      fields: {
        ...{ markId: id, inspectionId: null, verdict: 'watch', by: 'the rules', reason: 'It dries.' },
        ...{ under: 'film, six feet', inputsHash: '', watchUntil: '2026-12-14T10:00:00.000Z', said },
      },
    },
  ]);
  await checkOf(page, job, 'SW5');
  const proposed = visits(page).getByRole('article', { name: /not planned yet$/ });
  await expect(proposed).toContainText('Are the pockets gone: SW5');
  await proposed.getByLabel('Day of the visit').fill('2026-12-15');
  await proposed.getByRole('button', { name: 'Plan it' }).click();
  const kept = visits(page).getByRole('article', { name: 'On 15 December 2026' });
  await expect(kept).toContainText('Are the pockets gone: SW5');
  await kept.getByLabel('Move to').fill('2026-12-16');
  await expect(visits(page).getByRole('article', { name: 'On 16 December 2026' })).toBeVisible();
  await allSaved(page);
  const download = page.waitForEvent('download');
  await visits(page).getByRole('link', { name: 'Visits as a calendar' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  const events = new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0])
    .getAllSubcomponents('vevent')
    .map((own) => new ICAL.Event(own));
  expect(events).toHaveLength(1);
  expect(events[0]?.summary).toContain('Are the pockets gone: SW5');
  expect(events[0]?.startDate.toJSDate().toISOString()).toBe('2026-12-16T08:00:00.000Z');
  await page.goto(`${job}/day`);
  await expect(visits(page)).toContainText('On 16 December 2026');
  const { name } = (await rowsOf(page, job))['job']?.[0] as unknown as { readonly name: string };
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'To come back for' })).toContainText('SW5');
  await page.getByRole('button', { name: `Archive ${name}` }).click();
  const asked = page.getByRole('alert').filter({ hasText: 'somebody has to come back' });
  await expect(asked).toContainText('Are the pockets gone: SW5');
  await asked.getByRole('button', { name: 'Leave it here' }).click();
  await page.goto(`${job}/check`);
  await visits(page).getByRole('button', { name: 'Not needed' }).click();
  await expect(visits(page)).toContainText('Nobody has to come back yet.');
  await allSaved(page);
});

test('light behind glass and behind film beside the sheet and the limit typed by the shop; before and after made alike by four corners; the whole front by its states', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await checkOf(page, job, 'SW1');
  await page.getByText('Light let through', { exact: true }).click();
  await expect(page.getByText('Unknown: read behind bare glass and behind film.').first()).toBeVisible();
  await page.getByLabel('Behind bare glass, lx').fill('4000');
  await page.getByLabel('Behind bare glass, lx').press('Tab');
  const behind = page.getByLabel(/^Behind (?!bare).*, lx$/).first();
  await behind.fill('900 lux');
  await behind.press('Tab');
  await expect(page.getByText("'900 lux' is no light: from 0 to 200000 lx.")).toBeVisible();
  await behind.fill('1000');
  await behind.press('Tab');
  await expect(page.getByText('25 % comes through the film.').first()).toContainText(
    'No limit is typed in the rules',
  );
  await page.getByText('The rules in full').click();
  await page.getByRole('button', { name: 'Copy to the job' }).click();
  await page.getByLabel('Least light let through, share').fill('0.7');
  await page.getByLabel('Least light let through, share').press('Tab');
  await expect(page.getByText('Under the limit of 70 % in the rules.').first()).toBeVisible();
  await page.getByText('Before and after').click();
  const svg = (colour: string): Promise<Buffer> =>
    sharp({ create: { width: 800, height: 1000, channels: 3, background: colour } })
      .jpeg()
      .toBuffer();
  const whole = page.getByLabel('Take the whole');
  for (const [name, colour] of [
    ['before.jpg', '#aabbcc'],
    ['after.jpg', '#667788'],
  ] as const) {
    await whole.setInputFiles({ name, mimeType: 'image/jpeg', buffer: await svg(colour) });
    await expect(
      page.getByRole('figure').filter({ hasText: name === 'after.jpg' ? 'After' : 'Before' }),
    ).toBeVisible();
    await page.clock.fastForward('01:00:00');
  }
  await page.getByRole('figure').filter({ hasText: 'After' }).getByRole('button').click();
  const sheet = page.getByRole('img', { name: 'Picture to tap' });
  await sheet.scrollIntoViewIfNeeded();
  for (const [x, y] of [
    [0.2, 0.1],
    [0.8, 0.15],
    [0.75, 0.9],
    [0.25, 0.85],
  ] as const) {
    const box = await sheet.boundingBox();
    if (box === null) throw new Error('no picture');
    await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
  }
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(
    page.getByRole('figure').filter({ hasText: 'After' }).locator('[style*="matrix3d"]'),
  ).toBeVisible();
  const front = page.getByRole('region', { name: /: all of it$/ });
  await expect(front).toContainText('0 good');
  await front.getByRole('button', { name: 'SW2' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('SW2');
  await allSaved(page);
});

test('why a mark is there: what the record knows is not asked, answers change the causes, what nobody knows changes nothing; what it was is kept', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await checkOf(page, job, 'SW2');
  await page.getByRole('button', { name: 'A mark in the middle' }).click();
  await say(page, 'speck');
  await one(page).getByText('Why is it there?').click();
  const says = one(page).getByRole('status').filter({ hasText: /in 10/ });
  await expect(says).toContainText('in 10)');
  await expect(one(page).getByText('Where is it? on the face:', { exact: false })).toBeVisible();
  await expect(one(page).getByText('Nothing more is worth the asking.')).toBeVisible();
  await one(page).getByText('Say what else is known').click();
  const asked = one(page).getByRole('group', { name: 'What is it, close by?' });
  const before = await says.textContent();
  await asked.getByRole('button', { name: 'paint or rubber crumb' }).click();
  await expect(says).not.toHaveText(before ?? '');
  await expect(one(page).getByText('What is it, close by? paint or rubber crumb.')).toBeVisible();
  await expect(
    one(page)
      .getByText(/helps \d+ in 10, about \d+ min/)
      .first(),
  ).toBeVisible();
  await one(page).getByRole('button', { name: 'Take back' }).click();
  await expect(says).toHaveText(before ?? '');
  await one(page).getByLabel('What it was in the end').selectOption({ label: 'dust in the room' });
  await one(page).getByRole('button', { name: 'believed' }).click();
  await allSaved(page);
  const [kept] = (await rowsOf(page, job))['causeCase'] ?? [];
  expect(kept).toMatchObject({ look: 'nib', confirmed: 'dustyRoom', how: 'believed', answers: [] });
  expect((kept?.['posterior'] as readonly number[]).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  await one(page).getByRole('button', { name: 'Something else' }).click();
  await say(page, 'crack');
  await expect(one(page).getByText('Stop: a licensed glazier decides.', { exact: false })).toBeVisible();
  await allSaved(page);
});

test('rules are copied to the job and edited there; a figure out of range or from over to is named and nothing changes', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await checkOf(page, job, 'SW6');
  await page.getByLabel('Judged by').selectOption({ label: 'coated glass kind' });
  await page.getByText('The rules in full').click();
  await page.getByRole('button', { name: 'Copy to the job' }).click();
  await expect(page.getByText('Version 1; each change makes the next.')).toBeVisible();
  await page.getByLabel('Distance, m').fill('2.5');
  await page.getByLabel('Distance, m').press('Tab');
  await expect(page.getByText('Version 2; each change makes the next.')).toBeVisible();
  await page.getByLabel('Distance, m').fill('900');
  await page.getByLabel('Distance, m').press('Tab');
  await expect(page.getByText("Distance, m: '900' given; from 0.1 to 20.")).toBeVisible();
  const line = page.getByRole('listitem').filter({ hasText: 'Rule 2' });
  await line.getByLabel('over, mm').fill('9');
  await line.getByLabel('over, mm').press('Tab');
  await expect(page.getByText('From 9 mm to 3 mm: the first must be the smaller.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a rule' }).click();
  await expect(page.getByText('Rule 5: spots, anywhere, 0 at most')).toBeVisible();
  await allSaved(page);
  const [own] = (await rowsOf(page, job))['ruleSet'] ?? [];
  expect(own).toMatchObject({ setVersion: 3, copyOf: 'coated glass kind', rules: { distance_m: 2.5 } });
});
