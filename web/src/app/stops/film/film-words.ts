import type { FilmAnswer, Performance, SightLine } from '@yellow-pane/core/choosing';
import type { PrivacyClass } from '@yellow-pane/core/privacy';
import type { Reasoned, Step, Verdict } from '@yellow-pane/core/quantity';
import { filmWords } from '../../words/film';

export const percent = (share: number | null | undefined): string =>
  share == null ? 'unknown' : `${Math.round(share * 100)} %`;

const HEADS: Readonly<Record<Verdict, string>> = {
  go: 'Go',
  'go with care': filmWords.goWithCare,
  stop: filmWords.stop,
  unknown: filmWords.unknown,
};

/** The verdict's heading, with what it is about. */
export function headingOf(answer: FilmAnswer, isGlass: boolean): string {
  const about = !isGlass
    ? answer.fitness === null
      ? ''
      : filmWords.surfaceBlank
    : answer.stress?.panes.length
      ? filmWords.glassStressOf
      : '';
  return `${HEADS[answer.verdict]}${about}`;
}

/** What the edge will bear of what it bears, MPa; undefined where nothing was calculated. */
export function marginOf({ edge }: FilmAnswer): string | undefined {
  return edge === null
    ? undefined
    : filmWords.tensionOf(edge.stress_MPa.toFixed(1), edge.bears?.low_MPa.toFixed(1) ?? '?');
}

const CLASS_WORDS: Readonly<Record<PrivacyClass, string>> = {
  open: filmWords.seenClearly,
  reduced: filmWords.seenPaler,
  outline: filmWords.outlinesOnly,
  faint: filmWords.hardlyAnything,
  hidden: 'hidden',
};
export const sightWord = ({ class: found }: SightLine): string => CLASS_WORDS[found];

/** The truth about day and night in one sentence. */
export function privacySentence({ sight }: Performance, isPartition: boolean): string {
  const hides = (line: SightLine): boolean =>
    line.class === 'hidden' || line.class === 'faint' || line.class === 'outline';
  const [day, night] = [hides(sight.inByDay), hides(sight.inByNight)];
  const [first, second] = isPartition
    ? ([filmWords.bothLit, filmWords.fromDarkIntoLit] as const)
    : ([filmWords.byDay, filmWords.atNightLit] as const);
  if (day && night) return filmWords.hiddenBoth(first, second);
  if (day) return filmWords.hiddenThere(first, second);
  return filmWords.doesNotHide(first, night ? '' : filmWords.nor(second));
}

interface FigureLine {
  readonly key: string;
  readonly word: string;
  readonly value: string;
  readonly why: readonly Step[];
}

/** Every figure of a pane with a film, each with its steps. Heat says nothing where no sun comes. */
export function figureLines(performance: Performance, isPartition: boolean): readonly FigureLine[] {
  const { lightKept } = performance;
  return [
    { key: 'light', word: filmWords.lightKept, value: percent(lightKept.value), why: lightKept.why },
    ...(isPartition ? [] : [...heatLines(performance), ...lightLines(performance)]),
    ...sightLines(performance, isPartition),
  ];
}

function heatLines({ ratings, heatKept, year }: Performance): readonly FigureLine[] {
  const { solarHeatGain, rejected, shadingCoefficient, lightToHeat, uValue } = ratings;
  const line = (
    key: string,
    word: string,
    value: string,
    { why }: Pick<Reasoned<number>, 'why'>,
  ): FigureLine => ({
    key,
    word,
    value,
    why,
  });
  return [
    {
      key: 'heatOff',
      word: filmWords.heatTakenOff,
      value: percent(1 - heatKept.value),
      why: [...solarHeatGain.why, ...heatKept.why],
    },
    line('tser', filmWords.solarKeptOut, percent(rejected.value), rejected),
    line('shgc', filmWords.solarGain, solarHeatGain.value.toFixed(2), solarHeatGain),
    line('sc', filmWords.shadingCoefficient, shadingCoefficient.value.toFixed(2), shadingCoefficient),
    line('lsg', filmWords.lightForHeat, lightToHeat.value.toFixed(2), lightToHeat),
    line('u', filmWords.heatLost, `${uValue.value.toFixed(1)} W/m²K`, uValue),
    ...(year === undefined
      ? []
      : [
          line(
            'month',
            filmWords.heatSunniestMonth,
            `${Math.round(year.largestMonth.value)} kWh`,
            year.largestMonth,
          ),
          line('peak', filmWords.heatStrongestHour, `${Math.round(year.peak.value)} W`, year.peak),
        ]),
  ];
}

function lightLines({
  sunPatch,
  fading,
  daylight,
  daylightBeside: beside,
}: Performance): readonly FigureLine[] {
  return [
    {
      key: 'patch',
      word: filmWords.sunPatch,
      value: filmWords.kiloCandela((sunPatch.value / 1000).toFixed(1)),
      why: sunPatch.why,
    },
    { key: 'fading', word: filmWords.fading, value: percent(fading.value), why: fading.why },
    ...[
      { key: 'daylight', word: filmWords.daylight, of: daylight },
      { key: 'daylight-bare', word: filmWords.withoutFilm, of: beside.bare },
      { key: 'daylight-curtain', word: filmWords.behindCurtain, of: beside.curtain },
      { key: 'daylight-frost', word: filmWords.behindFrost, of: beside.frost },
    ].map(({ key, word, of }) => ({ key, word, value: `${of.value.toFixed(1)} %`, why: of.why })),
  ];
}

function sightLines({ sight }: Performance, isPartition: boolean): readonly FigureLine[] {
  return [
    {
      key: 'in-day',
      word: isPartition ? filmWords.fromABothLit : filmWords.seenIntoByDay,
      value: sightWord(sight.inByDay),
      why: sight.inByDay.why,
    },
    {
      key: 'in-night',
      word: isPartition ? filmWords.fromDarkA : filmWords.seenIntoAtNight,
      value: sightWord(sight.inByNight),
      why: sight.inByNight.why,
    },
    {
      key: 'out-day',
      word: isPartition ? filmWords.fromBBothLit : filmWords.viewOutByDay,
      value: percent(sight.outByDay.kept),
      why: sight.outByDay.why,
    },
    {
      key: 'out-night',
      word: isPartition ? filmWords.fromDarkB : filmWords.viewOutAtNight,
      value: percent(sight.outByNight.kept),
      why: sight.outByNight.why,
    },
  ];
}
