import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { DatePipe } from '@angular/common';
import { type BackupList, ServerRefusal, api } from '../server/api';

/** Backups of everything: one more now, which there are, and how to bring one back. */
@Component({
  selector: 'yp-backups',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="backups">
      <h2 id="backups" class="text-xl">Backups</h2>
      <p class="mt-1">
        Everything in one file, while work goes on. One is made each day by itself; the newest
        {{ list()?.most ?? 7 }} are kept.
      </p>
      <p class="mt-3">
        <button type="button" class="act" [disabled]="isMaking()" (click)="make()">
          {{ isMaking() ? 'Backing up …' : 'Back up now' }}
        </button>
      </p>
      @if (said(); as text) {
        <p class="mt-2 font-semibold" role="status">{{ text }}</p>
      }
      @if (fault(); as text) {
        <p class="mt-2 text-stop font-semibold" role="alert">{{ text }}</p>
      }
      @if (list(); as all) {
        <p class="mt-3 text-faint break-all">In {{ all.folder }}</p>
        <table class="mt-2 w-full">
          <thead class="sr-only">
            <tr>
              <th scope="col">Made</th>
              <th scope="col">File</th>
              <th scope="col">Size</th>
            </tr>
          </thead>
          <tbody>
            @for (one of all.backups; track one.name) {
              <tr class="border-t border-line">
                <th scope="row" class="py-2 text-left font-normal">
                  {{ one.madeAt | date: 'EEE d MMM y, HH:mm' }}
                </th>
                <td class="break-all">{{ one.name }}</td>
                <td class="figure text-right whitespace-nowrap">{{ (one.bytes / 1e6).toFixed(1) }} MB</td>
              </tr>
            } @empty {
              <tr>
                <td class="py-2">None yet.</td>
              </tr>
            }
          </tbody>
        </table>
        <details class="mt-3">
          <summary class="cursor-pointer underline underline-offset-2">How to bring one back</summary>
          <p class="mt-2">
            Stop the program, then run <code class="bg-ground px-1">npm run restore -- FILE</code> with the
            file’s full name. It is checked first, and what is there now is kept beside it. Copy the files to
            another disk now and then: a backup on the same disk does not outlive it.
          </p>
        </details>
      }
    </section>
  `,
})
export class BackupsSection {
  protected readonly list = signal<BackupList | undefined>(undefined);
  protected readonly isMaking = signal(false);
  protected readonly said = signal<string | undefined>(undefined);
  protected readonly fault = signal<string | undefined>(undefined);

  constructor() {
    void this.#load();
  }

  protected async make(): Promise<void> {
    this.isMaking.set(true);
    this.fault.set(undefined);
    try {
      const { name, bytes } = await api.backUp();
      this.said.set(`Backed up: ${name}, ${(bytes / 1e6).toFixed(1)} MB.`);
    } catch (error) {
      this.fault.set(
        error instanceof ServerRefusal
          ? error.problem.detail
          : 'The server does not answer: nothing was backed up. Try again when it is back.',
      );
    }
    this.isMaking.set(false);
    await this.#load();
  }

  async #load(): Promise<void> {
    await api.backups().then(
      (list) => {
        this.list.set(list);
      },
      () => undefined,
    );
  }
}
