import { chromium } from '@playwright/test';
import { CHROMIUM } from '../scripts/browser';
import { startServer } from '../scripts/running-server';
import { putLargeJob } from './api';
import { median, ms } from './figures';
import { openings, repeated, typing } from './pages';
import type { Row } from './run';

const SURFACES = 1000;

/** A job of a thousand surfaces: opened, typed in, and a list of a thousand pasted into it. */
export async function surveyOfThousand(): Promise<readonly Row[]> {
  const server = await startServer();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const jobId = await putLargeJob(server, SURFACES);
    const { opens, page } = await openings(browser, server, jobId);
    const typed = await typing(page);
    await page.getByRole('button', { name: 'Bring in, take out' }).click();
    const rows = Array.from(
      { length: 1000 },
      (_, index) => `P${index + 1}\tHall\t${600 + (index % 900)}\t${800 + (index % 1500)}`,
    );
    const pastes = await repeated(5, async () => {
      const box = page.getByLabel('Paste a list from a spreadsheet');
      await box.fill('');
      await page.getByText('1000 surfaces').waitFor({ state: 'hidden' });
      const start = performance.now();
      await box.evaluate(
        (field, text) => {
          const clipboardData = new DataTransfer();
          clipboardData.setData('text/plain', text);
          field.dispatchEvent(
            new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
          );
        },
        `Tag\tRoom\tWidth\tHeight\n${rows.join('\n')}`,
      );
      await page.getByRole('button', { name: 'Take over 1000 surfaces' }).waitFor();
      return performance.now() - start;
    });
    return [
      {
        what: 'a job of 1,000 surfaces opens in the browser, median',
        wanted: 'under 1.5 s',
        got: ms(median(opens)),
        isMet: median(opens) < 1500,
      },
      {
        what: 'typing to redrawn figure in that job, median',
        wanted: 'under 50 ms',
        got: ms(typed),
        isMet: typed < 50,
      },
      {
        what: 'a pasted list of 1,000 rows previewed, median',
        wanted: 'under 1 s',
        got: ms(median(pastes)),
        isMet: median(pastes) < 1000,
      },
    ];
  } finally {
    await browser.close();
    await server.stop();
  }
}
