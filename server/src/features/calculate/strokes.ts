import type { strokesRequestSchema } from '@yellow-pane/contracts';
import { learnedOf } from '@yellow-pane/core/learned';
import { linerPlan } from '@yellow-pane/core/liner';
import { CoreError } from '@yellow-pane/core/quantity';
import { RULES } from '@yellow-pane/core/rules';
import {
  type Face,
  type StrokesAsked,
  boundsOf,
  crossesItself,
  cutOut,
  faceOf,
  insetFace,
  judgeStrokes,
  lapFor,
  lineChanceBy,
  calculateStrokes,
  squareStroke,
  timeOf,
  timeOfTwo,
} from '@yellow-pane/core/strokes';
import { trimPlan } from '@yellow-pane/core/trimming';
import type { z } from 'zod';

type Asked = z.infer<typeof strokesRequestSchema>;

const usual = (key: Parameters<typeof learnedOf>[0]): number => learnedOf(key, []).value;

/**
 * Strokes over any outline with what they reach and what is wrong with them; what is trimmed, and how the
 * liner comes off.
 */
export function strokesAnswer(asked: Asked) {
  const wander_mm = asked.wander_mm ?? usual('stroke-wander');
  const lap = lapFor(wander_mm);
  const own: StrokesAsked = {
    face: faceAsked(asked),
    tool: {
      blade_mm: asked.blade_mm ?? usual('stroke-blade'),
      overlap_mm: asked.overlap_mm ?? lap.value,
      card_mm: asked.card_mm ?? usual('stroke-card'),
    },
    way: asked.way ?? 'lanes',
    lock: asked.lock ?? 'T',
    first: asked.first ?? 'right',
    isDry: asked.isDry ?? false,
    people: asked.people ?? 1,
  };
  const planned = calculateStrokes(own);
  const strokes =
    asked.strokes?.map(({ key, from, to, width_mm }) => squareStroke(key, from, to, width_mm)) ?? planned;
  const pace = { speed_mms: usual('stroke-speed'), lift_s: usual('stroke-lift') };
  return {
    ...judgeStrokes(own, strokes),
    lap,
    lineChance: lineChanceBy(own.tool.overlap_mm, wander_mm),
    time_s: timeOf(strokes, pace),
    ...(own.people === 2 ? { timeOfTwo_s: timeOfTwo(own.face, strokes, pace) } : {}),
    ...(asked.trim === undefined ? {} : { trim: trimAsked(asked, asked.trim) }),
    ...(asked.liner === undefined ? {} : { liner: linerAsked(own.face, asked.liner) }),
  };
}

/** The outline without openings and without the strip that is left until it is trimmed. */
function faceAsked({ outline, holes = [], closedSides, inset_mm = 0 }: Asked): Face {
  for (const own of [outline, ...holes])
    if (crossesItself([own]))
      throw new CoreError('STROKES_FACE', {
        path: own === outline ? 'outline' : 'holes',
        expected: 'sides that do not cross',
        got: 'sides that cross',
      });
  const whole =
    holes.length > 0
      ? cutOut(outline, holes)
      : faceOf([outline], closedSides && [outline.map((_, index) => closedSides.includes(index))]);
  const face = insetFace(whole, inset_mm);
  if (face === undefined)
    throw new CoreError('STROKES_FACE', {
      path: 'inset_mm',
      expected: 'film left inside the strip along the edges',
      got: String(inset_mm),
    });
  return face;
}

const trimAsked = ({ outline }: Asked, asked: NonNullable<Asked['trim']>) =>
  trimPlan({
    ...asked,
    outline,
    reach_mm: asked.reach_mm ?? usual('trim-reach'),
    point_mm: usual('trim-point'),
    gap_mm: { least: RULES.edgeGap.value, most: RULES.edgeGap.most },
  });

function linerAsked(face: Face, { way, people, hand }: NonNullable<Asked['liner']>) {
  const { left, right, bottom, top } = boundsOf(face);
  return linerPlan({ width_mm: right - left, height_mm: top - bottom, way, people, hand: hand ?? null });
}
