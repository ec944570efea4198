import { type Browser, type BrowserContext, type Locator, type Page, test as base } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { type RunningServer, type ServerOptions, startServer as start } from '../scripts/running-server';
import { NOW } from './when';

export const DEMO_JOB = '/jobs/0199b9a6-0003-7000-8000-000000000001';
/** The n-th surface of the demo job: SW1 is 1, SW3 is 3. */
export const surface = (n: number): string => `0199b9a6-0007-7000-8000-${n.toString(16).padStart(12, '0')}`;

/** A server whose clock stands where the stories begin. */
export const startServer = (options: ServerOptions = {}): Promise<RunningServer> =>
  start({ now: NOW, ...options });

/** A browser context of its own, on the same clock. */
export async function newContext(browser: Browser, baseURL: string): Promise<BrowserContext> {
  const context = await browser.newContext({ baseURL });
  await context.clock.install({ time: NOW });
  return context;
}

interface House {
  readonly server: RunningServer;
}

/** One server with the demo for all files of a worker, and pages that know who is working. */
export const test = base.extend<
  { readonly as: (page: Page, who: string, theme?: 'noon' | 'cellar') => Promise<void> },
  House
>({
  server: [
    async ({}, use) => {
      const server = await startServer({ isDemo: true });
      await use(server);
      await server.stop();
    },
    { scope: 'worker' },
  ],
  context: async ({ context }, use) => {
    await context.clock.install({ time: NOW });
    await use(context);
  },
  baseURL: async ({ server }, use) => {
    await use(server.address);
  },
  as: async ({}, use) => {
    await use(async (page, who, theme = 'noon') => {
      await page.addInitScript(
        (device) => {
          if (localStorage.getItem('yellow-pane.device') === null)
            localStorage.setItem('yellow-pane.device', JSON.stringify(device));
        },
        { who, units: 'metric', theme },
      );
    });
  },
});

export { expect } from '@playwright/test';

/** The field of a measure on the drawing. */
export const field = (page: Page, name: string): Locator => page.getByRole('textbox', { name, exact: true });

/** Waits until the server has taken everything. */
export async function allSaved(page: Page): Promise<void> {
  await page.waitForFunction(() => document.documentElement.dataset['unsaved'] === '0');
}

/** A copy of the demo job that no other story touches. @returns its address */
export async function copyOfDemo(page: Page): Promise<string> {
  const [id, changeId, session] = [newId(), newId(), newId()];
  const answer = await page.request.post(`/api${DEMO_JOB}/duplicate`, {
    data: { id, changeId, session, who: 'Wren', name: `A story of its own ${id.slice(-4)}` },
  });
  if (!answer.ok()) throw new Error(await answer.text());
  return `/jobs/${id}`;
}
