import { GlassWeight } from './glass-weight';
import { JobClock } from '../../day/job-clock';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { capital } from '@yellow-pane/contracts/words';
import {
  MOST_CORNERS,
  FEWEST_CORNERS,
  type AskedMeasure,
  type Point,
  SIZE_WORDS,
  sizeWord,
  type SizeKey,
  type BlunderFix,
  TO_FRAME,
  type Suspect,
} from '@yellow-pane/core/measure';
import { SHAPES_OF_KIND, type SurfaceKind, type SurfaceShape, isGlass } from '@yellow-pane/core/job';
import { formatArea, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { CUT_ALARM, cutAlarm } from '../../job/cut-alarm';
import { changedAfterCut, isCurvedGlass } from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { Figure } from '../../ui/figure';
import { NumberPad } from '../../ui/number-pad';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { surveyWords } from '../../words/survey';
import { Elevation } from './elevation';
import { InRepeats } from './in-repeats';
import { LaserChip } from './laser-chip';
import { Looking } from './looking';
import { MeasureTable } from './measure-table';
import { SaidAbout } from './said-about';
import { Measuring } from './measuring';
import { PartsPanel } from './parts-panel';
import { RecheckPanel } from './recheck-panel';
import { PatternPhoto } from '../../curved/pattern-photo';
import { ShelfPanel } from '../../curved/shelf-panel';
import { Relief } from '../../drawing/relief';
import { RepeatsPanel } from './repeats-panel';
import { SitePanel } from './site-panel';
import { type SheetPin, SurfaceSheet } from './surface-sheet';
import { SurfaceDetails } from './surface-details';
import { surveyCommands } from './survey-commands';
import { SurfaceWork } from './surface-work';
import { Transfer } from './transfer';
import { UnrolledFilm } from './unrolled-film';

type View = 'surface' | 'elevation' | 'transfer';

const KIND_WORDS: Readonly<Record<SurfaceKind, string>> = {
  pane: surveyWords.pane,
  wall: surveyWords.wall,
  column: surveyWords.column,
  fixture: surveyWords.fixture,
};

/** Measuring: the surface redraws while typing, and says at once when measures contradict each other. */
@Component({
  selector: 'yp-survey',
  imports: [
    StopFrame,
    SurfaceSheet,
    VerdictBox,
    Figure,
    SurfaceDetails,
    SitePanel,
    ShelfPanel,
    PartsPanel,
    PatternPhoto,
    RepeatsPanel,
    RecheckPanel,
    MeasureTable,
    SaidAbout,
    GlassWeight,
    Relief,
    UnrolledFilm,
    NumberPad,
    Elevation,
    Transfer,
    LaserChip,
  ],
  providers: [Looking, Measuring, InRepeats],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './survey.html',
  host: { class: 'contents' },
})
export class Survey {
  readonly #clock = inject(JobClock);
  protected readonly words = surveyWords;
  readonly #desk = inject(JobDesk);
  readonly #work = inject(SurfaceWork);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly device = inject(Device);
  protected readonly measuring = inject(Measuring);
  protected readonly units = this.device.units;
  protected readonly surface = this.selection.surface;
  protected readonly isGlass = computed(() => {
    const surface = this.surface();
    return surface !== undefined && isGlass(surface);
  });
  protected readonly view = signal<View>('surface');
  protected readonly isChoosingKind = signal(false);
  protected readonly pinningId = signal<string | undefined>(undefined);
  private readonly sheetView = viewChild(SurfaceSheet);

  protected readonly kinds = (Object.keys(SHAPES_OF_KIND) as SurfaceKind[]).map((kind) => ({
    kind,
    word: KIND_WORDS[kind],
    shapes: SHAPES_OF_KIND[kind],
  }));
  protected readonly shapes = computed(() => SHAPES_OF_KIND[this.surface()?.kind ?? 'pane']);
  protected readonly cornerCounts = Array.from(
    { length: MOST_CORNERS - FEWEST_CORNERS + 1 },
    (_, index) => FEWEST_CORNERS + index,
  );
  readonly #looking = inject(Looking);
  protected readonly lookFrom = this.#looking.from;
  protected readonly place = computed(() => this.reading.placeById().get(this.surface()?.placeId ?? ''));
  protected readonly unit = computed(() =>
    this.reading.units().find(({ id }) => id === this.surface()?.unitId),
  );
  protected readonly subtitle = computed(() =>
    [this.place()?.name ?? '', this.unit()?.name ?? ''].filter((name) => name !== '').join(', '),
  );
  protected readonly sizeLines = computed(() => {
    const sizes = this.measuring.sizes();
    if (sizes === undefined) return [];
    return (Object.keys(SIZE_WORDS) as SizeKey[]).flatMap((key) => {
      const size = sizes[key];
      if (size === undefined) return [];
      const { dimension } = SIZE_WORDS[key];
      const word = sizeWord(key, this.surface()?.shape ?? 'four sides');
      return [
        {
          key,
          word: capital(word === 'area' && this.isGlass() ? surveyWords.glassArea : word),
          why: size.why,
          value: dimension === 'area' ? formatArea(size.value, this.units()) : this.length(size.value),
          spread: dimension === 'area' ? this.areaSpread : this.lengthSpread,
        },
      ];
    });
  });
  /** What the drawing shows, for whoever does not see it. */
  protected readonly drawingSays = computed(() => {
    const sizes = this.measuring.sizes();
    const says = this.measuring.finding().heading;
    const tag = this.surface()?.tag ?? '';
    return sizes === undefined
      ? `${tag}, ${says}`
      : surveyWords.surfaceSaid(
          tag,
          this.length(sizes.aroundWidth_mm.value),
          this.length(sizes.aroundHeight_mm.value),
          says,
        );
  });
  protected readonly pins = computed<readonly SheetPin[]>(() =>
    this.reading
      .partsOf(this.surface()?.id ?? '')
      .flatMap(({ id, kind, name, x_nm, y_nm, width_nm, height_nm }) =>
        x_nm === null || y_nm === null
          ? []
          : [
              {
                id,
                kind,
                name,
                x: x_nm / 1e6,
                y: y_nm / 1e6,
                width: (width_nm ?? 0) / 1e6,
                height: (height_nm ?? 0) / 1e6,
              },
            ],
      ),
  );
  protected readonly isCurvedGlass = isCurvedGlass;
  protected readonly patch = computed(() => this.measuring.figure()?.patch);
  protected readonly unrolled = computed(() => {
    const figure = this.measuring.figure();
    return figure?.standing === undefined ? undefined : figure.outline;
  });
  /** Said at the keystroke: the film of this surface is cut already. */
  protected readonly cutAlarm = computed(() => {
    const changed = changedAfterCut(this.reading.view(), this.surface()?.id ?? '', this.measuring.check());
    return changed.length === 0 ? undefined : cutAlarm(changed, this.units(), this.#clock.clock());
  });
  protected readonly alarmWord = CUT_ALARM;
  protected readonly inRepeats = inject(InRepeats);

  constructor() {
    effect(() => {
      if (this.surface() !== undefined)
        untracked(() => {
          this.pinningId.set(undefined);
          this.measuring.hasMore.set(false);
        });
    });
    inject(Commands).offer(
      surveyCommands({
        kinds: this.kinds,
        hasSurface: () => this.surface() !== undefined,
        add: (kind, shape) => {
          this.addSurface(kind, shape);
        },
        remove: () => {
          this.removeSurface();
        },
        goToNext: () => {
          this.goToNext();
        },
        turn: () => {
          this.turn();
        },
        show: (view) => {
          this.show(view);
        },
        togglePad: () => {
          this.togglePad();
        },
      }),
    );
  }

  protected readonly length = (value_mm: number): string =>
    formatLengthWithUnit(nmFromMm(value_mm), this.units());
  protected readonly lengthSpread = (value_mm: number): string =>
    this.units() === 'metric' ? value_mm.toFixed(1) : (value_mm / 25.4).toFixed(2);
  protected readonly areaSpread = (value_mm2: number): string =>
    this.units() === 'metric' ? (value_mm2 / 1e6).toFixed(3) : (value_mm2 / 92_903.04).toFixed(2);
  protected readonly round = Math.round;
  protected readonly capital = capital;

  protected show(view: View): void {
    this.view.set(this.view() === view ? 'surface' : view);
  }

  protected setShape(shape: string): void {
    const surface = this.surface();
    if (surface === undefined) return;
    const methods = this.#work.methodsAfter(surface, shape as SurfaceShape);
    this.#desk.do(`${surface.tag}: ${shape}`, [
      this.#desk.set('surface', surface.id, {
        shape: shape as SurfaceShape,
        corners: shape === 'many sides' ? (surface.corners ?? 5) : null,
      }),
      ...methods.map(({ id, method }) => this.#desk.set('application', id, { method })),
    ]);
    if (methods.length > 0)
      this.#desk.say(surveyWords.wayHadToChange(surface.tag, methods.map(({ method }) => method).join(', ')));
  }

  protected setCorners(count: string): void {
    const surface = this.surface();
    if (surface !== undefined)
      this.#desk.do(surveyWords.cornersOf(surface.tag, count), [
        this.#desk.set('surface', surface.id, { corners: Number(count) }),
      ]);
  }

  /** A reading can be put right only where it is known which one is wrong. */
  protected readonly mends = computed(() => {
    const suspects = this.measuring.suspects();
    return suspects.length === 1 ||
      (suspects.length <= 3 && this.measuring.decide() === undefined && suspects.length > 0)
      ? suspects
      : [];
  });

  protected setTo(suspect: Suspect): void {
    this.measuring.setTo([{ id: suspect.id, value_mm: Math.round(suspect.wouldFit_mm) }]);
  }

  /** Slips with a length of their own; 'to the frame' is only a remark on the reading it would explain. */
  protected readonly namedSlips = computed(() =>
    this.measuring.slips().filter(({ slip }) => slip !== TO_FRAME),
  );

  protected toFrame({ id }: Suspect): boolean {
    return this.measuring.slips().some((fix) => fix.slip === TO_FRAME && fix.id === id);
  }

  protected blunderWord({ slip, changes }: BlunderFix): string {
    return `${capital(slip)}: ${changes.map(({ id, value_mm }) => `${this.measuring.wordOf(id)} ${this.length(Math.round(value_mm * 10) / 10)}`).join(' and ')}`;
  }

  protected askFor(measure: AskedMeasure): void {
    const key = this.measuring.ask(measure);
    setTimeout(() => this.sheetView()?.focusField(key), 50);
  }

  protected pinHere({ x, y }: Point): void {
    const id = this.pinningId();
    this.pinningId.set(undefined);
    if (id !== undefined)
      this.#desk.do(surveyWords.shownOnDrawing, [
        this.#desk.set('part', id, {
          x_nm: nmFromMm(Math.max(0, Math.round(x))),
          y_nm: nmFromMm(Math.max(0, Math.round(y))),
        }),
      ]);
  }

  protected goToNext(): void {
    this.view.set('surface');
    this.sheetView()?.focusField(this.measuring.next()?.key ?? this.measuring.sheetMeasures()[0]?.key ?? '');
  }

  protected finish(): void {
    this.selection.step(1);
    setTimeout(() => {
      this.goToNext();
    }, 50);
  }

  protected landed(key: string): void {
    const next = this.measuring.after(key, 'laser');
    setTimeout(() => this.sheetView()?.focusField(next ?? key), 30);
  }

  protected turn(): void {
    this.#looking.turn();
  }

  protected togglePad(): void {
    this.device.usePad(this.device.pad() === 'none' ? 'right' : 'none');
  }

  protected addSurface(kind: SurfaceKind = 'pane', shape?: SurfaceShape): void {
    this.isChoosingKind.set(false);
    this.view.set('surface');
    const id = this.#work.add(this.surface(), kind, shape);
    this.selection.goToSurface(id);
    setTimeout(() => {
      this.goToNext();
    }, 80);
  }

  protected removeSurface(): void {
    const surface = this.surface();
    if (surface === undefined) return;
    const rest = this.reading.surfaces();
    const at = rest.findIndex(({ id }) => id === surface.id);
    this.#work.remove(surface);
    this.selection.goToSurface((rest[at + 1] ?? rest[at - 1])?.id);
  }
}
