import { glazingRequestSchema, privacyRequestSchema, stressRequestSchema } from '@yellow-pane/contracts';
import { filmAdviceWords, filmReasonWords, penaltyWords } from '@yellow-pane/contracts/words';
import { type FilmOptics, filmOfSheet, calculateGlazing } from '@yellow-pane/core/glazing';
import {
  INNER_SCENES,
  SCENES,
  contrastKept,
  dimmedBy,
  patternClass,
  privacyClass,
} from '@yellow-pane/core/privacy';
import { type StressVerdict, calculateStress } from '@yellow-pane/core/thermal-stress';
import { CoreError } from '@yellow-pane/core/quantity';
import { Router } from 'express';
import { parseBody } from '../../http/refusal';

/** Film on glass over the wire, without a job: the same functions the pages use. */
export function filmCalculationRoutes(): Router {
  const routes = Router();
  routes.post('/api/calculate/glazing', (request, response) => {
    const { films, ...rest } = parseBody(glazingRequestSchema, request.body);
    const read = readFilms(films);
    response.json(
      read.missing.length > 0
        ? { state: 'unknown', missing: read.missing }
        : { state: 'calculated', assumed: read.assumed, ...calculateGlazing({ ...rest, films: read.films }) },
    );
  });
  routes.post('/api/calculate/thermal-stress', (request, response) => {
    const { films, ...rest } = parseBody(stressRequestSchema, request.body);
    const read = readFilms(films);
    response.json(
      read.missing.length > 0
        ? {
            verdict: 'unknown',
            missing: read.missing,
            reasons: [`The sheet does not say: ${read.missing.join(', ')}.`],
          }
        : { assumed: read.assumed, ...inWords(calculateStress({ ...rest, films: read.films })) },
    );
  });
  routes.post('/api/calculate/privacy', (request, response) => {
    response.json(privacyOf(parseBody(privacyRequestSchema, request.body)));
  });
  return routes;
}

/** Reasons and advice as sentences, for whoever asks over the wire. */
function inWords({ reasons, advice, matrix, ...found }: StressVerdict): object {
  return {
    ...found,
    reasons: reasons.map((reason) => filmReasonWords(reason)),
    advice: advice.map((own) => filmAdviceWords(own)),
    ...(matrix === undefined
      ? {}
      : { matrix: { ...matrix, penalties: matrix.penalties.map((own) => penaltyWords(own)) } }),
  };
}

type Sheets = readonly { readonly face: number; readonly film: Parameters<typeof filmOfSheet>[0] }[];

function readFilms(films: Sheets): {
  readonly films: readonly { readonly face: number; readonly film: FilmOptics }[];
  readonly missing: readonly string[];
  readonly assumed: readonly string[];
} {
  const read = films.map(({ face, film }) => ({ face, ...filmOfSheet(film) }));
  return {
    films: read.flatMap(({ face, optics }) => (optics === null ? [] : [{ face, film: optics }])),
    missing: read.flatMap(({ missing, question }) => [
      ...missing,
      ...(question === null ? [] : [filmReasonWords({ case: 'light and sun do not go together', question })]),
    ]),
    assumed: read.flatMap(({ assumed }) => assumed),
  };
}

/** What core calls the near side is here the field that was asked. */
function ofField<Answer>(path: string, ask: () => Answer): Answer {
  try {
    return ask();
  } catch (error) {
    if (error instanceof CoreError && error.data.path === 'reflectedNear')
      throw new CoreError(error.code, { ...error.data, path });
    throw error;
  }
}

function privacyOf({
  transmitted,
  reflectedOutside,
  reflectedRoom,
  haze,
  coverage,
  opening_mm,
  bareTransmitted,
  bareReflected,
  scene,
}: ReturnType<typeof privacyRequestSchema.parse>): object {
  const scenes =
    scene === undefined ? { ...SCENES, ...INNER_SCENES } : { own: { name: 'your own scene', ...scene } };
  return Object.fromEntries(
    Object.entries(scenes).map(([key, at]) => {
      const fromRoom = key.endsWith('Out') || key.endsWith('FromB');
      const seen =
        key === 'brightIn' || key === 'dullIn'
          ? dimmedBy(at, coverage * transmitted + (1 - coverage) * bareTransmitted)
          : at;
      const film = ofField(fromRoom ? 'reflectedRoom' : 'reflectedOutside', () =>
        contrastKept({ transmitted, reflectedNear: fromRoom ? reflectedRoom : reflectedOutside, haze }, seen),
      );
      const bare = contrastKept(
        { transmitted: bareTransmitted, reflectedNear: bareReflected, haze: 0 },
        seen,
      );
      const contrast = coverage * film.value + (1 - coverage) * bare.value;
      return [
        key,
        {
          scene: at.name,
          contrast,
          class: patternClass(
            coverage,
            opening_mm,
            privacyClass(film.value),
            privacyClass(bare.value),
            contrast,
          ),
          why: film.why,
        },
      ];
    }),
  );
}
