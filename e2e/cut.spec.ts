import { readFileSync } from 'node:fs';
import DxfParser from 'dxf-parser';
import type { Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { allSaved, copyOfDemo, expect, test } from './house';

const layOut = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Lay out (?!everything)/ }).click();
  await expect(page.getByRole('table', { name: /Cut list/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop and keep this one' })).toHaveCount(0);
  await allSaved(page);
};
const view = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Views' }).getByRole('button', { name });
const film = (page: Page, name: string) =>
  page.getByRole('combobox', { name: 'Film' }).selectOption({ label: name });
const pieceOn = (page: Page, word: string) =>
  page
    .getByRole('group', { name: /^Roll|^New roll|^Offcut/ })
    .getByRole('button', { name: new RegExp(`^${word},`) });
const pdf = async (page: Page, link: string): Promise<Buffer> => {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: link }).click(),
  ]);
  return readFileSync(await file.path());
};

test('blanks are laid out on the roll in stock, the layout is proven the shortest, and undo takes it off the roll again', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await layOut(page);
  await expect(page.getByText(/Nothing can use less on this roll: this is proven/)).toBeVisible();
  await expect(page.getByRole('group', { name: /^Roll R-14/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('table', { name: /Cut list/ })).toHaveCount(0);
  await allSaved(page);
});

test('cut by hand in as many stages as it takes: the wish is kept with the plan, and the cuts still free every pane', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await page.getByText('How it is laid out').click();
  const stages = page.getByRole('combobox', { name: 'Stages of hand cutting' });
  await stages.selectOption({ label: 'as many as it takes' });
  await layOut(page);
  await page.reload();
  await page.getByText('How it is laid out').click();
  await expect(stages).toHaveValue('99');
  await expect(page.getByText('as many stages as it takes')).toBeVisible();
  await view(page, 'At the table').click();
  await expect(page.getByText('Straight cuts from edge to edge do not free these pieces')).toHaveCount(0);
  await expect(page.getByText(/frees .*SW1/).first()).toBeVisible();
});

test('for the least length from the roll in stock alone: every pane is laid, and what is left out is not bought', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await page.getByText('How it is laid out').click();
  await page.getByRole('radio', { name: 'least length' }).check();
  const bought = page.getByRole('checkbox', { name: /^to order/ });
  for (let at = 0; at < (await bought.count()); at += 1) await bought.nth(at).uncheck();
  await layOut(page);
  await expect(page.getByText(/Not enough film|There is no film/)).toHaveCount(0);
  await expect(page.getByRole('group', { name: /^Roll R-14/ })).toBeVisible();
  await expect(page.getByRole('group', { name: /^New roll/ })).toHaveCount(0);
  for (const tag of ['SW1', 'SW2', 'SW4', 'SW6']) await expect(pieceOn(page, tag)).toBeVisible();
});

test('stopped early the best so far is kept; a piece dragged stays pinned when the rest is laid out anew; a place it cannot have is refused in words', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await page.getByRole('button', { name: /^Lay out (?!everything)/ }).click();
  await page.getByRole('button', { name: 'Stop and keep this one' }).click();
  await expect(page.getByRole('table', { name: /Cut list/ })).toBeVisible();
  await allSaved(page);

  const box = await pieceOn(page, 'SW2').boundingBox();
  if (box === null) throw new Error('SW2 is not drawn');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 4, y + 10, { steps: 4 });
  await page.mouse.move(x, y + 18, { steps: 4 });
  await page.mouse.up();
  await expect(pieceOn(page, 'SW2')).toHaveAccessibleName(/pinned/);
  const edge = page.getByRole('row', { name: /SW2/ }).getByRole('cell').nth(4);
  await expect(edge).not.toHaveText('0');
  const at = await edge.textContent();

  await page.mouse.move(x, y + 18);
  await page.mouse.down();
  await page.mouse.move(x + box.width / 2, y + 18, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('alert')).toContainText(/Not there: it would lie .* over SW/);
  await expect(edge).toHaveText(at ?? '');

  await layOut(page);
  await expect(pieceOn(page, 'SW2')).toHaveAccessibleName(/pinned/);
  await expect(edge).toHaveText(at ?? '');
  await pieceOn(page, 'SW2').press('p');
  await expect(pieceOn(page, 'SW2')).not.toHaveAccessibleName(/pinned/);
  await pieceOn(page, 'SW2').press('ArrowUp');
  await expect(pieceOn(page, 'SW2')).toHaveAccessibleName(/pinned/);
  await page.keyboard.press('Control+z');
  await expect(edge).toHaveText(at ?? '');

  await allSaved(page);
  const kept = await page.locator('a[download="cut-plan.json"]').getAttribute('href');
  const buffer = await (await page.request.get(kept ?? '')).body();
  await pieceOn(page, 'SW2').press('ArrowUp');
  await expect(edge).not.toHaveText(at ?? '');
  await page.keyboard.press('Alt+t');
  await page
    .getByLabel('Read a plan file back')
    .setInputFiles({ name: 'cut-plan.json', mimeType: 'application/json', buffer });
  await page.keyboard.press('Alt+l');
  await expect(edge).toHaveText(at ?? '');
  await page.keyboard.press('Alt+t');
  await expect(page.getByText('The plan is as it was exported.')).toBeVisible();
});

