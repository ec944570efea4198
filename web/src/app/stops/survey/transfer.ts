import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  output,
  signal,
  untracked,
} from '@angular/core';
import {
  type BroughtIn,
  type DrawingUnit,
  type SurveyFile,
  broughtOps,
  surveyFileOps,
} from '@yellow-pane/contracts/survey-files';
import { formatLength } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { Drafts } from '../../device/drafts';
import { newId } from '../../device/session';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { ScheduleMarks } from '../../shell/schedule-marks';
import { Selection } from '../../shell/selection';
import { SurveyFilesPool } from '../../workers/survey-files-pool';
import { type ExportKind, SurveyExport } from './survey-export';

const SHOWN_LINES = 200;
const LONGEST_SHOWN = 200_000;
const LARGEST_FILE = 12_000_000;
const DRAFT = 'paste';
const EXPORTS: readonly { readonly kind: ExportKind; readonly word: string; readonly says: string }[] = [
  { kind: 'csv', word: 'CSV', says: 'for a spreadsheet, one line a surface' },
  { kind: 'json', word: 'JSON', says: 'everything of the survey, nothing lost' },
  { kind: 'dxf', word: 'DXF', says: 'outlines in mm, seen from outside' },
  { kind: 'svg', word: 'SVG', says: 'outlines, one unit a millimetre' },
];

type Source = { readonly form: 'table' | 'drawing' | 'file'; readonly text: string; readonly name: string };

