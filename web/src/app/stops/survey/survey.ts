import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked, viewChild } from '@angular/core';
import { OPPOSITE_SIDE, type PanePoint, type RowOf, type SeenFrom } from '@yellow-pane/core/job';
import { PANE_SLOTS, type PaneCheck, type Suspect, checkFlatPane, distanceWord } from '@yellow-pane/core/measure';
import { type LengthUnit, formatArea, formatLength, formatLengthWithUnit, nmFromMm, parseLength } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { Drafts } from '../../device/drafts';
import { JobDesk } from '../../job/job-desk';
import { JobReading, paneMeasure } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { Figure } from '../../ui/figure';
import { StopFrame } from '../../ui/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { PaneSheet, type SheetMeasure } from './pane-sheet';
import { SurfaceDetails } from './surface-details';
import { SurfaceWork } from './surface-work';
import { findingOf, unreadableWord, wordOf } from './survey-words';

const LONGEST_NM = 20_000_000_000;
const SHORTEST_NM = 20_000_000;

interface Field {
  readonly key: string;
  readonly from: PanePoint;
  readonly to: PanePoint;
  readonly row: RowOf<'measure'> | undefined;
  readonly draft: string | undefined;
}

/** Measuring: the pane redraws while typing, and says at once when measures contradict each other. */
@Component({
  selector: 'yp-survey',
  imports: [StopFrame, PaneSheet, VerdictBox, Figure, SurfaceDetails],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './survey.html',
  host: { class: 'contents' },
})
export class Survey {
  readonly #desk = inject(JobDesk);
  readonly #drafts = inject(Drafts);
  readonly #work = inject(SurfaceWork);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly units = inject(Device).units;
  protected readonly surface = this.selection.surface;
  readonly #lookAt = signal<'own side' | 'other side'>('own side');
  readonly #wanted = signal<{ readonly surfaceId: string; readonly from: PanePoint; readonly to: PanePoint } | undefined>(undefined);
  private readonly sheetView = viewChild(PaneSheet);

