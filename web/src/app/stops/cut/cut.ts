import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { cutsFor } from '@yellow-pane/core/cutting';
import {
  type Step,
  formatFilmLength,
  formatLengthWithUnit,
  mmFromNm,
  nmFromMm,
} from '@yellow-pane/core/quantity';
import { lengthOfLayout, lotsApart } from '@yellow-pane/core/reading';
import { StockHere } from '../../job/stock-here';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { Figure } from '../../ui/figure';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { BlanksView } from './blanks-view';
import { gapWord, money, percent } from './cut-words';
import { type CutView, Cutting } from './cutting';
import { LayoutView } from './layout-view';
import { PiecePanel } from './piece-panel';
import { SettingsPanel } from './settings-panel';
import { StockView } from './stock-view';
import { TableView } from './table-view';

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
    StockView,
    TableView,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut.html',
  host: { class: 'contents' },
})
export class Cut {
  protected readonly cutting = inject(Cutting);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly units = inject(Device).units;
  protected readonly surface = this.selection.surface;
  protected readonly views: readonly { readonly view: CutView; readonly word: string }[] = [
    { view: 'layout', word: 'Layout' },
    { view: 'blanks', word: 'Blanks and seams' },
    { view: 'table', word: 'At the table' },
    { view: 'stock', word: 'Stock' },
  ];
  protected readonly needsLayout = computed(
    () =>
      this.cutting.plan() === undefined ||
      this.cutting.stale().length > 0 ||
      this.cutting.notLaid().length > 0,
  );
  protected readonly layWord = computed(() => {
    const count = this.cutting.notLaid().length;
    return this.cutting.plan() === undefined
      ? `Lay out ${this.cutting.blanks().length} ${this.cutting.blanks().length === 1 ? 'blank' : 'blanks'}`
      : count > 0 && this.cutting.rolls().every((roll) => this.cutting.isBegun(roll))
        ? `Find film for ${count} more`
        : 'Lay out again';
  });

