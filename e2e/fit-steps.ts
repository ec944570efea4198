import type { Page } from '@playwright/test';
import { expect } from './house';

/** Opens a surface of the job by its tag, at Fit; on a phone the list slides over. */
export async function fitOf(page: Page, job: string, tag: string): Promise<void> {
  await page.goto(`${job}/fit`);
  const find = page.getByRole('searchbox', { name: 'Find a surface' });
  if ((page.viewportSize()?.width ?? 0) < 768) await page.getByRole('button', { name: 'Surfaces' }).click();
  await find.fill(tag);
  await page.getByRole('option', { name: new RegExp(` ${tag} `) }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tag);
}
