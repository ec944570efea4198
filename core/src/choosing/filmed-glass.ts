import { type MakeUp, type MakeUpOptics, type Ratings, opticsOfMakeUp, ratingsOf } from '../glazing';
import { type AngledAbsorption, absorptionOf } from '../thermal-stress';

/** A make-up with its films: what depends on neither place nor size, calculated when first asked for. */
export interface FilmedGlass {
  readonly makeUp: MakeUp;
  readonly optics: MakeUpOptics;
  readonly absorption: AngledAbsorption;
  readonly ratings: Ratings;
}

/** Keeps the optics of each make-up and film: panes of one kind on many fronts share them. */
export type GlassCache = (makeUp: MakeUp) => FilmedGlass;

/** @returns a book of its own; films are told apart by identity, so use it for one list of films */
export function newGlassBook(): GlassCache {
  const kept = new Map<string, FilmedGlass>();
  const numbers = new WeakMap<object, number>();
  let last = 0;
  const numberOf = (film: object): number => {
    const number = numbers.get(film) ?? (last += 1);
    numbers.set(film, number);
    return number;
  };
  return (makeUp) => {
    const { panes, gaps, films, hasBlind = false } = makeUp;
    const key = JSON.stringify([
      panes,
      gaps,
      hasBlind,
      films.map(({ face, film }) => [face, numberOf(film)]),
    ]);
    const found = kept.get(key) ?? lazily(makeUp);
    kept.set(key, found);
    return found;
  };
}

function lazily(makeUp: MakeUp): FilmedGlass {
  let [optics, absorption, ratings]: [
    MakeUpOptics | undefined,
    AngledAbsorption | undefined,
    Ratings | undefined,
  ] = [undefined, undefined, undefined];
  return {
    makeUp,
    get optics() {
      return (optics ??= opticsOfMakeUp(makeUp));
    },
    get absorption() {
      return (absorption ??= absorptionOf(makeUp));
    },
    get ratings() {
      return (ratings ??= ratingsOf(makeUp, this.optics));
    },
  };
}
