import { type View, JOB, surface, layOut, planDays, judged } from './views';

/** Taken by name only, to look at a view in another state or size. */
export const EXTRA: readonly View[] = [
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
    name: 'fit-curved',
    path: `${JOB}/fit/${surface(26)}`,
    before: async (page) => {
      await page.getByRole('button', { name: /\d+\. Sweep surplus water out/ }).click();
      const sheet = page.getByRole('main');
      for (let look = 0; look < 7; look += 1)
        await sheet.getByRole('button', { name: 'Right', exact: true }).last().click();
      await sheet.getByRole('button', { name: 'Read: fold it away' }).click();
      for (let fold = 1; fold < 3; fold += 1)
        await sheet.getByRole('button', { name: `Fold ${fold} of 8 lies` }).click();
    },
  },
  {
    name: 'fit-trim',
    path: `${JOB}/fit/${surface(13)}`,
    before: async (page) => {
      await page.getByRole('button', { name: /\d+\. Only the other side and the bottom/ }).click();
      await page.getByRole('button', { name: 'Read: fold it away' }).click();
    },
  },
  {
    name: 'fit-liner',
    path: `${JOB}/fit/${surface(4)}`,
    before: async (page) => {
      await page.getByRole('button', { name: /\d+\. Hold the blank on the glass/ }).click();
      await page.getByRole('button', { name: 'Read: fold it away' }).click();
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
    name: 'day-mix',
    path: `${JOB}/day/${surface(1)}`,
    before: async (page) => {
      await page.getByRole('button', { name: 'Mixes' }).click();
      await page.getByRole('complementary').getByText('Not planned yet').waitFor();
    },
  },
  { name: 'survey-curved', path: `${JOB}/survey/${surface(26)}` },
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
    name: 'cut-seams',
    path: `${JOB}/cut/${surface(25)}`,
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
  {
    name: 'fit-gate',
    path: `${JOB}/fit/${surface(1)}`,
    size: { width: 390, height: 844 },
    before: async (page) => {
      for (let step = 0; step < 2; step += 1)
        await page.getByRole('button', { name: 'Done, next step' }).click();
      await page.getByRole('button', { name: 'Timer' }).click();
    },
  },
  {
    name: 'fit-lock',
    path: `${JOB}/fit/${surface(26)}`,
    size: { width: 390, height: 844 },
    before: async (page) => {
      await page.keyboard.press('Alt+w');
      await page.keyboard.press('PageDown');
      await page.keyboard.press(' ');
    },
  },
  ...(
    [
      ['fit-more', undefined],
      ['fit-problem', 'Problem here'],
      ['fit-read', 'Read and keep'],
      ['fit-many', 'Done on many'],
      ['fit-colleagues', 'Colleagues'],
    ] as const
  ).map(([name, part]): View => ({
    name,
    path: `${JOB}/fit/${surface(1)}`,
    size: { width: 390, height: 844 },
    before: async (page) => {
      await page.getByRole('button', { name: 'More' }).click();
      if (part !== undefined) await page.getByRole('button', { name: part }).click();
      if (part === 'Problem here') await page.getByRole('button', { name: 'Mark it, no picture' }).click();
    },
  })),
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
