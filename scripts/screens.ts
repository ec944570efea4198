import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { type Page, chromium } from '@playwright/test';
import { CHROMIUM } from './browser';
import { startServer } from './running-server';

/**
 * The pictures of docs/screenshots: fixed data, clock and viewport. A name as argument takes that one alone;
 * `--out` another folder.
 */
const JOB = '/jobs/0199b9a6-0003-7000-8000-000000000001';
const surface = (n: number): string => `0199b9a6-0007-7000-8000-${n.toString(16).padStart(12, '0')}`;
const NOON = new Date('2026-11-24T09:20:00');

interface View {
  readonly name: string;
  readonly path: string;
  readonly theme?: 'noon' | 'cellar';
  readonly size?: { readonly width: number; readonly height: number };
  readonly before?: (page: Page) => Promise<void>;
  /**
   * Where a paper comes from, whose first page is the picture instead of the screen. Needs Debian's
   * poppler-utils.
   */
  readonly paper?: string;
}

const layOut = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Lay out/ }).click();
  await page.getByRole('table').waitFor();
  await page.getByRole('button', { name: 'Stop and keep this one' }).waitFor({ state: 'detached' });
  await page.waitForFunction(() => document.documentElement.dataset['unsaved'] === '0');
};

const planDays = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Plan the days' }).click();
  await page.getByRole('button', { name: 'Keep this plan' }).waitFor();
  await page.waitForTimeout(500);
};

const judged = async (page: Page): Promise<void> => {
  await page
    .getByRole('table')
    .getByText('go with care')
    .or(page.getByRole('table').getByText('go', { exact: true }))
    .first()
    .waitFor();
  await page.waitForTimeout(500);
};

