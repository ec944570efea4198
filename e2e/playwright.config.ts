import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser';
import { ZONE } from './when';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  timeout: 600_000,
  expect: { timeout: 90_000 },
  /** Each with a server and a demo of its own. */
  workers: 2,
  forbidOnly: true,
  reporter: [['list']],
  outputDir: '../test-results',
  use: {
    actionTimeout: 120_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    locale: 'en-GB',
    timezoneId: ZONE,
    trace: 'off',
  },
});
