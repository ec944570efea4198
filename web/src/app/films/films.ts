import { FilmSheets } from '../catalogue/film-sheets';
import { Device } from '../device/device';
import { degreesOf } from '@yellow-pane/core/quantity';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { filmReasonWords } from '@yellow-pane/contracts/words';
import {
  COATING_SOURCE,
  GLASS_SOURCE,
  type SheetQuestion,
  glassRows,
  questionOfSheet,
} from '@yellow-pane/core/glazing';
import { type Film, FAMILY_NAMES, FILM_CONSTRUCTIONS, INITIAL_TACKS } from '@yellow-pane/core/job';
import {
  type EdgeHold,
  FACTOR_SOURCE,
  type ShadePattern,
  stressFactor,
} from '@yellow-pane/core/thermal-stress';
import { Catalogue } from '../catalogue/catalogue';
import { saveFile } from '../device/save-file';
import { GeneralCommands } from '../shell/general-commands';
import { catalogueWords } from '../words/catalogue';
import { FilmList } from './film-list';
import { FilmFilesPool } from '../workers/film-files-pool';
import { MATERIAL_FIELDS } from './material-fields';
import { SHARES, readFilmForm } from './read-film-form';

const DIRECTIONS: readonly Film['direction'][] = ['none', 'along the roll', 'one way'];
const FACES: readonly Film['face'][] = ['room side', 'outside', 'either'];
const LAYINGS: readonly Film['laying'][] = ['wet', 'dry', 'dry with heat'];
const HOLDS: readonly EdgeHold[] = ['insulating', 'metal', 'solid'];
const PATTERNS: readonly ShadePattern[] = [
  'full sun',
  'one side 1/4',
  'one side 1/2',
  'one side 3/4',
  'corner',
  'both sides',
  'diagonal',
  'narrow strip',
];
const OF_THE_ROW = ['id', 'version', 'changedBy', 'changedAt'];
const MOST_BYTES = 5_000_000;
const MOST_FAULTS = 8;

const asReason = (question: SheetQuestion) =>
  ({ case: 'light and sun do not go together', question }) as const;

/**
 * The film catalogue: what there is, adding one's own from a data sheet or a measured spectrum, lists in and
 * out.
 */
