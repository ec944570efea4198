import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { STANDING } from '@yellow-pane/core/blanks';
import type { RowOf } from '@yellow-pane/core/job';
import { formatFilmLength, formatLength, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { cutWords } from '../../words/cut';
import { pieceWord, rollWord } from './cut-words';
import { Cutting } from './cutting';
import { PlanWork } from './plan-work';
import { type BoardPiece, RollBoard } from './roll-board';

interface BoardHere {
  readonly id: string;
  readonly name: string;
  readonly under: string;
  readonly what: RowOf<'cutRoll'>['what'];
  readonly width_nm: number;
  readonly used_nm: number;
  readonly length_nm: number;
  readonly isBooked: boolean;
  readonly pieces: readonly BoardPiece[];
}

/**
 * The rolls of the plan, drawn to one scale, and the list of pieces in cutting order. While a layout is
 * looked for, the best so far.
 */
@Component({
  selector: 'yp-layout-view',
  imports: [RollBoard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (boards().length > 0) {
      <p class="pt-2 text-sm text-faint">
        {{ standing }}
        <strong class="text-ink"
          >{{ words.liner }}
          {{ cutting.soFar() === undefined ? (cutting.plan()?.liner ?? 'up') : cutting.liner() }}.</strong
        >
      </p>
    }
    @for (board of boards(); track board.id) {
      <section class="pt-3 print:break-inside-avoid" [attr.aria-label]="board.name">
        <p class="flex flex-wrap gap-x-3 items-baseline">
          <strong>{{ board.name }}</strong><span class="text-sm text-faint">{{ board.under }}</span>
          @if (board.isBooked) {
            <span class="text-sm font-semibold">{{ words.cutAndBooked }}</span>
          }
        </p>
        <yp-roll-board
          [name]="board.name"
          [rollWidth_nm]="board.width_nm"
          [used_nm]="board.used_nm"
          [length_nm]="board.length_nm"
          [mode]="cutting.plan()?.mode ?? cutting.mode()"
          [liner]="cutting.soFar() === undefined ? (cutting.plan()?.liner ?? 'up') : cutting.liner()"
          [scaleLength_nm]="scale()"
          [gap_nm]="cutting.gap_nm()"
          [endWaste_nm]="cutting.endWaste_nm()"
          [pieces]="board.pieces"
          [pickedId]="cutting.pickedId()"
          [refusal]="cutting.refusal()"
          [canMove]="!board.isBooked && cutting.soFar() === undefined"
          (picked)="cutting.pickedId.set($event)"
          (moved)="move($event)"
          (refused)="cutting.refuse($event.pieceId, $event.says)"
          (turnWanted)="turn($event)"
          (pinWanted)="pin($event)"
        />
      </section>
    }
    @if (cutting.plan() && cutting.soFar() === undefined) {
      <div
        class="overflow-x-auto print:overflow-visible mt-3"
        tabindex="0"
        role="region"
        [attr.aria-label]="words.cutList"
      >
        <table class="w-full text-left max-md:text-sm [&_td]:pr-2 [&_th]:pr-2">
          <caption class="text-left font-bold py-1">
            {{
              words.cutListInOrder(units() === 'metric' ? 'mm' : 'in')
            }}
          </caption>
          <thead class="text-sm text-faint">
            <tr>
              <th scope="col" class="font-normal hidden print:table-cell">{{ words.cut }}</th>
              <th scope="col" class="font-normal py-1">{{ words.number }}</th>
              <th scope="col" class="font-normal">{{ words.piece }}</th>
              <th scope="col" class="font-normal max-md:hidden">{{ words.from }}</th>
              <th scope="col" class="font-normal text-right">{{ words.across }}</th>
              <th scope="col" class="font-normal text-right">{{ words.along }}</th>
              <th scope="col" class="font-normal text-right">{{ words.fromEdge }}</th>
              <th scope="col" class="font-normal text-right">{{ words.fromEnd }}</th>
              <th scope="col" class="font-normal pl-4 max-md:hidden">{{ words.top }}</th>
            </tr>
          </thead>
          <tbody>
            @for (row of list(); track row.piece.id; let index = $index) {
              <tr class="border-t border-line" [class.line-through]="row.piece.spoiledAt">
                <td class="hidden print:table-cell">
                  <span class="inline-block size-5 border border-ink align-middle"></span>
                </td>
                <td class="figure py-1.5">{{ index + 1 }}</td>
                <th scope="row" class="font-semibold">
                  {{ row.word }}
                  @if (row.isStale) {
                    <span class="text-stop"> {{ words.stale }}</span>
                  }
                  @if (row.piece.spoiledAt) {
                    <span class="text-stop"> {{ words.spoiled }}</span>
                  }
                </th>
                <td class="max-md:hidden text-sm">{{ row.from }}</td>
                <td class="figure text-right font-semibold">{{ length(row.piece.across_nm) }}</td>
                <td class="figure text-right font-semibold">
                  {{ length(row.piece.along_nm - row.piece.phase_nm) }}
                </td>
                <td class="figure text-right">{{ length(row.piece.x_nm) }}</td>
                <td class="figure text-right">{{ length(row.piece.y_nm) }}</td>
                <td class="pl-4 max-md:hidden text-sm">{{ row.top }}{{ row.first }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    }
  `,
  host: { class: 'block flex-1 min-h-0 overflow-auto px-5 pb-4 print:px-0 print:overflow-visible' },
})
export class LayoutView {
  protected readonly words = cutWords;
  protected readonly standing = STANDING;
  protected readonly cutting = inject(Cutting);
  readonly #work = inject(PlanWork);
  readonly #reading = inject(JobReading);
  readonly #stock = inject(StockHere);
  protected readonly units = inject(Device).units;

  protected readonly boards = computed((): readonly BoardHere[] =>
    this.cutting.soFar() === undefined ? this.#kept() : this.#found(),
  );
  protected readonly scale = computed(() => Math.max(1, ...this.boards().map(({ used_nm }) => used_nm)));
  protected readonly list = computed(() => {
    const names = new Map(this.cutting.rolls().map((roll) => [roll.id, rollWord(roll)]));
    return this.cutting.pieces().map((piece) => ({
      piece,
      word: pieceWord(piece),
      from: names.get(piece.rollId) ?? '',
      isStale: this.cutting.stale().includes(piece.tag),
      top:
        piece.turned === piece.topAlong
          ? piece.flipped
            ? cutWords.toTheCore
            : cutWords.toTheEnd
          : cutWords.toLongEdge,
      first: piece.phase_nm > 0 ? cutWords.firstCutOff(this.length(piece.phase_nm)) : '',
    }));
  });

  #kept(): readonly BoardHere[] {
    return this.cutting.rolls().map((roll) => ({
      id: roll.id,
      name: rollWord(roll),
      what: roll.what,
      width_nm: roll.width_nm,
      used_nm: roll.used_nm,
      length_nm: roll.length_nm,
      isBooked: roll.bookedAt !== null,
      under: this.#under(
        roll.width_nm,
        roll.used_nm,
        roll.what === 'to order'
          ? null
          : roll.bookedAt === null
            ? (this.#stock.left(roll.stockId) ?? roll.length_nm)
            : null,
        roll.lot,
      ),
      pieces: this.cutting
        .pieces()
        .filter(({ rollId, spoiledAt }) => rollId === roll.id && spoiledAt === null),
    }));
  }

  #found(): readonly BoardHere[] {
    const plan = this.cutting.soFar();
    const words = new Map(this.cutting.blanks().map((blank) => [blank.key, blank]));
    return (plan?.uses ?? []).map(({ stockId, copy, placed, used_mm }): BoardHere => {
      const stock = this.cutting.stocks().find(({ id }) => id === stockId);
      const item = this.cutting.items().find(({ id }) => id === stockId);
      const [width_nm, used_nm] = [nmFromMm(stock?.width_mm ?? 1), nmFromMm(used_mm)];
      return {
        id: `${stockId} ${copy}`,
        what: stock?.what ?? 'to order',
        name: rollWord({
          what: item?.what ?? 'to order',
          label: item?.label ?? (copy > 0 ? cutWords.newCopy(copy + 1) : 'new'),
        }),
        width_nm,
        used_nm,
        length_nm: nmFromMm(stock?.length_mm ?? used_mm),
        isBooked: false,
        under: this.#under(width_nm, used_nm, item?.left_nm ?? null, item?.lot ?? ''),
        pieces: placed.map((piece): BoardPiece => {
          const blank = words.get(piece.id);
          return {
            id: piece.id,
            tag: blank?.surface?.tag ?? '?',
            drop: blank?.blank.drop ?? 1,
            dropOf: blank?.blank.of ?? 1,
            x_nm: nmFromMm(piece.x_mm),
            y_nm: nmFromMm(piece.y_mm),
            across_nm: nmFromMm(piece.across_mm),
            along_nm: nmFromMm(piece.along_mm),
            turned: piece.turned,
            flipped: piece.flipped === true,
            topAlong: blank?.blanks.whole.lies === 'top along the roll',
            pinned: false,
            cutAt: null,
            outline: null,
            notch_nm: 0,
          };
        }),
      };
    });
  }

  #under(width_nm: number, used_nm: number, left_nm: number | null, lot: string): string {
    return cutWords.rollSaid(
      formatLengthWithUnit(width_nm, this.units()),
      formatFilmLength(used_nm, this.units()),
      left_nm === null ? '' : cutWords.ofLength(formatFilmLength(left_nm, this.units())),
      lot === '' ? '' : cutWords.ofLot(lot),
    );
  }

  protected readonly length = (value_nm: number): string => formatLength(value_nm, this.units());

  protected move({
    id,
    x_nm,
    y_nm,
  }: {
    readonly id: string;
    readonly x_nm: number;
    readonly y_nm: number;
  }): void {
    const piece = this.#piece(id);
    if (piece !== undefined && (piece.x_nm !== x_nm || piece.y_nm !== y_nm))
      this.#work.move(piece, x_nm, y_nm);
  }

  protected turn(id: string): void {
    const piece = this.#piece(id);
    if (piece !== undefined) this.cutting.refuse(id, this.#work.turn(piece));
  }

  protected pin(id: string): void {
    const piece = this.#piece(id);
    if (piece !== undefined) this.#work.pin([piece], !piece.pinned);
  }

  #piece(id: string): RowOf<'cutPiece'> | undefined {
    return this.#reading.piecesOf(this.cutting.plan()?.id ?? '').find((piece) => piece.id === id);
  }
}
