import { CoreError, valueAt } from '../quantity';

/**
 * One layer in one band at normal incidence: shares of the light that falls on it. Front = outdoors or side
 * A.
 */
export interface LayerOptics {
  readonly transmitted: number;
  readonly reflectedFront: number;
  readonly reflectedBack: number;
}

/** Bare glass taken apart: what one surface throws back, and what the body lets through once. */
export interface BareGlass {
  readonly surface: number;
  readonly body: number;
}

/** A film by itself: seen from the glass it is stuck to, and from the air. */
export interface FilmElement {
  readonly transmitted: number;
  readonly reflectedToGlass: number;
  readonly reflectedToAir: number;
}

export interface StackOptics extends LayerOptics {
  /** Share absorbed in each layer, outermost first, of light from the front. */
  readonly absorbed: readonly number[];
}

/** Below nothing by less than this a reflectance is a rounding of the sheet, and taken as nothing. */
const ROUNDED_OFF = 0.01;
/**
 * A clear film's sheet, rounded to whole percent, comes out this much over all there is: the excess is taken
 * off what is reflected.
 */
const ROUNDED_UP = 0.03;
const WITHIN_ROUNDING = 1e-9;

/** Takes a bare pane apart.
 *  @param pane transmitted and reflected share of the bare pane, 0 to 1
 *  @throws CoreError GLAZING_SHARES when they cannot be those of a bare pane
 *  @source closed form of the two-surface slab (ISO 9050, EN 410) */
export function bareGlassOf(pane: { readonly transmitted: number; readonly reflected: number }): BareGlass {
  const { transmitted: t, reflected: r } = pane;
  if (!(t > 0 && r > 0 && t + r <= 1 + WITHIN_ROUNDING))
    throw new CoreError('GLAZING_SHARES', {
      path: 'glass',
      expected: 'transmitted and reflected above 0 and together at most 1',
      got: `${t} and ${r}`,
    });
  const b = t * t - r * r + 2 * r + 1;
  const surface = (b - Math.sqrt(b * b - 4 * (2 - r) * r)) / (2 * (2 - r));
  return { surface, body: (r - surface) / (surface * t) };
}

/**
 * The same glass at another thickness. Good to about 0.01 of transmittance; worse for strong tints beyond
 * four times.
 * @param from_mm, to_mm > 0
 */
export function atThickness({ surface, body }: BareGlass, from_mm: number, to_mm: number): BareGlass {
  if (!(from_mm > 0 && to_mm > 0))
    throw new CoreError('GLAZING_THICKNESS', {
      path: 'thickness',
      expected: 'more than 0 mm',
      got: String(to_mm),
    });
  return { surface, body: body ** (to_mm / from_mm) };
}

/** Takes a film out of what was measured with it on a reference glass (film on the back).
 *  @throws CoreError GLAZING_SHARES when film and glass cannot have these figures together */
export function filmElementOf(measured: LayerOptics, reference: BareGlass): FilmElement {
  const { transmitted: t, reflectedFront, reflectedBack } = measured;
  const { surface, body } = reference;
  if (
    ![t, reflectedFront, reflectedBack].every((share) => share >= 0 && share <= 1) ||
    t + Math.max(reflectedFront, reflectedBack) > 1 + WITHIN_ROUNDING
  ) {
    throw new CoreError('GLAZING_SHARES', {
      path: 'film',
      expected: 'shares of 0 to 1, transmitted and reflected together at most 1',
      got: `${t}, ${reflectedFront}, ${reflectedBack}`,
    });
  }
  const seen = (reflectedFront - surface) / ((1 - surface) ** 2 + surface * (reflectedFront - surface));
  const toGlass = seen / body ** 2;
  const transmitted = (t * (1 - surface * seen)) / ((1 - surface) * body);
  const toAir = reflectedBack - (transmitted ** 2 * body ** 2 * surface) / (1 - surface * seen);
  const element = {
    transmitted: Math.min(1, transmitted),
    reflectedToGlass: rounded(toGlass, transmitted),
    reflectedToAir: rounded(toAir, transmitted),
  };
  if (
    transmitted > 1 + ROUNDED_UP ||
    element.reflectedToGlass < 0 ||
    element.reflectedToAir < 0 ||
    transmitted + Math.max(toGlass, toAir) > 1 + ROUNDED_UP
  ) {
    throw new CoreError('GLAZING_SHARES', {
      path: 'film',
      expected: 'figures that this film can have on its reference glass',
      got: `film alone would transmit ${transmitted.toFixed(3)} and reflect ${toGlass.toFixed(3)} and ${toAir.toFixed(3)}`,
    });
  }
  return element;
}

