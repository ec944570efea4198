import type { z } from 'zod';
import { scheduleRequestSchema, sunRequestSchema, waitsRequestSchema } from '@yellow-pane/contracts';
import { bandOfEnd, directSun, sunTrack } from '@yellow-pane/core/climate';
import { brokenInWords, reliefInWords } from '@yellow-pane/contracts/words';
import { MATERIAL_NOT_STATED } from '@yellow-pane/core/job';
import { type PlanProblem, whyNotEarlier } from '@yellow-pane/core/scheduling';
import {
  type Wait,
  clearBy,
  conditionedRoom,
  firstBond,
  panelWarming,
  primerDry,
  promoterDry,
  puttyDry,
  rollWarming,
  sealantBack,
  wallDry,
} from '@yellow-pane/core/waiting';
import { Router } from 'express';
import { DateTime } from 'luxon';
import { parseBody } from '../../http/refusal';
import type { Searching } from './search/searching';

const DAYS_WITH_BANDS = 14;

/** Sun, waits and order over the wire, without a job. */
export function dayCalculationRoutes({ search }: { readonly search: Searching }): Router {
  const routes = Router();
  routes.post('/api/calculate/sun', (request, response) => {
    response.json(sunAnswer(parseBody(sunRequestSchema, request.body)));
  });
  routes.post('/api/calculate/waits', (request, response) => {
    response.json({ waits: waitsAnswer(parseBody(waitsRequestSchema, request.body)) });
  });
  routes.post('/api/calculate/schedule', async (request, response) => {
    const { seed, mostRounds, milliseconds, searches, ...asked } = parseBody(
      scheduleRequestSchema,
      request.body,
    );
    const problem: PlanProblem = {
      ...asked,
      steps: asked.steps.map((step) => ({ ...step, word: step.word === '' ? step.id : step.word })),
      people: asked.people.map((person) => ({
        ...person,
        name: person.name === '' ? person.id : person.name,
      })),
    };
    const plan = await search('day', problem, { seed, mostRounds, milliseconds, searches });
    const words = { units: 'metric', clock: (minute: number): string => `minute ${minute}` } as const;
    if (plan.state === 'none') {
      response.json({
        ...plan,
        says: plan.relief.map((relief) => reliefInWords(relief, problem, (id) => id)),
      });
      return;
    }
    response.json({
      ...plan,
      steps: plan.steps.map((step) => {
        const broken = whyNotEarlier(problem, plan.steps, step.id);
        return {
          ...step,
          whyNotEarlier: broken,
          says: broken.map((own) => brokenInWords(own, problem, words)),
        };
      }),
    });
  });
  return routes;
}

/** Direct sun on a surface with the minutes it begins and ends, to the doubt about the bearing. */
function sunAnswer({
  place,
  from,
  days,
  zone,
  disc,
  bearingDoubt_deg,
  ...facing
}: z.infer<typeof sunRequestSchema>) {
  const first = DateTime.fromISO(from, { zone });
  const last = first.plus({ days });
  const track = sunTrack(place, first.toMillis(), last.toMillis());
  const local = (instant_ms: number): string =>
    DateTime.fromMillis(Math.round(instant_ms / 1000) * 1000, { zone }).toISO({
      suppressMilliseconds: true,
    }) ?? '';
  const end = (instant_ms: number) => {
    if (days > DAYS_WITH_BANDS || bearingDoubt_deg === 0) return { at: local(instant_ms) };
    const band = bandOfEnd(track, facing, instant_ms, bearingDoubt_deg);
    return { at: local(instant_ms), notBefore: local(band.from_ms), notAfter: local(band.to_ms) };
  };
  const sun = directSun(track, facing, disc);
  const edges = [first.toMillis(), ...sun.flatMap(({ from_ms, to_ms }) => [from_ms, to_ms]), last.toMillis()];
  return {
    zone,
    disc,
    sun: sun.map(({ from_ms, to_ms }) => ({
      begins: end(from_ms),
      ends: end(to_ms),
      minutes: Math.round((to_ms - from_ms) / 6000) / 10,
    })),
    noSun: edges.flatMap((edge, index) => {
      const next = edges[index + 1];
      return index % 2 === 0 && next !== undefined && next > edge
        ? [{ from: local(edge), to: local(next) }]
        : [];
    }),
  };
}

/** Everything that dries, warms or sets in this air. */
function waitsAnswer({
  air_C,
  humidity,
  putty_min,
  wash_min,
  film_um,
  glass_C,
  construction,
  vapourRate_gm2day,
  outdoorLow_C,
  roll,
  panel,
}: z.infer<typeof waitsRequestSchema>): readonly Wait[] {
  const air = { air_C, humidity };
  return [
    primerDry('water-based', air),
    primerDry('solvent-based', air),
    puttyDry(air, putty_min),
    wallDry(air, wash_min),
    promoterDry(),
    firstBond('film'),
    firstBond('decal'),
    ...(film_um === undefined
      ? []
      : [
          sealantBack(film_um),
          clearBy({
            film: {
              ...MATERIAL_NOT_STATED,
              thickness_um: film_um,
              family: 'solar',
              construction: construction ?? null,
              vapourRate_gm2day: vapourRate_gm2day ?? null,
            },
            known: [{ hours: 24, glass_C: glass_C ?? air_C, air }],
          }),
        ]),
    ...(outdoorLow_C === undefined ? [] : [conditionedRoom(outdoorLow_C)]),
    ...(roll === undefined ? [] : [rollWarming({ ...roll, room_C: air_C })]),
    ...(panel === undefined ? [] : [panelWarming(panel.start_C, air_C, panel.within_K, panel.store_Jm2K)]),
  ];
}