@Component({
  selector: 'yp-films',
  imports: [RouterLink, FilmList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './films.html',
})
export class Films {
  protected readonly words = catalogueWords;
  protected readonly units = inject(Device).units;
  protected readonly degrees = computed(() => degreesOf(this.units()));
  protected readonly catalogue = inject(Catalogue);
  readonly #files = inject(FilmFilesPool);
  protected readonly form = viewChild<ElementRef<HTMLFormElement>>('form');
  protected readonly families = FAMILY_NAMES;
  protected readonly directions = DIRECTIONS;
  protected readonly faces = FACES;
  protected readonly layings = LAYINGS;
  protected readonly shares = SHARES;
  protected readonly constructions = FILM_CONSTRUCTIONS;
  protected readonly tacks = INITIAL_TACKS;
  protected readonly material = MATERIAL_FIELDS;
  protected readonly glass = glassRows();
  protected readonly glassSource = GLASS_SOURCE.text;
  protected readonly coatingSource = COATING_SOURCE.text;
  protected readonly holds = HOLDS;
  protected readonly factors = PATTERNS.map((pattern) => ({
    pattern,
    values: HOLDS.map((hold) => stressFactor(pattern, hold)),
  }));
  protected readonly factorSource = FACTOR_SOURCE.text;
  protected readonly fault = signal<string | undefined>(undefined);
  /** What is odd about the figures typed: asked once, and taken when they are added all the same. */
  protected readonly question = signal<string | undefined>(undefined);
  protected readonly added = signal<string | undefined>(undefined);
  protected readonly broughtIn = signal<readonly string[]>([]);
  protected readonly spectrumSays = signal<string | undefined>(undefined);

  constructor() {
    void inject(FilmSheets).load();
    void this.catalogue.load();
    inject(GeneralCommands).offer();
  }

  protected percent(share: number | null): string {
    return share === null ? 'unknown' : `${Math.round(share * 100)} %`;
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const form = event.target as HTMLFormElement;
    const read = readFilmForm(new FormData(form), this.units());
    this.added.set(undefined);
    this.fault.set(typeof read === 'string' ? read : undefined);
    if (typeof read === 'string') return;
    const question = questionOfSheet(read);
    const asked = question === null ? undefined : filmReasonWords(asReason(question), this.units());
    const isAskedAgain = asked === this.question();
    this.question.set(asked);
    if (asked !== undefined && !isAskedAgain) return;
    const objection = await this.catalogue.add(read);
    this.fault.set(objection);
    if (objection !== undefined) return;
    this.added.set(read.name);
    this.question.set(undefined);
    form.reset();
  }

  protected async take(kind: 'csv' | 'json'): Promise<void> {
    const films = this.catalogue
      .films()
      .map(
        (row) =>
          Object.fromEntries(
            Object.entries(row).filter(([key]) => !OF_THE_ROW.includes(key)),
          ) as unknown as Film,
      );
    saveFile(
      `films.${kind}`,
      kind === 'csv' ? 'text/csv' : 'application/json',
      await this.#files.write(films, kind),
    );
  }

  /**
   * Brings a list in: what can be read is added, what cannot is named by its line. Films already here by name
   * are left alone.
   */
  protected async bring(files: FileList | null): Promise<void> {
    const text = await this.#textOf(files);
    if (text === undefined) return;
    const { films, faults } = await this.#files.read(text);
    const here = new Set(this.catalogue.films().map(({ name }) => name));
    const fresh = films.filter(({ name }) => !here.has(name));
    const { added, objection } = await this.catalogue.addAll(fresh);
    this.broughtIn.set([
      catalogueWords.broughtIn(
        added,
        added === 1 ? 'film' : 'films',
        films.length > fresh.length ? catalogueWords.hereAlready(films.length - fresh.length) : '',
      ),
      ...(objection === undefined ? [] : [objection]),
      ...fresh.flatMap((film) => {
        const question = questionOfSheet(film);
        return question === null
          ? []
          : [`${film.name}: ${filmReasonWords(asReason(question), this.units())}`];
      }),
      ...faults.slice(0, MOST_FAULTS).map(({ at, says }) => `${at}, ${says}`),
      ...(faults.length > MOST_FAULTS ? [catalogueWords.andMore(faults.length - MOST_FAULTS)] : []),
    ]);
  }

  /** A measured spectrum fills the figures of the form. */
  protected async spectrum(files: FileList | null): Promise<void> {
    const text = await this.#textOf(files);
    const form = this.form()?.nativeElement;
    if (text === undefined || form === undefined) return;
    const read = await this.#files.spectrum(text);
    if ('refused' in read) {
      this.spectrumSays.set(read.refused);
      return;
    }
    const { visible, solar, uv } = read;
    const figures: Readonly<Record<string, number>> = {
      light: visible.transmitted,
      'light-out': visible.reflectedFront,
      'light-in': visible.reflectedBack,
      solar: solar.transmitted,
      'solar-out': solar.reflectedFront,
      'solar-in': solar.reflectedBack,
      uv: uv.transmitted,
    };
    for (const [name, share] of Object.entries(figures))
      (form.elements.namedItem(name) as HTMLInputElement).value = (share * 100).toFixed(1);
    this.spectrumSays.set(
      catalogueWords.spectrumRead(
        read.lines,
        this.percent(visible.transmitted),
        this.percent(solar.transmitted),
        this.percent(uv.transmitted),
      ),
    );
  }

  async #textOf(files: FileList | null): Promise<string | undefined> {
    const file = files?.[0];
    if (file === undefined) return undefined;
    if (file.size > MOST_BYTES) {
      this.broughtIn.set([catalogueWords.fileTooLarge(file.name, (file.size / 1e6).toFixed(1))]);
      return undefined;
    }
    return file.text();
  }
}
