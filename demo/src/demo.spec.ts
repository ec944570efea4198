import { describe, expect, it } from '@jest/globals';
import { changeSchema, filmFieldsSchema } from '@yellow-pane/contracts';
import { filmOpticsOf, opticsOfMakeUp } from '@yellow-pane/core/glazing';
import { checkSurface, surfaceInputOf } from '@yellow-pane/core/measure';
import type { FieldsOf } from '@yellow-pane/core/job';
import { RULE_SETS } from '@yellow-pane/core/judging';
import { isStale, marksJudged, roundHere, visitsOf, NO_SKY } from '@yellow-pane/core/reading';
import { viewOfOps } from './rows-of-ops';
import { DEMO_START, EXAMPLE_FILMS, demoChanges, manySurfaces } from './index';

describe('is the demo what it says?', () => {
  it('every change fits the contract', () => {
    for (const { change } of demoChanges()) expect(changeSchema.safeParse(change).error).toBeUndefined();
  });
  it('every film is consistent, invented and says so', () => {
    for (const { film } of EXAMPLE_FILMS) expect(filmFieldsSchema.parse(film).invented).toBe(true);
    expect(new Set(EXAMPLE_FILMS.map(({ film }) => film.name)).size).toBe(EXAMPLE_FILMS.length);
  });
  it('at least 40 films of every family; each with figures can be taken off its reference glass, and what it lets through, throws back and keeps is one in every band', () => {
    expect(EXAMPLE_FILMS.length).toBeGreaterThanOrEqual(40);
    expect([...new Set(EXAMPLE_FILMS.map(({ film }) => film.family))].sort()).toEqual([
      'decor',
      'exterior protection',
      'frosted',
      'low emissivity',
      'security',
      'solar',
      'textured wall',
      'vehicle tint',
      'wrap',
    ]);
    for (const { film } of EXAMPLE_FILMS.filter((entry) => entry.film.visibleTransmitted !== null)) {
      const { optics, missing, assumed } = filmOpticsOf(film);
      expect([film.name, missing, assumed]).toEqual([film.name, [], []]);
      if (optics === null) throw new Error(film.name);
      const pane = opticsOfMakeUp({
        panes: [{ tint: 'clear', thickness_mm: 3 }],
        gaps: [],
        films: [{ face: 2, film: { ...optics, coverage: 1 } }],
      });
      for (const { transmitted, reflectedFront, absorbed } of Object.values(pane.byBand)) {
        expect(transmitted + reflectedFront + (absorbed[0] ?? 0)).toBeCloseTo(1, 9);
        expect(absorbed[0]).toBeGreaterThan(-1e-9);
      }
      expect([
        film.name,
        Math.abs(pane.byBand.visible.transmitted - (film.visibleTransmitted ?? 0)) < 0.01,
        Math.abs(pane.solar.transmitted - (film.solarTransmitted ?? 0)) < 0.02,
      ]).toEqual([film.name, true, true]);
    }
  });
  const ops = demoChanges().flatMap(({ change }) => change.ops);
  const rowsOf = <Table extends 'surface' | 'measure' | 'part' | 'wallFacts'>(table: Table) =>
    ops.flatMap((op) =>
      op.op === 'put' && op.table === table ? [{ id: op.id, ...(op.fields as FieldsOf<Table>) }] : [],
    );
  const checks = rowsOf('surface').map((surface) => ({
    surface,
    check: checkSurface(
      surfaceInputOf(
        surface,
        rowsOf('measure').filter(({ surfaceId }) => surfaceId === surface.id),
        rowsOf('part').filter(({ surfaceId }) => surfaceId === surface.id),
        rowsOf('wallFacts').find(({ surfaceId }) => surfaceId === surface.id),
      ),
    ),
  }));
  it('two surfaces contradict themselves, and it opens on the first of them; all others that can be checked agree', () => {
    const disagreeing = checks.filter(
      ({ check }) => 'agreement' in check && check.agreement.kind === 'disagree',
    );
    expect(disagreeing.map(({ surface }) => surface.tag)).toEqual(['SW3', 'CT1']);
    expect(DEMO_START).toContain(disagreeing[0]?.surface.id ?? 'nothing');
    expect(checks.filter(({ check }) => check.state === 'impossible')).toEqual([]);
  });
  it('the whole scenario is there: a front of six, a cracked pane, hatch, partition, doors, counter, two columns, a wall with a mural, a fanlight, curved ends, repeats and door glass in two cars', () => {
    const count = (shape: string): number => checks.filter(({ surface }) => surface.shape === shape).length;
    expect(['four sides', 'panel', 'round column', 'wall', 'arched top', 'curved glass'].map(count)).toEqual([
      21, 3, 2, 1, 1, 5,
    ]);
    expect(checks.filter(({ surface }) => surface.sameAsId !== null).length).toBeGreaterThanOrEqual(8);
    expect(
      checks
        .filter(({ check }) => 'sizes' in check && (check.sizes.taper_mm?.value ?? 0) > 20)
        .map(({ surface }) => surface.tag),
    ).toEqual(['CO2']);
  });
  it('the end windows curve more at the bottom', () => {
    const end = checks.find(({ surface }) => surface.tag === 'A-E1')?.check;
    const sizes = end !== undefined && 'sizes' in end ? end.sizes : undefined;
    expect(sizes?.surplusBottom_mm?.value).toBeGreaterThan(sizes?.surplusTop_mm?.value ?? Infinity);
  });
  it('a large job for speed tests fits the contract and has the size asked for', () => {
    let n = 0;
    const { changes } = manySurfaces(
      450,
      1,
      () => `0199b9a6-0000-7000-8000-${(n += 1).toString(16).padStart(12, '0')}`,
    );
    expect(changes.flatMap(({ ops }) => ops).filter((op) => op.table === 'surface')).toHaveLength(450);
    for (const change of changes) expect(changeSchema.safeParse(change).success).toBe(true);
  });
  it('the finished job holds: nothing stale, looked at as a whole, marks of six kinds, one watched, one made anew, a visit due', () => {
    const view = viewOfOps(demoChanges()[0]?.change.ops ?? []);
    expect(view.applications.map(({ id }) => [isStale(view, id), view.isHandedOver(id)])).toEqual(
      view.applications.map(() => [false, true]),
    );
    const set = RULE_SETS[0];
    if (set === undefined) throw new Error('no rules');
    expect(view.surfaces.map(({ id }) => roundHere(view, id, set)?.isWhole)).toEqual([true, true, true]);
    const now_ms = Date.parse('2026-11-26T08:20:00Z');
    const judged = view.surfaces.flatMap(
      ({ id }) => marksJudged(view, id, { set, now_ms, sky: NO_SKY })?.marks ?? [],
    );
    expect(new Set(judged.map(({ mark }) => mark.look)).size).toBeGreaterThanOrEqual(6);
    // What was decided then is what is decided now, of everything that is still there.
    for (const { mark, decision, kept } of judged)
      if (mark.goneAt === null) expect([mark.look, decision?.verdict]).toEqual([mark.look, kept?.verdict]);
    expect(judged.filter(({ decision }) => decision?.verdict === 'watch')).toHaveLength(1);
    const redone = view.rows.cutPiece.find(({ spoiledAt }) => spoiledAt !== null);
    expect(view.piecesFor(redone?.applicationId ?? '')).toHaveLength(1);
    const { kept, proposed } = visitsOf(view, now_ms, NO_SKY);
    expect([kept.length, kept[0]?.open.length, proposed.length]).toEqual([1, 2, 0]);
  });
});
