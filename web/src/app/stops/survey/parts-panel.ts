import { JobClock } from '../../day/job-clock';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { NEW_PART, type PartKind, type RowOf } from '@yellow-pane/core/job';
import { formatLength } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { KeptField, type Typed } from '../../fields/kept-field';
import { surveyWords } from '../../words/survey';
import { PhotoWork } from '../../job/photo-work';

const KINDS: readonly { readonly kind: PartKind; readonly word: string }[] = [
  { kind: 'damage', word: surveyWords.damage },
  { kind: 'hardware', word: surveyWords.partToTakeOff },
  { kind: 'opening', word: surveyWords.opening },
  { kind: 'furrow', word: surveyWords.furrow },
  { kind: 'dish', word: surveyWords.dish },
  { kind: 'box corner', word: surveyWords.boxCorner },
  { kind: 'obstacle', word: surveyWords.obstacle },
  { kind: 'heater lines', word: surveyWords.heaterLines },
  { kind: 'sensor', word: surveyWords.sensor },
];
const NAME: Fact = { key: 'name', kind: 'text', word: surveyWords.what };
const PLACE: readonly Fact[] = [
  { key: 'x_nm', kind: 'length', word: surveyWords.fromLeft },
  { key: 'y_nm', kind: 'length', word: surveyWords.fromTop },
];
const SIZE: readonly Fact[] = [
  { key: 'width_nm', kind: 'length', word: surveyWords.width },
  { key: 'height_nm', kind: 'length', word: surveyWords.height },
];
const FACTS: Readonly<Record<PartKind, readonly Fact[]>> = {
  damage: [NAME, ...PLACE, { key: 'remark', kind: 'text', word: surveyWords.remark }],
  hardware: [NAME, ...PLACE, { key: 'remark', kind: 'text', word: surveyWords.remark }],
  opening: [NAME, ...PLACE, ...SIZE],
  obstacle: [NAME, ...PLACE, ...SIZE],
  'heater lines': [NAME, ...PLACE, ...SIZE, { key: 'remark', kind: 'text', word: surveyWords.remark }],
  sensor: [NAME, ...PLACE, ...SIZE, { key: 'remark', kind: 'text', word: surveyWords.remark }],
  dish: [
    NAME,
    ...PLACE,
    { key: 'width_nm', kind: 'length', word: surveyWords.width },
    { key: 'depth_nm', kind: 'length', word: surveyWords.depth },
  ],
  'box corner': [
    NAME,
    ...PLACE,
    { key: 'planRadius_nm', kind: 'length', word: surveyWords.planRadius },
    { key: 'edgeRadius_nm', kind: 'length', word: surveyWords.edgeRadius },
  ],
  furrow: [
    { key: 'form', kind: 'choice', word: surveyWords.form, options: ['none', 'V', 'square', 'half round'] },
    { key: 'width_nm', kind: 'length', word: surveyWords.widthOfOne },
    { key: 'depth_nm', kind: 'length', word: surveyWords.depth },
    { key: 'count', kind: 'number', word: surveyWords.howMany, unit: 'furrows', least: 1, most: 10_000 },
  ],
};

/**
 * What sits on the surface: cut out of it, taken off it, in the way, broken, or pressed into it; with
 * pictures.
 */
