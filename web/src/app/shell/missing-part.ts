import { DOCUMENT, inject } from '@angular/core';
import type { NavigationError } from '@angular/router';
import { readKept, writeKept } from '../device/keep';
import { JobDesk } from '../job/job-desk';
import { shellWords } from '../words/shell';

const KEY = 'reloaded';
/** Reloaded once for a missing part, it is not tried again so soon: it would go round for ever. */
const ONCE_MS = 30_000;
const SAID_MS = 1500;
const isMissing = (error: unknown): boolean =>
  error instanceof TypeError && /dynamically imported module|module script/i.test(error.message);

/**
 * A part of the page that is gone since the program was updated: says so and loads the new page at the place
 * one was going to. What is typed is kept in the browser.
 */
export function loadNewPage({ error, url }: NavigationError): void {
  if (!isMissing(error)) throw error;
  const [desk, page] = [inject(JobDesk), inject(DOCUMENT).defaultView];
  void fetch('/api/health')
    .then(
      (answer) => answer.ok,
      () => false,
    )
    .then((isHere) => {
      const last = Number(readKept(KEY) ?? 0);
      if (!isHere) desk.say(shellWords.partNoAnswer);
      else if (Date.now() - last < ONCE_MS) desk.say(shellWords.partBroken);
      else {
        writeKept(KEY, Date.now());
        desk.say(shellWords.updated);
        setTimeout(() => {
          page?.location.assign(url);
        }, SAID_MS);
      }
    });
}
