import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import {
  type SideRecheck,
  outlineBounds,
  outlineOfCheck,
  recheckFilm,
  LABEL_MEASURES,
  labelMeasure,
} from '@yellow-pane/core/measure';
import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { VerdictBox } from '../../ui/verdict-box';
import { RULES } from '@yellow-pane/core/rules';
import { surveyWords } from '../../words/survey';

const LABEL: readonly Fact[] = [
  { key: 'width', kind: 'length', word: surveyWords.labelWidth },
  { key: 'height', kind: 'length', word: surveyWords.labelHeight },
];

/** Ready-cut film held against its pane before it is wetted: a wrong one is found here, not on the glass. */
@Component({
  selector: 'yp-recheck-panel',
  imports: [Facts, VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="border-t border-line pt-2" [open]="labels().width !== null || labels().height !== null">
      <summary class="font-bold min-h-10 cursor-pointer">{{ words.recheck }}</summary>
      <yp-facts
        [prefix]="'label:' + surface().id + ':'"
        [facts]="facts"
        [values]="labels()"
        [entryUnit]="unit()"
        (changed)="set($event)"
      />
      @if (finding(); as result) {
        <div class="mt-2">
          <yp-verdict-box [verdict]="result.verdict" [heading]="result.heading">{{
            result.says
          }}</yp-verdict-box>
        </div>
      } @else {
        <p class="text-sm text-faint mt-2">
          {{ bounds() === undefined ? words.measurePaneFirst : words.typeBothSizes }}
        </p>
      }
      <p class="text-sm text-faint mt-1">
        {{ words.fitsWithin(length(gap.least), length(gap.most), gap.source.text) }}
      </p>
    </details>
  `,
})
export class RecheckPanel {
  protected readonly words = surveyWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly facts = LABEL;
  protected readonly gap = RULES.edgeGap;
  protected readonly unit = computed(() => this.#reading.job()?.entryUnit ?? 'mm');
  readonly #rows = computed(() => this.#reading.measuresOf(this.surface().id));
  protected readonly labels = computed(() => ({
    width: labelMeasure(this.#rows(), 'width')?.value_nm ?? null,
    height: labelMeasure(this.#rows(), 'height')?.value_nm ?? null,
  }));
  protected readonly bounds = computed(() => {
    const outline = outlineOfCheck(this.#reading.checkOf(this.surface().id));
    return outline === undefined ? undefined : outlineBounds(outline);
  });
  protected readonly finding = computed(() => {
    const { width, height } = this.labels();
    const bounds = this.bounds();
    if (width === null || height === null || bounds === undefined) return undefined;
    const result = recheckFilm([width / 1e6, height / 1e6], [bounds.width, bounds.height]);
    const word = (name: string, side: SideRecheck): string =>
      side.says === 'fits'
        ? surveyWords.fits(name)
        : surveyWords.fitsNot(name, side.says, this.length(side.by_mm));
    const says = `${word(surveyWords.width, result.width)}, ${word('height', result.height).toLowerCase()}.`;
    if (result.verdict === 'fits') return { verdict: 'go' as const, heading: surveyWords.itFits, says };
    if (result.verdict === 'fits when turned')
      return {
        verdict: 'go with care' as const,
        heading: surveyWords.fitsTurned,
        says: surveyWords.exchanged,
      };
    return result.verdict === 'trim it'
      ? { verdict: 'go with care' as const, heading: surveyWords.tooLarge, says }
      : { verdict: 'stop' as const, heading: surveyWords.tooSmall, says };
  });

  protected length(value_mm: number): string {
    return formatLengthWithUnit(nmFromMm(value_mm), this.#units());
  }

  protected set({ key, value }: FactChange): void {
    const which = key === 'width' ? 'width' : 'height';
    const row = labelMeasure(this.#rows(), which);
    const label = surveyWords.labelRead(this.surface().tag, key);
    if (typeof value !== 'number' || value < 1e6) {
      if (row !== undefined) this.#desk.do(label, [this.#desk.remove('measure', row.id)]);
      return;
    }
    if (row === undefined)
      this.#desk.do(label, [
        this.#desk.put('measure', {
          surfaceId: this.surface().id,
          ...LABEL_MEASURES[which],
          text: `${value / 1e6} mm`,
          unit: 'mm',
          value_nm: value,
          instrument: 'tape',
          sd_nm: null,
        }),
      ]);
    else
      this.#desk.do(label, [
        this.#desk.set('measure', row.id, { value_nm: value, text: `${value / 1e6} mm` }),
      ]);
  }
}
