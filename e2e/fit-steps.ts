import type { Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
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

/** A job's rows as the server has them, by table. */
export type Rows = Readonly<
  Record<string, readonly (Readonly<Record<string, unknown>> & { readonly id: string })[]>
>;

export async function rowsOf(page: Page, job: string): Promise<Rows> {
  return ((await (await page.request.get(`/api${job}`)).json()) as { readonly rows: Rows }).rows;
}
/** A change by a colleague. */
export async function put(page: Page, job: string, ops: readonly object[]): Promise<void> {
  const answer = await page.request.post(`/api${job}/changes`, {
    data: { id: newId(), session: newId(), who: 'Finch', ops },
  });
  expect(answer.ok() ? '' : await answer.text()).toBe('');
}
export const idOf = (rows: Rows, tag: string): string =>
  rows['surface']?.find((row) => row['tag'] === tag)?.id ?? '';
