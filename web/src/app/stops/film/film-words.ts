import type { FilmAnswer, Performance, SightLine } from '@yellow-pane/core/choosing';
import type { PrivacyClass } from '@yellow-pane/core/privacy';
import type { Step, Verdict } from '@yellow-pane/core/quantity';

export const percent = (share: number | null | undefined): string =>
  share == null ? 'unknown' : `${Math.round(share * 100)} %`;

const HEADS: Readonly<Record<Verdict, string>> = {
  go: 'Go',
  'go with care': 'Go with care',
  stop: 'Stop',
  unknown: 'Unknown',
};

/** The verdict's heading, with what it is about. */
export function headingOf(answer: FilmAnswer, isGlass: boolean): string {
  const about = !isGlass
    ? answer.fitness === null
      ? ''
      : ': the surface'
    : answer.stress?.panes.length
      ? ': glass stress'
      : '';
  return `${HEADS[answer.verdict]}${about}`;
}

const CLASS_WORDS: Readonly<Record<PrivacyClass, string>> = {
  open: 'seen clearly',
  reduced: 'seen, paler',
  outline: 'outlines only',
  faint: 'hardly anything',
  hidden: 'hidden',
};
export const sightWord = ({ class: found }: SightLine): string => CLASS_WORDS[found];

/** The truth about day and night in one sentence. */
export function privacySentence({ sight }: Performance, isPartition: boolean): string {
  const hides = (line: SightLine): boolean =>
    line.class === 'hidden' || line.class === 'faint' || line.class === 'outline';
  const [day, night] = [hides(sight.inByDay), hides(sight.inByNight)];
  const where = isPartition
    ? ['with both rooms lit', 'from a dark room into a lit one']
    : ['by day', 'at night with lamps on'];
  if (day && night)
    return `Faces are hidden ${where[0]} and ${where[1]}; whoever stands close behind it still throws a shadow.`;
  if (day) return `Faces are hidden ${where[0]}, not ${where[1]}: then it swaps sides and everybody sees in.`;
  return `It does not hide faces ${where[0]}${night ? '' : `, nor ${where[1]}`}.`;
}

export interface FigureLine {
  readonly key: string;
  readonly word: string;
  readonly value: string;
  readonly why: readonly Step[];
}

/** Every figure of a pane with a film, each with its steps. Heat says nothing where no sun comes. */
export function figureLines(performance: Performance, isPartition: boolean): readonly FigureLine[] {
  const {
    ratings,
    lightKept,
    heatKept,
    fading,
    sunPatch,
    daylight,
    daylightBeside: beside,
    year,
    sight,
  } = performance;
  const solar: readonly FigureLine[] = isPartition
    ? []
    : [
        {
          key: 'heatOff',
          word: "Sun's heat taken off",
          value: percent(1 - heatKept.value),
          why: [...ratings.solarHeatGain.why, ...heatKept.why],
        },
        {
          key: 'tser',
          word: 'Total solar energy kept out',
          value: percent(ratings.rejected.value),
          why: ratings.rejected.why,
        },
        {
          key: 'shgc',
          word: 'Solar heat gain (SHGC)',
          value: ratings.solarHeatGain.value.toFixed(2),
          why: ratings.solarHeatGain.why,
        },
        {
          key: 'sc',
          word: 'Shading coefficient',
          value: ratings.shadingCoefficient.value.toFixed(2),
          why: ratings.shadingCoefficient.why,
        },
        {
          key: 'lsg',
          word: 'Light for heat',
          value: ratings.lightToHeat.value.toFixed(2),
          why: ratings.lightToHeat.why,
        },
        {
          key: 'u',
          word: 'Heat lost in winter (U)',
          value: `${ratings.uValue.value.toFixed(1)} W/m²K`,
          why: ratings.uValue.why,
        },
        ...(year === undefined
          ? []
          : [
              {
                key: 'month',
                word: 'Heat in, sunniest month',
                value: `${Math.round(year.largestMonth.value)} kWh`,
                why: year.largestMonth.why,
              },
              {
                key: 'peak',
                word: 'Heat in, strongest hour',
                value: `${Math.round(year.peak.value)} W`,
                why: year.peak.why,
              },
            ]),
        {
          key: 'patch',
          word: 'Sun patch on a desk',
          value: `${(sunPatch.value / 1000).toFixed(1)} kcd/m²`,
          why: sunPatch.why,
        },
        { key: 'fading', word: 'What fades colours', value: percent(fading.value), why: fading.why },
        {
          key: 'daylight',
          word: 'Daylight from this pane',
          value: `${daylight.value.toFixed(1)} %`,
          why: daylight.why,
        },
        ...[
          { key: 'daylight-bare', word: '… without film', of: beside.bare },
          { key: 'daylight-curtain', word: '… behind a drawn curtain', of: beside.curtain },
          { key: 'daylight-frost', word: '… behind solid frost', of: beside.frost },
        ].map(({ key, word, of }) => ({ key, word, value: `${of.value.toFixed(1)} %`, why: of.why })),
      ];
  return [
    { key: 'light', word: 'Light kept', value: percent(lightKept.value), why: lightKept.why },
    ...solar,
    {
      key: 'in-day',
      word: isPartition ? 'From side A, both lit' : 'Seen into by day',
      value: sightWord(sight.inByDay),
      why: sight.inByDay.why,
    },
    {
      key: 'in-night',
      word: isPartition ? 'From a dark A into a lit B' : 'Seen into at night',
      value: sightWord(sight.inByNight),
      why: sight.inByNight.why,
    },
    {
      key: 'out-day',
      word: isPartition ? 'From side B, both lit' : 'View out by day',
      value: percent(sight.outByDay.kept),
      why: sight.outByDay.why,
    },
    {
      key: 'out-night',
      word: isPartition ? 'From a dark B into a lit A' : 'View out at night',
      value: percent(sight.outByNight.kept),
      why: sight.outByNight.why,
    },
  ];
}
