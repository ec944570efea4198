import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  type DisplayUnits,
  type LengthUnit,
  degreesOf,
  formatLength,
  onScale,
  parseReading,
  parseTemperature,
  temperatureField,
} from '@yellow-pane/core/quantity';
import { Device } from '../device/device';
import { Drafts } from '../device/drafts';
import { uiWords } from '../words/ui';

interface FactOf<Kind extends string> {
  readonly key: string;
  readonly kind: Kind;
  readonly word: string;
  /** How to find it out. */
  readonly how?: string;
}

export type Fact =
  | (FactOf<'choice'> & { readonly options: readonly string[] })
  | FactOf<'length'>
  | (FactOf<'number'> & { readonly unit: string; readonly least: number; readonly most: number })
  /** Kept in °C, shown and typed on the scale of the person. */
  | (FactOf<'temperature'> & { readonly least: number; readonly most: number })
  | FactOf<'text'>;

/** A fact as told, and which version of its row was there when it was begun: 0 when there was none. */
export interface FactChange {
  readonly key: string;
  readonly value: string | number | null;
  readonly seen: number;
}

const LENGTHS = { least_mm: 0, most_mm: 1_000_000 };

/**
 * What is known of something, fact by fact, each with how to find it out. What cannot be read stays, marked
 * and explained.
 */
@Component({
  selector: 'yp-facts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-3 gap-y-1.5 items-center">
      @for (fact of facts(); track fact.key) {
        @let id = prefix() + fact.key;
        <label [for]="id" class="leading-tight"
          >{{ fact.word }}
          @if (unitOf(fact); as unit) {
            <span class="text-faint">, {{ unit }}</span>
          }
        </label>
        @switch (fact.kind) {
          @case ('choice') {
            <select
              [id]="id"
              class="field"
              (change)="changed.emit({ key: fact.key, value: $any($event.target).value, seen: version() })"
            >
              @for (option of fact.options; track option) {
                <option [value]="option" [selected]="option === value(fact.key)">{{ option }}</option>
              }
            </select>
          }
          @default {
            <input
              [id]="id"
              class="field"
              [class.figure]="fact.kind !== 'text'"
              autocomplete="off"
              maxlength="400"
              [value]="text(fact)"
              [placeholder]="fact.kind === 'text' ? '' : 'unknown'"
              [attr.aria-invalid]="fault(fact) !== undefined"
              [attr.aria-describedby]="fault(fact) ? id + '-fault' : null"
              (input)="drafts.type(id, $any($event.target).value, version())"
              (change)="take(fact)"
            />
          }
        }
        @if (fault(fact); as says) {
          <p class="col-span-2 text-sm text-stop font-semibold" [id]="id + '-fault'">{{ says }}</p>
        }
        @if (fact.how) {
          <p class="col-span-2 text-sm text-faint leading-snug -mt-1 mb-1">{{ fact.how }}</p>
        }
      }
    </div>
  `,
})
export class Facts {
  readonly prefix = input.required<string>();
  readonly facts = input.required<readonly Fact[]>();
  readonly values = input.required<object>();
  readonly entryUnit = input<LengthUnit>('mm');
  readonly changed = output<FactChange>();
  protected readonly drafts = inject(Drafts);
  readonly #units = inject(Device).units;

  protected readonly version = computed(() =>
    'version' in this.values() ? Number(this.value('version')) : 0,
  );

  protected value(key: string): unknown {
    return (this.values() as Readonly<Record<string, unknown>>)[key];
  }

  protected text(fact: Fact): string {
    const draft = this.drafts.texts()[this.prefix() + fact.key];
    if (draft !== undefined) return draft;
    const value = this.value(fact.key);
    if (value === null || value === undefined) return '';
    if (fact.kind === 'length') return formatLength(Number(value), this.#units());
    if (fact.kind === 'temperature') return temperatureField(Number(value), this.#units());
    return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
  }

  protected fault(fact: Fact): string | undefined {
    const draft = this.drafts.texts()[this.prefix() + fact.key];
    return draft === undefined ? undefined : faultOf(fact, draft, this.#typedIn());
  }

  protected unitOf(fact: Fact): string {
    return fact.kind === 'number' ? fact.unit : fact.kind === 'temperature' ? degreesOf(this.#units()) : '';
  }

  #typedIn(): TypedIn {
    return { length: this.entryUnit(), units: this.#units() };
  }

  protected take(fact: Fact): void {
    const id = this.prefix() + fact.key;
    const draft = this.drafts.texts()[id];
    if (draft === undefined || faultOf(fact, draft, this.#typedIn()) !== undefined) return;
    const seen = this.drafts.versions()[id] ?? this.version();
    this.drafts.forget(id);
    this.changed.emit({ key: fact.key, value: readFact(fact, draft, this.#typedIn()), seen });
  }
}

/** What a bare figure is taken for. */
interface TypedIn {
  readonly length: LengthUnit;
  readonly units: DisplayUnits;
}

function readFact(fact: Fact, text: string, typed: TypedIn): string | number | null {
  if (fact.kind === 'text' || fact.kind === 'choice') return text.trim();
  if (text.trim() === '') return null;
  if (fact.kind === 'number') return Number(text.replace(',', '.'));
  if (fact.kind === 'temperature') return parseTemperature(text, typed.units) ?? null;
  const parsed = parseReading(text, typed.length, LENGTHS);
  return parsed.kind === 'length' ? parsed.value_nm : null;
}

function faultOf(fact: Fact, text: string, typed: TypedIn): string | undefined {
  if (fact.kind === 'text' || fact.kind === 'choice' || text.trim() === '') return undefined;
  if (fact.kind === 'number') {
    const value = Number(text.replace(',', '.'));
    return Number.isFinite(value) && value >= fact.least && value <= fact.most
      ? undefined
      : uiWords.outOfRange(fact.word, fact.least, fact.most, fact.unit, text);
  }
  if (fact.kind === 'temperature') {
    const celsius = parseTemperature(text, typed.units);
    return celsius !== undefined && celsius >= fact.least && celsius <= fact.most
      ? undefined
      : uiWords.outOfRange(
          fact.word,
          Math.round(onScale(fact.least, typed.units)),
          Math.round(onScale(fact.most, typed.units)),
          degreesOf(typed.units),
          text,
        );
  }
  return parseReading(text, typed.length, LENGTHS).kind === 'length'
    ? undefined
    : uiWords.notALength(fact.word, text);
}
