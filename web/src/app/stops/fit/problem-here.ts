import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MARK_LOOKS, type MarkLook, NEW_MARK } from '@yellow-pane/core/job';
import { newId } from '../../device/session';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { PhotoWork } from '../../job/photo-work';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';
import { SurfacePicture } from './surface-picture';

/**
 * Something seen in the middle of the work: one press takes the picture and makes the mark; where and what it
 * is may be said then.
 */
@Component({
  selector: 'yp-problem-here',
  imports: [SurfacePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid grid-cols-2 gap-2">
      <label class="act min-h-16 text-lg justify-center text-center has-focus-visible:outline-3">
        {{ words.problemPhoto }}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          class="sr-only"
          [attr.aria-label]="words.problemPhoto"
          (change)="withPhoto($any($event.target))"
        />
      </label>
      <button type="button" class="act min-h-16 text-lg justify-center text-center" (click)="mark()">
        {{ words.problemNoPhoto }}
      </button>
    </div>
    @if (photos.fault(); as text) {
      <p class="text-stop font-semibold mt-2" role="alert">{{ text }}</p>
    }
    @if (last(); as own) {
      <p class="text-xl font-semibold mt-3" role="status">
        {{ own.x_nm === null ? words.problemWhere : words.problemPlaced }}
      </p>
      <yp-surface-picture [application]="desk.application()!" (touched)="place($event.x_nm, $event.y_nm)" />
      <fieldset class="mt-2">
        <legend class="font-bold">{{ words.problemLook }}</legend>
        <div class="grid grid-cols-3 gap-2">
          @for (look of looks; track look) {
            <button
              type="button"
              class="act min-h-14 justify-center"
              [attr.aria-pressed]="own.look === look"
              [class.!bg-ink]="own.look === look"
              [class.!text-ground]="own.look === look"
              (click)="say(look)"
            >
              {{ look }}
            </button>
          }
        </div>
      </fieldset>
    }
  `,
  host: { class: 'block' },
})
export class ProblemHere {
  protected readonly words = fitWords;
  protected readonly looks = MARK_LOOKS.filter((look) => look !== 'not said');
  protected readonly desk = inject(FitDesk);
  protected readonly photos = inject(PhotoWork);
  readonly #job = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #lastId = signal<string | undefined>(undefined);
  protected readonly last = computed(() =>
    this.#reading
      .view()
      .marksOf(this.desk.surface()?.id ?? '')
      .find(({ id }) => id === this.#lastId()),
  );

  protected withPhoto(field: HTMLInputElement): void {
    const [file] = field.files ?? [];
    field.value = '';
    const surface = this.desk.surface();
    if (file === undefined || surface === undefined) return;
    const markId = this.mark();
    void this.photos.add(
      surface,
      { markId, applicationId: this.desk.application()?.id ?? null, step: this.desk.current()?.step ?? null },
      file,
    );
  }

  protected mark(): string {
    const id = newId();
    this.#job.do(fitWords.marked(this.desk.tag()), [
      this.#job.put(
        'mark',
        {
          ...NEW_MARK,
          surfaceId: this.desk.surface()?.id ?? '',
          applicationId: this.desk.application()?.id ?? null,
          step: this.desk.current()?.step ?? null,
          firstSeenAt: new Date().toISOString(),
          from: 'fit',
        },
        id,
      ),
    ]);
    this.#lastId.set(id);
    return id;
  }

  protected place(x_nm: number, y_nm: number): void {
    this.#set({ x_nm, y_nm });
  }

  protected say(look: MarkLook): void {
    this.#set({ look });
  }

  #set(fields: { readonly x_nm?: number; readonly y_nm?: number; readonly look?: MarkLook }): void {
    const mark = this.last();
    if (mark !== undefined)
      this.#job.do(fitWords.marked(this.desk.tag()), [this.#job.set('mark', mark.id, fields)]);
  }
}
