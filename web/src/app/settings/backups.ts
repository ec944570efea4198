import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { DatePipe } from '@angular/common';
import { type BackupList, ServerRefusal, api } from '../server/api';
import { settingsWords } from '../words/settings';

/** Backups of everything: one more now, which there are, and how to bring one back. */
@Component({
  selector: 'yp-backups',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="backups">
      <h2 id="backups" class="text-xl">{{ words.backups }}</h2>
      <p class="mt-1">
        {{ words.howBackupsAreMade(list()?.most ?? 7) }}
      </p>
      <p class="mt-3">
        <button type="button" class="act" [disabled]="isMaking()" (click)="make()">
          {{ isMaking() ? words.backingUp : words.backUpNow }}
        </button>
      </p>
      @if (said(); as text) {
        <p class="mt-2 font-semibold" role="status">{{ text }}</p>
      }
      @if (fault(); as text) {
        <p class="mt-2 text-stop font-semibold" role="alert">{{ text }}</p>
      }
      @if (list(); as all) {
        <p class="mt-3 text-faint break-all">{{ words.inFolder(all.folder) }}</p>
        <table class="mt-2 w-full">
          <thead class="sr-only">
            <tr>
              <th scope="col">{{ words.made }}</th>
              <th scope="col">{{ words.file }}</th>
              <th scope="col">{{ words.size }}</th>
            </tr>
          </thead>
          <tbody>
            @for (one of all.backups; track one.name) {
              <tr class="border-t border-line">
                <th scope="row" class="py-2 text-left font-normal">
                  {{ one.madeAt | date: 'EEE d MMM y, HH:mm' }}
                </th>
                <td class="break-all">{{ one.name }}</td>
                <td class="figure text-right whitespace-nowrap">
                  {{ words.megabytes((one.bytes / 1e6).toFixed(1)) }}
                </td>
              </tr>
            } @empty {
              <tr>
                <td class="py-2">{{ words.noneYet }}</td>
              </tr>
            }
          </tbody>
        </table>
        <details class="mt-3">
          <summary class="cursor-pointer underline underline-offset-2">{{ words.howToBringBack }}</summary>
          <p class="mt-2">
            {{ words.stopThenRun }} <code class="bg-ground px-1">{{ words.restoreCommand }}</code>
            {{ words.restoreSaid }}
          </p>
        </details>
      }
    </section>
  `,
})
export class BackupsSection {
  protected readonly words = settingsWords;
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
      this.said.set(settingsWords.backedUp(name, (bytes / 1e6).toFixed(1)));
    } catch (error) {
      this.fault.set(error instanceof ServerRefusal ? error.problem.detail : settingsWords.nothingBackedUp);
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
