import { describe, expect, it } from '@jest/globals';
import { changeSchema, filmFieldsSchema } from '@yellow-pane/contracts';
import { checkFlatPane } from '@yellow-pane/core/measure';
import { DEMO_CHANGES, DEMO_START, EXAMPLE_FILMS, manySurfaces } from './index';

describe('is the demo what it says?', () => {
  it('every change fits the contract', () => {
    for (const { change } of DEMO_CHANGES) expect(changeSchema.safeParse(change).error).toBeUndefined();
  });
  it('every film is consistent, invented and says so', () => {
    for (const { film } of EXAMPLE_FILMS) expect(filmFieldsSchema.parse(film).invented).toBe(true);
    expect(new Set(EXAMPLE_FILMS.map(({ film }) => film.name)).size).toBe(EXAMPLE_FILMS.length);
  });
  it('it opens on the pane whose measures contradict each other; all other full sets agree', () => {
    const ops = DEMO_CHANGES.flatMap(({ change }) => change.ops);
    const disagreeing = ops.filter((op) => op.op === 'put' && op.table === 'surface').filter(({ id }) => {
      const measures = ops.flatMap((op) => (op.op === 'put' && op.table === 'measure' && op.fields.surfaceId === id ? [{ id: op.id, from: op.fields.fromPoint, to: op.fields.toPoint, value_mm: op.fields.value_nm / 1e6, instrument: op.fields.instrument }] : []));
      const check = checkFlatPane(measures);
      return 'agreement' in check && check.agreement.kind === 'disagree';
    });
    expect(disagreeing).toHaveLength(1);
    expect(DEMO_START).toContain(disagreeing[0]?.id ?? 'nothing');
  });
  it('a large job for speed tests fits the contract and has the size asked for', () => {
    let n = 0;
    const { changes } = manySurfaces(450, 1, () => `0199b9a6-0000-7000-8000-${(n += 1).toString(16).padStart(12, '0')}`);
    expect(changes.flatMap(({ ops }) => ops).filter((op) => op.table === 'surface')).toHaveLength(450);
    for (const change of changes) expect(changeSchema.safeParse(change).success).toBe(true);
  });
});
