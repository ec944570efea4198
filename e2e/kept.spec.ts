import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import {
  DEMO_JOB,
  allSaved,
  copyOfDemo,
  expect,
  field,
  newContext,
  startServer,
  surface,
  test,
} from './house';

const textsOf = async (page: Page, job: string): Promise<readonly string[]> =>
  (
    (await (await page.request.get(`/api${job}`)).json()) as {
      readonly rows: { readonly measure: readonly { readonly text: string }[] };
    }
  ).rows.measure.map(({ text }) => text);
const openSurface = async (page: Page, job: string, tag: string): Promise<void> => {
  await page.goto(`${job}/survey`);
  await page.getByRole('listbox', { name: 'Surfaces' }).getByRole('option', { name: tag }).click();
  await expect(page.getByRole('heading', { name: new RegExp(`^${tag}`) })).toBeVisible();
};
const measure = async (page: Page, name: string, text: string): Promise<void> => {
  await field(page, name).fill(text);
  await field(page, name).press('Enter');
};

test('two tabs of one job, both cut off, both closed: both changes arrive at the next opening; with one left open, it sends what the other left', async ({
  browser,
  baseURL,
  as,
}) => {
  const context = await newContext(browser, baseURL ?? '');
  const [one, other] = [await context.newPage(), await context.newPage()];
  await as(one, 'Wren');
  await as(other, 'Wren');
  const job = await copyOfDemo(one);
  await openSurface(one, job, 'SW1');
  await openSurface(other, job, 'SW2');
  await context.route('**/changes', (route) => route.abort());
  await measure(one, 'Width at the top', '1171');
  await measure(other, 'Width at the top', '1172');
  await expect(one.getByText(/1 change is kept in this browser/)).toBeVisible();
  await expect(other.getByText(/1 change is kept in this browser/)).toBeVisible();
  await one.close();
  await other.close();
  await context.unroute('**/changes');
  const later = await context.newPage();
  await openSurface(later, job, 'SW1');
  await expect(field(later, 'Width at the top')).toHaveValue('1171');
  await allSaved(later);
  await expect.poll(() => textsOf(later, job)).toEqual(expect.arrayContaining(['1171', '1172']));

  const third = await context.newPage();
  await openSurface(third, job, 'SW3');
  await third.route('**/changes', (route) => route.abort());
  await measure(third, 'Width at the top', '1173');
  await expect(third.getByText(/1 change is kept in this browser/)).toBeVisible();
  await third.close();
  await expect.poll(() => textsOf(later, job)).toEqual(expect.arrayContaining(['1173']));
});

test('reloaded in the middle of a queue, one is never asked about one’s own changes', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await openSurface(page, job, 'SW2');
  await measure(page, 'Width at the top', '1181');
  await allSaved(page);
  await page.route('**/changes', (route) => route.abort());
  for (const text of ['1182', '1183', '1184']) await measure(page, 'Width at the top', text);
  await measure(page, 'Width in the middle', '1185');
  await expect(page.getByText(/3 changes are kept in this browser/)).toBeVisible();
  await page.reload();
  await expect(field(page, 'Width at the top')).toHaveValue('1184');
  await measure(page, 'Width at the top', '1186');
  await page.unroute('**/changes');
  await allSaved(page);
  await expect(page.getByRole('alertdialog')).toHaveCount(0);
  await expect(field(page, 'Width at the top')).toHaveValue('1186');
  expect(await textsOf(page, job)).toEqual(expect.arrayContaining(['1186', '1185']));
});

test('storage full: it is said for as long as it is true, leaving asks, and the line goes when there is room', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.addInitScript(() => {
    const stores = IDBObjectStore.prototype as unknown as {
      put: (this: IDBObjectStore, value: unknown, key?: IDBValidKey) => IDBRequest<IDBValidKey>;
    };
    const { put } = stores;
    stores.put = function full(value, key) {
      if (document.documentElement.dataset['full'] === 'yes')
        throw new DOMException('full', 'QuotaExceededError');
      return put.call(this, value, key);
    };
  });
  await openSurface(page, job, 'SW2');
  await page.route('**/changes', (route) => route.abort());
  await page.evaluate(() => {
    document.documentElement.dataset['full'] = 'yes';
  });
  await measure(page, 'Width at the top', '1181');
  const told = page.getByText(/This browser is full.*Do not close it/);
  await expect(told).toBeVisible();
  await expect(page.getByText('kept in this browser and sent')).toHaveCount(0);
  await page.waitForTimeout(15_000);
  await expect(told).toBeVisible();
  const asked = page.waitForEvent('dialog');
  const leaving = page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await leaving;
  await page.evaluate(() => {
    document.documentElement.dataset['full'] = 'no';
  });
  await expect(told).toHaveCount(0);
  await expect(page.getByText(/1 change is kept in this browser/)).toBeVisible();
  await page.unroute('**/changes');
  await allSaved(page);
});

