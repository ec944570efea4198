import { mkdirSync } from 'node:fs';
import { type Page, chromium } from '@playwright/test';
import { CHROMIUM } from './browser';
import { startServer } from './running-server';

/** The pictures of docs/screenshots: fixed data, clock and viewport. A name as argument takes that one alone; `--out` another folder. */
const JOB = '/jobs/0199b9a6-0003-7000-8000-000000000001';
const surface = (n: number): string => `0199b9a6-0007-7000-8000-${n.toString(16).padStart(12, '0')}`;
const NOON = new Date('2026-11-24T09:20:00');

interface View {
  readonly name: string;
  readonly path: string;
  readonly theme?: 'noon' | 'cellar';
  readonly size?: { readonly width: number; readonly height: number };
  readonly before?: (page: Page) => Promise<void>;
}

const layOut = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Lay out/ }).click();
  await page.getByRole('table').waitFor();
};

const VIEWS: readonly View[] = [
  { name: 'jobs', path: '/' },
  { name: 'survey-disagree', path: `${JOB}/survey/${surface(3)}` },
  { name: 'survey-phone', path: `${JOB}/survey/${surface(6)}`, size: { width: 390, height: 844 } },
  { name: 'survey-dark', path: `${JOB}/survey/${surface(6)}`, theme: 'cellar' },
  { name: 'film', path: `${JOB}/film/${surface(5)}`, before: async (page) => { await page.getByText('neutral 35').first().click(); } },
  { name: 'cut', path: `${JOB}/cut/${surface(1)}`, before: layOut },
  { name: 'fit', path: `${JOB}/fit/${surface(1)}`, before: async (page) => { await page.getByRole('button', { name: 'Done, next step' }).click(); await page.getByRole('button', { name: 'Start timer' }).click(); } },
  { name: 'commands', path: `${JOB}/survey/${surface(1)}`, before: async (page) => { await page.keyboard.press('F1'); } },
  { name: 'day-empty', path: `${JOB}/day/${surface(1)}` },
  { name: 'films', path: '/films' },
];
const EXTRA: readonly View[] = [
  { name: 'settings', path: '/settings' },
  { name: 'first-run', path: '/' },
  { name: 'fit-phone', path: `${JOB}/fit/${surface(1)}`, size: { width: 390, height: 844 } },
  { name: 'survey-tablet', path: `${JOB}/survey/${surface(13)}`, size: { width: 1024, height: 768 } },
  { name: 'survey-figure', path: `${JOB}/survey/${surface(6)}`, before: async (page) => { await page.getByRole('button', { name: /Out of square/ }).click(); } },
  { name: 'cut-phone', path: `${JOB}/cut/${surface(1)}`, size: { width: 390, height: 844 }, before: layOut },
];

const args = process.argv.slice(2);
const outAt = args.indexOf('--out');
const folder = outAt < 0 ? 'docs/screenshots' : (args[outAt + 1] ?? 'docs/screenshots');
const names = args.filter((arg, index) => index !== outAt && index !== outAt + 1);
const wanted = names.length === 0 ? VIEWS : [...VIEWS, ...EXTRA].filter(({ name }) => names.includes(name));

mkdirSync(folder, { recursive: true });
const server = await startServer({ isDemo: true });
const browser = await chromium.launch(CHROMIUM);
try {
  for (const { name, path, theme = 'noon', size = { width: 1280, height: 800 }, before } of wanted) {
    const context = await browser.newContext({ viewport: size, reducedMotion: 'reduce', locale: 'en-GB', timezoneId: 'Europe/Zurich' });
    const page = await context.newPage();
    page.on('console', (message) => { if (message.type() === 'error') console.error(`${name}: ${message.text()}`); });
    page.on('pageerror', (error) => { console.error(`${name}: ${error.message}`); });
    await page.clock.setFixedTime(NOON);
    if (name !== 'first-run') await page.addInitScript((device) => { localStorage.setItem('yellow-pane.device', JSON.stringify(device)); }, { who: 'Wren', units: 'metric', theme });
    await page.goto(server.address + path);
    await page.waitForLoadState('networkidle').catch(() => undefined);
    await page.waitForTimeout(400);
    await before?.(page);
    await page.waitForTimeout(300);
    await page.screenshot({ path: `${folder}/${name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
}
