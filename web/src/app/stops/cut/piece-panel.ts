import { JobClock } from '../../day/job-clock';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { figuresIn } from '@yellow-pane/contracts/words';
import { lieOf } from '@yellow-pane/core/blanks';
import { filmWeight } from '@yellow-pane/core/cutting';
import { LINER_UM } from '@yellow-pane/core/day';
import { Figure } from '../../ui/figure';
import { formatLengthWithUnit, mmFromNm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { cutWords } from '../../words/cut';
import { pieceWord, rollWord } from './cut-words';
import { Cutting } from './cutting';
import { PlanWork } from './plan-work';

/** The piece picked on the roll: how it lies, and what can be done with it. */
@Component({
  selector: 'yp-piece-panel',
  imports: [Figure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here(); as at) {
      <section aria-labelledby="piece-here" class="border-t border-line pt-3">
        <h2 id="piece-here" class="font-bold">{{ words.pieceAt(at.word) }}</h2>
        <p class="figure">{{ at.size }}</p>
        @if (weight(); as kilograms) {
          <yp-figure [label]="words.weighs" [value]="said()" [why]="kilograms.why" />
        }
        <p class="text-sm">
          {{ words.pieceLies(at.top, at.edges, cutting.plan()?.liner ?? 'up') }}
        </p>
        @if (at.piece.cutAt) {
          <p class="text-sm text-faint mt-1">{{ words.cutWhen(day(at.piece.cutAt)) }}</p>
          <button type="button" class="act act-small mt-2" (click)="work.spoil(at.piece)">
            {{ words.itIsSpoiled }}
          </button>
        } @else {
          <p class="text-sm text-faint mt-1">
            {{ words.howToMove }}
          </p>
          <div class="flex flex-wrap gap-2 mt-2">
            <button type="button" class="act act-small" (click)="work.pin([at.piece], !at.piece.pinned)">
              {{ at.piece.pinned ? words.takePinOut : words.pinHere }} <span class="key">P</span>
            </button>
            <button
              type="button"
              class="act act-small"
              (click)="cutting.refuse(at.piece.id, work.turn(at.piece))"
            >
              {{ words.turn }} <span class="key">R</span>
            </button>
            <button type="button" class="act act-small" (click)="work.pin(at.sheet, !at.sheetPinned)">
              {{ at.sheetPinned ? words.letSheetGo : words.lockSheet }}
            </button>
          </div>
          @if (at.elsewhere.length > 0) {
            <label class="block mt-2 text-sm text-faint"
              >{{ words.cutFromAnother }}
              <select class="field mt-1" [value]="''" (change)="moveTo($event)">
                <option value="">{{ words.staysOn(at.from) }}</option>
                @for (roll of at.elsewhere; track roll.id) {
                  <option [value]="roll.id">{{ roll.name }}</option>
                }
              </select>
            </label>
          }
        }
      </section>
    }
  `,
})
export class PiecePanel {
  readonly #clock = inject(JobClock);
  protected readonly day = (instant: string): string => this.#clock.clock().dateOf(instant);
  protected readonly words = cutWords;
  protected readonly cutting = inject(Cutting);
  protected readonly work = inject(PlanWork);
  readonly #units = inject(Device).units;

  protected readonly here = computed(() => {
    const piece = this.cutting.pieces().find(({ id }) => id === this.cutting.pickedId());
    const roll = this.cutting.rolls().find(({ id }) => id === piece?.rollId);
    if (piece === undefined || roll === undefined) return undefined;
    const lie = lieOf(
      {
        x_mm: mmFromNm(piece.x_nm),
        across_mm: mmFromNm(piece.across_nm),
        turned: piece.turned,
        flipped: piece.flipped,
        outline: piece.outline,
      },
      { width_mm: mmFromNm(roll.width_nm), leftEdge: roll.leftEdge, rightEdge: roll.rightEdge },
      piece.topAlong,
      this.cutting.plan()?.liner ?? 'up',
    );
    const sheet = this.cutting
      .pieces()
      .filter(
        ({ rollId, level, spoiledAt }) =>
          rollId === piece.rollId && level === piece.level && spoiledAt === null,
      );
    const elsewhere = this.cutting
      .rolls()
      .filter((own) => own.id !== roll.id && !this.cutting.isBegun(own))
      .map((own) => ({ id: own.id, name: rollWord(own) }));
    return {
      piece,
      word: pieceWord(piece),
      from: rollWord(roll),
      elsewhere,
      size: cutWords.acrossByAlong(
        formatLengthWithUnit(piece.across_nm, this.#units()),
        formatLengthWithUnit(piece.along_nm, this.#units()),
      ),
      top: lie.top,
      edges: lie.factoryEdges.length === 0 ? 'none' : lie.factoryEdges.join(', '),
      sheet,
      sheetPinned: sheet.every(({ pinned }) => pinned),
    };
  });

  /** Of its rectangle, with the liner. */
  protected readonly weight = computed(() => {
    const [piece, film] = [this.here()?.piece, this.cutting.film()];
    if (piece === undefined || film === undefined) return undefined;
    const area_m2 = (piece.across_nm / 1e9) * (piece.along_nm / 1e9);
    return filmWeight({ area_m2, film_um: film.thickness_um, liner_um: LINER_UM });
  });
  protected readonly said = computed(() => figuresIn(this.#units()).weight(this.weight()?.value ?? 0));

  protected moveTo(event: Event): void {
    const select = event.target as HTMLSelectElement;
    const [piece, roll] = [this.here()?.piece, this.cutting.rolls().find(({ id }) => id === select.value)];
    select.value = '';
    if (piece !== undefined && roll !== undefined)
      this.cutting.refuse(piece.id, this.work.moveTo(piece, roll));
  }
}
