import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  output,
  signal,
  untracked,
} from '@angular/core';
import {
  type BroughtIn,
  COLUMN_MEANINGS,
  type BroughtLine,
  type DrawingUnit,
  type SurveyFile,
  broughtOps,
  meaningWord,
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
import { surveyWords } from '../../words/survey';
import { SurveyFilesPool } from '../../workers/survey-files-pool';
import { type ExportKind, SurveyExport } from './survey-export';

const SHOWN_LINES = 200;
const LONGEST_SHOWN = 200_000;
const LARGEST_FILE = 12_000_000;
const DRAFT = 'paste';
const EXPORTS: readonly { readonly kind: ExportKind; readonly word: string; readonly says: string }[] = [
  { kind: 'csv', word: 'CSV', says: surveyWords.csvSaid },
  { kind: 'json', word: 'JSON', says: surveyWords.jsonSaid },
  { kind: 'dxf', word: 'DXF', says: surveyWords.dxfSaid },
  { kind: 'svg', word: 'SVG', says: surveyWords.svgSaid },
];

type Source = { readonly form: 'table' | 'drawing' | 'file'; readonly text: string; readonly name: string };

/** Lists and drawings in and out. What would be made is shown first; nothing is taken over by halves. */
@Component({
  selector: 'yp-transfer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './transfer.html',
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class Transfer {
  protected readonly words = surveyWords;
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
  /** What a person said a column is, by its place; of this list alone. */
  readonly #means = linkedSignal<Source | undefined, ReadonlyMap<number, string>>({
    source: this.source,
    computation: () => new Map(),
  });
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
  /** What a person ticked or unticked, by line; else what asks nothing is taken. */
  readonly #ticks = linkedSignal<BroughtIn | undefined, ReadonlyMap<number, boolean>>({
    source: this.result,
    computation: () => new Map(),
  });
  protected readonly chosen = computed(() => this.good().filter((line) => this.isTicked(line)));
  protected readonly layers = computed(() => {
    const lines = this.good().filter(({ layer }) => layer !== undefined);
    return [...new Set(lines.map(({ layer = '' }) => layer))].map((name) => {
      const own = lines.filter(({ layer }) => layer === name);
      return { name, count: own.length, isTicked: own.every((line) => this.isTicked(line)) };
    });
  });
  /** The columns of the list, each with what it may mean. */
  protected readonly columns = computed(() => {
    const columns = this.result()?.columns ?? [];
    const others = columns.map(({ means }) => means).filter((means) => means !== '');
    const meanings = ['', ...new Set([...COLUMN_MEANINGS, ...others])].map((means) => ({
      means,
      word: meaningWord(means),
    }));
    return columns.map((column, index) => ({ ...column, meanings, count: index + 1 }));
  });
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
      const means = this.#means();
      untracked(() => {
        void this.#read(
          source,
          { unit, scale, takenTags: tags, drawnFrom: drawnFrom === '' ? undefined : drawnFrom },
          decimalComma,
          means,
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
            name: text.length > LONGEST_SHOWN ? surveyWords.pastedLong(text.length) : '',
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

  protected means(count: number, means: string): void {
    this.#means.update((said) => new Map([...said, [count - 1, means]]));
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
      this.fault.set(surveyWords.fileTooLarge(file.name, (file.size / 1e6).toFixed(0), LARGEST_FILE / 1e6));
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

  protected isTicked({ line, question }: BroughtLine): boolean {
    return this.#ticks().get(line) ?? question === undefined;
  }

  protected tick(lines: readonly BroughtLine[], isTicked: boolean): void {
    this.#ticks.update((ticks) => new Map([...ticks, ...lines.map(({ line }) => [line, isTicked] as const)]));
  }

  protected tickLayer(name: string, isTicked: boolean): void {
    this.tick(
      this.good().filter(({ layer }) => layer === name),
      isTicked,
    );
  }

  protected take(): void {
    const surfaces = this.chosen().map(({ surface }) => surface);
    const ops = broughtOps(
      surfaces,
      {
        placeIds: new Map(this.reading.places().map(({ name, id }) => [name, id])),
        placeId: this.#selection.surface()?.placeId ?? this.reading.places()[0]?.id,
        afterPosition: this.reading.surfaces().at(-1)?.position ?? 0,
      },
      newId,
    );
    this.#finish(surveyWords.surfacesBroughtIn(surfaces.length), ops);
  }

  protected takeFile(file: SurveyFile): void {
    this.#finish(surveyWords.surfacesBroughtIn(file.rows.surface.length), surveyFileOps(file, newId));
  }

  protected async save(kind: ExportKind): Promise<void> {
    const marked = new Set(this.marked());
    const surfaces =
      marked.size === 0
        ? this.reading.surfaces()
        : this.reading.surfaces().filter(({ id }) => marked.has(id));
    const count = await this.#export.save(kind, surfaces);
    this.saved.set(
      surveyWords.savedAs(
        count,
        surfaces.length,
        kind.toUpperCase(),
        count < surfaces.length ? surveyWords.othersWithoutOutline : '',
      ),
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
    means: ReadonlyMap<number, string>,
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
              means,
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