  protected readonly finding = computed(() => {
    const { cutting } = this;
    if (cutting.fault() !== undefined)
      return { verdict: 'stop' as const, heading: 'Look at this first', says: cutting.fault() ?? '' };
    if (cutting.films().length === 0)
      return {
        verdict: 'unknown' as const,
        heading: 'No film chosen yet',
        says: 'Choose films at the Film stop; then their blanks are laid out here.',
      };
    const found = cutting.soFar();
    if (found !== undefined)
      return {
        verdict: 'unknown' as const,
        heading: `Uses ${this.metres(lengthOfLayout(found))} so far`,
        says: `Film for ${money(found.film.value)}; it can cost no less than ${money(found.filmBound.value)}. Looking for a better one; stop when it is good enough.`,
      };
    if (cutting.cutStale().length > 0)
      return {
        verdict: 'stop' as const,
        heading: 'Cut, and measured otherwise since',
        says: `${cutting.cutStale().join(', ')}: a measure changed after the film was cut. Hold the piece against the surface before it is wetted.`,
      };
    if (cutting.stale().length > 0)
      return {
        verdict: 'stop' as const,
        heading: 'The plan is stale',
        says: `Measures or method of ${cutting.stale().join(', ')} changed after it was laid out. Lay out again; do not cut from it.`,
      };
    const plan = cutting.plan();
    if (plan === undefined)
      return {
        verdict: 'unknown' as const,
        heading: 'Not laid out yet',
        says: `${cutting.blanks().length} ${cutting.blanks().length === 1 ? 'blank is' : 'blanks are'} ready.${cutting.missing().length > 0 ? ` Not ready: ${cutting.missing().join('; ')}.` : ''}`,
      };
    if (cutting.notLaid().length > 0)
      return {
        verdict: 'go with care' as const,
        heading: 'Some are not on a roll',
        says: `${cutting
          .notLaid()
          .map(({ word }) => word)
          .join(
            ', ',
          )} ${cutting.notLaid().length === 1 ? 'has' : 'have'} no film yet. Lay out again: what is cut stays.`,
      };
    const disputed = this.#disputed();
    if (disputed.length > 0)
      return {
        verdict: 'go with care' as const,
        heading: 'Laid out from measures that disagree',
        says: `${disputed.join(', ')}: do not cut ${disputed.length === 1 ? 'it' : 'them'} before the measures agree. The others can be cut.`,
      };
    if (plan.mode === 'by hand' && this.#uncuttable())
      return {
        verdict: 'go with care' as const,
        heading: `Uses ${this.metres(plan.lengthUsed_nm)}`,
        says: 'Straight cuts from edge to edge no longer free every piece: take pins out, or cut round them.',
      };
    return {
      verdict: 'go' as const,
      heading: `Uses ${this.metres(plan.lengthUsed_nm)}`,
      says: `${gapWord({ used_nm: plan.lengthUsed_nm, ...plan }, this.units())} ${cutting.pieces().length} ${cutting.pieces().length === 1 ? 'piece' : 'pieces'} on ${cutting.rolls().length} ${cutting.rolls().length === 1 ? 'roll' : 'rolls and offcuts'}.`,
    };
  });
  /** Laid, but its measures contradict each other. */
  readonly #disputed = computed(() => [
    ...new Set(
      this.cutting
        .pieces()
        .filter(({ applicationId, cutAt, spoiledAt }) => {
          if (cutAt !== null || spoiledAt !== null) return false;
          const check = this.reading.checkOf(
            this.cutting.applications().find(({ id }) => id === applicationId)?.surfaceId ?? '',
          );
          return (
            check.state === 'impossible' || ('agreement' in check && check.agreement.kind === 'disagree')
          );
        })
        .map(({ tag }) => tag),
    ),
  ]);
  readonly #uncuttable = computed(() =>
    this.cutting.rolls().some(
      (roll) =>
        cutsFor(
          this.cutting
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
          mmFromNm(this.cutting.endWaste_nm()),
        ) === undefined,
    ),
  );
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
        `${this.reading.placeById().get(placeId)?.name ?? ''}: ${lots.map((lot) => (lot === '' ? 'a roll to be ordered' : `lot ${lot}`)).join(', ')}`,
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
        word: 'Lay the blanks out',
        keys: 'Alt+Enter',
        canRun: () => this.cutting.blanks().length > 0,
        run: () => {
          void this.cutting.layOut();
        },
      },
      {
        id: 'stop-layout',
        word: 'Stop and keep this layout',
        keys: 'Escape',
        canRun: () => this.cutting.progress() !== undefined,
        run: () => {
          this.cutting.stop();
        },
      },
      show('layout', 'Layout on the rolls', 'Alt+L'),
      show('blanks', 'Blanks and seams', 'Alt+N'),
      show('table', 'At the cutting table', 'Alt+T'),
      show('stock', 'Stock for this film', 'Alt+K'),
      {
        id: 'print',
        word: 'Print the cut list',
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
  protected readonly money = money;

  protected print(): void {
    window.print();
  }

  /** The sums as steps, so that each can be opened. */
  protected readonly sums = computed(
    (): readonly { readonly word: string; readonly value: string; readonly why: readonly Step[] }[] => {
      const plan = this.cutting.plan();
      if (plan === undefined) return [];
      const kept = {
        kind: 'measured here' as const,
        text: `as this plan was laid out ${plan.changedAt.slice(0, 10)} by ${plan.changedBy}`,
      };
      const step = (
        word: string,
        says: string,
        unit: string,
        inputs: Step['inputs'],
        value: number,
      ): Step => ({ formula: `cutting.kept.${word}`, word, says, unit, inputs, value, source: kept });
      const rolls = this.cutting.rolls().map((roll, index) => ({
        key: `roll${index}`,
        word: roll.label === '' ? roll.what : roll.label,
        unit: 'mm',
        value: mmFromNm(roll.used_nm),
      }));
      return [
        {
          word: 'Length used',
          value: this.metres(plan.lengthUsed_nm),
          why: [
            step(
              'length used',
              'L = what each roll gives, added up',
              'mm',
              rolls,
              mmFromNm(plan.lengthUsed_nm),
            ),
          ],
        },
        {
          word: 'Film',
          value: money(plan.filmCost),
          why: [
            step(
              'film',
              'F = Σ length · worth a metre + offcuts used',
              'money',
              [{ key: 'bound', word: 'can cost no less than', unit: 'money', value: plan.filmBound }],
              plan.filmCost,
            ),
          ],
        },
        ...(plan.mode === 'by hand'
          ? [
              {
                word: 'With cutting, less offcuts kept',
                value: money(plan.cost),
                why: [
                  step(
                    'film and cutting',
                    'C = F + cross-cuts · a + slits · b + pieces · c − offcuts kept',
                    'money',
                    [
                      { key: 'film', word: 'film', unit: 'money', value: plan.filmCost },
                      {
                        key: 'a',
                        word: 'a cross-cut (rate)',
                        unit: 'money',
                        value: this.cutting.rates().perCrossCut,
                      },
                      {
                        key: 'b',
                        word: 'a slit (rate)',
                        unit: 'money',
                        value: this.cutting.rates().perSlit,
                      },
                      {
                        key: 'c',
                        word: 'a piece (rate)',
                        unit: 'money',
                        value: this.cutting.rates().perPiece,
                      },
                    ],
                    plan.cost,
                  ),
                ],
              },
            ]
          : []),
      ];
    },
  );
}
