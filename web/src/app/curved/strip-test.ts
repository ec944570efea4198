import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { formatLengthWithUnit, mmFromNm, parseReading } from '@yellow-pane/core/quantity';
import { shrunkBy, stripsOf } from '@yellow-pane/core/reading';
import { Device } from '../device/device';
import { JobReading } from '../job/job-reading';
import { shrinkWords } from '../words/shrink';
import { ShrinkDesk } from './shrink-desk';
import { percentOf } from './percent-of';

const USUAL_NM = 250_000_000;
/** On a shorter strip a millimetre more or less decides. */
const LEAST_MM = 100;
const MOST_MM = 2000;

/**
 * A strip of the film along the roll: marked, heated hanging free, measured again. What it shrank is what the
 * film bears.
 */
@Component({
  selector: 'yp-strip-test',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="font-bold">{{ words.stripTest }}</h2>
    <p class="text-sm">{{ words.stripHow }}</p>
    @for (strip of strips(); track strip.id) {
      <p class="flex items-center gap-3 border-b border-line">
        <span class="flex-1 figure">{{ strip.says }}</span>
        <button type="button" class="act act-small" (click)="remove(strip.id)">
          {{ words.stripRemove }}
        </button>
      </p>
    }
    <form class="flex flex-wrap items-end gap-2 mt-1" (submit)="keep($event, marked.value, after, lot.value)">
      <label
        ><span class="block text-sm">{{ words.stripMarked }}</span
        ><input #marked class="field figure w-24" inputmode="decimal" [value]="usual()"
      /></label>
      <label
        ><span class="block text-sm">{{ words.stripAfter }}</span
        ><input
          #after
          class="field figure w-24"
          inputmode="decimal"
          [attr.aria-invalid]="fault() !== undefined"
      /></label>
      <label
        ><span class="block text-sm">{{ words.stripLot }}</span
        ><input #lot class="field w-24" maxlength="80"
      /></label>
      <button type="submit" class="act">{{ words.stripKeep }}</button>
    </form>
    @if (fault(); as says) {
      <p class="text-stop font-semibold" role="alert">{{ says }}</p>
    }
  `,
  host: { class: 'block' },
})
export class StripTest {
  protected readonly words = shrinkWords;
  readonly #desk = inject(ShrinkDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly usual = computed(() => this.#length(USUAL_NM));
  protected readonly strips = computed(() =>
    stripsOf(this.#reading.view(), this.#desk.film()?.id ?? '').map((strip) => ({
      id: strip.id,
      says: shrinkWords.stripShrank(strip.lot, percentOf(shrunkBy(strip))),
    })),
  );

  protected keep(event: Event, marked: string, afterField: HTMLInputElement, lot: string): void {
    event.preventDefault();
    const [marked_nm, after_nm] = [
      this.#read(shrinkWords.stripMarked, marked),
      this.#read(shrinkWords.stripAfter, afterField.value),
    ];
    if (marked_nm === undefined || after_nm === undefined) return;
    if (mmFromNm(marked_nm) < LEAST_MM) {
      this.fault.set(shrinkWords.tooLittleMarked(this.#length(LEAST_MM * 1_000_000)));
      return;
    }
    if (after_nm > marked_nm) {
      this.fault.set(shrinkWords.stripLonger(this.#length(marked_nm), this.#length(after_nm)));
      return;
    }
    this.fault.set(undefined);
    const says = shrinkWords.stripKept(this.#desk.film()?.name ?? '', percentOf(1 - after_nm / marked_nm));
    this.#desk.keepStrip({ marked_nm, after_nm, film_C: null }, lot.trim(), says);
    afterField.value = '';
  }

  protected remove(id: string): void {
    this.#desk.removeStrip(id, shrinkWords.stripRemoved(this.#desk.film()?.name ?? ''));
  }

  readonly #length = (nm: number): string => formatLengthWithUnit(nm, this.#units());

  #read(what: string, text: string): number | undefined {
    const parsed = parseReading(text, this.#reading.job()?.entryUnit ?? 'mm', {
      least_mm: 1,
      most_mm: MOST_MM,
    });
    if (parsed.kind === 'length') return parsed.value_nm;
    this.fault.set(shrinkWords.stripWrong(what, text));
    return undefined;
  }
}
