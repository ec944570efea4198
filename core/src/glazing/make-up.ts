import { CoreError, valueAt } from '../quantity';
import { type Band, type ByBand, byBand, solarOf } from './bands';
import { paneAtAngle } from './angle';
import { type FilmOptics, checkFilmOptics, elementOfFilm } from './film-optics';
import type { GasMix } from './gas';
import {
  type CoatingKind,
  GLASS_CONDUCTIVITY_WmK,
  GLASS_EMISSIVITY,
  type GlassTint,
  INTERLAYER_CONDUCTIVITY_WmK,
  INTERLAYER_MM,
  bareGlass,
  coatingElement,
  coatingEmissivity,
} from './glass-table';
import type { HeatGap, HeatPane } from './heat-balance';
import {
  type FilmElement,
  type LayerOptics,
  type StackOptics,
  bareSurface,
  onTop,
  paneOf,
  stackOf,
} from './optics';

export interface MakeUpPane {
  readonly tint: GlassTint;
  readonly thickness_mm: number;
  /** Two sheets with an interlayer: takes the ultraviolet, and counts as one pane. */
  readonly isLaminated?: boolean | undefined;
  readonly coating?: { readonly kind: CoatingKind; readonly side: 'front' | 'back' } | null | undefined;
}

/**
 * Glass outermost first, and films by face: 1 and 2 are the outermost pane's, and so on. Several on one face
 * lie on each other in their order.
 */
export interface MakeUp {
  readonly panes: readonly MakeUpPane[];
  readonly gaps: readonly { readonly width_mm: number; readonly gas: GasMix }[];
  readonly films: readonly { readonly face: number; readonly film: FilmOptics }[];
  /** A closed, unvented blind or curtain close behind the glass: one more layer, for heat. */
  readonly hasBlind?: boolean;
}

/** A light fabric close behind glass. @source own judgement: middling blind */
const BLIND: LayerOptics = { transmitted: 0.1, reflectedFront: 0.5, reflectedBack: 0.5 };
const BLIND_HEAT = {
  thickness_m: 0.001,
  conductivity_WmK: 0.15,
  emissivityFront: 0.85,
  emissivityBack: 0.85,
} as const;
const BLIND_GAP: HeatGap = { width_m: 0.05, gas: { air: 1 } };

export interface MakeUpOptics {
  readonly byBand: ByBand<StackOptics>;
  /** The weighted sum of the bands: never one solar band pushed through. */
  readonly solar: StackOptics;
  readonly emissivities: readonly (readonly [front: number, back: number])[];
}

const MOST_PANES = 4;
const MOST_THICKNESS_MM = 60;
const GAP_MM = [3, 60] as const;
/** Share of ultraviolet an interlayer lets through. @source polyvinyl butyral (from memory) */
const INTERLAYER_UV = 0.005;

/**
 * @throws CoreError GLAZING_PANES, GLAZING_THICKNESS, GLAZING_GAP, GLAZING_FACE or GLAZING_SHARES: names the
 * field
 */
