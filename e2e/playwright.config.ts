import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  timeout: 90_000,
  expect: { timeout: 8000 },
  workers: 1,
  forbidOnly: true,
  reporter: [['list']],
  outputDir: '../test-results',
  use: { viewport: { width: 1280, height: 800 }, launchOptions: CHROMIUM, locale: 'en-GB', timezoneId: 'Europe/Zurich', trace: 'off' },
});
