import type { Change, Op } from '@yellow-pane/contracts';
import { type CrewMember, NEW_DAY } from '@yellow-pane/core/job';
import { demoId } from './demo-id';
import { DEMO_JOB_ID, DEMO_WHO } from './demo-changes';

export const DEMO_ZONE = 'Europe/Zurich';

/** Two and a half people: the third helps in the mornings. */
const CREW: readonly CrewMember[] = [
  {
    name: 'Wren',
    skills: ['film', 'heat'],
    begins: 450,
    ends: 1020,
    breakBegins: 720,
    breakEnds: 765,
    position: 1,
  },
  {
    name: 'Linnet',
    skills: ['film', 'heat'],
    begins: 450,
    ends: 1020,
    breakBegins: 720,
    breakEnds: 765,
    position: 2,
  },
  { name: 'Siskin', skills: [], begins: 450, ends: 720, breakBegins: 0, breakEnds: 0, position: 3 },
];

/** The days at Kestrel Hill, from a date on. @param firstDay such as 2026-11-26 */
export function demoDays(firstDay: string): { readonly jobId: string; readonly change: Change } {
  const ops: readonly Op[] = [
    {
      op: 'put',
      table: 'daySettings',
      id: demoId('day', 1),
      fields: {
        ...NEW_DAY,
        firstDay,
        days: 6,
        restDays: [],
        zone: DEMO_ZONE,
        indoor_C: 18,
        indoorHumidity: 0.4,
        bearingDoubt_deg: 2,
        tools: [
          { tool: 'heat gun', count: 1 },
          { tool: 'ladder', count: 1 },
          { tool: 'dust extractor', count: 1 },
          { tool: 'infrared thermometer', count: 1 },
        ],
      },
    },
    ...CREW.map((fields, index): Op => ({
      op: 'put',
      table: 'crewMember',
      id: demoId('crew', index + 1),
      fields,
    })),
  ];
  return {
    jobId: DEMO_JOB_ID,
    change: { id: demoId('change', 3), session: demoId('session', 1), who: DEMO_WHO, ops },
  };
}