test('cuts are marked, checked and cut at the table; sheet and labels are printed; what is cut comes off the stock and undo puts it back', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/cut`);
  await film(page, 'oak grain');
  await layOut(page);
  await view(page, 'At the table').click();
  for (const tick of ['mark 1', 'check 1', 'cut 1'])
    await page.getByRole('button', { name: tick, exact: true }).click();
  await expect(page.getByRole('button', { name: 'cut 1', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('button', { name: 'Large type' }).click();
  await allSaved(page);
  expect((await pdf(page, 'Cut sheet (PDF)')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await pdf(page, 'Labels (PDF)')).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('button', { name: 'Cut done: book it' }).click();
  await expect(page.getByText(/^Cut and booked/)).toBeVisible();
  await allSaved(page);
  const left = async (): Promise<number> =>
    (
      (await (await page.request.get('/api/stock')).json()) as {
        readonly label: string;
        readonly left_nm: number;
      }[]
    ).find(({ label }) => label === 'R-19')?.left_nm ?? 0;
  expect(await left()).toBeLessThan(9000e6);
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/^Cut and booked/)).toHaveCount(0);
  await allSaved(page);
  expect(await left()).toBe(9000e6);
});

test('a roll to order comes, the plotter is unplugged in the middle, goes on without cutting twice; the spoiled piece is cut anew from an offcut', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await film(page, 'neutral 20');
  await page.getByText('How it is laid out').click();
  await page.getByRole('radio', { name: 'by plotter' }).check();
  await page.getByRole('checkbox', { name: /^offcut O-33/ }).uncheck();
  await layOut(page);
  await expect(page.getByRole('group', { name: /^New roll, to be ordered/ })).toBeVisible();

  await view(page, 'At the table').click();
  await page.getByRole('button', { name: 'This roll has come' }).click();
  await page.getByLabel('Label', { exact: true }).fill('R-40');
  await page.getByLabel('Price a metre').fill('11,50');
  await page.getByRole('button', { name: 'Into stock' }).click();
  await expect(page.getByText('roll R-40')).toBeAttached();
  await allSaved(page);

  await page.getByRole('button', { name: 'Connect the plotter' }).click();
  await page.request.post('/api/bench/plotter', { data: { do: 'speed', times: 200 } });
  await page.request.post('/api/bench/plotter', { data: { do: 'misbehave', how: 'unplug', afterPieces: 1 } });
  await page.getByRole('button', { name: 'Load this film and cut' }).click();
  await expect(page.getByText(/Stopped after 1 of 4; A-S\d is half cut/)).toBeVisible();
  await page.getByRole('button', { name: 'Connect again' }).click();
  await page.getByRole('button', { name: /^Count A-S\d as spoiled, go on with the next/ }).click();
  await expect(page.getByText('All 4 pieces are cut.')).toBeVisible();
  const seen = (await (await page.request.get('/api/bench/plotter')).json()) as {
    readonly cutTwice_mm: number;
  };
  expect(seen.cutTwice_mm).toBe(0);
  await page.getByRole('button', { name: 'Cut done: book it' }).click();
  await allSaved(page);

  await view(page, 'Layout').click();
  await expect(page.getByText(/A-S\d has no film yet/)).toBeVisible();
  await page.getByRole('checkbox', { name: /^offcut O-33/ }).check();
  await page.getByRole('radio', { name: 'by hand' }).check();
  await page.getByRole('button', { name: 'Find film for 1 more' }).click();
  await expect(page.getByRole('group', { name: /^Offcut/ })).toBeVisible();
  await expect(page.getByText(/has no film yet/)).toHaveCount(0);
  await allSaved(page);
});

test('a piece is cut from another roll at a touch; nested ones may lie in one another’s rectangles, and not over one another', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/cut`);
  await film(page, 'neutral 20');
  await page.getByText('How it is laid out').click();
  await page.getByRole('radio', { name: 'by plotter' }).check();
  for (const other of [/^offcut O-33/, /^to order, 1220/, /^to order, 1524/])
    await page.getByRole('checkbox', { name: other }).uncheck();
  await layOut(page);

  /**
   * Two of the panes become the halves of a rectangle, and a second roll is begun: as another device would
   * send it.
   */
  const { rows } = (await (await page.request.get(`/api${job}`)).json()) as {
    readonly rows: {
      readonly cutRoll: readonly {
        readonly planId: string;
        readonly width_nm: number;
        readonly length_nm: number;
      }[];
      readonly cutPiece: readonly {
        readonly id: string;
        readonly tag: string;
        readonly version: number;
        readonly across_nm: number;
        readonly along_nm: number;
        readonly x_nm: number;
        readonly y_nm: number;
      }[];
    };
  };
  const pieceNamed = (tag: string) => {
    const found = rows.cutPiece.find((own) => own.tag === tag);
    if (found === undefined) throw new Error(`${tag} is not laid`);
    return found;
  };
  const [one, other, roll] = [pieceNamed('A-S1'), pieceNamed('A-S2'), rows.cutRoll[0]];
  if (roll === undefined) throw new Error('no roll');
  const [w, h] = [one.across_nm / 1e6, one.along_nm / 1e6];
  const { planId, width_nm, length_nm } = roll;
  const second = await page.request.post(`/api${job}/changes`, {
    data: {
      id: newId(),
      session: newId(),
      who: 'Heron',
      ops: [
        {
          op: 'put',
          table: 'cutRoll',
          id: newId(),
          fields: {
            planId,
            stockId: null,
            what: 'to order',
            label: 'new 2',
            lot: '',
            width_nm,
            length_nm,
            used_nm: 0,
            leftEdge: true,
            rightEdge: true,
            position: 1,
            ticks: [],
            bookedAt: null,
          },
        },
        {
          op: 'set',
          table: 'cutPiece',
          id: one.id,
          baseVersion: one.version,
          fields: {
            outline: [
              { x: 0, y: 0 },
              { x: w - 10, y: h },
              { x: 0, y: h },
            ],
          },
        },
        {
          op: 'set',
          table: 'cutPiece',
          id: other.id,
          baseVersion: other.version,
          fields: {
            x_nm: one.x_nm,
            y_nm: one.y_nm,
            outline: [
              { x: 10, y: 0 },
              { x: w, y: 0 },
              { x: w, y: h },
            ],
          },
        },
      ],
    },
  });
  expect(await second.text()).not.toContain('"code"');
  await expect(page.getByRole('group', { name: /^New roll 2, to be ordered/ })).toBeVisible();

  await pieceOn(page, 'A-S2').press('ArrowRight');
  await expect(page.getByRole('alert')).toContainText(/Not there: it would lie .* over A-S1/);
  await pieceOn(page, 'A-S2').press('Shift+ArrowRight');
  await expect(page.getByRole('alert')).toHaveCount(0);

  await pieceOn(page, 'A-S4').click();
  await page
    .getByRole('combobox', { name: 'Cut it from another roll' })
    .selectOption({ label: 'New roll 2, to be ordered' });
  const onSecond = page
    .getByRole('group', { name: /^New roll 2, to be ordered.*with 1 pieces/ })
    .getByRole('button', { name: /^A-S4,.*pinned/ });
  await expect(onSecond).toBeVisible();
  await allSaved(page);
  await page.keyboard.press('Control+z');
  await expect(onSecond).toHaveCount(0);
});

