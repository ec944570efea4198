import type { Op } from '@yellow-pane/contracts';
import { type CrewMember, NEW_DAY, type Person, newPerson } from '@yellow-pane/core/job';
import { demoId } from './demo-id';
import { DEMO_BY, DEMO_JOB_ID, type DemoChange } from './demo-changes';

export const DEMO_ZONE = 'Europe/Zurich';

/** Two and a half people: the third helps in the mornings. */
export const DEMO_PEOPLE: readonly { readonly id: string; readonly person: Person }[] = [
  { ...newPerson('Wren'), hand: 'right' as const },
  { ...newPerson('Linnet'), hand: 'left' as const },
  { ...newPerson('Siskin'), skills: [] },
].map((person, index) => ({ id: demoId('person', index + 1), person }));

const FULL_DAY = { begins: 450, ends: 1020, breakBegins: 720, breakEnds: 765 };
const MORNING = { begins: 450, ends: 720, breakBegins: 0, breakEnds: 0 };
const CREW: readonly CrewMember[] = DEMO_PEOPLE.map(({ id, person }, index) => ({
  personId: id,
  name: person.name,
  ...(index < 2 ? FULL_DAY : MORNING),
  position: index + 1,
}));

/** The days at Kestrel Hill, from a date on. @param firstDay such as 2026-11-26 */
export function demoDays(firstDay: string): DemoChange {
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
    change: { id: demoId('change', 3), session: demoId('session', 1), ...DEMO_BY, ops },
  };
}
