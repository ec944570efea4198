import { Injectable, inject } from '@angular/core';
import type { SurfaceRows } from '@yellow-pane/core/choosing';
import type { RowOf } from '@yellow-pane/core/job';
import { outlineOfCheck, rectangleSizes } from '@yellow-pane/core/measure';
import { Catalogue } from '../catalogue/catalogue';
import { JobReading } from './job-reading';

/** A surface with all the job knows of it, as core asks for it. */
@Injectable({ providedIn: 'root' })
export class SurfaceRowsReader {
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);

  of(surface: RowOf<'surface'>): SurfaceRows {
    const chain = this.chainOf(surface);
    const check = this.#reading.checkOf(surface.id);
    const sizes =
      'sizes' in check ? { ...check.sizes, ...rectangleSizes(outlineOfCheck(check) ?? []) } : undefined;
    const unit = this.#reading.units().find(({ id }) => id === surface.unitId);
    return {
      surface,
      place: chain[0],
      parents: chain.slice(1),
      unit,
      panes: this.#reading.glassPanes().filter(({ unitId }) => unitId === unit?.id),
      site: this.#reading.siteFactsOf(surface.id),
      wall: this.#reading.wallFactsOf(surface.id),
      brief: this.#reading.briefFor(surface),
      films: this.#reading.applicationsOf(surface.id).flatMap(({ side, filmId }) => {
        const film = this.#catalogue.byId().get(filmId);
        return film === undefined ? [] : [{ side, film }];
      }),
      width_mm: sizes?.aroundWidth_mm.value ?? null,
      height_mm: sizes?.aroundHeight_mm.value ?? null,
      area_m2: sizes?.area_mm2 === undefined ? null : sizes.area_mm2.value / 1e6,
    };
  }

  chainOf(surface: RowOf<'surface'>): readonly RowOf<'place'>[] {
    const chain: RowOf<'place'>[] = [];
    for (
      let place = this.#reading.placeById().get(surface.placeId);
      place !== undefined && !chain.includes(place);
      place = this.#reading.placeById().get(place.parentId ?? '')
    )
      chain.push(place);
    return chain;
  }
}
