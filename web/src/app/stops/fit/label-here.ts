import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { codeIn } from '../../device/code-reader';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

/** The surface a label leads to. */
const LEADS_TO = /\/fit\/([0-9a-f-]{36})/;

/** Reads the code of a blank's label with the camera: does it belong to this surface? */
@Component({
  selector: 'yp-label-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="act min-h-16 w-full text-lg justify-center text-center leading-tight">
      {{ words.readLabel }}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        class="sr-only"
        [attr.aria-label]="words.readLabel"
        (change)="read($any($event.target))"
      />
    </label>
    @if (says(); as text) {
      <p class="text-lg font-semibold leading-snug mt-1" role="status">{{ text }}</p>
    }
  `,
  host: { class: 'block' },
})
export class LabelHere {
  protected readonly words = fitWords;
  readonly #desk = inject(FitDesk);
  readonly #reading = inject(JobReading);
  protected readonly says = signal<string | undefined>(undefined);

  protected async read(field: HTMLInputElement): Promise<void> {
    const [file] = field.files ?? [];
    field.value = '';
    if (file === undefined) return;
    const surfaceId = LEADS_TO.exec((await codeIn(file)) ?? '')?.[1];
    if (surfaceId === undefined) {
      this.says.set(fitWords.labelUnread);
      return;
    }
    const isHere = surfaceId === this.#desk.surface()?.id;
    const line = this.#desk.gate().find(({ key }) => key === 'blank');
    if (line !== undefined) this.#desk.answer(line, isHere ? 'right' : 'not right');
    const other = this.#reading.surfaceById().get(surfaceId)?.tag;
    this.says.set(
      isHere
        ? fitWords.labelRight(this.#desk.tag())
        : other === undefined
          ? fitWords.labelOfAnotherJob
          : fitWords.labelWrong(other, this.#desk.tag()),
    );
  }
}
