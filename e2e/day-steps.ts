import type { Locator, Page } from '@playwright/test';
import { test as base, allSaved, expect } from './house';

/**
 * A plan is searched for 15 s or so on an idle machine; one that tests in two windows and builds beside takes
 * four times as long.
 */
export const SEARCHED = { timeout: 120_000 };
export const play = async (page: Page, scenario: string): Promise<void> => {
  await page.request.post('/api/bench/weather', { data: { scenario } });
};
export const plan = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Plan (the days|again)$/ }).click();
  await expect(page.getByRole('button', { name: 'Keep this plan' })).toBeVisible(SEARCHED);
};
export const keep = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Keep this plan' }).click();
  await allSaved(page);
};
export const bars = (page: Page, tag: string) =>
  page.getByRole('region', { name: 'Board' }).getByRole('button', { name: new RegExp(`^${tag}, `) });
const MOST_STEPS = 60;
/**
 * Moves stretches of the front on, five minutes at a time, until one is refused because other work stands
 * there: which one that is, the plan found decides.
 * @param past so many stretches of the front are passed over
 * @returns what the bar said of itself then
 */
export const pushedIntoOtherWork = async (page: Page, round: Locator, past = 0): Promise<string> => {
  for (const bar of (await bars(page, 'SW[1246]').all()).slice(past)) {
    await bar.focus();
    for (let step = 0; step < MOST_STEPS; step += 1) {
      await page.keyboard.press('ArrowRight');
      if (
        await page
          .getByRole('alert')
          .filter({ hasText: /cannot start/ })
          .isVisible()
      )
        break;
    }
    if (await round.isVisible()) return (await bar.getAttribute('aria-label')) ?? '';
  }
  throw new Error('no stretch of the front has other work in its way');
};
export const view = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Views' }).getByRole('button', { name, exact: true });

export const minutesAfter = (clock: string, minutes: number): string => {
  const [hour = 0, minute = 0] = clock.split(':').map(Number);
  const all = hour * 60 + minute + minutes;
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`;
};

/** A story of the days; the weather is clear and cold again after it. */
export const test = base.extend<{ readonly clearAgain: undefined }>({
  clearAgain: [
    async ({ page }, use) => {
      await use(undefined);
      await play(page, 'clear cold snap');
    },
    { auto: true },
  ],
});
