import type { ClosedWhy } from '@yellow-pane/core/day';
import { RULES } from '@yellow-pane/core/rules';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { type Messages, sentenceOf } from './messages';

const CLOSED = {
  'sun on it': 'the sun is on it',
  'still warm': ({ surface_C }, { temperature }) => `still warm from the sun: ${temperature(surface_C)}`,
  'still cooling': 'still cooling: a quarter longer than calculated, edges follow slowly',
  'ice on it': ({ surface_C }, { temperature }) => `the surface is at ${temperature(surface_C)}: ice`,
  'near the dew point': ({ surface_C, dew_C }, { temperature, difference }) =>
    `${temperature(surface_C)} is within ${difference(RULES.dewMargin.value)} of the dew point, ${temperature(dew_C)}`,
  'too cold': ({ what, value_C, limit_C }, { temperature }) =>
    `the ${what} is at ${temperature(value_C)}, the film wants at least ${temperature(limit_C)}`,
  'too hot': ({ what, value_C, limit_C }, { temperature }) =>
    `the ${what} is at ${temperature(value_C)}, the film wants at most ${temperature(limit_C)}`,
  'too cold soon': ({ coldest_C, ahead_h, limit_C }, { temperature }) =>
    `it falls to ${temperature(coldest_C)} within ${ahead_h} h, the film wants at least ${temperature(limit_C)}`,
  rain: ({ rain_mm }) => `rain, ${rain_mm.toFixed(1)} mm in the hour`,
  'no forecast': 'no forecast for this hour',
  'no forecast for the glass': 'no forecast for this hour: the glass may be colder than the film bears',
} satisfies Messages<ClosedWhy>;

/** Why a surface is not fit to be worked on. */
export function closedWords(why: ClosedWhy, units: DisplayUnits = 'metric'): string {
  return sentenceOf<ClosedWhy>(CLOSED, why, units);
}

/** Whether a reason that came with a plan is one of these. */
export function isClosedWhy(why: { readonly case: string }): why is ClosedWhy {
  return why.case in CLOSED;
}