function checkMakeUp({ panes, gaps, films }: MakeUp): void {
  if (panes.length < 1 || panes.length > MOST_PANES)
    throw new CoreError('GLAZING_PANES', {
      path: 'panes',
      expected: `1 to ${MOST_PANES} panes`,
      got: String(panes.length),
    });
  panes.forEach(({ thickness_mm }, index) => {
    if (!(thickness_mm > 0 && thickness_mm <= MOST_THICKNESS_MM))
      throw new CoreError('GLAZING_THICKNESS', {
        path: `panes.${index}.thickness_mm`,
        expected: `more than 0, at most ${MOST_THICKNESS_MM} mm`,
        got: String(thickness_mm),
      });
  });
  if (gaps.length !== panes.length - 1)
    throw new CoreError('GLAZING_GAP', {
      path: 'gaps',
      expected: `${panes.length - 1}, one fewer than panes`,
      got: String(gaps.length),
    });
  gaps.forEach(({ width_mm, gas }, index) => {
    if (!(width_mm >= GAP_MM[0] && width_mm <= GAP_MM[1]))
      throw new CoreError('GLAZING_GAP', {
        path: `gaps.${index}.width_mm`,
        expected: `${GAP_MM[0]} to ${GAP_MM[1]} mm`,
        got: String(width_mm),
      });
    const shares = Object.values(gas).reduce<number>((sum, share) => sum + (share ?? 0), 0);
    if (!(Math.abs(shares - 1) < 1e-6))
      throw new CoreError('GLAZING_GAP', {
        path: `gaps.${index}.gas`,
        expected: 'shares that are together 1',
        got: String(shares),
      });
  });
  films.forEach(({ face, film }, index) => {
    if (face !== 1 && face !== panes.length * 2)
      throw new CoreError('GLAZING_FACE', {
        path: `films.${index}.face`,
        expected: `1 or ${panes.length * 2}: nobody reaches the faces between panes`,
        got: String(face),
      });
    checkFilmOptics(`films.${index}.film`, film);
  });
}

/** What light and sun do in the whole make-up.
 *  @param cosine of the angle of incidence, 1 = straight on
 *  @throws CoreError as `checkMakeUp` */
export function opticsOfMakeUp(makeUp: MakeUp, cosine = 1): MakeUpOptics {
  checkMakeUp(makeUp);
  return opticsAt(layersOf(makeUp), cosine);
}

/** Optics at several angles for one make-up: the layers are made once. */
export function opticsAtAngles(makeUp: MakeUp, cosines: readonly number[]): readonly MakeUpOptics[] {
  checkMakeUp(makeUp);
  const layers = layersOf(makeUp);
  return cosines.map((cosine) => opticsAt(layers, cosine));
}

interface Layers {
  readonly panes: readonly {
    readonly straight: ByBand<LayerOptics>;
    readonly solarTransmitted: number;
    readonly isBare: boolean;
  }[];
  readonly emissivities: readonly (readonly [number, number])[];
  readonly hasBlind: boolean;
}

function layersOf(makeUp: MakeUp): Layers {
  const { panes, films, hasBlind = false } = makeUp;
  return {
    hasBlind,
    panes: panes.map((pane, index) => {
      const onFront = films.filter(({ face }) => face === 2 * index + 1).map(({ film }) => film);
      const onBack = films.filter(({ face }) => face === 2 * index + 2).map(({ film }) => film);
      const straight = byBand((band) => paneInBand(pane, onFront, onBack, band));
      return {
        straight,
        solarTransmitted: solarOf(byBand((band) => straight[band].transmitted)),
        isBare: (pane.coating ?? null) === null && onFront.length + onBack.length === 0,
      };
    }),
    emissivities: panes.map(
      ({ coating }, index) =>
        [
          faceEmissivity(makeUp, 2 * index + 1, coating?.side === 'front' ? coating.kind : null),
          faceEmissivity(makeUp, 2 * index + 2, coating?.side === 'back' ? coating.kind : null),
        ] as const,
    ),
  };
}

function opticsAt({ panes, emissivities, hasBlind }: Layers, cosine: number): MakeUpOptics {
  const bands = byBand((band) =>
    stackOf([
      ...panes.map(({ straight, solarTransmitted, isBare }) =>
        paneAtAngle(straight[band], isBare, solarTransmitted, cosine),
      ),
      ...(hasBlind ? [BLIND] : []),
    ]),
  );
  const of = (pick: (stack: StackOptics) => number): number => solarOf(byBand((band) => pick(bands[band])));
  return {
    byBand: bands,
    emissivities,
    solar: {
      transmitted: of(({ transmitted }) => transmitted),
      reflectedFront: of(({ reflectedFront }) => reflectedFront),
      reflectedBack: of(({ reflectedBack }) => reflectedBack),
      absorbed: bands.visible.absorbed.map((_, index) => of(({ absorbed }) => valueAt(absorbed, index))),
    },
  };
}

