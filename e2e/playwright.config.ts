import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser';
import { ZONE } from './when';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  timeout: 240_000,
  expect: { timeout: 45_000 },
  workers: 1,
  forbidOnly: true,
  reporter: [['list']],
  outputDir: '../test-results',
  use: { actionTimeout: 60_000, viewport: { width: 1280, height: 800 }, launchOptions: CHROMIUM, locale: 'en-GB', timezoneId: ZONE, trace: 'off' },
});
