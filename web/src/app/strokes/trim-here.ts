import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { edgeWords, notTrimmedWords } from '@yellow-pane/contracts/words';
import type { RowOf } from '@yellow-pane/core/job';
import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { faceSeen, trimOf } from '@yellow-pane/core/reading';
import { RULES } from '@yellow-pane/core/rules';
import { Device } from '../device/device';
import { TrimPicture } from '../drawing/trim-picture';
import { JobReading } from '../job/job-reading';
import { Figure } from '../ui/figure';
import { trimWords } from '../words/trim';

/**
 * What is trimmed at a step: which edges, in what order and which way, and what is left as it is, with the
 * reason.
 */
@Component({
  selector: 'yp-trim-here',
  imports: [Figure, TrimPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown(); as own) {
      <section [attr.aria-label]="words.trimming" class="flex flex-col gap-2">
        <yp-trim-picture [whole]="own.face" [plan]="own.plan" [says]="own.says" />
        <p class="text-xl leading-snug font-semibold">{{ own.says }}</p>
        @if (own.plan.cuts.length > 0) {
          <p class="text-xl leading-snug">{{ words.cornersFirst }}</p>
          <ol class="text-xl leading-snug">
            @for (cut of own.cuts; track cut.number) {
              <li>{{ cut.says }}</li>
            }
          </ol>
          <yp-figure [label]="words.length" [value]="own.length" [why]="own.plan.length_mm.why" />
          <yp-figure [label]="words.points" [value]="own.points" [why]="own.plan.points.why" />
          @if (own.gap; as gap) {
            <yp-figure [label]="gap.label" [value]="gap.value" [why]="gap.why" />
          }
        }
        @for (edge of own.left; track $index) {
          <p class="leading-snug">{{ edge }}</p>
        }
      </section>
    } @else {
      <p class="text-lg">{{ words.notMeasured }}</p>
    }
  `,
  host: { class: 'block' },
})
export class TrimHere {
  protected readonly words = trimWords;
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly application = input.required<RowOf<'application'>>();
  readonly step = input.required<string>();
  protected readonly shown = computed(() => {
    const view = this.#reading.view();
    const [plan, face] = [trimOf(view, this.application(), this.step()), faceSeen(view, this.application())];
    if (plan === undefined || face === undefined) return undefined;
    const cutEdges = new Set(plan.cuts.map(({ edge }) => edge));
    const { least, most } = plan.lightGap ?? {};
    return {
      plan,
      face,
      says:
        cutEdges.size === 0
          ? trimWords.none
          : trimWords.trims([...cutEdges].map(edgeWords).join(', '), plan.cuts.length),
      cuts: plan.cuts.map(({ number, edge, length_mm, goes }) => ({
        number,
        says: trimWords.cut(number, edgeWords(edge), this.#length(length_mm), goes),
      })),
      length: this.#length(plan.length_mm.value),
      points: String(plan.points.value),
      gap:
        least === undefined || most === undefined
          ? undefined
          : {
              label: trimWords.lightGap(this.#length(RULES.edgeGap.value), this.#length(RULES.edgeGap.most)),
              value: `${percent(least.value)} – ${percent(most.value)}`,
              why: [...least.why, ...most.why],
            },
      left: [
        ...new Set(
          plan.edges.flatMap(({ edge, why }) =>
            why === null ? [] : [trimWords.left(edgeWords(edge), notTrimmedWords(why))],
          ),
        ),
      ],
    };
  });

  readonly #length = (mm: number): string =>
    formatLengthWithUnit(nmFromMm(Math.round(mm * 10) / 10), this.#units());
}

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
