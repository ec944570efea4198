import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { type LookPiece, pieceKey } from '@yellow-pane/core/looking';
import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { type Spot, boundsOf } from '@yellow-pane/core/strokes';
import { Device } from '../../device/device';
import { PhotoWork } from '../../job/photo-work';
import { PhotoButton } from '../../ui/photo-button';
import { checkWords } from '../../words/check';
import { CheckDesk } from './check-desk';

const MINUTE_S = 60;
const INSIDE_MM = 6;

/** The next piece to look at, large: from where, in which light; looked at, a mark here, a picture. */
@Component({
  selector: 'yp-round-here',
  imports: [PhotoButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (desk.round(); as round) {
      <section
        class="border-2 border-ink rounded-card bg-paper p-3 flex flex-col gap-2"
        [attr.aria-label]="words.round"
      >
        @if (round.next; as piece) {
          <div role="status" class="leading-tight">
            <p class="text-xl font-bold">{{ words.lookAt(piece.view, piece.number, ofView(piece)) }}</p>
            <p class="text-lg">{{ words.standFor(piece.view, distance(), light()) }}</p>
          </div>
          <button
            type="button"
            class="act min-h-16 text-xl justify-center"
            [class.act-next]="desk.isLaid()"
            (click)="desk.tick(piece)"
          >
            {{ words.lookedAt }}
          </button>
        } @else {
          <p class="text-xl font-bold" role="status">{{ words.wholeLookedAt }}</p>
        }
        <div class="grid grid-cols-2 gap-2">
          <button type="button" class="act min-h-14 justify-center" (click)="mark.emit(here())">
            {{ words.markHere }}
          </button>
          <yp-photo-button [word]="words.markWithPhoto" (taken)="withPhoto($event)" />
        </div>
        @if (photos.fault(); as text) {
          <p class="text-stop font-semibold" role="alert">{{ text }}</p>
        }
        <p class="text-sm">{{ says() }}</p>
        <div class="flex flex-wrap gap-2">
          @if (last(); as piece) {
            <button type="button" class="act act-small" (click)="desk.untick(piece)">
              {{ words.takeBackPiece(piece.view, piece.number) }}
            </button>
          }
          @if (round.inspection !== undefined) {
            <button type="button" class="act act-small" (click)="desk.beginAnew()">
              {{ words.roundAnew }}
            </button>
          }
        </div>
        @if (round.isOfOtherMeasures) {
          <p class="font-semibold">{{ words.otherMeasures }}</p>
        }
      </section>
    }
  `,
  host: { class: 'block' },
})
export class RoundHere {
  protected readonly words = checkWords;
  protected readonly desk = inject(CheckDesk);
  protected readonly photos = inject(PhotoWork);
  readonly #units = inject(Device).units;
  /** A mark in the piece that is looked at. */
  readonly mark = output<Spot>();
  protected readonly light = computed(() => this.desk.set()?.light ?? '');
  protected readonly distance = computed(() =>
    formatLengthWithUnit(
      nmFromMm(
        Math.round(this.desk.round()?.inspection?.distance_mm ?? (this.desk.set()?.distance_m ?? 0) * 1000),
      ),
      this.#units(),
    ),
  );
  /** The piece ticked last; undefined: none yet. */
  protected readonly last = computed(() => {
    const round = this.desk.round();
    const tick = round?.inspection && latestOf(this.desk.view().ticksOf(round.inspection.id));
    return round?.pieces.find(({ view, number }) => view === tick?.view && number === tick.strip);
  });
  /** What is left of it, and that a walked path is not a seen mark. */
  protected readonly says = computed(() => {
    const round = this.desk.round();
    if (round === undefined) return '';
    const done = round.pieces.filter((piece) => round.ticked.has(pieceKey(piece))).length;
    return checkWords.roundSays(done, round.pieces.length, Math.ceil(round.left_s / MINUTE_S));
  });

  protected ofView({ view }: LookPiece): number {
    return this.desk.round()?.pieces.filter((piece) => piece.view === view).length ?? 0;
  }

  /** The middle of the piece that is looked at; of an edge a little inside it. */
  protected here(): Spot {
    const round = this.desk.round();
    const piece = round?.next ?? round?.pieces[0];
    if (round === undefined || piece === undefined) return { x: 0, y: 0 };
    const at = { x: (piece.from.x + piece.to.x) / 2, y: (piece.from.y + piece.to.y) / 2 };
    if (piece.view !== 'edges') return at;
    const { left, right, bottom, top } = boundsOf(round.face);
    const [dx, dy] = [(left + right) / 2 - at.x, (bottom + top) / 2 - at.y];
    const inwards = INSIDE_MM / Math.max(1, Math.hypot(dx, dy));
    return { x: at.x + dx * inwards, y: at.y + dy * inwards };
  }

  protected withPhoto(file: File): void {
    const surface = this.desk.surface();
    if (surface === undefined) return;
    const markId = this.desk.add(this.here());
    if (markId !== undefined) void this.photos.add(surface, { markId }, file);
  }
}

const latestOf = (ticks: readonly RowOf<'lookTick'>[]): RowOf<'lookTick'> | undefined =>
  ticks.toSorted((a, b) => (a.said.at < b.said.at ? -1 : 1)).at(-1);
