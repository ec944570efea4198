import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { type Reasoned, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { type OtherCurve, otherCurvesOf } from '@yellow-pane/core/reading';
import { Device } from '../device/device';
import { JobReading } from '../job/job-reading';
import { Figure } from '../ui/figure';
import { STRAIN_VERDICTS, shrinkWords } from '../words/shrink';
import { percentOf } from './percent-of';

interface Line {
  readonly word: string;
  readonly value: string;
  readonly why: Reasoned<number>['why'];
  readonly says: string;
}

/** Grooves, edges, corners, tapers and bellies of a surface, and what each asks of a film. */
@Component({
  selector: 'yp-other-curves',
  imports: [Figure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <section aria-labelledby="other-curves">
        <h2 id="other-curves" class="font-bold">{{ words.curvedPlaces }}</h2>
        @for (line of lines(); track line.word) {
          <yp-figure [label]="line.word" [value]="line.value" [why]="line.why" />
          @if (line.says) {
            <p class="text-sm">{{ line.says }}</p>
          }
        }
      </section>
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class OtherCurves {
  protected readonly words = shrinkWords;
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly surface = input.required<RowOf<'surface'> | undefined>();
  readonly filmId = input.required<string | undefined>();
  protected readonly lines = computed(() => {
    const [surface, film] = [this.surface(), this.#reading.view().filmById.get(this.filmId() ?? '')];
    return surface === undefined || film === undefined
      ? []
      : otherCurvesOf(this.#reading.view(), surface, film).map((curve) => this.#line(curve));
  });

  #line(curve: OtherCurve): Line {
    switch (curve.case) {
      case 'groove': {
        const spare = this.#length(curve.spare_mm.value);
        return {
          ...this.#share(shrinkWords.inGroove(curve.name), curve.spare_mm, curve.strain.value),
          says: `${STRAIN_VERDICTS[curve.verdict]} ${curve.spare_mm.value > 0 ? shrinkWords.spareFilm(spare) : ''}`,
        };
      }
      case 'dish':
        return {
          ...this.#share(shrinkWords.inDish(curve.name), curve.strain, curve.strain.value),
          says: STRAIN_VERDICTS[curve.verdict],
        };
      case 'rounded corner':
        return {
          ...this.#share(shrinkWords.roundCorner(curve.name), curve.strain, curve.strain.value),
          says: `${shrinkWords.cornerShrinks} ${STRAIN_VERDICTS[curve.verdict]}`,
        };
      case 'edge':
        return {
          ...this.#share(shrinkWords.roundEdge, curve.strain, curve.strain.value),
          says: STRAIN_VERDICTS[curve.verdict],
        };
      case 'belly':
        return {
          ...this.#share(shrinkWords.belly, curve.strain, curve.strain.value),
          says: `${curve.strain.value < 0 ? shrinkWords.waistStretches : shrinkWords.bellyShrinks} ${STRAIN_VERDICTS[curve.verdict]}`,
        };
      case 'taper':
        return {
          word: shrinkWords.taper,
          value: this.#length(curve.runsOff_mm.value),
          why: curve.runsOff_mm.why,
          says: shrinkWords.taperSays,
        };
      case 'turned corner':
        return {
          word: shrinkWords.turnedCorner,
          value: this.#length(Math.sqrt(curve.left_mm2.value)),
          why: curve.left_mm2.why,
          says: shrinkWords.turnedCornerSays,
        };
    }
  }

  #share(word: string, { why }: Reasoned<number>, value: number): Omit<Line, 'says'> {
    return { word, value: percentOf(Math.abs(value)), why };
  }

  readonly #length = (mm: number): string =>
    formatLengthWithUnit(nmFromMm(Math.round(mm * 10) / 10), this.#units());
}
