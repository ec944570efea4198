import type { Op } from '@yellow-pane/contracts';
import { suitedMethods } from '@yellow-pane/core/blanks';
import { templateFor } from '@yellow-pane/core/ways';
import {
  type MeasureKind,
  NEW_DAY,
  NEW_PANE,
  NEW_PLACE,
  NEW_SURFACE,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
  NOT_BEGUN,
  SHAPES_OF_KIND,
  type SurfaceKind,
  isGlass,
  NEW_JOB,
} from '@yellow-pane/core/job';
import { nominalFigure, slotsFor } from '@yellow-pane/core/measure';
import { EXAMPLE_FILMS } from '@yellow-pane/demo';
import { v7 as newId } from 'uuid';

/** A whole number from 0 to below `below`. */
export type Dice = (below: number) => number;

const KINDS = Object.keys(SHAPES_OF_KIND) as SurfaceKind[];
const DONE_AT = '2026-11-24T08:30:00Z';
/** Where a figure does not say: about what such a measure is. */
const USUAL_MM: Readonly<Record<MeasureKind, number>> = {
  distance: 900,
  'height over': 300,
  'right angle': 0,
  level: 2,
  sag: 12,
  'quarter sag': 9,
  'rocking gap': 1,
  radius: 120,
  circumference: 1900,
  thickness: 18,
  wrap: 40,
  label: 880,
};

const put = (table: Op['table'], fields: object, id = newId()): Op =>
  ({ op: 'put', table, id, fields }) as unknown as Op;
const pick = <Item>(dice: Dice, items: readonly Item[]): Item => items[dice(items.length)] as Item;

/** A job such as people leave it: half measured, some film chosen, some of it laid, cut, begun, spoiled. */
export function randomJob(
  dice: Dice,
  { filmIds, personId = null }: { readonly filmIds: readonly string[]; readonly personId?: string | null },
): { readonly jobId: string; readonly ops: readonly Op[] } {
  const jobId = newId();
  const places = randomPlaces(dice);
  const unitId = newId();
  const surfaces = Array.from({ length: 1 + dice(5) }, (_, index) =>
    randomSurface(dice, { index, unitId, placeId: pick(dice, places).id, filmIds }),
  );
  return {
    jobId,
    ops: [
      put('job', { name: 'Kestrel Hill', entryUnit: 'mm', ...NEW_JOB }, jobId),
      ...places,
      put(
        'glassUnit',
        {
          name: 'unit',
          glazing: pick(dice, ['single', 'double', 'unknown']),
          frame: 'unknown',
          edge: 'unknown',
          edgeFinish: 'unknown',
          edgeDepth_nm: null,
        },
        unitId,
      ),
      ...Array.from({ length: dice(3) }, (_, position) =>
        put('glassPane', {
          ...NEW_PANE,
          unitId,
          position: position + 1,
          thickness_nm: 4e6,
          treatment: 'annealed',
        }),
      ),
      ...(dice(4) === 0
        ? []
        : [
            put('daySettings', {
              ...NEW_DAY,
              zone: 'Europe/Vienna',
              firstDay: '2026-11-25',
              days: 1 + dice(2),
              restDays: [],
            }),
          ]),
      ...Array.from({ length: dice(3) }, (_, position) =>
        put('crewMember', {
          personId: pick(dice, [personId, null]),
          name: pick(dice, ['Wren', 'Finch']),
          begins: 420,
          ends: 960,
          breakBegins: 720,
          breakEnds: 760,
          position,
        }),
      ),
      ...surfaces.flatMap(({ ops }) => ops),
      ...randomPlan(
        dice,
        surfaces.flatMap(({ applied }) => applied),
      ),
    ],
  };
}

function randomPlaces(dice: Dice): readonly Op[] {
  const [house, front] = [newId(), newId()];
  const place = (fields: object, id: string): Op =>
    put('place', { ...NEW_PLACE, name: 'House', position: 0, ...fields }, id);
  return [
    place(
      dice(5) === 0
        ? { kind: 'vehicle', movable: true }
        : { latitude_deg: 47.1, longitude_deg: 10.2, altitude_m: 900 },
      house,
    ),
    place(
      {
        kind: pick(dice, ['facade', 'room', 'side']),
        parentId: house,
        bearing_deg: pick(dice, [null, 180, 225]),
      },
      front,
    ),
  ];
}

interface Applied {
  readonly id: string;
  readonly filmId: string;
  readonly tag: string;
}

