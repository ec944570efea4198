import type { Page } from '@playwright/test';

const SUMMIT = '/jobs/0199b9a6-0003-7000-8000-000000000002';
export const JOB = '/jobs/0199b9a6-0003-7000-8000-000000000001';
export const surface = (n: number): string => `0199b9a6-0007-7000-8000-${n.toString(16).padStart(12, '0')}`;

export interface View {
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

export const layOut = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Lay out (?!everything)/ }).click();
  await page.getByRole('table').waitFor();
  await page.getByRole('button', { name: 'Stop and keep this one' }).waitFor({ state: 'detached' });
  await page.waitForFunction(() => document.documentElement.dataset['unsaved'] === '0');
};

export const planDays = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Plan the days' }).click();
  await page.getByRole('button', { name: 'Keep this plan' }).waitFor();
  await page.waitForTimeout(500);
};

export const judged = async (page: Page): Promise<void> => {
  await page
    .getByRole('table')
    .getByText('go with care')
    .or(page.getByRole('table').getByText('go', { exact: true }))
    .first()
    .waitFor();
  await page.waitForTimeout(500);
};

/** The pictures that are kept, one of each main view. */
export const VIEWS: readonly View[] = [
  { name: 'jobs', path: '/' },
  { name: 'survey-disagree', path: `${JOB}/survey/${surface(3)}` },
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
    name: 'cut-shrink',
    path: `${JOB}/cut/${surface(26)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Shrink plan' }).click();
      await page.getByText(/as the sags were read/).waitFor();
    },
  },
  { name: 'day-crew', path: `${JOB}/day/${surface(1)}`, before: planDays },
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
    name: 'fit-strokes',
    path: `${JOB}/fit/${surface(9)}`,
    before: async (page) => {
      const sheet = page.getByRole('main');
      await page.getByRole('button', { name: /\d+\. From the middle to the nearest edge/ }).click();
      const right = sheet.getByRole('button', { name: 'Right', exact: true }).last();
      await right.waitFor();
      while (await right.isVisible()) {
        await right.click();
        await page.waitForTimeout(250);
      }
      await sheet.getByRole('button', { name: 'Read: fold it away' }).click();
      await sheet.getByRole('slider', { name: /Strokes done/ }).fill('16');
      await page.getByRole('region', { name: 'Step', exact: true }).evaluate((step) => {
        step.scrollTo(0, 0);
      });
    },
  },
  {
    name: 'close',
    path: `${SUMMIT}/close`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Account' }).click();
      await page.getByText('Against quote 1').waitFor();
    },
  },
  { name: 'certificate', path: `${SUMMIT}/close`, paper: `/api${SUMMIT}/close/certificate` },
  {
    name: 'call',
    path: '/call',
    before: async (page) => {
      await page.getByLabel('Who is calling').fill('Ida, ticket office');
      await page.getByLabel('How many').fill('4');
      await page.getByLabel('About how wide, mm').fill('1.2 m');
      await page.getByLabel('About how high, mm').fill('1.5 m');
      await page.getByLabel('They look').selectOption('north-east');
      await page.getByLabel('Storey').fill('3');
      await page.getByRole('combobox', { name: 'Film', exact: true }).selectOption('neutral 50');
      await page.getByText(/to CHF/).waitFor();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'check',
    path: `${SUMMIT}/check/${surface(900)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Start the round again' }).click();
      const round = page.getByRole('region', { name: 'Round' });
      for (let piece = 0; piece < 14; piece += 1) {
        const before = await round.textContent();
        await round.getByRole('button', { name: 'Looked at', exact: true }).click();
        await page.waitForFunction(
          (text) => document.querySelector('yp-round-here section')?.textContent !== text,
          before,
        );
      }
      await page.waitForFunction(() => document.documentElement.dataset['unsaved'] === '0');
    },
  },
  {
    name: 'check-marks',
    path: `${SUMMIT}/check/${surface(902)}`,
    before: async (page) => {
      await page.getByRole('button', { name: /2\. water pocket/ }).click();
      await page.getByRole('button', { name: 'creeps away' }).click();
      await page.waitForFunction(() => document.documentElement.dataset['unsaved'] === '0');
    },
  },
  {
    name: 'fit-phone',
    path: `${JOB}/fit/${surface(24)}`,
    size: { width: 390, height: 844 },
    before: async (page) => {
      await page.getByRole('button', { name: 'Reckoning' }).click();
      await page.getByRole('button', { name: /\d+\. One wing round/ }).click();
      await page.getByRole('button', { name: 'Close reckoning' }).click();
      const sheet = page.getByRole('main');
      for (let look = 0; look < 4; look += 1)
        await sheet.getByRole('button', { name: 'Right', exact: true }).click();
      await sheet.getByRole('button', { name: 'Read: fold it away' }).click();
      for (let round = 1; round < 4; round += 1)
        await sheet.getByRole('button', { name: `Round ${round} of` }).click();
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