/**
 * One pane in one band. A pattern is film over its covered share and bare glass over the rest; the parts lie
 * side by side, so the shares add. Film on a coating or on film keeps the glass side it was measured with:
 * within about 0.02.
 */
function paneInBand(
  { tint, thickness_mm, isLaminated = false, coating = null }: MakeUpPane,
  onFront: readonly FilmOptics[],
  onBack: readonly FilmOptics[],
  band: Band,
): LayerOptics {
  const glass = bareGlass(tint, thickness_mm, band);
  const body = isLaminated && band === 'uv' ? glass.body * INTERLAYER_UV : glass.body;
  const bare = bareSurface(glass);
  const base = (side: 'front' | 'back'): FilmElement =>
    coating?.side === side ? coatingElement(coating.kind, band) : bare;
  const dressed = (
    side: 'front' | 'back',
    films: readonly FilmOptics[],
  ): readonly (readonly [FilmElement, number])[] => {
    const [lowest] = films;
    if (lowest === undefined) return [[base(side), 1]];
    const covered = [
      ...(coating?.side === side ? [base(side)] : []),
      ...films.map((film) => elementOfFilm(film, band)),
    ].reduce((below, above) => onTop(below, above));
    const { coverage } = lowest;
    return coverage >= 1
      ? [[covered, 1]]
      : [
          [covered, coverage],
          [base(side), 1 - coverage],
        ];
  };
  const sum = { transmitted: 0, reflectedFront: 0, reflectedBack: 0 };
  for (const [front, frontShare] of dressed('front', onFront)) {
    for (const [back, backShare] of dressed('back', onBack)) {
      const pane = paneOf(front, body, back);
      const share = frontShare * backShare;
      sum.transmitted += share * pane.transmitted;
      sum.reflectedFront += share * pane.reflectedFront;
      sum.reflectedBack += share * pane.reflectedBack;
    }
  }
  return sum;
}

function faceEmissivity({ films }: MakeUp, face: number, coating: CoatingKind | null): number {
  const below = coating === null ? GLASS_EMISSIVITY : coatingEmissivity(coating);
  return films
    .filter((entry) => entry.face === face)
    .reduce((under, { film }) => film.coverage * film.emissivity + (1 - film.coverage) * under, below);
}

/**
 * The make-up as the heat balance wants it, a blind last.
 *
 * @param absorbed what of the sun stays in each layer; empty: no sun
 */
export function heatPanesOf(
  { panes, hasBlind = false }: MakeUp,
  absorbed: readonly number[],
  emissivities: MakeUpOptics['emissivities'],
): readonly HeatPane[] {
  const sunIn = (layer: number): number => (absorbed.length === 0 ? 0 : valueAt(absorbed, layer));
  const glass = panes.map(({ thickness_mm, isLaminated = false }, index): HeatPane => ({
    thickness_m: thickness_mm / 1000,
    conductivity_WmK: isLaminated
      ? thickness_mm /
        ((thickness_mm - INTERLAYER_MM) / GLASS_CONDUCTIVITY_WmK +
          INTERLAYER_MM / INTERLAYER_CONDUCTIVITY_WmK)
      : GLASS_CONDUCTIVITY_WmK,
    emissivityFront: emissivities[index]?.[0] ?? GLASS_EMISSIVITY,
    emissivityBack: emissivities[index]?.[1] ?? GLASS_EMISSIVITY,
    absorbed: sunIn(index),
  }));
  return hasBlind ? [...glass, { ...BLIND_HEAT, absorbed: sunIn(panes.length) }] : glass;
}

export function heatGapsOf({ gaps, hasBlind = false }: MakeUp): readonly HeatGap[] {
  const between = gaps.map(({ width_mm, gas }): HeatGap => ({ width_m: width_mm / 1000, gas }));
  return hasBlind ? [...between, BLIND_GAP] : between;
}