/** Lists and drawings in and out. What would be made is shown first; nothing is taken over by halves. */
@Component({
  selector: 'yp-transfer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="px-5 pt-3 pb-4 flex flex-col gap-3 min-h-0 flex-1 overflow-auto">
      <div class="flex items-baseline gap-3">
        <h1 class="text-2xl">Bring in, take out</h1>
        <button type="button" class="act act-small ml-auto" (click)="closed.emit()">Back to measuring</button>
      </div>
      <div class="flex flex-wrap gap-2 items-center">
        <span class="font-semibold"
          >Take out
          {{ marked().length > 0 ? marked().length + ' marked' : 'all ' + reading.surfaces().length }}:</span
        >
        @for (entry of exports; track entry.kind) {
          <button type="button" class="act act-small" [title]="entry.says" (click)="save(entry.kind)">
            {{ entry.word }}
          </button>
        }
        @if (saved(); as says) {
          <span role="status">{{ says }}</span>
        }
      </div>
      <label class="block"
        ><span class="font-bold">Paste a list from a spreadsheet</span>
        <textarea
          id="paste"
          class="field figure text-sm"
          rows="5"
          spellcheck="false"
          placeholder="Tag &#9; Width &#9; Height"
          [value]="pasted()"
          (input)="paste($any($event.target).value)"
          (paste)="pasteWhole($event)"
        ></textarea>
      </label>
      <div class="flex flex-wrap gap-3 items-center">
        <label class="act act-small cursor-pointer"
          >…or a CSV, JSON or DXF file<input
            id="bring-file"
            type="file"
            class="sr-only"
            accept=".csv,.tsv,.txt,.json,.dxf"
            (change)="open($any($event.target))"
        /></label>
        @if (source(); as from) {
          <span>{{ from.name }}</span>
        }
        @if (source()?.form === 'drawing') {
          <label
            >Unit
            <select
              class="border border-line-strong rounded-card bg-paper min-h-9 px-1"
              (change)="unit.set($any($event.target).value || undefined)"
            >
              <option value="">as the file says</option>
              @for (word of units; track word) {
                <option [value]="word" [selected]="word === unit()">{{ word }}</option>
              }
            </select></label
          >
          <label
            >Scale 1 :
            <input
              class="field figure inline-block w-20"
              type="number"
              min="0.001"
              step="any"
              [value]="scale()"
              (change)="setScale($any($event.target).value)"
          /></label>
          <label
            >Drawn as seen from
            <select
              class="border border-line-strong rounded-card bg-paper min-h-9 px-1"
              (change)="device.takeDrawnFrom($any($event.target).value)"
            >
              <option value="" [selected]="device.drawnFrom() === ''">not said yet</option>
              <option value="room" [selected]="device.drawnFrom() === 'room'">the room</option>
              <option value="outside" [selected]="device.drawnFrom() === 'outside'">outside</option>
            </select></label
          >
        }
      </div>
      @if (fault(); as says) {
        <p class="border-2 border-stop rounded-card px-3 py-2" role="alert">{{ says }}</p>
      }
      @if (isReading()) {
        <p aria-busy="true">Reading…</p>
      }
      @if (file(); as found) {
        <p class="font-semibold">
          {{ found.rows.surface.length }} surfaces, {{ found.rows.measure.length }} measures,
          {{ found.rows.place.length }} places from “{{ found.name }}”.
        </p>
        @if (doubledTags().length > 0) {
          <p>
            Already here under the same tag: {{ doubledTags().slice(0, 8).join(', ')
            }}{{ doubledTags().length > 8 ? ' and more' : '' }}. They will stand beside each other.
          </p>
        }
        <div>
          <button type="button" class="act act-next" (click)="takeFile(found)">
            Take over {{ found.rows.surface.length }} surfaces
          </button>
        </div>
      }
      @if (result(); as found) {
        @for (note of found.notes; track note) {
          <p class="text-sm">{{ note }}</p>
        }
        @if (found.asks.includes('decimal comma')) {
          <p class="border-2 border-care rounded-card px-3 py-2">
            Commas stand between the cells here. Are some of them decimal commas, as in 34,5?
            <button type="button" class="act act-small" (click)="decimalComma.set(true)">
              Yes, decimals
            </button>
            <button type="button" class="act act-small" (click)="decimalComma.set(false)">
              No, all separate cells
            </button>
          </p>
        }
        @if (found.asks.includes('drawing unit')) {
          <p class="border-2 border-care rounded-card px-3 py-2">
            In which unit was this drawn? Choose it above.
          </p>
        }
        @if (found.asks.includes('drawn from')) {
          <p class="border-2 border-care rounded-card px-3 py-2">
            From which side is it drawn? Seen from the room, or from outside: left and right depend on it.
            <button type="button" class="act act-small" (click)="device.takeDrawnFrom('room')">
              From the room
            </button>
            <button type="button" class="act act-small" (click)="device.takeDrawnFrom('outside')">
              From outside
            </button>
          </p>
        }
        @if (found.lines.length > 0) {
          <p aria-live="polite">
            <strong>{{ good().length }} surfaces</strong> would be made
            @if (faulty().length > 0) {
              ; <strong class="text-stop">{{ faulty().length }} with something wrong</strong>
            }
            .
          </p>
          <div class="flex flex-wrap gap-2">
            @if (faulty().length === 0) {
              <button type="button" class="act act-next" [disabled]="found.asks.length > 0" (click)="take()">
                Take over {{ good().length }} surfaces
              </button>
            } @else {
              <button
                type="button"
                class="act"
                [disabled]="good().length === 0 || found.asks.length > 0"
                (click)="take()"
              >
                Leave those out, take over {{ good().length }}
              </button>
            }
          </div>
          <div
            class="overflow-auto border border-line max-h-[50vh]"
            tabindex="0"
            role="region"
            aria-label="Preview"
          >
            <table class="w-full text-sm bg-paper">
              <thead class="sticky top-0 bg-ground">
                <tr class="text-left border-b border-ink">
                  <th scope="col" class="px-2">Line</th>
                  <th scope="col" class="px-2">Tag</th>
                  <th scope="col" class="px-2">Name</th>
                  <th scope="col" class="px-2">Place</th>
                  <th scope="col" class="px-2">Shape</th>
                  <th scope="col" class="px-2">Measures</th>
                  <th scope="col" class="px-2">Wrong</th>
                </tr>
              </thead>
              <tbody>
                @for (line of shown(); track $index) {
                  <tr class="border-b border-line align-top" [class.text-stop]="line.faults.length > 0">
                    <td class="px-2 figure">{{ line.line }}</td>
                    <td class="px-2 font-semibold">{{ line.surface.tag }}</td>
                    <td class="px-2">{{ line.surface.name }}</td>
                    <td class="px-2">{{ line.surface.place }}</td>
                    <td class="px-2">{{ line.surface.shape }}</td>
                    <td class="px-2 figure">{{ measuresOf(line.surface.measures) }}</td>
                    <td class="px-2">
                      @for (fault of line.faults; track $index) {
                        <span class="block">{{ fault.column }}: {{ fault.says }}</span>
                      }
                    </td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
          @if (found.lines.length > shown().length) {
            <p class="text-sm text-faint">
              The first {{ shown().length }} lines are shown, those with something wrong first.
            </p>
          }
        }
      }
    </div>
  `,
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class Transfer {
  readonly #desk = inject(JobDesk);
  readonly #pool = inject(SurveyFilesPool);
  readonly #export = inject(SurveyExport);
  readonly #drafts = inject(Drafts);
  readonly #marks = inject(ScheduleMarks);
  readonly #selection = inject(Selection);
  protected readonly device = inject(Device);
  readonly #units = this.device.units;
  protected readonly reading = inject(JobReading);
  readonly closed = output();
  protected readonly exports = EXPORTS;
  protected readonly units = ['mm', 'cm', 'm', 'in', 'ft'] as const;
  protected readonly source = signal<Source | undefined>(undefined);
  protected readonly unit = signal<DrawingUnit | undefined>(undefined);
  protected readonly scale = signal(1);
  protected readonly decimalComma = signal<boolean | undefined>(undefined);
  protected readonly result = signal<BroughtIn | undefined>(undefined);
  protected readonly file = signal<SurveyFile | undefined>(undefined);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly saved = signal<string | undefined>(undefined);
  protected readonly isReading = signal(false);
  protected readonly pasted = computed(() => this.#drafts.texts()[this.#draftKey()] ?? '');
  readonly #draftKey = computed(() => `${DRAFT}:${this.#selection.jobId() ?? ''}`);
  readonly #takenTags = computed(() => this.reading.surfaces().map(({ tag }) => tag));
  protected readonly marked = computed(() => this.#marks.marked());
  protected readonly good = computed(() =>
    (this.result()?.lines ?? []).filter(({ faults }) => faults.length === 0),
  );
  protected readonly faulty = computed(() =>
    (this.result()?.lines ?? []).filter(({ faults }) => faults.length > 0),
  );
  protected readonly shown = computed(() => [...this.faulty(), ...this.good()].slice(0, SHOWN_LINES));
  protected readonly doubledTags = computed(() => {
    const taken = new Set(this.#takenTags());
    return (this.file()?.rows.surface ?? []).map(({ tag }) => tag).filter((tag) => taken.has(tag));
  });

  constructor() {
    const kept = this.pasted();
    if (kept !== '') this.source.set({ form: 'table', text: kept, name: '' });
    effect(() => {
      const source = this.source();
      const [unit, scale, decimalComma, tags, drawnFrom] = [
        this.unit(),
        this.scale(),
        this.decimalComma(),
        this.#takenTags(),
        this.device.drawnFrom(),
      ];
      untracked(() => {
        void this.#read(
          source,
          { unit, scale, takenTags: tags, drawnFrom: drawnFrom === '' ? undefined : drawnFrom },
          decimalComma,
        );
      });
    });
  }

  protected paste(text: string): void {
    this.#drafts.type(this.#draftKey(), text.length > LONGEST_SHOWN ? '' : text);
    this.decimalComma.set(undefined);
    this.source.set(
      text.trim() === ''
        ? undefined
        : {
            form: 'table',
            text,
            name: text.length > LONGEST_SHOWN ? `pasted, ${text.length} characters, not shown here` : '',
          },
    );
  }

  /**
   * A list pasted into an empty field is taken as it is: letting the field lay out a thousand lines first
   * takes seconds.
   */
  protected pasteWhole(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    const field = event.target as HTMLTextAreaElement;
    if (text === '' || field.selectionEnd - field.selectionStart !== field.value.length) return;
    event.preventDefault();
    this.paste(text);
  }

  protected setScale(text: string): void {
    const value = Number(text);
    if (value > 0 && value < 1e6) this.scale.set(value);
  }

  protected async open(from: HTMLInputElement): Promise<void> {
    const file = from.files?.[0];
    from.value = '';
    if (file === undefined) return;
    if (file.size > LARGEST_FILE) {
      this.fault.set(
        `${file.name} has ${(file.size / 1e6).toFixed(0)} MB; the most is ${LARGEST_FILE / 1e6} MB. Bring it in in parts.`,
      );
      return;
    }
    const text = await file.text();
    const name = file.name.toLowerCase();
    this.unit.set(undefined);
    this.source.set({
      form: name.endsWith('.dxf') ? 'drawing' : name.endsWith('.json') ? 'file' : 'table',
      text,
      name: file.name,
    });
  }

  protected measuresOf(measures: BroughtIn['lines'][number]['surface']['measures']): string {
    return (
      measures
        .slice(0, 8)
        .map(({ value_nm }) => formatLength(value_nm, this.#units()))
        .join('  ') + (measures.length > 8 ? ' …' : '')
    );
  }

  protected take(): void {
    const surfaces = this.good().map(({ surface }) => surface);
    const ops = broughtOps(
      surfaces,
      {
        placeIds: new Map(this.reading.places().map(({ name, id }) => [name, id])),
        placeId: this.#selection.surface()?.placeId ?? this.reading.places()[0]?.id,
        afterPosition: this.reading.surfaces().at(-1)?.position ?? 0,
      },
      newId,
    );
    this.#finish(`${surfaces.length} surfaces brought in`, ops);
  }

  protected takeFile(file: SurveyFile): void {
    this.#finish(`${file.rows.surface.length} surfaces brought in`, surveyFileOps(file, newId));
  }

  protected async save(kind: ExportKind): Promise<void> {
    const marked = new Set(this.marked());
    const surfaces =
      marked.size === 0
        ? this.reading.surfaces()
        : this.reading.surfaces().filter(({ id }) => marked.has(id));
    const count = await this.#export.save(kind, surfaces);
    this.saved.set(
      `${count} of ${surfaces.length} surfaces saved as ${kind.toUpperCase()}${count < surfaces.length ? '; the others have no outline yet' : ''}.`,
    );
  }

  #finish(label: string, ops: Parameters<JobDesk['do']>[1]): void {
    this.#desk.do(label, ops);
    this.#drafts.forget(this.#draftKey());
    this.source.set(undefined);
    const first = ops.find(({ table }) => table === 'surface');
    if (first !== undefined) this.#selection.goToSurface(first.id);
    this.closed.emit();
  }

  async #read(
    source: Source | undefined,
    drawing: Parameters<SurveyFilesPool['readDrawing']>[1],
    decimalComma: boolean | undefined,
  ): Promise<void> {
    this.fault.set(undefined);
    if (source === undefined) {
      this.result.set(undefined);
      this.file.set(undefined);
      return;
    }
    this.isReading.set(true);
    try {
      if (source.form === 'file') {
        const read = await this.#pool.readFile(source.text);
        if (this.source() !== source) return;
        this.result.set(undefined);
        this.file.set('file' in read ? read.file : undefined);
        if ('refused' in read) this.fault.set(read.refused);
        return;
      }
      const result =
        source.form === 'drawing'
          ? await this.#pool.readDrawing(source.text, drawing)
          : await this.#pool.readTable(source.text, {
              entryUnit: this.reading.job()?.entryUnit ?? 'mm',
              decimalComma,
              takenTags: drawing.takenTags,
            });
      if (this.source() !== source) return;
      this.file.set(undefined);
      this.result.set(result);
      this.fault.set(result.refused);
    } finally {
      this.isReading.set(false);
    }
  }
}