function rounded(share: number, transmitted: number): number {
  return share < 0 && share > -ROUNDED_OFF ? 0 : Math.min(share, Math.max(0, 1 - transmitted));
}

/** A glass surface without film, as an element. */
export function bareSurface({ surface }: BareGlass): FilmElement {
  return { transmitted: 1 - surface, reflectedToGlass: surface, reflectedToAir: surface };
}

/** Two elements one on the other, the first next to the glass: film on a coating, film on film. */
export function onTop(below: FilmElement, above: FilmElement): FilmElement {
  const between = 1 - below.reflectedToAir * above.reflectedToGlass;
  return {
    transmitted: (below.transmitted * above.transmitted) / between,
    reflectedToGlass: below.reflectedToGlass + (below.transmitted ** 2 * above.reflectedToGlass) / between,
    reflectedToAir: above.reflectedToAir + (above.transmitted ** 2 * below.reflectedToAir) / between,
  };
}

/** A pane from the elements on its two faces and the body between them. */
export function paneOf(front: FilmElement, body: number, back: FilmElement): LayerOptics {
  const between = 1 - front.reflectedToGlass * back.reflectedToGlass * body ** 2;
  return {
    transmitted: (front.transmitted * body * back.transmitted) / between,
    reflectedFront:
      front.reflectedToAir + (front.transmitted ** 2 * body ** 2 * back.reflectedToGlass) / between,
    reflectedBack:
      back.reflectedToAir + (back.transmitted ** 2 * body ** 2 * front.reflectedToGlass) / between,
  };
}

/** Two layers behind each other. */
export function behind(front: LayerOptics, back: LayerOptics): LayerOptics {
  const between = 1 - front.reflectedBack * back.reflectedFront;
  return {
    transmitted: (front.transmitted * back.transmitted) / between,
    reflectedFront: front.reflectedFront + (front.transmitted ** 2 * back.reflectedFront) / between,
    reflectedBack: back.reflectedBack + (back.transmitted ** 2 * front.reflectedBack) / between,
  };
}

const NOTHING: LayerOptics = { transmitted: 1, reflectedFront: 0, reflectedBack: 0 };

/** Any number of layers, outermost first: what goes through, comes back, and stays in each.
 *  @source net radiation both ways, as EN 410 for two and three panes */
export function stackOf(layers: readonly LayerOptics[]): StackOptics {
  const fronts: LayerOptics[] = [NOTHING];
  for (const layer of layers) fronts.push(behind(fronts.at(-1) ?? NOTHING, layer));
  const backs: LayerOptics[] = Array.from({ length: layers.length + 1 }, () => NOTHING);
  for (let index = layers.length - 1; index >= 0; index -= 1)
    backs[index] = behind(layers[index] ?? NOTHING, backs[index + 1] ?? NOTHING);
  const inward = fronts.map((front, index) => {
    const onward = index === layers.length ? 0 : (backs[index]?.reflectedFront ?? 0);
    return front.transmitted / (1 - front.reflectedBack * onward);
  });
  const outward = inward.map((light, index) =>
    index === layers.length ? 0 : light * (backs[index]?.reflectedFront ?? 0),
  );
  const absorbed = layers.map(
    ({ transmitted, reflectedFront, reflectedBack }, index) =>
      valueAt(inward, index) * (1 - transmitted - reflectedFront) +
      valueAt(outward, index + 1) * (1 - transmitted - reflectedBack),
  );
  return { ...(fronts.at(-1) ?? NOTHING), absorbed };
}