test('a change the server cannot digest is set aside, seen, sent again or dropped; what does not depend on it goes on', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await openSurface(page, job, 'SW2');
  await page.route('**/changes', async (route) => {
    if (!(route.request().postData() ?? '').includes('1181')) return route.continue();
    return route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: '',
        status: 500,
        code: 'SERVER_FAULT',
        title: 'The server ran into an error',
        detail: 'Send it again.',
        path: 'server',
        expected: 'an answer',
        got: 'a fault',
      }),
    });
  });
  await measure(page, 'Width at the top', '1181');
  const aside = page.getByText(/Not saved: SW2/);
  await expect(aside).toBeVisible();
  await measure(page, 'Width in the middle', '1182');
  await allSaved(page);
  expect(await textsOf(page, job)).toEqual(expect.arrayContaining(['1182']));
  await page.reload();
  await expect(aside).toBeVisible();
  await page.unroute('**/changes');
  await page.getByRole('button', { name: 'Send it again' }).click();
  await allSaved(page);
  await expect(aside).toHaveCount(0);
  await expect(field(page, 'Width at the top')).toHaveValue('1181');
});

test('a colleague’s value saved while one types in the same field is asked about; several such are one list', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await openSurface(page, job, 'SW2');
  const { rows } = (await (await page.request.get(`/api${job}`)).json()) as {
    readonly rows: {
      readonly surface: readonly { readonly id: string; readonly tag: string }[];
      readonly measure: readonly {
        readonly id: string;
        readonly surfaceId: string;
        readonly kind: string;
        readonly fromPoint: string;
        readonly toPoint: string;
        readonly version: number;
      }[];
    };
  };
  const sw2 = rows.surface.find(({ tag }) => tag === 'SW2')?.id;
  const theirs = async (from: string, to: string, text: string): Promise<void> => {
    const row = rows.measure.find(
      (own) =>
        own.surfaceId === sw2 && own.kind === 'distance' && own.fromPoint === from && own.toPoint === to,
    );
    const answer = await page.request.patch(`/api${job}/rows/measure/${row?.id ?? ''}`, {
      headers: { 'If-Match': `"${row?.version ?? 0}"` },
      data: { who: 'Finch', fields: { value_nm: Number(text) * 1e6, text } },
    });
    expect(answer.status()).toBe(200);
  };
  await field(page, 'Width at the top').fill('118');
  await theirs('tl', 'tr', '1190');
  await page.route('**/changes', (route) => route.abort());
  await measure(page, 'Width at the top', '1181');
  await measure(page, 'Width at the bottom', '1182');
  await theirs('bl', 'br', '1191');
  await page.unroute('**/changes');
  const box = page.getByRole('alertdialog', { name: '2 things were changed by others too' });
  await expect(box.getByText('1190 mm')).toBeVisible();
  await expect(field(page, 'Width at the top')).toHaveValue('1190');
  await box
    .getByRole('article')
    .filter({ hasText: '1190 mm' })
    .getByRole('button', { name: 'Keep theirs' })
    .click();
  await expect(field(page, 'Width at the top')).toHaveValue('1190');
  const mine = page.getByRole('alertdialog').getByRole('button', { name: 'Use mine', exact: true });
  await expect(mine).toHaveCount(1);
  await mine.click();
  await allSaved(page);
  await expect(field(page, 'Width at the bottom')).toHaveValue('1182');
  await expect(field(page, 'Width at the top')).toHaveValue('1190');
});

test('the same for what is told in words: what a colleague put there meanwhile is asked about', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await openSurface(page, job, 'SW2');
  const { rows } = (await (await page.request.get(`/api${job}`)).json()) as {
    readonly rows: Readonly<
      Record<'surface', readonly { readonly id: string; readonly tag?: string; readonly version: number }[]>
    >;
  };
  const sw2 = rows.surface.find(({ tag }) => tag === 'SW2');
  await page.getByText('Tag, place, glass, condition').click();
  await page.getByLabel('Remark').pressSequentially('ask about the lo');
  const answer = await page.request.patch(`/api${job}/rows/surface/${sw2?.id ?? ''}`, {
    headers: { 'If-Match': `"${sw2?.version ?? 0}"` },
    data: { who: 'Finch', fields: { remark: 'key is with the porter' } },
  });
  expect(answer.status()).toBe(200);
  await page.getByText('Remark: key is with the porter').waitFor();
  await expect(page.getByLabel('Remark')).toHaveValue('ask about the lo');
  await page.getByLabel('Remark').pressSequentially('ck');
  await page.keyboard.press('Tab');
  const box = page.getByRole('alertdialog');
  await expect(box.getByText('key is with the porter')).toBeVisible();
  await expect(box.getByText('ask about the lock')).toBeVisible();
  await box.getByRole('button', { name: 'Use mine' }).click();
  await allSaved(page);
  await expect(page.getByRole('textbox', { name: 'Remark' })).toHaveValue('ask about the lock');
});

