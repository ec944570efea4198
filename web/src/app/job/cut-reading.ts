import { Injectable, computed, inject } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import {
  type CutBlanks,
  type CutInput,
  type SeamWishes,
  customarySeam,
  cutBlanks,
} from '@yellow-pane/core/cutting';
import type { SurfaceCheck } from '@yellow-pane/core/measure';
import { mmFromNm } from '@yellow-pane/core/quantity';
import { Catalogue } from '../catalogue/catalogue';
import { JobReading } from './job-reading';

/** The blanks of today's measures, or the reason there are none. */
export type BlankToday =
  | { readonly kind: 'blanks'; readonly blanks: CutBlanks }
  | { readonly kind: 'none'; readonly reason: string };

/** A surface whose film is cut already, to other measures or choices than now. */
export interface ChangedAfterCut {
  readonly surfaceId: string;
  readonly tag: string;
  readonly cutAt: string;
  readonly was: { readonly width_mm: number; readonly height_mm: number };
  /** Of the blank as it would be cut today; undefined: there is none. */
  readonly now: { readonly width_mm: number; readonly height_mm: number } | undefined;
}

/** Blanks as the measures and choices of this moment make them, to hold against what a plan froze. */
@Injectable({ providedIn: 'root' })
export class CutReading {
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);
  readonly #known = new Map<string, { readonly of: readonly unknown[]; readonly today: BlankToday }>();

  readonly #pieces = computed(() => {
    const found = new Map<string, RowOf<'cutPiece'>[]>();
    for (const { id } of this.#reading.plans())
      for (const piece of this.#reading.piecesOf(id)) {
        const own = found.get(piece.applicationId);
        if (own === undefined) found.set(piece.applicationId, [piece]);
        else own.push(piece);
      }
    return found;
  });
  readonly #applicationById = computed(
    () => new Map(this.#reading.applications().map((application) => [application.id, application])),
  );

  /** The pieces of an application on its plan, in hanging order, spoiled ones left out. */
  piecesFor(applicationId: string): readonly RowOf<'cutPiece'>[] {
    return (this.#pieces().get(applicationId) ?? [])
      .filter(({ spoiledAt }) => spoiledAt === null)
      .sort((a, b) => a.drop - b.drop);
  }

  pieceOf(applicationId: string): RowOf<'cutPiece'> | undefined {
    return this.piecesFor(applicationId)[0];
  }

  /** Seams as chosen, else as customary. */
  seamOf(application: RowOf<'application'>): SeamWishes {
    const film = this.#catalogue.byId().get(application.filmId);
    const customary = customarySeam(application.method, film?.direction ?? 'none', film?.repeat_nm ?? null);
    const choice = this.#reading.seamChoiceOf(application.id);
    return {
      kind: choice?.kind ?? customary.kind,
      placing: choice?.placing ?? customary.placing,
      match: choice?.match ?? customary.match,
      firstDrop: choice?.firstDrop ?? customary.firstDrop,
    };
  }

  /**
   * Film that is cut and no longer fits, on one surface.
   * @param check of what is being typed; left out: of what is kept
   */
  changedAfterCut(surfaceId: string, check?: SurfaceCheck): readonly ChangedAfterCut[] {
    return this.#reading.applicationsOf(surfaceId).flatMap((application): readonly ChangedAfterCut[] => {
      const pieces = this.piecesFor(application.id);
      const [first] = pieces.filter(({ cutAt }) => cutAt !== null);
      const film = this.#catalogue.byId().get(application.filmId);
      if (first?.cutAt == null || film === undefined || this.#reading.isHandedOver(application.id)) return [];
      const today =
        check === undefined ? this.blankOf(application) : this.#blankFrom(application, check, film);
      if (
        today.kind === 'blanks' &&
        pieces.every(
          ({ inputsHash, dropOf }) =>
            inputsHash === today.blanks.inputsHash && dropOf === today.blanks.blanks.length,
        )
      )
        return [];
      const [across_mm, along_mm] = [mmFromNm(first.across_nm), mmFromNm(first.along_nm - first.phase_nm)];
      const was =
        first.turned === first.topAlong
          ? { width_mm: across_mm, height_mm: along_mm }
          : { width_mm: along_mm, height_mm: across_mm };
      const own = today.kind === 'none' ? undefined : today.blanks.blanks[first.drop - 1];
      return [
        {
          surfaceId,
          tag: first.tag,
          cutAt: first.cutAt,
          was,
          now: own === undefined ? undefined : { width_mm: own.width_mm, height_mm: own.height_mm },
        },
      ];
    });
  }

  /** The same for the whole job, whichever film is in hand. */
  readonly allChangedAfterCut = computed(() => {
    const cut = new Set(
      [...this.#pieces()].flatMap(([applicationId, pieces]) =>
        pieces.some(({ cutAt, spoiledAt }) => cutAt !== null && spoiledAt === null)
          ? [this.#applicationById().get(applicationId)?.surfaceId ?? '']
          : [],
      ),
    );
    return [...cut].flatMap((surfaceId) => this.changedAfterCut(surfaceId));
  });

  blankOf(application: RowOf<'application'>): BlankToday {
    const film = this.#catalogue.byId().get(application.filmId);
    const check = this.#reading.checkOf(application.surfaceId);
    const of = [
      application,
      film,
      check,
      this.#reading.seamChoiceOf(application.id),
      this.#reading.jobAllowanceOf(application.method),
      this.#reading.wallFactsOf(application.surfaceId),
      this.#reading.siteFactsOf(application.surfaceId),
    ];
    const known = this.#known.get(application.id);
    if (known !== undefined && of.every((row, index) => row === known.of[index])) return known.today;
    const today =
      film === undefined
        ? { kind: 'none' as const, reason: 'the film is not in the catalogue' }
        : this.#blankFrom(application, check, film);
    this.#known.set(application.id, { of, today });
    return today;
  }

  #blankFrom(
    application: RowOf<'application'>,
    check: SurfaceCheck,
    film: {
      readonly direction: CutInput['direction'];
      readonly repeat_nm: number | null;
      readonly widths_nm: readonly number[];
    },
  ): BlankToday {
    if (check.state === 'unfinished')
      return { kind: 'none', reason: `${check.needs.join(' and ')} is missing` };
    if (check.state === 'impossible') return { kind: 'none', reason: 'its measures cannot be true together' };
    const surface = this.#reading.surfaceById().get(application.surfaceId);
    const { aroundWidth_mm, aroundHeight_mm, girthWidth_mm, girthHeight_mm } = check.sizes;
    const wall = this.#reading.wallFactsOf(application.surfaceId);
    const sides = application.over ?? this.#reading.jobAllowanceOf(application.method);
    const isColumn = surface?.shape === 'round column' && application.method === 'column';
    const girths = isColumn ? this.#girths(application.surfaceId) : undefined;
    /**
     * A tapered column's film lies flat as a sector; its blank is told by its girths, not by the box around
     * the sector.
     */
    const [width_mm, height_mm] =
      girths === undefined
        ? [
            Math.max(aroundWidth_mm.value, girthWidth_mm?.value ?? 0),
            Math.max(aroundHeight_mm.value, girthHeight_mm?.value ?? 0),
          ]
        : [Math.max(girths.foot_mm, girths.top_mm), girths.height_mm];
    const input: CutInput = {
      aroundWidth_mm: width_mm,
      aroundHeight_mm: height_mm,
      method: application.method,
      direction: film.direction,
      ...(sides === undefined
        ? {}
        : {
            sides: {
              top_mm: mmFromNm(sides.top_nm),
              right_mm: mmFromNm(sides.right_nm),
              bottom_mm: mmFromNm(sides.bottom_nm),
              left_mm: mmFromNm(sides.left_nm),
            },
          }),
      ...(surface?.kind === 'wall' && wall !== undefined
        ? { left: wall.leftCorner, right: wall.rightCorner }
        : {}),
      rollWidths_mm: film.widths_nm.map(mmFromNm),
      repeat_mm: film.repeat_nm === null ? null : mmFromNm(film.repeat_nm),
      seam: this.seamOf(application),
      hiddenAcross_mm: check.figure.openings?.flatMap(({ x, width }) => [x, x + width]) ?? [],
      footHeight_mm: this.#footOf(application.surfaceId),
      column: girths,
      maySeam: surface?.shape !== 'curved glass' && !this.#isOfVehicle(surface?.placeId ?? null),
    };
    return { kind: 'blanks', blanks: cutBlanks(input) };
  }

  #isOfVehicle(placeId: string | null): boolean {
    const seen = new Set<string>();
    for (
      let id = placeId;
      id !== null && !seen.has(id);
      id = this.#reading.placeById().get(id)?.parentId ?? null
    ) {
      seen.add(id);
      if (this.#reading.placeById().get(id)?.kind === 'vehicle') return true;
    }
    return false;
  }

  #footOf(surfaceId: string): number | null {
    const height_nm = this.#reading.siteFactsOf(surfaceId)?.accessHeight_nm ?? null;
    return height_nm === null ? null : mmFromNm(height_nm);
  }

  #girths(surfaceId: string): CutInput['column'] {
    const measures = this.#reading.measuresOf(surfaceId);
    const mean = (values: readonly number[]): number | undefined =>
      values.length === 0 ? undefined : values.reduce((sum, value) => sum + value, 0) / values.length;
    const round = (at: string): number | undefined =>
      mean(
        measures
          .filter(({ kind, fromPoint }) => kind === 'circumference' && fromPoint === at)
          .map(({ value_nm }) => mmFromNm(value_nm)),
      );
    const height_mm = mean(
      measures
        .filter(
          ({ kind, fromPoint, toPoint }) =>
            kind === 'distance' &&
            ((fromPoint === 'floor' && toPoint === 'top') || (fromPoint === 'top' && toPoint === 'floor')),
        )
        .map(({ value_nm }) => mmFromNm(value_nm)),
    );
    const [foot_mm, top_mm] = [round('floor') ?? round('top'), round('top') ?? round('floor')];
    return foot_mm === undefined || top_mm === undefined || height_mm === undefined
      ? undefined
      : { foot_mm, top_mm, height_mm };
  }

  /** Whether pieces on the plan were made from other measures or choices than today's. */
  isStale(applicationId: string): boolean {
    const pieces = this.piecesFor(applicationId);
    const application = this.#applicationById().get(applicationId);
    if (pieces.length === 0 || application === undefined) return false;
    const today = this.blankOf(application);
    return (
      today.kind === 'none' ||
      pieces.some(
        ({ inputsHash, dropOf }) =>
          inputsHash !== today.blanks.inputsHash || dropOf !== today.blanks.blanks.length,
      )
    );
  }
}