test('a wall wider than the roll is seamed in drops, hung in order; another seam is another plan', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await film(page, 'block wall mural');
  await view(page, 'Blanks and seams').click();
  await page.getByRole('button', { name: 'WL1 1/4' }).click();
  await expect(page.getByText(/WL1: blank .* 4 drops, lap over promoter, lap 25 mm/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Seam', exact: true }).selectOption('double cut');
  await expect(page.getByText(/4 drops, double cut, lap 50 mm/)).toBeVisible();
  await layOut(page);
  await expect(pieceOn(page, 'WL1 4/4')).toBeVisible();
  await view(page, 'Blanks and seams').click();
  await page.getByLabel('right', { exact: true }).fill('60');
  await page.getByLabel('right', { exact: true }).press('Tab');
  await expect(page.getByText('The plan is stale')).toBeVisible();
  await page.getByLabel('right', { exact: true }).fill('much');
  await page.getByLabel('right', { exact: true }).press('Tab');
  await expect(page.getByRole('alert')).toContainText('expected 0 to 500 mm, got “much”');
});

test('the stock takes a roll in, says what it cannot read, and which roll would be cheapest to buy', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  await page.goto('/stock');
  await page.locator('select[name=film]').selectOption({ label: 'neutral 35' });
  await page.getByLabel('Label', { exact: true }).fill('R-77');
  await page.getByLabel('Width').fill('wide');
  await page.getByLabel('Length left').fill('30 m');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByRole('alert')).toContainText('Width: expected 50 mm to 5000 mm, got “wide”');
  await expect(page.getByLabel('Label', { exact: true })).toHaveValue('R-77');
  await page.getByLabel('Width').fill('60 in');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText('R-77 is in stock.')).toBeVisible();
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await view(page, 'Stock').click();
  await page.getByRole('button', { name: 'Try all widths' }).click();
  await expect(page.getByText('cheapest')).toBeVisible();
  await page.getByRole('button', { name: /^Lay out so.*stock and 1524 to order/ }).click();
  await expect(
    page.getByRole('table', { name: /Cut list/ }).getByRole('rowheader', { name: 'SW1' }),
  ).toBeVisible();
  await allSaved(page);
  await view(page, 'Stock').click();
  await page.getByLabel('Blank width').fill('600');
  await page.getByLabel('Blank height').fill('900');
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText(/more film|not a millimetre more/)).toBeVisible();
  await page.goto('/stock');
  await page.getByLabel('Find by film, label, lot or place').fill('nobody has this');
  await expect(page.getByText('Nothing in stock has “nobody has this”')).toBeVisible();
  await page.getByLabel('Find by film, label, lot or place').fill('neutral 35');
  await expect(page.getByRole('heading', { name: /neutral 35.*spoken for/ })).toBeVisible();
  await page.goto(`${await copyOfDemo(page)}/cut`);
  await view(page, 'Stock').click();
  await expect(page.getByRole('table').filter({ hasText: 'Spoken for' })).toContainText(/\d m, A story/);
  await page.goto('/stock');
  await page.getByRole('button', { name: 'It is gone R-77' }).click();
  await expect(page.getByRole('button', { name: 'It is back R-77' })).toBeVisible();
});

