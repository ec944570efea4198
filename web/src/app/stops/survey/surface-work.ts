import { Injectable, inject } from '@angular/core';
import {
  NEW_PLACE,
  NEW_SURFACE,
  type RowOf,
  SHAPES_OF_KIND,
  type SurfaceKind,
  type SurfaceShape,
  isGlass,
} from '@yellow-pane/core/job';
import { methodsAfterShape } from '@yellow-pane/core/reading';
import { newId } from '../../device/session';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';

const TAG_STEMS: Readonly<Record<SurfaceKind, string>> = {
  pane: 'W0',
  wall: 'WL0',
  column: 'CO0',
  fixture: 'FX0',
};

/** Making and deleting surfaces with all that hangs on them. */
@Injectable({ providedIn: 'root' })
export class SurfaceWork {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);

  /**
   * A new surface after `after`, in the same place; a pane keeps the same glass. A first place is made when
   * there is none.
   */
  add(
    after: RowOf<'surface'> | undefined,
    kind: SurfaceKind = 'pane',
    shape: SurfaceShape = SHAPES_OF_KIND[kind][0],
  ): string {
    const id = newId();
    const place = after?.placeId ?? this.#reading.places()[0]?.id;
    const newPlace =
      place === undefined
        ? this.#desk.put('place', { ...NEW_PLACE, name: surveyWords.building, position: 1 })
        : undefined;
    const tag = this.#nextTag(after?.kind === kind ? after.tag : TAG_STEMS[kind]);
    this.#desk.do(surveyWords.newSurfaceCalled(tag), [
      ...(newPlace === undefined ? [] : [newPlace]),
      this.#desk.put(
        'surface',
        {
          ...NEW_SURFACE,
          placeId: place ?? newPlace?.id ?? '',
          unitId: isGlass({ kind }) ? (after?.unitId ?? null) : null,
          tag,
          kind,
          shape,
          corners: shape === 'many sides' ? 5 : null,
          seenFrom: after?.seenFrom ?? 'room',
          position: this.#positionAfter(after),
        },
        id,
      ),
    ]);
    return id;
  }

  /**
   * The films on a surface whose way of fitting does not suit it any more once it has another shape, and what
   * it becomes.
   */
  methodsAfter(surface: RowOf<'surface'>, shape: SurfaceShape): ReturnType<typeof methodsAfterShape> {
    return methodsAfterShape(this.#reading.view(), surface, shape);
  }

  remove(surface: RowOf<'surface'>): void {
    this.#desk.do(surveyWords.deleteCalled(surface.tag), [this.#desk.remove('surface', surface.id)]);
    this.#desk.say(surveyWords.deleted(surface.tag));
  }

  #positionAfter(after: RowOf<'surface'> | undefined): number {
    const surfaces = this.#reading.surfaces();
    const at = surfaces.findIndex(({ id }) => id === after?.id);
    const here = surfaces[at]?.position ?? surfaces.at(-1)?.position ?? 0;
    const next = at < 0 ? undefined : surfaces[at + 1]?.position;
    return next === undefined ? here + 1 : (here + next) / 2;
  }

  /** The tag counted on: SW3 → SW4, skipping those taken. */
  #nextTag(tag: string | undefined): string {
    const [, stem = 'W', digits = '0'] = /^(.*?)(\d+)$/.exec(tag ?? '') ?? [];
    const taken = new Set(this.#reading.surfaces().map((surface) => surface.tag));
    let n = Number(digits) + 1;
    while (taken.has(`${stem}${n}`)) n += 1;
    return `${stem}${n}`;
  }
}
