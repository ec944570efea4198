import {
  type Application,
  type AskedSurfaces,
  type Job,
  type Measure,
  NEW_JOB,
  NEW_PLACE,
  NEW_SURFACE,
  NO_SITE_FACTS,
  type Place,
  type RowOf,
  type SiteFacts,
  type Surface,
  type SurfaceShape,
} from '../../job';
import { methodAfter } from '../../blanks';
import { type LengthUnit, mmFromNm } from '../../quantity';
import { aboutMeasures } from '../survey/about';
import { jobRows, type Shop } from '../view/job-rows';
import { JobView } from '../view/job-view';

type Put<Fields> = Fields & { readonly id: string };

/** What a call turns into: places, and surfaces whose sizes were only said. */
interface EnquiredRows {
  readonly place: readonly Put<Place>[];
  readonly surface: readonly Put<Surface>[];
  readonly measure: readonly Put<Measure>[];
  readonly siteFacts: readonly Put<SiteFacts>[];
  readonly application: readonly Put<Application>[];
}

export interface EnquiredAsked {
  readonly newId: () => string;
  readonly unit: LengthUnit;
  /** Name of the building, and of the side that looks so many degrees from north; null: not said. */
  readonly building: string;
  readonly sideOf: (bearing_deg: number | null) => string;
  readonly films: Shop['films'];
}

/** The plainest shape of each: what it is like is seen when it is measured. */
const SHAPE_OF: Readonly<Record<AskedSurfaces['what'], SurfaceShape>> = {
  pane: 'four sides',
  wall: 'wall',
  column: 'round column',
  fixture: 'panel',
};
const LETTER: Readonly<Record<AskedSurfaces['what'], string>> = {
  pane: 'P',
  wall: 'W',
  column: 'C',
  fixture: 'F',
};

/** Rows of a job as somebody on the phone describes it. Sizes are 'about': nothing is cut by them. */
export function enquiredRows(asked: readonly AskedSurfaces[], by: EnquiredAsked): EnquiredRows {
  const building: Put<Place> = { ...NEW_PLACE, id: by.newId(), name: by.building, position: 1 };
  const sides = new Map<number | null, Put<Place>>();
  const rows = { surface: [], measure: [], siteFacts: [], application: [] } as {
    surface: Put<Surface>[];
    measure: Put<Measure>[];
    siteFacts: Put<SiteFacts>[];
    application: Put<Application>[];
  };
  for (const group of asked) {
    const side = sides.get(group.bearing_deg) ?? {
      ...{ ...NEW_PLACE, id: by.newId(), parentId: building.id, kind: 'facade', position: sides.size + 2 },
      ...{ name: by.sideOf(group.bearing_deg), bearing_deg: group.bearing_deg },
    };
    sides.set(group.bearing_deg, side);
    for (let one = 0; one < group.count; one += 1) addSurface(rows, group, side.id, by);
  }
  return { place: [building, ...sides.values()], ...rows };
}

function addSurface(
  rows: {
    readonly surface: Put<Surface>[];
    readonly measure: Put<Measure>[];
    readonly siteFacts: Put<SiteFacts>[];
    readonly application: Put<Application>[];
  },
  group: AskedSurfaces,
  placeId: string,
  { newId, unit, films }: EnquiredAsked,
): void {
  const id = newId();
  const shape = SHAPE_OF[group.what];
  const number = rows.surface.filter(({ kind }) => kind === group.what).length + 1;
  rows.surface.push({
    ...{ ...NEW_SURFACE, id, placeId, kind: group.what, shape },
    ...{ tag: `${LETTER[group.what]}${number}`, position: rows.surface.length + 1 },
  });
  const textOf = (nm: number): string => String(Math.round(mmFromNm(nm)));
  for (const own of aboutMeasures(id, group, { unit, textOf })) rows.measure.push({ ...own, id: newId() });
  rows.siteFacts.push({
    ...{ ...NO_SITE_FACTS, id: newId(), surfaceId: id, storey: group.storey, oldFilm: group.oldFilm },
  });
  const film = films.find((own) => own.id === group.filmId);
  if (film === undefined) return;
  rows.application.push({
    ...{ id: newId(), surfaceId: id, side: 'room', filmId: film.id, schools: {}, over: null, position: 1 },
    method: methodAfter({ kind: group.what, shape, family: film.family }, undefined),
  });
}

/** The same as a job that can be asked for its price. @param terms of money, as another job has them */
export function enquiredView(
  rows: EnquiredRows,
  shop: Shop,
  terms: Pick<Job, 'currency' | 'tax_percent' | 'hourCost' | 'tripCost' | 'margin_percent'>,
): JobView {
  const meta = {
    jobId: '',
    version: 1,
    madeBy: '',
    madeAt: '',
    changedBy: '',
    changedAt: '',
    removed: false,
  };
  const job: RowOf<'job'> = { ...NEW_JOB, ...terms, ...meta, id: '', name: '', entryUnit: 'mm' };
  const of = <Own extends object>(some: readonly Own[]) => some.map((own) => ({ ...own, ...meta }));
  return new JobView(
    jobRows({
      job: [job],
      place: of(rows.place),
      surface: of(rows.surface),
      measure: of(rows.measure),
      siteFacts: of(rows.siteFacts),
      application: of(rows.application),
    }),
    shop,
  );
}
