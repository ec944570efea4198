import type { Op } from '@yellow-pane/contracts';
import {
  MEASURE_KINDS,
  NEW_PART,
  NEW_SURFACE,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
  type SurfaceShape,
} from '@yellow-pane/core/job';
import { slotsFor } from '@yellow-pane/core/measure';
import { nmFromMm, parseReading } from '@yellow-pane/core/quantity';
import { CAR_AND_WALL_SURFACES } from './car-and-wall-surfaces';
import { demoId } from './demo-id';
import type { DemoSurface, Readings } from './demo-surface';
import { STATION_SURFACES } from './station-surfaces';

/** In the order of walking. */
const SURFACES: readonly DemoSurface[] = [...STATION_SURFACES, ...CAR_AND_WALL_SURFACES];

/** How many ids each surface may use for its measures. */
const IDS_EACH = 30;

/** The surfaces with their measures, facts, parts and films, in the order of walking. */
export function surfaceOps(): readonly Op[] {
  return SURFACES.flatMap((surface, index) => opsOf(surface, index + 1));
}

function opsOf(own: DemoSurface, n: number): readonly Op[] {
  const { shape = 'four sides', readings } = own;
  const id = demoId('surface', n);
  return [
    surfaceOp(own, n),
    ...factsOps(own, n),
    ...measureOps(shape, id, n * IDS_EACH, readings),
    ...applicationOps(own, n),
  ];
}

function surfaceOp(
  {
    tag,
    name,
    place,
    unit,
    kind = 'pane',
    shape = 'four sides',
    seenFrom = 'room',
    condition = 'unknown',
    remark = '',
    sameAs,
    at,
  }: DemoSurface,
  n: number,
): Op {
  const lead = SURFACES.findIndex((candidate) => candidate.tag === sameAs);
  return {
    op: 'put',
    table: 'surface',
    id: demoId('surface', n),
    fields: {
      ...NEW_SURFACE,
      placeId: demoId('place', place),
      unitId: unit === null ? null : demoId('unit', unit),
      tag,
      name,
      kind,
      shape,
      seenFrom,
      condition,
      remark,
      position: n,
      sameAsId: lead < 0 ? null : demoId('surface', lead + 1),
      atX_nm: at === undefined ? null : nmFromMm(at[0]),
      atY_nm: at === undefined ? null : nmFromMm(at[1]),
    },
  };
}

function factsOps({ facts, wall, parts = [] }: DemoSurface, n: number): readonly Op[] {
  const surfaceId = demoId('surface', n);
  const site: Op = {
    op: 'put',
    table: 'siteFacts',
    id: demoId('facts', n),
    fields: { ...NO_SITE_FACTS, ...facts, surfaceId },
  };
  const ground: Op = {
    op: 'put',
    table: 'wallFacts',
    id: demoId('facts', 1000 + n),
    fields: { ...NO_WALL_FACTS, ...wall, surfaceId },
  };
  return [
    ...(facts === undefined ? [] : [site]),
    ...(wall === undefined ? [] : [ground]),
    ...parts.map((part, index): Op => ({
      op: 'put',
      table: 'part',
      id: demoId('part', n * 10 + index),
      fields: { ...NEW_PART, ...part, surfaceId, position: index + 1 },
    })),
  ];
}

function applicationOps({ film, seenFrom = 'room' }: DemoSurface, n: number): readonly Op[] {
  if (film === undefined) return [];
  const [index, method] = film;
  return [
    {
      op: 'put',
      table: 'application',
      id: demoId('application', n),
      fields: {
        surfaceId: demoId('surface', n),
        side: seenFrom,
        filmId: demoId('film', index),
        method,
        schools: {},
        over: null,
        position: 1,
      },
    },
  ];
}

/** Readings as they were called out. */
export function measureOps(
  shape: SurfaceShape,
  surfaceId: string,
  firstId: number,
  readings: Readings,
): readonly Op[] {
  const isList = (given: Readings): given is readonly string[] => Array.isArray(given);
  return slotsFor(shape).flatMap(({ key, kind, from, to }, index): readonly Op[] => {
    const text = (isList(readings) ? readings[index] : readings[key]) ?? '';
    const parsed = parseReading(text, 'mm', MEASURE_KINDS[kind]);
    if (parsed.kind !== 'length') return [];
    return [
      {
        op: 'put',
        table: 'measure',
        id: demoId('measure', firstId + index),
        fields: {
          surfaceId,
          kind,
          fromPoint: from,
          toPoint: to,
          text,
          unit: parsed.unit,
          value_nm: parsed.value_nm,
          instrument: 'tape',
          sd_nm: null,
        },
      },
    ];
  });
}
