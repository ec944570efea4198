import { RULES } from '../../rules';
import { degrees, mm } from '../step-numbers';
import { CUT, FINISH_LAID, GROUND, promoter } from './decor-parts';
import type { StepCase, StepTemplate, WorkTemplate } from './template';

/** Turns of one wing: what is left of the girth beside the strip, halved, a turn at a time. */
const turnsOf = ({ girth_mm }: StepCase): number =>
  girth_mm === null
    ? 1
    : Math.round((girth_mm + RULES.columnLap.value - RULES.linerStrip.value) / 2 / TURN_MM);
const TURN_MM = RULES.columnTurn.value;

const round = (key: string, wing: string, why: string): StepTemplate => ({
  key,
  what: `${wing}: {turn} of width at a time. Bottom: short trim, press. Top: the same. Press again before going on.`,
  variants: [
    {
      school: 'pressure',
      says: {
        squeegee: 'With the squeegee; feel for bubbles with a glove.',
        'gloved hand': 'With a gloved hand; the squeegee where it is soft.',
      },
    },
  ],
  why,
  right: 'Both ends lie, no pull towards the next turn.',
  wrong: 'An end tears: it was cut free too late. Trim shorter on the next turn.',
  numbers: { turn: mm(TURN_MM) },
  tools: ['hard squeegee', 'gloves', 'snap-off blade'],
  cautions: ['blade', 'liner', 'ladder'],
  shared: ['ladder'],
  takes: ['work-lay-half'],
  rounds: turnsOf,
  draws: 'strokes',
  crew: 2,
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
});

/** Round and tapered columns; a tapered one the same on the sector's own axis. */
export const COLUMN: WorkTemplate = {
  template: 'column',
  version: 1,
  of: [{ method: 'column' }],
  notFor: ['square column'],
  schools: ['pressure'],
  steps: [
    ...GROUND,
    CUT,
    {
      key: 'notch',
      what: 'On the table: slit a strip of liner {strip} wide in the middle of the sheet and leave it on. At its top and bottom a notch in the middle of the short edges, as wide as the strip, {deep} deep, its sides flaring outwards at {flare}.',
      why: 'The wings keep their full length and flare on to floor and ceiling.',
      numbers: { strip: mm(RULES.linerStrip.value), deep: mm(RULES.notch.value), flare: degrees(45) },
      tools: ['liner knife', 'snap-off blade', 'straight-edge'],
      cautions: ['blade'],
      takes: ['work-cut'],
    },
    {
      key: 'strip',
      what: 'Clean gloves, no lotion. Crease a little liner of the strip back. Notch edge level with the base, plumb; press. Strip off as it goes on.',
      why: 'The strip fixes it upright while both wings are still free.',
      right: 'The plumb line and the strip do not part over the whole height.',
      wrong: 'It leans: lift to the base and begin again; a leaning strip is a spiral at the back.',
      tools: ['gloves', 'level', 'plumb line'],
      cautions: ['liner', 'ladder'],
      shared: ['ladder'],
      takes: ['work-handling', 'work-align'],
      crew: 2,
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      then: { least: 0, most: 10, why: 'a column is laid in one go' },
    },
    round('round', 'One wing round', 'The ends are under stress: cut free late, they tear.'),
    round(
      'round-other',
      'The other wing round, up to the back',
      'What lies at the back first is what the seam laps.',
    ),
    {
      key: 'seam-tape',
      what: 'At the back: straight tape {lap} in from the edge that is already down.',
      why: 'The tape keeps the promoter to a straight strip.',
      numbers: { lap: mm(RULES.columnLap.value) },
      tools: ['masking tape'],
      cautions: ['ladder'],
      takes: ['work-mask-seam'],
      along: 'height',
      skill: 'film',
      needsFit: true,
    },
    promoter({
      key: 'seam-promoter',
      what: 'Promoter on the strip beside the tape, not past it.',
    }),
    {
      key: 'seam',
      what: 'Hold the free wing away and take the tape off. Then press it down from the fixed side out, the edges several times.',
      why: 'Tape left in would lie under the lap; an even lap looks like an edge.',
      tools: ['hard squeegee'],
      cautions: ['ladder'],
      takes: ['work-seam'],
      along: 'height',
      skill: 'film',
      needsFit: true,
    },
    {
      key: 'glove',
      what: 'Glove over the seam, then over the whole column.',
      why: 'A hand feels what the light does not show.',
      tools: ['gloves'],
      cautions: [],
      takes: ['work-look'],
      skill: 'film',
    },
    ...FINISH_LAID,
  ],
};
