import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHROMIUM } from './browser';
import { EXTRA } from './other-views';
import { startServer } from './running-server';
import { VIEWS } from './views';

/**
 * The pictures of docs/screenshots: fixed data, clock and viewport. A name as argument takes that one alone;
 * `--out` another folder.
 */
const NOON = new Date('2026-11-24T09:20:00');

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
