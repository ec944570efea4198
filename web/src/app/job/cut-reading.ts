import { Injectable, computed, inject } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { type Blank, blankFor } from '@yellow-pane/core/cutting';
import { Catalogue } from '../catalogue/catalogue';
import { JobReading } from './job-reading';

/** A blank of today's measures, or the reason there is none. */
export type BlankToday = { readonly kind: 'blank'; readonly blank: Blank } | { readonly kind: 'none'; readonly reason: string };

/** Blanks as the measures and choices of this moment make them, to hold against what a plan froze. */
@Injectable({ providedIn: 'root' })
export class CutReading {
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);

  readonly #pieceByApplication = computed(() => new Map(this.#reading.plans().flatMap(({ id }) => this.#reading.piecesOf(id).map((piece) => [piece.applicationId, piece] as const))));
  readonly #applicationById = computed(() => new Map(this.#reading.applications().map((application) => [application.id, application])));

  pieceOf(applicationId: string): RowOf<'cutPiece'> | undefined {
    return this.#pieceByApplication().get(applicationId);
  }

  blankOf({ surfaceId, method, filmId }: RowOf<'application'>): BlankToday {
    const film = this.#catalogue.byId().get(filmId);
    if (film === undefined) return { kind: 'none', reason: 'the film is not in the catalogue' };
    const check = this.#reading.checkOf(surfaceId);
    if (check.state === 'unfinished') return { kind: 'none', reason: `${check.needs.join(' and ')} is missing` };
    if (check.state === 'impossible') return { kind: 'none', reason: 'its measures cannot be true together' };
    const { aroundWidth_mm, aroundHeight_mm, girthWidth_mm, girthHeight_mm } = check.sizes;
    return { kind: 'blank', blank: blankFor({ aroundWidth_mm: Math.max(aroundWidth_mm.value, girthWidth_mm?.value ?? 0), aroundHeight_mm: Math.max(aroundHeight_mm.value, girthHeight_mm?.value ?? 0), method, direction: film.direction }) };
  }

  /** Whether the piece on the plan was made from other measures or choices than today's. */
  isStale(applicationId: string): boolean {
    const piece = this.pieceOf(applicationId);
    const application = this.#applicationById().get(applicationId);
    if (piece === undefined || application === undefined) return false;
    const today = this.blankOf(application);
    return today.kind === 'none' || today.blank.inputsHash !== piece.inputsHash;
  }
}