const VIEWS: readonly View[] = [
  { name: 'jobs', path: '/' },
  { name: 'survey-disagree', path: `${JOB}/survey/${surface(3)}` },
  { name: 'survey-curved', path: `${JOB}/survey/${surface(26)}` },
  { name: 'survey-wall', path: `${JOB}/survey/${surface(25)}` },
  {
    name: 'elevation',
    path: `${JOB}/survey/${surface(3)}`,
    before: async (page) => {
      await page.keyboard.press('Alt+E');
    },
  },
  { name: 'film-choose', path: `${JOB}/film/${surface(5)}`, before: judged },
  {
    name: 'film-stress',
    path: `${JOB}/film/${surface(5)}`,
    before: async (page) => {
      await judged(page);
      await page.getByText('warm room 60').first().click();
      await page.getByRole('button', { name: 'Stress' }).click();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'film-compare',
    path: `${JOB}/film/${surface(5)}`,
    before: async (page) => {
      await judged(page);
      for (const film of ['outside select 60', 'warm room 60', 'neutral 35', 'silver 20'])
        await page.getByRole('checkbox', { name: `Lay ${film} side by side` }).check();
      await page.getByRole('button', { name: /^Compare/ }).click();
      await page.waitForTimeout(300);
    },
  },
  {
    name: 'film-preview',
    path: `${JOB}/film/${surface(9)}`,
    before: async (page) => {
      await judged(page);
      await page.getByText('frost dots 6').first().click();
      await page.getByRole('button', { name: 'Preview' }).click();
      await page.waitForTimeout(600);
    },
  },
  { name: 'cut', path: `${JOB}/cut/${surface(1)}`, before: layOut },
  {
    name: 'cut-stock',
    path: `${JOB}/cut/${surface(1)}`,
    before: async (page) => {
      await layOut(page);
      await page.getByRole('button', { name: 'Stock', exact: true }).click();
      await page.getByRole('button', { name: 'Try all widths' }).click();
      await page.getByText('cheapest').waitFor();
    },
  },
  {
    name: 'cut-table',
    path: `${JOB}/cut/${surface(1)}`,
    before: async (page) => {
      await layOut(page);
      await page.getByRole('button', { name: 'At the table' }).click();
      for (const tick of ['mark 1', 'check 1', 'cut 1', 'mark 2'])
        await page.getByRole('button', { name: tick, exact: true }).click();
    },
  },
  {
    name: 'cut-seams',
    path: `${JOB}/cut/${surface(25)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Blanks and seams' }).click();
      await page.waitForTimeout(300);
    },
  },
  { name: 'day-crew', path: `${JOB}/day/${surface(1)}`, before: planDays },
  {
    name: 'day-surfaces',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await planDays(page);
      await page.getByRole('button', { name: 'by surface' }).click();
      await page.waitForTimeout(300);
    },
  },
  {
    name: 'day-mix',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Mixes' }).click();
      await page.getByText('Not planned yet').waitFor();
    },
  },
  {
    name: 'day-sheet',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await planDays(page);
      await page.getByRole('button', { name: 'Keep this plan' }).click();
      await page.waitForFunction(() => document.documentElement.dataset['unsaved'] === '0');
    },
    paper: `/api${JOB}/day/sheet`,
  },
  {
    name: 'fit',
    path: `${JOB}/fit/${surface(1)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Done, next step' }).click();
      await page.getByRole('button', { name: 'Start timer' }).click();
    },
  },
  {
    name: 'bench',
    path: '/bench',
    before: async (page) => {
      await page.getByRole('button', { name: 'Connect' }).click();
      for (const measure of ['its width', 'its height', 'a diagonal']) {
        await page.getByRole('button', { name: `Measure ${measure}` }).click();
        await page.waitForTimeout(500);
      }
    },
  },
];
const EXTRA: readonly View[] = [
  { name: 'survey-phone', path: `${JOB}/survey/${surface(6)}`, size: { width: 390, height: 844 } },
  { name: 'stock', path: '/stock' },
  { name: 'survey-dark', path: `${JOB}/survey/${surface(6)}`, theme: 'cellar' },
  { name: 'films', path: '/films' },
  {
    name: 'day-sun',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Sun', exact: true }).click();
      await page.waitForTimeout(1500);
    },
  },
  {
    name: 'day-skyline',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Sun', exact: true }).click();
      await page.getByRole('group', { name: 'Skyline to draw' }).waitFor();
      await page.getByRole('button', { name: 'The sun has just left' }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'day-kit',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Kit', exact: true }).click();
      await page.waitForTimeout(800);
    },
  },
  {
    name: 'day-waits',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await planDays(page);
      await page.getByRole('button', { name: 'Waits', exact: true }).click();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'day-people',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Crew', exact: true }).click();
      await page.waitForTimeout(800);
    },
  },
  {
    name: 'day-in-the-way',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await planDays(page);
      await page.getByRole('button', { name: 'by surface' }).click();
      await page
        .getByRole('region', { name: 'Board' })
        .getByRole('button', { name: /^SW[1246], / })
        .first()
        .press('ArrowRight');
      await page.waitForTimeout(300);
    },
  },
  {
    name: 'day-phone',
    path: `${JOB}/day/${surface(1)}`,
    size: { width: 390, height: 844 },
    before: planDays,
  },
  {
    name: 'cut-column',
    path: `${JOB}/cut/${surface(24)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Blanks and seams' }).click();
      await page.waitForTimeout(300);
    },
  },
  {
    name: 'cut-seams-phone',
    path: `${JOB}/cut/${surface(25)}`,
    size: { width: 390, height: 844 },
    before: async (page) => {
      await page.getByRole('button', { name: 'Blanks and seams' }).click();
      await page.waitForTimeout(300);
    },
  },
  { name: 'cut-phone', path: `${JOB}/cut/${surface(1)}`, size: { width: 390, height: 844 }, before: layOut },
  {
    name: 'cut-any',
    path: `${JOB}/cut/${surface(1)}`,
    before: async (page) => {
      await page.getByText('How it is laid out').click();
      await page
        .getByRole('combobox', { name: 'Stages of hand cutting' })
        .selectOption({ label: 'as many as it takes' });
      await layOut(page);
    },
  },
  {
    name: 'cut-plotter',
    path: `${JOB}/cut/${surface(24)}`,
    before: async (page) => {
      await page.getByText('How it is laid out').click();
      await page.getByRole('radio', { name: 'by plotter' }).check();
      await layOut(page);
    },
  },
  {
    name: 'commands',
    path: `${JOB}/survey/${surface(1)}`,
    before: async (page) => {
      await page.keyboard.press('F1');
    },
  },
  {
    name: 'film-facade',
    path: `${JOB}/film/${surface(5)}`,
    before: async (page) => {
      await judged(page);
      await page.getByRole('button', { name: 'Whole front' }).click();
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'film-sheet',
    path: `${JOB}/film/${surface(5)}`,
    before: async (page) => {
      await judged(page);
      await page.getByRole('button', { name: 'Customer sheet' }).click();
    },
  },
  {
    name: 'film-preview-street',
    path: `${JOB}/film/${surface(1)}`,
    before: async (page) => {
      await judged(page);
      await page.getByText('silver 20').first().click();
      await page.getByRole('button', { name: 'Preview' }).click();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'film-preview-night',
    path: `${JOB}/film/${surface(1)}`,
    before: async (page) => {
      await judged(page);
      await page.getByText('silver 20').first().click();
      await page.getByRole('button', { name: 'Preview' }).click();
      await page.getByRole('button', { name: 'At night', exact: true }).click();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'film-door',
    path: `${JOB}/film/${surface(11)}`,
    before: async (page) => {
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'film-phone',
    path: `${JOB}/film/${surface(5)}`,
    size: { width: 390, height: 844 },
    before: judged,
  },
  { name: 'settings', path: '/settings' },
  { name: 'fit-phone', path: `${JOB}/fit/${surface(1)}`, size: { width: 390, height: 844 } },
  { name: 'survey-counter', path: `${JOB}/survey/${surface(22)}` },
  { name: 'survey-column', path: `${JOB}/survey/${surface(24)}` },
  { name: 'survey-arch', path: `${JOB}/survey/${surface(21)}` },
  {
    name: 'survey-pad',
    path: `${JOB}/survey/${surface(12)}`,
    before: async (page) => {
      await page.keyboard.press('Alt+P');
      await page.keyboard.press('Alt+M');
    },
  },
  {
    name: 'transfer',
    path: `${JOB}/survey/${surface(3)}`,
    before: async (page) => {
      await page.keyboard.press('Alt+I');
    },
  },
  { name: 'survey-tablet', path: `${JOB}/survey/${surface(13)}`, size: { width: 1024, height: 768 } },
  {
    name: 'survey-figure',
    path: `${JOB}/survey/${surface(6)}`,
    before: async (page) => {
      await page.getByRole('button', { name: /Out of square/ }).click();
    },
  },
];

const args = process.argv.slice(2);
const outAt = args.indexOf('--out');
const folder = outAt < 0 ? 'docs/screenshots' : (args[outAt + 1] ?? 'docs/screenshots');
const names = outAt < 0 ? args : args.filter((arg, index) => index !== outAt && index !== outAt + 1);
const wanted = names.length === 0 ? VIEWS : [...VIEWS, ...EXTRA].filter(({ name }) => names.includes(name));

mkdirSync(folder, { recursive: true });
const server = await startServer({ isDemo: true, now: '2026-11-24T08:20:00Z' });
const browser = await chromium.launch(CHROMIUM);
try {
  for (const { name, path, theme = 'noon', size = { width: 1280, height: 800 }, before, paper } of wanted) {
    const context = await browser.newContext({
      viewport: size,
      reducedMotion: 'reduce',
      locale: 'en-GB',
      timezoneId: 'Europe/Zurich',
    });
    const page = await context.newPage();
    page.on('console', (message) => {
      if (message.type() === 'error') console.error(`${name}: ${message.text()}`);
    });
    page.on('pageerror', (error) => {
      console.error(`${name}: ${error.message}`);
    });
    await page.clock.setFixedTime(NOON);
    await page.addInitScript(
      (device) => {
        localStorage.setItem('yellow-pane.device', JSON.stringify(device));
      },
      { who: 'Wren', units: 'metric', theme },
    );
    await page.goto(server.address + path);
    await page.waitForLoadState('networkidle').catch(() => undefined);
    await page.waitForTimeout(400);
    await before?.(page);
    await page.waitForTimeout(300);
    if (paper === undefined) await page.screenshot({ path: `${folder}/${name}.png` });
    else
      execFileSync('pdftoppm', ['-png', '-r', '96', '-singlefile', '-', `${folder}/${name}`], {
        input: await (await page.request.get(server.address + paper)).body(),
      });
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
}
