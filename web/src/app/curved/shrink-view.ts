import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { remarkWords } from '@yellow-pane/contracts/words';
import { type EdgeFigures, type Hold, edgeFigures } from '@yellow-pane/core/curved';
import { formatLength, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../device/device';
import { ShrinkPicture } from '../drawing/shrink-picture';
import { isShrunk } from '@yellow-pane/core/reading';
import { JobReading } from '../job/job-reading';
import { Selection } from '../shell/selection';
import { Figure } from '../ui/figure';
import { HOLDS, LIMITS_FROM, NO_SHRINK, ORDER_SAYS, SHRINK_VERDICTS, shrinkWords } from '../words/shrink';
import { GlassInSpace } from './glass-in-space';
import { helpSays } from './help-says';
import { partsOnGlass } from './parts-on-glass';
import { percentOf } from './percent-of';
import { ShrinkDesk } from './shrink-desk';
import { StripTest } from './strip-test';

const NAMES = { top: 'top', bottom: 'bottom' } as const;
const BOTH: readonly Hold[] = ['a line across', 'along the top'];
const MOST_FOLDS = 60;

/**
 * The shrink plan of the curved pane in hand: the glass with what film needs to shrink where, the line it is
 * held on, both ways of holding it with their price, what would help, and the film tried on a strip.
 */
@Component({
  selector: 'yp-shrink-view',
  imports: [Figure, GlassInSpace, ShrinkPicture, StripTest],
  providers: [ShrinkDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shrink-view.html',
  host: { class: 'block flex-1 min-h-0 overflow-auto px-5 max-md:px-3 pb-4' },
})
export class ShrinkView {
  protected readonly words = shrinkWords;
  protected readonly noShrink = NO_SHRINK;
  protected readonly verdicts = SHRINK_VERDICTS;
  protected readonly limitsFrom = LIMITS_FROM;
  protected readonly orderSays = ORDER_SAYS;
  protected readonly desk = inject(ShrinkDesk);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  protected readonly foldsFault = signal<string | undefined>(undefined);
  /** Curved panes that are shrunk, to pick one of. */
  protected readonly panes = computed(() =>
    this.#reading.surfaces().filter(({ id }) => this.#reading.applicationsOf(id).some(isShrunk)),
  );
  protected readonly reason = computed(() => {
    const today = this.desk.today();
    return today?.kind === 'none' ? today.reason : undefined;
  });
  protected readonly plan = this.desk.plan;
  protected readonly seen = computed(() =>
    shrinkWords.seenFrom(this.desk.tag(), this.desk.surface()?.seenFrom ?? ''),
  );
  protected readonly parts = computed(() =>
    partsOnGlass(this.#reading.partsOf(this.desk.surface()?.id ?? '')),
  );
  protected readonly pictureSays = computed(() => {
    const plan = this.plan();
    return plan === undefined
      ? ''
      : shrinkWords.pictureSays(
          this.desk.tag(),
          SHRINK_VERDICTS[plan.verdict],
          plan.own.top.folds.count,
          plan.own.bottom.folds.count,
        );
  });
  protected readonly holds = computed(() => {
    const plan = this.plan();
    return BOTH.flatMap((hold) => {
      const own = plan?.plans[hold];
      if (plan === undefined || own === undefined) return [];
      return [
        {
          hold,
          word: HOLDS[hold],
          isOwn: plan.hold === hold,
          verdict: SHRINK_VERDICTS[own.verdict],
          strain: own.worst < 0 ? '–' : percentOf(own.worst),
          folds: `${own.top.folds.count} · ${own.bottom.folds.count}`,
          over: `${this.#bare(own.top.surplus_mm)} · ${this.length(own.bottom.surplus_mm)}`,
        },
      ];
    });
  });
  protected readonly edges = computed(() => {
    const [plan, band] = [this.plan(), this.desk.band()];
    if (plan === undefined) return [];
    return (['top', 'bottom'] as const)
      .filter((edge) => plan.own[edge].folds.count > 0 || edge === 'bottom')
      .map((edge) => {
        const range = this.desk.dragged_mm() === undefined ? band?.now[`${edge}_mm`] : undefined;
        return {
          edge,
          name: NAMES[edge],
          surplusWord: edge === 'top' ? shrinkWords.surplusTop : shrinkWords.surplusBottom,
          figures: edgeFigures(plan.own[edge], plan.folds, range),
          pinched: plan.own[edge].folds.arePinched ? plan.own[edge].folds.count : 0,
          range:
            range === undefined
              ? undefined
              : shrinkWords.bandIs(this.length(range.low), this.length(range.high)),
        };
      });
  });
  /** Every fold in its turn: where its crest meets the edge, how long, how wide, how high. */
  protected readonly foldLines = computed(() => {
    const plan = this.plan();
    return (plan?.order.folds ?? []).map(({ turn, edge, atEdge, length_mm }) => {
      const off = this.whole(Math.abs(atEdge.x));
      const { base_mm = 0, height_mm = 0 } = plan?.own[edge].folds ?? {};
      return {
        ...{ turn, edge, base: this.whole(base_mm), high: this.length(height_mm) },
        at: atEdge.x < 0 ? shrinkWords.toTheLeft(off) : shrinkWords.toTheRight(off),
        long: length_mm === null ? shrinkWords.asPinched : this.whole(length_mm),
      };
    });
  });
  /** How much narrower the band would be with sags a quarter in. */
  protected readonly quarter = computed(() => {
    const band = this.desk.band();
    if (band?.withQuarterSags == null) return undefined;
    const half = ({ low, high }: { readonly low: number; readonly high: number }): string =>
      this.length((high - low) / 2);
    return shrinkWords.quarterSags(half(band.now.bottom_mm), half(band.withQuarterSags.bottom_mm));
  });
  /** What its measures cannot show: twist, and how it curves near the ends. */
  protected readonly remarks = computed(() => {
    const check = this.#reading.checkOf(this.desk.surface()?.id ?? '');
    return 'remarks' in check
      ? check.remarks
          .filter((remark) => remark.case !== 'how hard it is')
          .map((remark) => remarkWords(remark, this.#units()))
      : [];
  });
  /** Shrink in the worst fold as the sags were read, lowest and highest. */
  protected readonly strainBand = computed(() => {
    const [plan, band] = [this.plan(), this.desk.band()];
    if (plan === undefined || band === undefined || plan.worst < 0 || plan.changes.isTurned) return undefined;
    const { top, bottom } = plan.own;
    const edge = top.folds.localStrain > bottom.folds.localStrain ? 'top' : 'bottom';
    const free_mm = plan.folds.free * (plan.own[edge].to_mm - plan.own[edge].from_mm);
    const [low, high] = [band.now[`${edge}_mm`].low, band.now[`${edge}_mm`].high].map((over_mm) =>
      percentOf(over_mm / (free_mm + over_mm)),
    );
    return shrinkWords.strainBand(low ?? '', high ?? '');
  });
  protected readonly turned = computed(() => {
    const turned = this.plan()?.own.turned;
    return turned === undefined
      ? ''
      : shrinkWords.turnedPrice(
          percentOf(turned.worst),
          SHRINK_VERDICTS[turned.verdict].toLowerCase(),
          this.length(turned.surplus_mm),
        );
  });
  protected readonly helps = computed(() => {
    const plan = this.plan();
    return (plan?.helps ?? []).map((help) => ({
      hold: help.case === 'other hold' ? help.hold : undefined,
      says: helpSays(help, this.length, percentOf),
    }));
  });
  protected readonly stripAddress = computed(() => {
    const application = this.desk.application();
    return application === undefined
      ? ''
      : `/api/jobs/${application.jobId}/applications/${application.id}/shrink-strip?units=${this.#units()}`;
  });
  protected readonly percent = percentOf;

  protected readonly length = (value_mm: number): string =>
    formatLengthWithUnit(nmFromMm(Math.round(value_mm * 10) / 10), this.#units());

  readonly #bare = (value_mm: number): string =>
    formatLength(nmFromMm(Math.round(value_mm * 10) / 10), this.#units());

  /** How a side of the line lies against level. */
  protected off(departs_mm: number): string {
    const by = this.length(Math.abs(departs_mm));
    return departs_mm > 0 ? shrinkWords.lower(by) : shrinkWords.higher(by);
  }

  protected whole(value_mm: number): string {
    return formatLengthWithUnit(nmFromMm(Math.round(value_mm)), this.#units());
  }

  protected strainOf({ strain }: EdgeFigures): string {
    return percentOf(strain.value);
  }

  protected setFolds(field: HTMLInputElement): void {
    const count = Number(field.value);
    if (field.value.trim() === '' || !Number.isInteger(count) || count < 1 || count > MOST_FOLDS) {
      this.foldsFault.set(shrinkWords.foldsWrong(field.value === '' ? 'empty' : field.value));
      return;
    }
    this.foldsFault.set(undefined);
    this.desk.change({ folds: count }, shrinkWords.foldsSet(this.desk.tag(), count));
  }

  protected foldsAsCalculated(): void {
    this.foldsFault.set(undefined);
    this.desk.change({ folds: null }, shrinkWords.foldsSet(this.desk.tag(), shrinkWords.asCalculated));
  }

  protected turn(isTurned: boolean): void {
    this.desk.change(
      { isTurned },
      isTurned ? shrinkWords.turnedOn(this.desk.tag()) : shrinkWords.turnedOff(this.desk.tag()),
    );
  }
}