function randomSurface(
  dice: Dice,
  {
    index,
    unitId,
    placeId,
    filmIds,
  }: {
    readonly index: number;
    readonly unitId: string;
    readonly placeId: string;
    readonly filmIds: readonly string[];
  },
): { readonly ops: readonly Op[]; readonly applied: readonly Applied[] } {
  const id = newId();
  const kind = pick(dice, KINDS);
  const shape = pick(dice, SHAPES_OF_KIND[kind]);
  const corners = shape === 'many sides' ? 5 : null;
  const tag = `S${index + 1}`;
  const surface = put(
    'surface',
    {
      ...NEW_SURFACE,
      placeId,
      tag,
      kind,
      shape,
      corners,
      unitId: isGlass({ kind }) ? unitId : null,
      condition: pick(dice, ['sound', 'unknown', 'cracked', 'chipped']),
      seenFrom: pick(dice, ['room', 'outside', 'side A']),
      position: dice(3),
    },
    id,
  );
  const facts = [
    ...(dice(2) === 0
      ? [put('siteFacts', { ...NO_SITE_FACTS, surfaceId: id, accessHeight_nm: 9e8, reach: 'not everywhere' })]
      : []),
    ...(isGlass({ kind })
      ? []
      : [put('wallFacts', { ...NO_WALL_FACTS, surfaceId: id, leftCorner: 'inside corner' })]),
  ];
  const film = EXAMPLE_FILMS[dice(EXAMPLE_FILMS.length)];
  const filmId = film === undefined ? undefined : filmIds.find((own) => own === film.id);
  if (film === undefined || filmId === undefined || dice(4) === 0)
    return { ops: [surface, ...facts, ...randomMeasures(dice, id, shape, corners)], applied: [] };
  const [suited] = suitedMethods({ kind, shape, family: film.film.family });
  const method = suited?.method ?? 'trim in place';
  const applicationId = newId();
  return {
    ops: [
      surface,
      ...facts,
      ...randomMeasures(dice, id, shape, corners),
      put(
        'application',
        { surfaceId: id, side: 'room', filmId, method, schools: {}, over: null, position: 1 },
        applicationId,
      ),
      ...randomWork(dice, applicationId, templateFor(method, film.film.family)),
    ],
    applied: [{ id: applicationId, filmId, tag }],
  };
}

/** Some of the customary measures, near those of the nominal figure; now and then one of them 100 mm off. */
function randomMeasures(
  dice: Dice,
  surfaceId: string,
  shape: Parameters<typeof nominalFigure>[0],
  corners: number | null,
): readonly Op[] {
  const { points } = nominalFigure(shape, corners);
  const kept = slotsFor(shape, corners).filter(() => dice(5) > 0);
  const wrong = dice(4) === 0 ? dice(kept.length + 1) : -1;
  return (dice(6) === 0 ? [] : kept).map(({ kind, from, to }, index) => {
    const [a, b] = [points[from], points[to]];
    const known =
      kind === 'distance' && a !== undefined && b !== undefined ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
    const value_mm = Math.round((known || USUAL_MM[kind]) + (kind === 'distance' ? dice(3) : 0));
    const value_nm = (index === wrong ? value_mm + 100 : value_mm) * 1e6;
    return put('measure', {
      surfaceId,
      kind,
      fromPoint: from,
      toPoint: to,
      text: String(value_nm / 1e6),
      unit: 'mm',
      value_nm,
      instrument: 'tape',
      sd_nm: null,
    });
  });
}

function randomWork(dice: Dice, applicationId: string, way: ReturnType<typeof templateFor>): readonly Op[] {
  if (way === undefined) return [];
  const { template, version, steps } = way;
  const record = (step: string, doneAt: string | null): Op =>
    put('workRecord', {
      applicationId,
      template,
      step,
      templateVersion: version,
      ...NOT_BEGUN,
      startedAt: DONE_AT,
      doneAt,
    });
  const done = steps.slice(0, pick(dice, [0, 0, 1, 3, steps.length]));
  return [
    ...done.map(({ key }) => record(key, DONE_AT)),
    ...(done.length === 1
      ? [
          put('waitEnd', {
            applicationId,
            step: done[0]?.key ?? '',
            endedAt: DONE_AT,
            how: 'by hand',
            reason: '',
          }),
        ]
      : []),
  ];
}

/**
 * A plan of one of the films, with some of its pieces: made of other measures, cut, spoiled or as they are.
 */
function randomPlan(dice: Dice, applied: readonly Applied[]): readonly Op[] {
  const [first] = applied;
  if (first === undefined || dice(3) === 0) return [];
  const [planId, rollId] = [newId(), newId()];
  return [
    put(
      'cutPlan',
      {
        filmId: first.filmId,
        mode: pick(dice, ['by hand', 'by plotter']),
        stages: 3,
        gap_nm: dice(2) * 3e6,
        endWaste_nm: dice(2) * 10e6,
        mostSheet_nm: null,
        objective: 'money',
        liner: 'up',
        edgeMust: false,
        lengthUsed_nm: 2e9,
        bound_nm: 0,
        filmCost: 10,
        cost: 12,
        filmBound: 9,
        stopped: 'limit',
      },
      planId,
    ),
    put(
      'cutRoll',
      {
        planId,
        stockId: null,
        what: 'to order',
        label: 'new',
        lot: '',
        width_nm: 1524e6,
        length_nm: 30e9,
        used_nm: 2e9,
        leftEdge: true,
        rightEdge: true,
        position: 0,
        ticks: [],
        bookedAt: null,
      },
      rollId,
    ),
    ...applied
      .filter(({ filmId }) => filmId === first.filmId)
      .map(({ id, tag }, position) =>
        put('cutPiece', {
          planId,
          rollId,
          applicationId: id,
          drop: 1,
          dropOf: 1 + dice(2),
          tag,
          position,
          level: 0,
          x_nm: 0,
          y_nm: position * 1e9,
          across_nm: 900e6,
          along_nm: 900e6,
          turned: false,
          flipped: false,
          phase_nm: 0,
          outline: null,
          notch_nm: 0,
          sector: null,
          topAlong: false,
          pinned: dice(2) === 0,
          inputsHash: 'other measures',
          cutAt: dice(3) === 0 ? DONE_AT : null,
          spoiledAt: dice(4) === 0 ? DONE_AT : null,
        }),
      ),
  ];
}
