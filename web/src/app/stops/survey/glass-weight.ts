import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { figuresIn } from '@yellow-pane/contracts/words';
import { glassWeight } from '@yellow-pane/core/glazing';
import type { RowOf } from '@yellow-pane/core/job';
import { mmFromNm } from '@yellow-pane/core/quantity';
import { RULES } from '@yellow-pane/core/rules';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { CautionNote } from '../../ui/caution-note';
import { Figure } from '../../ui/figure';
import { surveyWords } from '../../words/survey';

/** What the glass of a surface weighs, and that two people lift it. */
@Component({
  selector: 'yp-glass-weight',
  imports: [CautionNote, Figure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (weight(); as kilograms) {
      <yp-figure [label]="words.glassWeighs" [value]="said()" [why]="kilograms.why" />
      @if (kilograms.value >= twoFrom) {
        <yp-caution [word]="words.heavyGlass" [says]="words.heavyGlassSaid" />
      }
    } @else {
      <p class="text-sm text-faint">{{ words.weightUnknown }}</p>
    }
  `,
})
export class GlassWeight {
  protected readonly words = surveyWords;
  protected readonly twoFrom = RULES.twoPeopleFrom.value;
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly surface = input.required<RowOf<'surface'>>();
  readonly area_mm2 = input.required<number>();
  protected readonly weight = computed(() =>
    glassWeight(
      this.area_mm2() / 1e6,
      this.#reading
        .glassPanes()
        .filter(({ unitId }) => unitId === this.surface().unitId)
        .map(({ thickness_nm }) => (thickness_nm === null ? null : mmFromNm(thickness_nm))),
    ),
  );
  protected readonly said = computed(() => figuresIn(this.#units()).weight(this.weight()?.value ?? 0));
}
