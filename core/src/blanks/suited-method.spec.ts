import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CUT_METHODS, type FilmFamily, SHAPES_OF_KIND, type SurfaceKind, type SurfaceShape } from '../job';
import { methodsFor } from '../rules';
import { methodAfter, suitedMethods } from '../blanks';

const FAMILIES: readonly FilmFamily[] = [
  'solar',
  'low emissivity',
  'vehicle tint',
  'frosted',
  'security',
  'decor',
  'textured wall',
  'wrap',
  'exterior protection',
];
const CASES = (Object.entries(SHAPES_OF_KIND) as [SurfaceKind, readonly SurfaceShape[]][]).flatMap(
  ([kind, shapes]) => shapes.flatMap((shape) => FAMILIES.map((family) => ({ kind, shape, family }))),
);

describe('does the way of fitting follow the surface?', () => {
  it.each([
    ['pane', 'curved glass', 'vehicle tint', 'curved, shrunk'],
    ['pane', 'four sides', 'solar', 'trim in place'],
    ['pane', 'four sides', 'security', 'security'],
    ['pane', 'four sides', 'decor', 'decor'],
    ['wall', 'wall', 'textured wall', 'textured wall'],
    ['wall', 'wall', 'decor', 'decor'],
    ['fixture', 'panel', 'wrap', 'wrapped edges'],
    ['fixture', 'panel', 'decor', 'wrapped edges'],
    ['fixture', 'moulding', 'decor', 'furrow girth'],
    ['column', 'round column', 'decor', 'column'],
    ['column', 'square column', 'textured wall', 'column'],
    ['pane', 'arched top', 'frosted', 'trim in place'],
  ] as const)('%s, %s, %s film: %s', (kind, shape, family, method) => {
    expect(methodAfter({ kind, shape, family }, undefined)).toBe(method);
  });

  it('whatever kind, shape, family and way before: it is one of the surface’s own, suits the film where any does, stays while it suits, and asked again it stays', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CASES),
        fc.option(fc.constantFrom(...CUT_METHODS), { nil: undefined }),
        (given, had) => {
          const method = methodAfter(given, had);
          expect(methodsFor(given.kind, given.shape).map((own) => own.method)).toContain(method);
          expect(suitedMethods(given).map((own) => own.method)).toContain(method);
          if (had !== undefined && suitedMethods(given).some((own) => own.method === had))
            expect(method).toBe(had);
          expect(methodAfter(given, method)).toBe(method);
        },
      ),
      { numRuns: 400 },
    );
  });
});