@Component({
  selector: 'yp-parts-panel',
  imports: [KeptField, Facts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="border-t border-line pt-2" [open]="parts().length > 0">
      <summary class="font-bold min-h-10 cursor-pointer">
        {{ words.partsAndPictures(parts().length + photos().length) }}
      </summary>
      <ul class="flex flex-col gap-1">
        @for (part of parts(); track part.id) {
          <li class="border-b border-line pb-1">
            <button
              type="button"
              class="flex w-full min-h-10 items-baseline gap-2 text-left"
              [attr.aria-expanded]="openId() === part.id"
              (click)="openId.set(openId() === part.id ? undefined : part.id)"
            >
              <span class="flex-1">{{ part.name || wordOf(part.kind) }}</span><span class="text-sm text-faint"
                >{{ wordOf(part.kind) }}{{ where(part) }}</span
              >
            </button>
            @if (part.kind === 'hardware') {
              <div class="flex gap-2 flex-wrap">
                <button type="button" class="act act-small" (click)="tick(part, 'takenOffAt')">
                  {{ part.takenOffAt ? words.offSince(time(part.takenOffAt)) : words.takenOffNow }}
                </button>
                @if (part.takenOffAt) {
                  <button type="button" class="act act-small" (click)="tick(part, 'putBackAt')">
                    {{ part.putBackAt ? words.backSince(time(part.putBackAt)) : words.putBackNow }}
                  </button>
                }
              </div>
            }
            @if (openId() === part.id) {
              <yp-facts
                class="block mt-1"
                [prefix]="'part:' + part.id + ':'"
                [facts]="factsOf(part)"
                [values]="part"
                [entryUnit]="unit()"
                (changed)="set(part, $event)"
              />
              <div class="flex flex-wrap gap-2 mt-2">
                @if (part.kind !== 'furrow') {
                  <button type="button" class="act act-small" (click)="pinAsked.emit(part.id)">
                    {{ words.showOnDrawing }}
                  </button>
                }
                <label class="act act-small cursor-pointer"
                  >{{ words.picture
                  }}<input
                    type="file"
                    class="sr-only"
                    accept="image/jpeg,image/png,image/webp"
                    (change)="addPhoto($any($event.target), part.id)"
                /></label>
                <button type="button" class="act act-small" (click)="remove(part)">
                  {{ words.takeOut }}
                </button>
              </div>
            }
          </li>
        }
      </ul>
      <div class="flex flex-wrap gap-2 mt-2">
        @for (entry of kinds; track entry.kind) {
          <button type="button" class="act act-small" (click)="add(entry.kind)">+ {{ entry.word }}</button>
        }
        <label class="act act-small cursor-pointer"
          >{{ words.addPicture
          }}<input
            id="add-photo"
            type="file"
            class="sr-only"
            accept="image/jpeg,image/png,image/webp"
            (change)="addPhoto($any($event.target), null)"
        /></label>
      </div>
      @if (photoWork.fault(); as says) {
        <p class="mt-2 border-2 border-stop rounded-card px-2 py-1" role="alert">{{ says }}</p>
      }
      @if (photoWork.isBusy()) {
        <p class="mt-2" aria-busy="true">{{ words.sendingPicture }}</p>
      }
      <div class="grid grid-cols-2 gap-2 mt-2">
        @for (photo of photos(); track photo.id) {
          <figure>
            <a [href]="photoWork.address(photo)" target="_blank" rel="noopener"
              ><img
                class="w-full border border-line"
                [src]="photoWork.address(photo)"
                [alt]="photo.caption || words.pictureOf(surface().tag)"
                [width]="photo.width_px"
                [height]="photo.height_px"
                loading="lazy"
            /></a>
            <figcaption class="flex gap-1">
              <input
                class="field text-sm min-h-9"
                [placeholder]="words.whatItShows"
                maxlength="400"
                [attr.aria-label]="words.captionOfPicture($index + 1)"
                [ypKept]="'caption:' + photo.id"
                [is]="photo.caption"
                [version]="photo.version"
                (typed)="caption(photo, $event)"
              /><button
                type="button"
                class="act act-small"
                (click)="dropPhoto(photo)"
                [attr.aria-label]="words.takePictureOut($index + 1)"
              >
                ×
              </button>
            </figcaption>
          </figure>
        }
      </div>
    </details>
  `,
})
export class PartsPanel {
  protected readonly words = surveyWords;
  readonly #clock = inject(JobClock);
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  protected readonly photoWork = inject(PhotoWork);
  readonly surface = input.required<RowOf<'surface'>>();
  readonly pinAsked = output<string>();
  protected readonly kinds = KINDS;
  protected readonly openId = signal<string | undefined>(undefined);
  protected readonly unit = computed(() => this.#reading.job()?.entryUnit ?? 'mm');
  protected readonly parts = computed(() => this.#reading.partsOf(this.surface().id));
  protected readonly photos = computed(() => this.#reading.photosOf(this.surface().id));

  protected wordOf(kind: PartKind): string {
    return KINDS.find((entry) => entry.kind === kind)?.word.toLowerCase() ?? kind;
  }

  protected where({ x_nm, y_nm, width_nm, height_nm }: RowOf<'part'>): string {
    if (width_nm !== null && height_nm !== null)
      return ` ${formatLength(width_nm, this.#units())} × ${formatLength(height_nm, this.#units())}`;
    return x_nm === null || y_nm === null
      ? ''
      : surveyWords.at(formatLength(x_nm, this.#units()), formatLength(y_nm, this.#units()));
  }

  protected time(instant: string): string {
    return this.#clock.clock().momentOf(instant);
  }

  protected factsOf(part: RowOf<'part'>): readonly Fact[] {
    return FACTS[part.kind];
  }

  protected add(kind: PartKind): void {
    const put = this.#desk.put('part', {
      ...NEW_PART,
      surfaceId: this.surface().id,
      kind,
      position: (this.parts().at(-1)?.position ?? 0) + 1,
    });
    this.#desk.do(`${this.surface().tag}: ${this.wordOf(kind)}`, [put]);
    this.openId.set(put.id);
  }

  protected set(part: RowOf<'part'>, { key, value, seen }: FactChange): void {
    this.#desk.do(`${this.surface().tag}: ${part.name || this.wordOf(part.kind)}`, [
      this.#desk.set(
        'part',
        part.id,
        { [key]: key === 'count' ? Math.max(1, Math.round(Number(value ?? 1))) : value },
        seen,
      ),
    ]);
  }

  protected tick(part: RowOf<'part'>, field: 'takenOffAt' | 'putBackAt'): void {
    this.#desk.do(`${part.name || 'part'}: ${field === 'takenOffAt' ? 'off' : 'back'}`, [
      this.#desk.set('part', part.id, { [field]: part[field] === null ? new Date().toISOString() : null }),
    ]);
  }

  protected remove(part: RowOf<'part'>): void {
    this.#desk.do(surveyWords.takenOut(part.name || this.wordOf(part.kind)), [
      this.#desk.remove('part', part.id),
    ]);
  }

  protected addPhoto(from: HTMLInputElement, partId: string | null): void {
    const file = from.files?.[0];
    from.value = '';
    if (file !== undefined) void this.photoWork.add(this.surface(), { partId }, file);
  }

  protected caption(photo: RowOf<'photo'>, { text, seen }: Typed): void {
    this.#desk.do(surveyWords.caption, [this.#desk.set('photo', photo.id, { caption: text.trim() }, seen)]);
  }

  protected dropPhoto(photo: RowOf<'photo'>): void {
    this.#desk.do(surveyWords.pictureTakenOut, [this.#desk.remove('photo', photo.id)]);
  }
}
