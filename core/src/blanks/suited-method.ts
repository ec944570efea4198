import {
  type CutMethod,
  type FilmFamily,
  type SurfaceKind,
  type SurfaceShape,
  FAMILY_NAMES,
  FILM_FAMILIES,
} from '../job';
import { type Allowance, methodsFor } from '../rules';

/** Films for glass that are trimmed to it. */
const GLASS = FAMILY_NAMES.filter((family) => FILM_FAMILIES[family].isTrimmedToGlass);

/**
 * Families a way of fitting suits; those not named here suit all.
 * @source common practice, no published source
 */
const FAMILIES: Partial<Record<CutMethod, readonly FilmFamily[]>> = {
  'trim in place': GLASS,
  'pre-squared': GLASS,
  'dry-fitted': GLASS,
  'cut to order': GLASS,
  'cut to outline': GLASS,
  'curved, shrunk': [...GLASS, 'security'],
  security: ['security'],
  decor: ['decor', 'wrap', 'frosted', 'textured wall'],
  'textured wall': ['textured wall'],
};

interface MethodCase {
  readonly kind: SurfaceKind;
  readonly shape: SurfaceShape;
  readonly family: FilmFamily;
}

/**
 * Ways of fitting that suit a surface and the film on it, the customary one first. Where none suits both,
 * those of the surface.
 */
export function suitedMethods({ kind, shape, family }: MethodCase): readonly Allowance[] {
  const ofSurface = methodsFor(kind, shape);
  const suited = ofSurface.filter(({ method }) => FAMILIES[method]?.includes(family) ?? true);
  /** What is made for one family comes before what serves many. */
  const forThisFamily = suited.filter(({ method }) => FAMILIES[method]?.length === 1);
  const ordered = [
    ...forThisFamily,
    ...suited.filter((suitedMethod) => !forThisFamily.includes(suitedMethod)),
  ];
  return ordered.length > 0 ? ordered : ofSurface;
}

/**
 * The way of fitting after a film or a shape was chosen: what the person had stays while it suits, else the
 * first that does.
 */
export function methodAfter(given: MethodCase, had: CutMethod | undefined): CutMethod {
  const suited = suitedMethods(given);
  const stays = suited.find(({ method }) => method === had);
  const [first] = suited;
  if (first === undefined) throw new RangeError(`no way of fitting for ${given.kind}, ${given.shape}`);
  return (stays ?? first).method;
}