test('measured otherwise after it was cut: said at the keystroke, on the stop line, in the schedule and at Fit, whichever film is in hand', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/cut`);
  await film(page, 'neutral 35');
  await layOut(page);
  await view(page, 'At the table').click();
  await page.getByRole('button', { name: 'Cut done: book it' }).click();
  await allSaved(page);
  await film(page, 'neutral 20');
  await page.getByRole('link', { name: /^Survey/ }).click();
  await page.getByRole('listbox', { name: 'Surfaces' }).getByRole('option', { name: 'SW1' }).click();
  const width = page.getByRole('textbox', { name: 'Width at the top', exact: true });
  await expect(width).toHaveValue(/^11\d\d/);
  for (const name of ['Width at the top', 'Width in the middle', 'Width at the bottom']) {
    const own = page.getByRole('textbox', { name, exact: true });
    await own.fill(String(Number(await own.inputValue()) + 15));
    await expect(page.getByText('Already cut, measures changed since')).toBeVisible();
    await own.press('Enter');
  }
  await expect(
    page.getByText(/SW1 was cut 12\d\d[.\d]* mm × 219\d[.\d]* mm on \d+ \w+ \d{4}; today it would be 124\d/),
  ).toBeVisible();
  await expect(page.getByRole('link', { name: /^Cut/ })).toContainText('1 cut, measures changed');
  await page.getByRole('link', { name: /^Fit/ }).click();
  await expect(page.getByText('Already cut, measures changed since')).toBeVisible();
  await allSaved(page);
});

test('a raked pane from survey to plotter: it hangs 800 × 1400, and drawing, DXF, SVG and HP-GL are the same film, seen from the room and from outside', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.goto(`${job}/survey`);
  await expect(
    page.getByRole('listbox', { name: 'Surfaces' }).getByRole('option', { name: 'SW1' }),
  ).toBeVisible();
  await page.keyboard.press('Alt+N');
  await expect(page.getByRole('heading', { name: /no name yet/ })).toBeVisible();
  for (const [name, value] of [
    ['Width at the bottom', '800'],
    ['Left height', '800'],
    ['Right height', '1400'],
    ['Width at the top', '1000'],
    ['Diagonal from top left', '1131.4'],
    ['Diagonal from bottom left', '1612.5'],
  ] as const) {
    const own = page.getByRole('textbox', { name, exact: true });
    await own.fill(value);
    await own.press('Tab');
  }
  await expect(page.getByText('The measures agree')).toBeVisible();
  await expect(page.getByText(/Which edge is level\? Taken with its sill level/)).toBeVisible();
  await allSaved(page);
  const here = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  await page.goto(`${job}/film/${here}`);
  await page.getByRole('radio', { name: /^neutral 50/ }).check();
  await page.getByRole('button', { name: /^Use neutral 50 on/ }).click();
  await allSaved(page);
  await page.goto(`${job}/cut/${here}`);
  await page.getByText('How it is laid out').click();
  await page.getByRole('radio', { name: 'by plotter' }).check();
  await layOut(page);
  await allSaved(page);
  const { rows } = (await (await page.request.get(`/api${job}`)).json()) as {
    readonly rows: {
      readonly cutPiece: readonly {
        readonly planId: string;
        readonly rollId: string;
        readonly outline: readonly { readonly x: number; readonly y: number }[] | null;
      }[];
    };
  };
  const [piece] = rows.cutPiece.filter(({ outline }) => outline !== null);
  const text = async (end: string): Promise<string> =>
    (await page.request.get(`/api${job}/cut-plans/${piece?.planId ?? ''}/${end}`)).text();
  const turns = (corners: readonly (readonly [number, number])[]): number =>
    Math.sign(
      corners.reduce((sum, [x, y], index) => {
        const [nx, ny] = corners[(index + 1) % corners.length] ?? [x, y];
        return sum + x * ny - nx * y;
      }, 0),
    );
  const pairs = (given: string): readonly (readonly [number, number])[] =>
    [...given.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);
  const svg = pairs(/<polygon points="([^"]+)"/.exec(await text('drawing'))?.[1] ?? '').map(
    ([x, y]) => [x, -y] as const,
  );
  const dxf = new DxfParser()
    .parseSync(await text('dxf'))
    ?.entities.filter(({ layer }) => layer === 'CUT') as unknown as readonly {
    readonly vertices: readonly { readonly x: number; readonly y: number }[];
  }[];
  const hpgl = pairs(
    /SP1;PU([^;]+;PD[^;]+);/.exec(await text(`hpgl/${piece?.rollId ?? ''}`))?.[1]?.replace(';PD', ',') ?? '',
  ).slice(0, -1);
  /**
   * Upper left, upper right, lower right, lower left as seen from the room; liner up their film goes round
   * against the clock.
   */
  expect(
    [svg, (dxf[0]?.vertices ?? []).map(({ x, y }) => [x, y] as const), hpgl].map((corners) => [
      corners.length,
      turns(corners),
    ]),
  ).toEqual([
    [4, 1],
    [4, 1],
    [4, 1],
  ]);
});
