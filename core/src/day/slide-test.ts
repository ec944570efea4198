import { type Formula, type Reasoned, CoreError, applyFormula } from '../quantity';
import { RULES } from '../rules';

/** What film does on wet glass before anything is stroked. */
export type Slide = 'sticks' | 'right' | 'runs off';

/** What is in the bottle at this moment. */
export interface Bottle {
  readonly soap_ml: number;
  readonly water_ml: number;
}

/** What is done to this bottle. */
export interface SlideAnswer {
  readonly does: 'nothing' | 'soap in' | 'pour off, fill up with water';
  /** So much soap, or so much poured off and water filled up. */
  readonly ml: Reasoned<number>;
  /** The bottle afterwards. */
  readonly after: Bottle;
  /** The mix is already as rich, or as lean, as laying film bears: it is something else. */
  readonly isAtItsEnd: boolean;
}

const SHARE_STEP: Formula<{ share: number; times: number }> = {
  id: 'day.slideShare',
  word: 'soap to aim at',
  says: "s' = s · k, within lean and rich",
  unit: 'share',
  source: RULES.slideStep.source,
  inputs: {
    share: { word: 'soap in water', unit: 'share' },
    times: { word: 'richer or leaner', unit: 'times' },
  },
  of: ({ share, times }) => share * times,
};
const SOAP_IN: Formula<{ water_ml: number; aim: number; soap_ml: number }> = {
  id: 'day.slideSoap',
  word: 'soap into this bottle',
  says: "V = water · s' − soap",
  unit: 'ml',
  source: RULES.slideStep.source,
  inputs: {
    water_ml: { word: 'water in it', unit: 'ml' },
    aim: { word: 'soap to aim at', unit: 'share' },
    soap_ml: { word: 'soap in it', unit: 'ml' },
  },
  of: ({ water_ml, aim, soap_ml }) => water_ml * aim - soap_ml,
};
const POUR_OFF: Formula<{ whole_ml: number; aim: number; share: number }> = {
  id: 'day.slidePourOff',
  word: 'to pour off and fill up with water',
  says: "V = bottle · (1 − s' / s)",
  unit: 'ml',
  source: RULES.slideStep.source,
  inputs: {
    whole_ml: { word: 'in the bottle', unit: 'ml' },
    aim: { word: 'soap to aim at', unit: 'share' },
    share: { word: 'soap in water', unit: 'share' },
  },
  of: ({ whole_ml, aim, share }) => whole_ml * (1 - aim / share),
};

export const SLIDE_FORMULAS = { step: SHARE_STEP, soap: SOAP_IN, pourOff: POUR_OFF } as const;

/**
 * What a slide on wet glass says about the mix in this bottle: it sticks, so more soap; it runs off, so less;
 * it can be moved and stays, so this is the mix to make next time.
 * @param lean share of soap under which film cannot be moved
 * @param rich share over which it does not stick
 * @throws CoreError DAY_BOTTLE_RANGE when the bottle holds no water or no soap
 * @source common practice in direction; how much richer or leaner is our guess
 */
export function slideTest(
  { soap_ml, water_ml }: Bottle,
  slide: Slide,
  { lean, rich }: { readonly lean: number; readonly rich: number },
): SlideAnswer {
  if (!(water_ml > 0 && soap_ml > 0))
    throw new CoreError('DAY_BOTTLE_RANGE', {
      path: water_ml > 0 ? 'soap_ml' : 'water_ml',
      expected: 'over 0 ml',
      got: String(water_ml > 0 ? soap_ml : water_ml),
    });
  const share = soap_ml / water_ml;
  const step = applyFormula(SHARE_STEP, { share, times: TIMES[slide] });
  const aim = Math.min(Math.max(step.value, Math.min(lean, share)), Math.max(rich, share));
  const after = { soap_ml: water_ml * aim, water_ml };
  if (aim === share)
    return { does: 'nothing', ml: { value: 0, why: [step] }, after, isAtItsEnd: slide !== 'right' };
  const change =
    aim > share
      ? applyFormula(SOAP_IN, { water_ml, aim, soap_ml })
      : applyFormula(POUR_OFF, { whole_ml: water_ml, aim, share });
  return {
    does: aim > share ? 'soap in' : 'pour off, fill up with water',
    ml: { value: change.value, why: [step, change] },
    after,
    isAtItsEnd: false,
  };
}

const TIMES: Readonly<Record<Slide, number>> = {
  sticks: RULES.slideStep.value,
  right: 1,
  'runs off': 1 / RULES.slideStep.value,
};
