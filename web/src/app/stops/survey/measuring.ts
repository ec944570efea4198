import { Injectable, computed, inject, signal } from '@angular/core';
import { remarkWords } from '@yellow-pane/contracts/words';
import { type Instrument, type RowOf } from '@yellow-pane/core/job';
import {
  type AskedMeasure,
  type MeasureSlot,
  type BlunderFix,
  type Suspect,
  type SurfaceCheck,
  checkSurface,
  isSameMeasure,
  jointsOn,
  nominalFigure,
  outlineOfCheck,
  rectangleSizes,
  blunderFixes,
  slotsFor,
  surfaceInputOf,
} from '@yellow-pane/core/measure';
import { type LengthUnit, formatLength, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { Drafts } from '../../device/drafts';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { checked } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { surveyWords } from '../../words/survey';
import type { SheetMeasure } from './surface-sheet';
import { asked, draftKey, keyOf } from './field-keys';
import { Looking } from './looking';
import { type ReadMeasure, readTyped } from './read-typed';
import { findingOf } from './survey-words';
import { fieldAfter, fieldFor } from './walking';

/** The version of a row that was not there when its field was first typed in. */
const NOT_THERE = 0;

interface Field extends AskedMeasure {
  readonly key: string;
  readonly slot: MeasureSlot | undefined;
  readonly row: RowOf<'measure'> | undefined;
  readonly draft: string | undefined;
}

type Found = Extract<SurfaceCheck, { readonly figure: unknown }>;

/** A part of what was found; undefined while nothing was. */
const partOf = <Key extends 'figure' | 'helpsNext' | 'agreement' | 'remarks'>(
  check: SurfaceCheck,
  key: Key,
): Found[Key] | undefined => ('figure' in check ? check[key] : undefined);

/** The measures of the surface looked at: typed, checked at every key, taken over at Enter. */
@Injectable()
export class Measuring {
  readonly #desk = inject(JobDesk);
  readonly #drafts = inject(Drafts);
  readonly #hand = inject(WhoseHand);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly #looking = inject(Looking);
  readonly surface = inject(Selection).surface;
  readonly #wanted = signal<(AskedMeasure & { readonly surfaceId: string }) | undefined>(undefined);
  readonly hasMore = signal(false);
  /** The field last reached: where a reading of the laser lands. */
  readonly reachedKey = signal<string | undefined>(undefined);
  /** What was just changed here and not in the repeats of this surface. */
  readonly changedHere = signal<
    | (AskedMeasure &
        ReadMeasure & { readonly surfaceId: string; readonly text: string; readonly instrument: Instrument })
    | undefined
  >(undefined);

  readonly slots = computed(() => {
    const surface = this.surface();
    return surface === undefined ? [] : slotsFor(surface.shape, surface.corners);
  });
  readonly nominal = computed(() =>
    nominalFigure(this.surface()?.shape ?? 'four sides', this.surface()?.corners ?? null),
  );
  readonly #measures = computed(() =>
    this.#reading.measuresOf(this.surface()?.id ?? '').filter(({ kind }) => kind !== 'label'),
  );
  readonly #entryUnit = computed<LengthUnit>(() => this.#reading.job()?.entryUnit ?? 'mm');

  readonly #fields = computed<readonly Field[]>(() => {
    const surface = this.surface();
    if (surface === undefined) return [];
    const own = this.#measures();
    const texts = this.#drafts.texts();
    const isSlot = (asked: AskedMeasure): boolean => this.slots().some((slot) => isSameMeasure(slot, asked));
    const field = (key: string, { kind, from, to }: AskedMeasure, slot: MeasureSlot | undefined): Field => ({
      key,
      kind,
      from,
      to,
      slot,
      row: own.filter((row) => isSameMeasure(asked(row), { kind, from, to })).at(-1),
      draft: texts[draftKey(surface.id, key)],
    });
    const wanted = this.#wanted();
    const others = [...own.map(asked), ...(wanted?.surfaceId === surface.id ? [wanted] : [])].filter(
      (measure) => !isSlot(measure),
    );
    const extras = others.filter(
      (measure, index) => others.findIndex((other) => isSameMeasure(other, measure)) === index,
    );
    return [
      ...this.slots().map((slot) => field(slot.key, slot, slot)),
      ...extras.map((measure) => field(keyOf(measure), measure, undefined)),
    ];
  });
  readonly #visible = computed(() => {
    const [wanted, helps] = [this.#wanted(), this.helpsNext()];
    return this.#fields().filter(
      ({ slot, row, draft, key, ...measure }) =>
        slot?.isExtra !== true ||
        row !== undefined ||
        draft !== undefined ||
        this.hasMore() ||
        helps?.key === key ||
        (wanted !== undefined && isSameMeasure(wanted, measure)),
    );
  });
  readonly extras = computed(
    () => this.slots().filter(({ isExtra, lies }) => isExtra === true && lies === 'beside').length,
  );

  /** What the measures say, drafts included: redrawn at every key. */
  readonly #input = computed(() => {
    const surface = this.surface();
    if (surface === undefined) return undefined;
    const drafted = new Map(
      this.#fields()
        .filter(({ draft }) => draft !== undefined)
        .map((field) => [field.row?.id ?? field.key, field]),
    );
    const kept = this.#measures().filter(({ id }) => !drafted.has(id));
    const typed = [...drafted.values()].flatMap((field) => {
      const read = this.#read(field, field.draft ?? '');
      return 'value_nm' in read
        ? [
            {
              id: field.row?.id ?? field.key,
              kind: field.kind,
              fromPoint: field.from,
              toPoint: field.to,
              value_nm: read.value_nm,
              instrument: field.row?.instrument ?? ('tape' as const),
              sd_nm: field.row?.sd_nm ?? null,
            },
          ]
        : [];
    });
    return surfaceInputOf(
      surface,
      [...kept, ...typed],
      this.#reading.partsOf(surface.id),
      this.#reading.wallFactsOf(surface.id),
      this.#reading.determinedWithin_mm(),
    );
  });
  readonly check = computed<SurfaceCheck>(() => {
    const input = this.#input();
    return input === undefined
      ? { state: 'unfinished', needs: [surveyWords.aSurface] }
      : checked(() => checkSurface(input));
  });
  readonly joints = computed(() => jointsOn(this.check(), this.#input()?.joints));
  readonly figure = computed(() => partOf(this.check(), 'figure'));
  readonly sizes = computed(() => {
    const check = this.check();
    return 'sizes' in check ? { ...check.sizes, ...rectangleSizes(outlineOfCheck(check) ?? []) } : undefined;
  });
  readonly remarks = computed(() =>
    (partOf(this.check(), 'remarks') ?? []).map((remark) => remarkWords(remark, this.#units())),
  );
  readonly helpsNext = computed(() => partOf(this.check(), 'helpsNext'));
  readonly agreement = computed(() => partOf(this.check(), 'agreement'));
  readonly finding = computed(() => findingOf(this.check(), (measure) => this.word(measure), this.#units()));
  readonly suspects = computed<readonly Suspect[]>(() => {
    const check = this.check();
    if (check.state === 'impossible') return check.suspects;
    const agreement = this.agreement();
    return agreement?.kind === 'disagree' ? agreement.suspects : [];
  });
  readonly decide = computed(() => {
    const agreement = this.agreement();
    return agreement?.kind === 'disagree' ? agreement.decide : undefined;
  });
  readonly slips = computed<readonly BlunderFix[]>(() => {
    const input = this.#input();
    if (input === undefined || this.suspects().length === 0) return [];
    const typed = new Map(
      this.#fields().flatMap(({ key, row, draft }) => {
        const text = draft ?? row?.text;
        return text === undefined
          ? []
          : [[row?.id ?? key, { text, unit: row?.unit ?? this.#entryUnit() }] as const];
      }),
    );
    return blunderFixes(input, this.check(), typed);
  });

  readonly sheetMeasures = computed<readonly SheetMeasure[]>(() =>
    this.#visible().map((field) => ({
      key: field.key,
      kind: field.kind,
      from: field.from,
      to: field.to,
      slot: field.slot,
      text: field.draft ?? (field.row === undefined ? '' : formatLength(field.row.value_nm, this.#units())),
      fault: this.#faultOf(field),
      isDraft: field.draft !== undefined,
      isSuspect: this.suspects().some(({ id }) => id === (field.row?.id ?? field.key)),
    })),
  );
  readonly next = computed(() => {
    const open = this.#visible().filter(
      ({ row, draft, slot }) => row === undefined && (draft ?? '') === '' && slot?.isExtra !== true,
    );
    const helps = this.helpsNext();
    return (
      (this.check().state === 'assumed' ? open.find(({ key }) => key === helps?.key) : undefined) ??
      open[0] ??
      (helps === undefined
        ? undefined
        : this.#fields().find(({ key, row }) => key === helps.key && row === undefined))
    );
  });
  readonly nextKey = computed(() => (this.suspects().length > 0 ? undefined : this.next()?.key));

  word(measure: AskedMeasure): string {
    return this.#looking.word(this.slots(), measure);
  }

  /** The same of a reading, by its id. */
  wordOf(id: string): string {
    const field = this.#fields().find(({ row, key }) => (row?.id ?? key) === id);
    return field === undefined ? surveyWords.aMeasure : this.word(field);
  }

  type(key: string, text: string): void {
    const surface = this.surface();
    if (surface !== undefined)
      this.#drafts.type(
        draftKey(surface.id, key),
        text,
        this.#fields().find((field) => field.key === key)?.row?.version ?? NOT_THERE,
      );
  }

  drop(key: string): void {
    const surface = this.surface();
    if (surface !== undefined) this.#drafts.forget(draftKey(surface.id, key));
  }

  /** Takes over what was typed, when it can be read; otherwise it stays in its field, marked. */
  take(key: string): void {
    this.#hand.whenKnown(() => {
      this.#take(key);
    });
  }

  #take(key: string): void {
    const surface = this.surface();
    const field = this.#fields().find((candidate) => candidate.key === key);
    if (surface === undefined || field?.draft === undefined) return;
    const text = field.draft.trim();
    if (text === '') {
      this.drop(key);
      if (field.row !== undefined)
        this.#desk.do(surveyWords.takenOutOf(surface.tag, this.word(field)), [
          this.#desk.remove('measure', field.row.id),
        ]);
      return;
    }
    const read = this.#read(field, text);
    if ('fault' in read) return;
    const seen = this.#drafts.versions()[draftKey(surface.id, key)];
    this.drop(key);
    this.#keep(field, text, read, field.row?.instrument ?? 'tape', seen);
  }

  /**
   * A reading of an instrument lands in a field as if it had been typed and taken.
   * @returns whether there was a field for it
   */
  land(key: string, value_nm: number, instrument: Instrument): boolean {
    const field = this.#fields().find((candidate) => candidate.key === key);
    if (field === undefined) return false;
    this.drop(key);
    this.#keep(field, `${(value_nm / 1e6).toFixed(1)} mm`, { value_nm, unit: 'mm' }, instrument);
    return true;
  }

  setTo(changes: BlunderFix['changes']): void {
    for (const { id, value_mm } of changes) {
      const field = this.#fields().find(({ row, key }) => (row?.id ?? key) === id);
      if (field === undefined) continue;
      this.drop(field.key);
      const rounded = Math.round(value_mm * 10) / 10;
      this.#keep(
        field,
        `${rounded} mm`,
        { value_nm: nmFromMm(rounded), unit: 'mm' },
        field.row?.instrument ?? 'tape',
      );
    }
  }

  /** Shows a field for a measure that is not customary. @returns its key */
  ask(measure: AskedMeasure): string {
    const surface = this.surface();
    if (surface !== undefined)
      this.#wanted.set({ surfaceId: surface.id, kind: measure.kind, from: measure.from, to: measure.to });
    return this.slots().find((slot) => isSameMeasure(slot, measure))?.key ?? keyOf(measure);
  }

  after(key: string, instrument?: Instrument): string | undefined {
    return fieldAfter(this.sheetMeasures(), key, instrument);
  }

  /** Where a reading of this instrument lands. */
  target(instrument: Instrument): string | undefined {
    return fieldFor(this.sheetMeasures(), [this.reachedKey(), this.next()?.key], instrument);
  }

  #keep(
    field: Field,
    text: string,
    { value_nm, unit }: ReadMeasure,
    instrument: Instrument,
    seen?: number,
  ): void {
    const surface = this.surface();
    if (surface === undefined) return;
    const label = `${surface.tag}: ${this.word(field)} ${text}`;
    if (field.row === undefined)
      this.#desk.do(label, [
        this.#desk.put('measure', {
          surfaceId: surface.id,
          kind: field.kind,
          fromPoint: field.from,
          toPoint: field.to,
          text,
          unit,
          value_nm,
          instrument,
          sd_nm: null,
        }),
      ]);
    else if (
      field.row.value_nm !== value_nm ||
      field.row.text !== text ||
      field.row.instrument !== instrument
    )
      this.#desk.do(label, [
        this.#desk.set('measure', field.row.id, { text, unit, value_nm, instrument }, seen),
      ]);
    else return;
    this.changedHere.set({
      surfaceId: surface.id,
      kind: field.kind,
      from: field.from,
      to: field.to,
      text,
      unit,
      value_nm,
      instrument,
    });
  }

  #read(
    { kind, slot }: Pick<Field, 'kind' | 'slot'>,
    text: string,
  ): ReadMeasure | { readonly fault: string } {
    return readTyped(text, { kind, shape: this.surface()?.shape, lies: slot?.lies, unit: this.#entryUnit() });
  }

  #faultOf(field: Field): string | undefined {
    if (field.draft === undefined || field.draft.trim() === '') return undefined;
    const read = this.#read(field, field.draft);
    return 'fault' in read ? read.fault : undefined;
  }
}
