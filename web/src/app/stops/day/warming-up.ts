import { figuresIn } from '@yellow-pane/contracts/words';
import { Device } from '../../device/device';
import { Injectable, computed, inject } from '@angular/core';
import { LINER_UM, type Warming, type WarmingCase, glassStore_Jm2K, warmingUp } from '@yellow-pane/core/day';
import { type RowOf, isGlass } from '@yellow-pane/core/job';
import { formatFilmLength, mmFromNm } from '@yellow-pane/core/quantity';
import { newRollLength } from '@yellow-pane/core/reading';
import { Catalogue } from '../../catalogue/catalogue';
import { Stock } from '../../catalogue/stock';
import { JobReading } from '../../job/job-reading';
import { dayWords } from '../../words/day';
import { Planning } from './planning';

const NIGHT_MIN = 14 * 60;
const USUAL_PANE_MM = 4;
const NM_M = 1e9;

interface WarmingLine extends Warming {
  /** Minute of the plan by which it must be inside; undefined while nothing is planned with it. */
  readonly insideBy: number | undefined;
  readonly taken: readonly string[];
}

interface Roll {
  readonly key: string;
  readonly word: string;
  readonly filmId: string;
  readonly length_m: number;
  readonly taken: readonly string[];
}

/** What comes in from the cold for this job, how long it must stand, and by when it must be inside. */
@Injectable()
export class WarmingUp {
  readonly #units = inject(Device).units;
  readonly #figures = computed(() => figuresIn(this.#units()));
  readonly #planning = inject(Planning);
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);
  readonly #stock = inject(Stock);

  /** Coldest forecast of the night before the first day. */
  readonly coldest_C = computed(() => {
    const from_ms = this.#planning.clock().from_ms;
    const night = this.#planning.weather
      .hours()
      .filter(
        ({ instant_ms }) =>
          instant_ms >= from_ms - (NIGHT_MIN / 2) * 60_000 &&
          instant_ms <= from_ms + (NIGHT_MIN / 2) * 60_000,
      )
      .map(({ air_C }) => air_C);
    return night.length === 0 ? undefined : Math.min(...night);
  });
  readonly from_C = computed(() => this.#planning.settings().comeFrom_C ?? this.coldest_C());

  readonly lines = computed<readonly WarmingLine[]>(() => {
    const from_C = this.from_C();
    if (from_C === undefined) return [];
    const { rollWrap: wrap, coreRadius_mm } = this.#planning.settings();
    const rolls = this.#rolls();
    const cars = this.#cars();
    const question: WarmingCase = {
      rolls: rolls.map(({ key, word, length_m, filmId }) => ({
        key,
        word,
        length_m,
        film_um: this.#catalogue.byId().get(filmId)?.thickness_um ?? 50,
      })),
      panels: cars.map(({ place, thickness_mm }) => ({
        key: place.id,
        word: dayWords.glassOf(place.name, this.#figures().length(thickness_mm)),
        store_Jm2K: glassStore_Jm2K(thickness_mm),
      })),
      from_C,
      room_C: this.#planning.indoor().air_C,
      wrap,
      coreRadius_mm,
    };
    return warmingUp(question).map((line) => {
      const roll = rolls.find(({ key }) => key === line.key);
      const car = cars.find(({ place }) => place.id === line.key);
      const first = this.#firstStart(
        roll === undefined
          ? (application) => car?.surfaceIds.has(application.surfaceId) === true
          : (application) => application.filmId === roll.filmId,
      );
      return {
        ...line,
        insideBy: first === undefined || line.wait.most === null ? undefined : first - line.wait.most,
        taken: roll === undefined ? (car?.taken ?? []) : [...roll.taken, dayWords.linerAndAdhesive(LINER_UM)],
      };
    });
  });

  /**
   * Rolls the cut plans lay the job on; a film not laid out yet counts as its roll in stock, or as a roll to
   * order.
   */
  readonly #rolls = computed<readonly Roll[]>(() =>
    [...new Set(this.#reading.applications().map(({ filmId }) => filmId))].flatMap(
      (filmId): readonly Roll[] => {
        const film = this.#catalogue.byId().get(filmId)?.name ?? '?';
        const plan = this.#reading.plans().find((own) => own.filmId === filmId);
        const left = new Map(this.#stock.items().map((item) => [item.id, item.left_nm / NM_M]));
        const own =
          plan === undefined
            ? []
            : this.#reading.rollsOf(plan.id).map((row): Roll => ({
                key: row.id,
                word: `${film}, ${row.label}`,
                filmId,
                length_m:
                  row.what === 'roll'
                    ? (left.get(row.stockId ?? '') ?? row.length_nm / NM_M)
                    : row.length_nm / NM_M,
                taken: [],
              }));
        if (own.length > 0) return own;
        const kept = this.#stock
          .usable()
          .filter((item) => item.filmId === filmId && item.what === 'roll')
          .map((item): Roll => ({
            key: item.id,
            word: `${film}, ${item.label}`,
            filmId,
            length_m: item.left_nm / NM_M,
            taken: [],
          }));
        if (kept.length > 0) return kept;
        const length_m = newRollLength(this.#reading.view()) / 1000;
        return [
          {
            key: filmId,
            word: dayWords.rollToOrder(film),
            filmId,
            length_m,
            taken: [dayWords.onTheRoll(formatFilmLength(length_m * NM_M, this.#units()))],
          },
        ];
      },
    ),
  );

  readonly #cars = computed(() =>
    this.#reading
      .places()
      .filter(({ movable }) => movable)
      .flatMap((place) => {
        const surfaces = this.#planning
          .filmed()
          .filter((surface) => surface.placeId === place.id && isGlass(surface));
        if (surfaces.length === 0) return [];
        const known = surfaces.flatMap((surface) => {
          const sum = this.#reading
            .glassPanes()
            .filter(({ unitId }) => unitId === surface.unitId)
            .reduce(
              (total, { thickness_nm }) => total + (thickness_nm === null ? 0 : mmFromNm(thickness_nm)),
              0,
            );
          return sum > 0 ? [sum] : [];
        });
        return [
          {
            place,
            surfaceIds: new Set(surfaces.map(({ id }) => id)),
            thickness_mm: known.length === 0 ? USUAL_PANE_MM : Math.round(Math.max(...known) * 10) / 10,
            taken: known.length === 0 ? [dayWords.glassThickness(this.#figures().length(USUAL_PANE_MM))] : [],
          },
        ];
      }),
  );

  constructor() {
    void this.#stock.load();
  }

  #firstStart(isMeant: (application: RowOf<'application'>) => boolean): number | undefined {
    const meant = new Set(
      this.#reading
        .applications()
        .filter(isMeant)
        .map(({ id }) => id),
    );
    const works = this.#planning.works();
    const starts = this.#planning
      .shown()
      .flatMap(({ id, start }) => (meant.has(works.get(id)?.applicationId ?? '') ? [start] : []));
    return starts.length === 0 ? undefined : Math.min(...starts);
  }
}
