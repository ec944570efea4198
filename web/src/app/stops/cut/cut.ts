import { JobClock } from '../../day/job-clock';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatFilmLength, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { isShrunk, lotsApart, needsLayout } from '@yellow-pane/core/reading';
import { StockHere } from '../../job/stock-here';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { Figure } from '../../ui/figure';
import { ShrinkView } from '../../curved/shrink-view';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { cutWords } from '../../words/cut';
import { shrinkWords } from '../../words/shrink';
import { BlanksView } from './blanks-view';
import { percent } from './cut-words';
import { type CutView, Cutting } from './cutting';
import { LayoutFinding } from './layout-finding';
import { LayoutView } from './layout-view';
import { PiecePanel } from './piece-panel';
import { planSums } from './plan-sums';
import { SettingsPanel } from './settings-panel';
import { StockView } from './stock-view';
import { TableView } from './table-view';
import { WholeJob } from './whole-job';

/** Blanks from surfaces, blanks on rolls and offcuts, cuts for the table, film off the stock. */
@Component({
  selector: 'yp-cut',
  imports: [
    StopFrame,
    VerdictBox,
    Figure,
    BlanksView,
    LayoutView,
    PiecePanel,
    SettingsPanel,
    ShrinkView,
    StockView,
    TableView,
  ],
  providers: [LayoutFinding],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut.html',
  host: { class: 'contents' },
})
export class Cut {
  protected readonly words = cutWords;
  protected readonly cutting = inject(Cutting);
  protected readonly wholeJob = inject(WholeJob);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  readonly #device = inject(Device);
  readonly #clock = inject(JobClock);
  protected readonly units = this.#device.units;
  protected readonly surface = this.selection.surface;
  readonly #hasCurved = computed(() => this.reading.applications().some(isShrunk));
  protected readonly views = computed<readonly { readonly view: CutView; readonly word: string }[]>(() => [
    { view: 'layout', word: cutWords.layout },
    { view: 'blanks', word: cutWords.blanksAndSeams },
    ...(this.#hasCurved() ? [{ view: 'shrink' as const, word: shrinkWords.shrinkPlan }] : []),
    { view: 'table', word: cutWords.atTheTable },
    { view: 'stock', word: cutWords.stock },
  ]);
  protected readonly needsLayout = computed(() =>
    needsLayout(this.reading.view(), this.cutting.filmId() ?? ''),
  );
  protected readonly layWord = computed(() => {
    const count = this.cutting.notLaid().length;
    return this.cutting.plan() === undefined
      ? cutWords.layOut(this.cutting.blanks().length, this.cutting.blanks().length === 1 ? 'blank' : 'blanks')
      : count > 0 && this.cutting.rolls().every((roll) => this.cutting.isBegun(roll))
        ? cutWords.findFilmFor(count)
        : cutWords.layOutAgain;
  });

  protected readonly finding = inject(LayoutFinding).finding;
  protected readonly waste = computed(() => {
    const film = this.cutting.rolls().reduce((sum, { width_nm, used_nm }) => sum + width_nm * used_nm, 0);
    const pieces = this.cutting
      .pieces()
      .reduce(
        (sum, { across_nm, along_nm, spoiledAt }) => sum + (spoiledAt === null ? across_nm * along_nm : 0),
        0,
      );
    return film === 0 ? '–' : percent(1 - pieces / film);
  });
  /** Façades whose pieces come from several lots. */
  protected readonly split = computed(() =>
    lotsApart(this.reading.view(), this.cutting.filmId() ?? '').map(
      ({ placeId, lots }) =>
        `${this.reading.placeById().get(placeId)?.name ?? ''}: ${lots.map((lot) => (lot === '' ? cutWords.aRollToOrder : cutWords.lot(lot))).join(', ')}`,
    ),
  );
  protected readonly blankHere = computed(
    () =>
      this.cutting.blanks().find(({ application }) => application.surfaceId === this.surface()?.id)?.blanks,
  );

  constructor() {
    void inject(StockHere).load();
    const show = (view: CutView, word: string, keys: string) => ({
      id: `cut-${view}`,
      word,
      keys,
      canRun: () => this.cutting.films().length > 0,
      run: () => {
        this.cutting.view.set(view);
      },
    });
    inject(Commands).offer([
      {
        id: 'lay-out',
        word: cutWords.layBlanksOut,
        keys: 'Alt+Enter',
        canRun: () => this.cutting.blanks().length > 0,
        run: () => {
          void this.cutting.layOut();
        },
      },
      {
        id: 'lay-out-everything',
        word: cutWords.layEverythingOutCommand,
        keys: 'Alt+Shift+Enter',
        canRun: () => this.wholeJob.open().length > 0 && this.cutting.progress() === undefined,
        run: () => {
          void this.wholeJob.layOut();
        },
      },
      {
        id: 'stop-layout',
        word: cutWords.stopAndKeepLayout,
        keys: 'Escape',
        canRun: () => this.cutting.progress() !== undefined,
        run: () => {
          this.wholeJob.stop();
        },
      },
      show('layout', cutWords.layoutOnRolls, 'Alt+L'),
      show('blanks', cutWords.blanksAndSeams, 'Alt+N'),
      show('shrink', shrinkWords.shrinkPlan, 'Alt+H'),
      show('table', cutWords.atCuttingTable, 'Alt+T'),
      show('stock', cutWords.stockForFilm, 'Alt+K'),
      {
        id: 'print',
        word: cutWords.printCutList,
        keys: 'Ctrl+P',
        canRun: () => this.cutting.plan() !== undefined,
        run: () => {
          this.print();
        },
      },
    ]);
  }

  protected readonly lengthOfMm = (value_mm: number): string =>
    formatLengthWithUnit(nmFromMm(value_mm), this.units());
  protected readonly lengthWithUnit = (value_nm: number): string =>
    formatLengthWithUnit(value_nm, this.units());
  protected readonly metres = (value_nm: number): string => formatFilmLength(value_nm, this.units());
  protected readonly money = this.#device.money;
  protected readonly day = (instant: string): string => this.#clock.clock().dateOf(instant);

  protected print(): void {
    window.print();
  }

  /** The sums as steps, so that each can be opened. */
  protected readonly sums = computed(() => {
    const plan = this.cutting.plan();
    return plan === undefined
      ? []
      : planSums(plan, this.cutting.rolls(), this.cutting.rates(), {
          metres: this.metres,
          money: this.money,
          day: this.day,
        });
  });
}
