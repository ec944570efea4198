import { Injectable, computed, inject } from '@angular/core';
import { cutsFor } from '@yellow-pane/core/cutting';
import type { RowOf } from '@yellow-pane/core/job';
import { type Verdict, formatFilmLength, mmFromNm } from '@yellow-pane/core/quantity';
import { lengthOfLayout, promisedTwice } from '@yellow-pane/core/reading';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { cutWords } from '../../words/cut';
import { whichRollWords } from '../../words/which-roll';
import { gapWord } from './cut-words';
import { Cutting } from './cutting';

interface Finding {
  readonly verdict: Verdict;
  readonly heading: string;
  readonly says: string;
}

/** What is to be said of the layout first: what stands in its way, or how much film it takes. */
@Injectable()
export class LayoutFinding {
  readonly #cutting = inject(Cutting);
  readonly #reading = inject(JobReading);
  readonly #device = inject(Device);
  readonly #units = this.#device.units;

  readonly finding = computed<Finding>(
    () => this.#beforeALayout() ?? this.#withoutALayout() ?? this.#layout(),
  );

  /** What speaks against laying out at all, or against the layout there is. */
  #beforeALayout(): Finding | undefined {
    const cutting = this.#cutting;
    const fault = cutting.fault();
    if (fault !== undefined) return { verdict: 'stop', heading: cutWords.lookAtThisFirst, says: fault };
    if (cutting.films().length === 0)
      return { verdict: 'unknown', heading: cutWords.noFilmYet, says: cutWords.chooseFilmsFirst };
    const found = cutting.soFar();
    if (found !== undefined)
      return {
        verdict: 'unknown',
        heading: cutWords.usesSoFar(this.#metres(lengthOfLayout(found))),
        says: cutWords.searching(
          this.#device.money(found.film.value),
          this.#device.money(found.filmBound.value),
        ),
      };
    if (cutting.cutStale().length > 0)
      return {
        verdict: 'stop',
        heading: cutWords.cutOtherwise,
        says: cutWords.cutOtherwiseSaid(cutting.cutStale().join(', ')),
      };
    return cutting.stale().length === 0
      ? undefined
      : {
          verdict: 'stop',
          heading: cutWords.planStale,
          says: cutWords.planStaleSaid(cutting.stale().join(', ')),
        };
  }

  #withoutALayout(): Finding | undefined {
    const cutting = this.#cutting;
    if (cutting.plan() !== undefined) return undefined;
    const count = cutting.blanks().length;
    return {
      verdict: 'unknown',
      heading: cutWords.notLaidOut,
      says: cutWords.blanksReady(
        count,
        count === 1 ? cutWords.blankIs : cutWords.blanksAre,
        cutting.missing().length > 0 ? cutWords.notReady(cutting.missing().join('; ')) : '',
      ),
    };
  }

  #layout(): Finding {
    const plan = this.#cutting.plan();
    const [notLaid, disputed] = [this.#cutting.notLaid(), this.#disputed()];
    const heading = cutWords.uses(this.#metres(plan?.lengthUsed_nm ?? 0));
    if (notLaid.length > 0)
      return {
        verdict: 'go with care',
        heading: cutWords.notOnARoll,
        says: cutWords.noFilmForThem(
          notLaid.map(({ word }) => word).join(', '),
          notLaid.length === 1 ? 'has' : 'have',
        ),
      };
    if (disputed.length > 0)
      return {
        verdict: 'go with care',
        heading: cutWords.fromDisputedMeasures,
        says: cutWords.doNotCutDisputed(disputed.join(', '), disputed.length === 1 ? 'it' : 'them'),
      };
    const [promised] = this.#promisedTwice();
    if (promised !== undefined) return { verdict: 'go with care', ...promised };
    if (plan?.mode === 'by hand' && this.#uncuttable())
      return { verdict: 'go with care', heading, says: cutWords.noStraightCuts };
    return { verdict: 'go', heading, says: plan === undefined ? '' : this.#amounts(plan) };
  }

  #amounts(plan: RowOf<'cutPlan'>): string {
    const [pieces, rolls] = [this.#cutting.pieces().length, this.#cutting.rolls().length];
    return cutWords.usesWhat(
      gapWord({ used_nm: plan.lengthUsed_nm, ...plan }, this.#units(), this.#device.money),
      pieces,
      pieces === 1 ? 'piece' : 'pieces',
      rolls,
      rolls === 1 ? 'roll' : cutWords.rollsAndOffcuts,
    );
  }

  /** Laid, but its measures contradict each other. */
  readonly #disputed = computed(() => [
    ...new Set(
      this.#cutting
        .pieces()
        .filter(({ applicationId, cutAt, spoiledAt }) => {
          if (cutAt !== null || spoiledAt !== null) return false;
          const check = this.#reading.checkOf(
            this.#cutting.applications().find(({ id }) => id === applicationId)?.surfaceId ?? '',
          );
          return (
            check.state === 'impossible' || ('agreement' in check && check.agreement.kind === 'disagree')
          );
        })
        .map(({ tag }) => tag),
    ),
  ]);
  /** Rolls of this plan that other jobs count on too. */
  readonly #promisedTwice = computed(() =>
    promisedTwice(this.#reading.view(), this.#cutting.plan()?.id ?? '', this.#cutting.items()).map(
      ({ label, left_nm, used_nm, elsewhere_nm, jobs }) => ({
        heading: whichRollWords.promisedTwice,
        says: whichRollWords.promisedTwiceSaid(
          label,
          this.#metres(left_nm),
          this.#metres(used_nm),
          this.#metres(elsewhere_nm),
          jobs.join(', '),
        ),
      }),
    ),
  );
  readonly #uncuttable = computed(() =>
    this.#cutting.rolls().some(
      (roll) =>
        cutsFor(
          this.#cutting
            .pieces()
            .filter(({ rollId, spoiledAt }) => rollId === roll.id && spoiledAt === null)
            .map((piece) => ({
              id: piece.id,
              x_mm: mmFromNm(piece.x_nm),
              y_mm: mmFromNm(piece.y_nm),
              across_mm: mmFromNm(piece.across_nm),
              along_mm: mmFromNm(piece.along_nm),
              turned: piece.turned,
              level: piece.level,
            })),
          mmFromNm(roll.width_nm),
          mmFromNm(this.#cutting.endWaste_nm()),
        ) === undefined,
    ),
  );

  #metres(value_nm: number): string {
    return formatFilmLength(value_nm, this.#units());
  }
}