test('a disk without room: what was done waits in its order, the sentence stays until it is tried again', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await openSurface(page, job, 'SW2');
  await page.route('**/changes', (route) =>
    route.fulfill({
      status: 507,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: '',
        status: 507,
        code: 'DISK_FULL',
        title: 'The disk is full',
        detail: 'Make room, then save again.',
        path: 'disk',
        expected: 'free space',
        got: 'none',
      }),
    }),
  );
  await page.route('**/api/health', (route) => route.fulfill({ json: { status: 'ok', hasRoom: false } }));
  await measure(page, 'Width at the top', '1181');
  await measure(page, 'Width in the middle', '1182');
  await expect(page.getByText(/The disk is full.*2 changes wait here in order/)).toBeVisible();
  await page.unroute('**/changes');
  await page.getByRole('button', { name: 'Try again' }).click();
  await allSaved(page);
  await expect(page.getByText('The disk is full')).toHaveCount(0);
  expect(await textsOf(page, job)).toEqual(expect.arrayContaining(['1181', '1182']));
});

test('a damaged data folder: it is said at the opening with the way back, and what is done waits', async ({
  page,
  as,
}) => {
  const says =
    'The data folder is damaged: something on the disk is not as this program wrote it. Nothing more is written to it. The last backup is of 2026-11-24 09:20 UTC. Stop the program and type: npm run restore -- /data/yellow-pane.backup.';
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await page.route('**/api/health', (route) =>
    route.fulfill({ json: { status: 'damaged', hasRoom: true, says } }),
  );
  await openSurface(page, job, 'SW2');
  await expect(page.getByRole('alert').filter({ hasText: 'npm run restore' })).toBeVisible();
  await page.route('**/changes', (route) =>
    route.fulfill({
      status: 503,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: '',
        status: 503,
        code: 'DATA_DAMAGED',
        title: 'The data folder is damaged',
        detail: 'Nothing more is written to it.',
        path: 'disk',
        expected: 'what was written',
        got: 'something else',
      }),
    }),
  );
  await measure(page, 'Width at the top', '1183');
  await expect(page.getByText('1 change waits here in order.')).toBeVisible();
  await expect(field(page, 'Width at the top')).toHaveValue('1183');
  await page.unrouteAll();
  await page.getByRole('button', { name: 'Try again' }).click();
  await allSaved(page);
});

test('six tabs at once: all open, and a measure in one is seen in the others; also once the first is closed', async ({
  browser,
  baseURL,
  as,
}) => {
  const context = await newContext(browser, baseURL ?? '');
  const pages: Page[] = [];
  for (let tab = 0; tab < 6; tab += 1) pages.push(await context.newPage());
  const [first, second, ...others] = pages;
  if (first === undefined || second === undefined) throw new Error('no tabs');
  await as(first, 'Wren');
  const job = await copyOfDemo(first);
  for (const page of pages) await openSurface(page, job, 'SW2');
  await measure(second, 'Width at the top', '1181');
  for (const page of [first, ...others]) await expect(field(page, 'Width at the top')).toHaveValue('1181');
  await first.close();
  await measure(second, 'Width at the top', '1182');
  for (const page of others) await expect(field(page, 'Width at the top')).toHaveValue('1182');
});

test('a part of the page that is gone after an update: it is said, and the new page opens at the same place with what was typed', async ({
  page,
  as,
}) => {
  await as(page, 'Wren');
  const job = await copyOfDemo(page);
  await openSurface(page, job, 'SW2');
  await field(page, 'Width at the top').fill('11 about');
  await page.route(/\/chunk-.*\.js$/, (route) => route.fulfill({ status: 404, body: 'gone' }));
  await page.getByRole('link', { name: /^Fit/ }).click();
  await expect(page.getByText('The program was updated.')).toBeVisible();
  await page.unroute(/\/chunk-.*\.js$/);
  await expect(page).toHaveURL(/\/fit\//);
  await page.getByRole('link', { name: /^Survey/ }).click();
  await expect(field(page, 'Width at the top')).toHaveValue('11 about');
});

test('a backup by the button and by the command while the server runs; restored into a new folder, the job is there', async ({
  browser,
  as,
}) => {
  const server = await startServer({ isDemo: true });
  const page = await (await newContext(browser, server.address)).newPage();
  await as(page, 'Wren');
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText(/^Backed up: yellow-pane-.*\.backup, \d+\.\d MB\.$/)).toBeVisible();
  await page.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await measure(page, 'Width at the top', '1187');
  await allSaved(page);
  const program = (...options: readonly string[]): string =>
    spawnSync(process.execPath, ['server/dist/main.js', ...options], { encoding: 'utf8' }).stdout;
  const [, file = ''] = /Backed up: (\S+) /.exec(program('--backup', '--data', server.folder)) ?? [];
  const folder = mkdtempSync(join(tmpdir(), 'yellow-pane-restored-'));
  expect(program('--restore', file, '--data', folder)).toContain(`into ${folder}`);
  const restored = await startServer({ folder });
  const later = await (await newContext(browser, restored.address)).newPage();
  await as(later, 'Wren');
  await later.goto(`${DEMO_JOB}/survey/${surface(2)}`);
  await expect(field(later, 'Width at the top')).toHaveValue('1187');
  await restored.stop();
  await server.stop();
});