  readonly #measures = computed(() => this.reading.measuresOf(this.surface()?.id ?? ''));
  readonly #fields = computed<readonly Field[]>(() => {
    const surface = this.surface();
    if (surface === undefined) return [];
    const own = this.#measures();
    const extras = own.filter((row) => PANE_SLOTS.every((slot) => !isBetween(row, slot.from, slot.to))).map(({ fromPoint, toPoint }) => ({ key: `${fromPoint}-${toPoint}`, from: fromPoint, to: toPoint }));
    const wanted = this.#wanted();
    const asked = wanted?.surfaceId === surface.id && !extras.some(({ from, to }) => from === wanted.from && to === wanted.to) ? [{ key: `${wanted.from}-${wanted.to}`, from: wanted.from, to: wanted.to }] : [];
    return [...PANE_SLOTS, ...extras, ...asked].map(({ key, from, to }) => ({ key, from, to, row: own.filter((row) => isBetween(row, from, to)).at(-1), draft: this.#drafts.texts()[draftKey(surface.id, key)] }));
  });
  readonly #entryUnit = computed<LengthUnit>(() => this.reading.job()?.entryUnit ?? 'mm');

  /** What the measures say, drafts included: redrawn at every key. */
  protected readonly check = computed<PaneCheck>(() => {
    const drafted = new Map(this.#fields().filter(({ draft }) => draft !== undefined).map((field) => [field.row?.id ?? field.key, field]));
    const kept = this.#measures().filter(({ id }) => !drafted.has(id)).map(paneMeasure);
    const typed = [...drafted.values()].flatMap(({ key, from, to, row, draft }) => {
      const read = readMeasure(draft ?? '', this.#entryUnit());
      return 'value_nm' in read ? [{ id: row?.id ?? key, from, to, value_mm: read.value_nm / 1e6, instrument: row?.instrument ?? ('tape' as const) }] : [];
    });
    return checkFlatPane([...kept, ...typed]);
  });
  protected readonly finding = computed(() => findingOf(this.check(), this.units()));
  protected readonly suspects = computed<readonly Suspect[]>(() => {
    const check = this.check();
    if (check.state === 'impossible') return check.suspects;
    return 'agreement' in check && check.agreement.kind === 'disagree' ? check.agreement.suspects : [];
  });
  protected readonly decide = computed(() => {
    const check = this.check();
    return 'agreement' in check && check.agreement.kind === 'disagree' ? check.agreement.decide : undefined;
  });
  protected readonly outline = computed(() => {
    const check = this.check();
    return 'outline' in check ? check.outline : undefined;
  });
  protected readonly sizes = computed(() => {
    const check = this.check();
    return 'sizes' in check ? check.sizes : undefined;
  });
  protected readonly sheetMeasures = computed<readonly SheetMeasure[]>(() => this.#fields().map(({ key, from, to, row, draft }) => ({
    key, from, to,
    text: draft ?? this.#shownText(row),
    fault: draft === undefined || draft.trim() === '' ? undefined : faultOf(draft, this.#entryUnit()),
    isDraft: draft !== undefined,
    isSuspect: this.suspects().some((suspect) => suspect.id === (row?.id ?? key)),
  })));
  protected readonly next = computed(() => this.#fields().find(({ row, draft }) => row === undefined && (draft ?? '') === ''));
  protected readonly nextKey = computed(() => (this.suspects().length > 0 ? undefined : this.next()?.key));
  protected readonly lookFrom = computed<SeenFrom>(() => {
    const seenFrom = this.surface()?.seenFrom ?? 'room';
    return this.#lookAt() === 'own side' ? seenFrom : OPPOSITE_SIDE[seenFrom];
  });
  protected readonly place = computed(() => this.reading.placeById().get(this.surface()?.placeId ?? ''));
  protected readonly unit = computed(() => this.reading.units().find(({ id }) => id === this.surface()?.unitId));

  constructor() {
    effect(() => {
      if (this.surface() !== undefined) untracked(() => { this.#lookAt.set('own side'); });
    });
    inject(Commands).offer([
      { id: 'new-surface', word: 'New surface', keys: 'Alt+N', run: () => { this.addSurface(); } },
      { id: 'delete-surface', word: 'Delete this surface', canRun: () => this.surface() !== undefined, run: () => { this.removeSurface(); } },
      { id: 'first-measure', word: 'Go to the first empty measure', keys: 'Alt+M', canRun: () => this.surface() !== undefined, run: () => { this.goToNext(); } },
      { id: 'look', word: 'Look at this surface from the other side', keys: 'Alt+L', canRun: () => this.surface() !== undefined, run: () => { this.turn(); } },
    ]);
  }

  protected area(value_mm2: number): string {
    return formatArea(value_mm2, this.units());
  }

  protected readonly length = (value_mm: number): string => formatLengthWithUnit(nmFromMm(value_mm), this.units());
  protected readonly lengthSpread = (value_mm: number): string => (this.units() === 'metric' ? value_mm.toFixed(1) : (value_mm / 25.4).toFixed(2));
  protected readonly areaSpread = (value_mm2: number): string => (this.units() === 'metric' ? (value_mm2 / 1e6).toFixed(3) : (value_mm2 / 92_903.04).toFixed(2));
  protected readonly wordOf = wordOf;
  protected readonly round = Math.round;
  protected readonly capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
  protected readonly isText = (text: string | undefined): boolean => text !== undefined && text !== '';
  protected readonly distanceWord = distanceWord;

  protected type({ key, text }: { readonly key: string; readonly text: string }): void {
    const surface = this.surface();
    if (surface !== undefined) this.#drafts.type(draftKey(surface.id, key), text);
  }

  /** Takes over what was typed, when it can be read; otherwise it stays in its field, marked. */
  protected take(key: string): void {
    const surface = this.surface();
    const field = this.#fields().find((candidate) => candidate.key === key);
    if (surface === undefined || field?.draft === undefined) return;
    const text = field.draft.trim();
    if (text === '') {
      this.#drafts.forget(draftKey(surface.id, key));
      if (field.row !== undefined) this.#desk.do(`${surface.tag}: ${distanceWord(field.from, field.to)} taken out`, [this.#desk.remove('measure', field.row.id)]);
      return;
    }
    const read = readMeasure(text, this.#entryUnit());
    if ('fault' in read) return;
    this.#drafts.forget(draftKey(surface.id, key));
    this.#keep(field, text, read);
  }

  protected drop(key: string): void {
    const surface = this.surface();
    if (surface !== undefined) this.#drafts.forget(draftKey(surface.id, key));
  }

  protected setTo(suspect: Suspect): void {
    const field = this.#fields().find(({ row, key }) => (row?.id ?? key) === suspect.id);
    const surface = this.surface();
    if (field === undefined || surface === undefined) return;
    this.#drafts.forget(draftKey(surface.id, field.key));
    const value_nm = nmFromMm(Math.round(suspect.wouldFit_mm));
    this.#keep(field, `${suspect.wouldFit_mm.toFixed(0)} mm`, { value_nm, unit: 'mm' });
  }

  protected askFor(measure: { readonly from: PanePoint; readonly to: PanePoint }): void {
    const surface = this.surface();
    if (surface === undefined) return;
    this.#wanted.set({ surfaceId: surface.id, ...measure });
    setTimeout(() => this.sheetView()?.focusField(`${measure.from}-${measure.to}`), 50);
  }

  protected goToNext(): void {
    this.sheetView()?.focusField(this.next()?.key ?? PANE_SLOTS[0]?.key ?? '');
  }

  protected finish(): void {
    this.selection.step(1);
    setTimeout(() => { this.goToNext(); }, 50);
  }

  protected turn(): void {
    this.#lookAt.update((side) => (side === 'own side' ? 'other side' : 'own side'));
  }

  protected addSurface(): void {
    const id = this.#work.add(this.surface());
    this.selection.goToSurface(id);
    setTimeout(() => { this.goToNext(); }, 80);
  }

  protected removeSurface(): void {
    const surface = this.surface();
    if (surface === undefined) return;
    const rest = this.reading.surfaces();
    const at = rest.findIndex(({ id }) => id === surface.id);
    this.#work.remove(surface);
    this.selection.goToSurface((rest[at + 1] ?? rest[at - 1])?.id);
  }

  #keep(field: Field, text: string, { value_nm, unit }: { readonly value_nm: number; readonly unit: LengthUnit }): void {
    const surface = this.surface();
    if (surface === undefined) return;
    const label = `${surface.tag}: ${distanceWord(field.from, field.to)} ${text}`;
    if (field.row === undefined) this.#desk.do(label, [this.#desk.put('measure', { surfaceId: surface.id, fromPoint: field.from, toPoint: field.to, text, unit, value_nm, instrument: 'tape', sd_nm: null })]);
    else if (field.row.value_nm !== value_nm || field.row.text !== text) this.#desk.do(label, [this.#desk.set('measure', field.row.id, { text, unit, value_nm })]);
  }

  #shownText(row: RowOf<'measure'> | undefined): string {
    return row === undefined ? '' : formatLength(row.value_nm, this.units());
  }
}

function draftKey(surfaceId: string, slot: string): string {
  return `${surfaceId}:${slot}`;
}

function isBetween(row: { readonly fromPoint: PanePoint; readonly toPoint: PanePoint }, from: PanePoint, to: PanePoint): boolean {
  return (row.fromPoint === from && row.toPoint === to) || (row.fromPoint === to && row.toPoint === from);
}

function readMeasure(text: string, entryUnit: LengthUnit): { readonly value_nm: number; readonly unit: LengthUnit } | { readonly fault: string } {
  const parsed = parseLength(text, entryUnit);
  if (parsed.kind === 'unreadable') return { fault: unreadableWord(parsed.reason) };
  if (parsed.value_nm > LONGEST_NM || parsed.value_nm < SHORTEST_NM) return { fault: `Expected 20 mm to 20 m, got ${formatLengthWithUnit(parsed.value_nm, 'metric')}. Another unit, or a digit too many?` };
  return parsed;
}

function faultOf(text: string, entryUnit: LengthUnit): string | undefined {
  const read = readMeasure(text, entryUnit);
  return 'fault' in read ? read.fault : undefined;
}
