import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { sessionOf } from '../device/session';
import { WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { jobsWords } from '../words/jobs';

/** Reads a job that was saved as one file, here or elsewhere: wholly or not at all. */
@Component({
  selector: 'yp-archive-in',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex flex-wrap gap-x-4 gap-y-2 items-center mt-4">
      <label class="act has-focus-visible:outline-3">
        {{ words.readArchive }}
        <input
          type="file"
          accept=".zip,application/zip"
          class="sr-only"
          [attr.aria-label]="words.readArchive"
          (change)="take($any($event.target))"
        />
      </label>
      <label class="flex gap-2 items-center min-h-touch"
        ><input
          type="checkbox"
          class="size-5 accent-ink"
          [checked]="isFilmHere()"
          (change)="isFilmHere.set($any($event.target).checked)"
        />{{ words.filmIsHere }}</label
      >
    </div>
    @if (says() !== '') {
      <p class="font-semibold" role="status">{{ says() }}</p>
    }
    @if (fault() !== '') {
      <p class="mt-1 border-2 border-stop rounded-card px-3 py-2" role="alert">{{ fault() }}</p>
    }
  `,
  host: { class: 'block' },
})
export class ArchiveIn {
  protected readonly words = jobsWords;
  readonly #hand = inject(WhoseHand);
  readonly read = output();
  protected readonly isFilmHere = signal(false);
  protected readonly says = signal('');
  protected readonly fault = signal('');

  protected take(field: HTMLInputElement): void {
    const [file] = field.files ?? [];
    field.value = '';
    if (file !== undefined)
      this.#hand.whenKnown((by) => {
        void this.#read(file, by);
      });
  }

  async #read(file: File, by: Parameters<typeof api.readArchive>[1]): Promise<void> {
    this.fault.set('');
    this.says.set(jobsWords.readingArchive);
    try {
      const { name, rows, photos, mapped } = await api.readArchive(file, by, {
        session: sessionOf(by.who),
        isFilmHere: this.isFilmHere(),
      });
      const more = mapped === 0 ? '' : ` ${jobsWords.archiveMapped}`;
      this.says.set(jobsWords.archiveIn(name, rows, photos) + more);
      this.read.emit();
    } catch (error) {
      this.says.set('');
      this.fault.set(error instanceof ServerRefusal ? error.problem.detail : jobsWords.archiveFailed);
    }
  }
}
