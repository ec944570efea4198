import type { Broken, PlanProblem, Reason, Relief } from '@yellow-pane/core/scheduling';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { closedWords, isClosedWhy } from './closed-words';

/** How minutes are said where the work is. */
export interface PlanWords {
  /** Such as '11:40', or 'Tue 11:40' on another day. */
  readonly clock: (minute: number) => string;
  readonly units: DisplayUnits;
}

const NOUN = (minutes: number): string =>
  minutes < 120
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${minutes % 60} min`}`;
const because = (why: string): string => (why === '' ? '' : `: ${why}`);

const reasonWords = (why: Reason, units: DisplayUnits): string =>
  typeof why === 'string' ? why : isClosedWhy(why) ? closedWords(why, units) : why.case;

/** What a start breaks, in the trade's plain words. */
export function brokenInWords(
  broken: Broken,
  { steps, people, tools }: PlanProblem,
  { clock, units }: PlanWords,
): string {
  const step = (id: string): string => steps.find((own) => own.id === id)?.word ?? id;
  const person = (id: string): string => people.find((own) => own.id === id)?.name ?? id;
  switch (broken.kind) {
    case 'pinned':
      return `pinned to ${clock(broken.start)}`;
    case 'too soon after':
      return `not before ${clock(broken.from)}, ${broken.least === 0 ? 'when' : `${NOUN(broken.least)} after`} '${step(broken.other)}' ${broken.least === 0 ? 'is done' : 'ended'}${because(broken.why)}`;
    case 'too long after':
      return `not after ${clock(broken.until)}, at most ${NOUN(broken.most)} after '${step(broken.other)}'${because(broken.why)}`;
    case 'too late for':
      return `must be done by ${clock(broken.until)}, ${broken.least === 0 ? 'when' : `${NOUN(broken.least)} before`} '${step(broken.other)}' begins${because(broken.why)}`;
    case 'too long before':
      return `not done before ${clock(broken.from)}, at most ${NOUN(broken.most)} before '${step(broken.other)}'${because(broken.why)}`;
    case 'not fit':
      return broken.why === ''
        ? 'the surface is not fit for so long'
        : `${reasonWords(broken.why, units)}, until ${clock(broken.to)}`;
    case 'nobody at work':
      return `${broken.need} ${broken.need === 1 ? 'person' : 'people'}${broken.skill === null ? '' : ` who can do '${broken.skill}'`} needed, ${broken.atWork === 0 ? 'nobody is' : `only ${broken.atWork} at work`}${broken.atWork === 0 ? ' at work' : ''} then`;
    case 'people busy':
      return broken.busy.length === 0
        ? `needs ${broken.need} people`
        : [...broken.busy]
            .sort((a, b) => a.until - b.until)
            .map(
              (own, index) =>
                `${person(own.person)} ${index === 0 ? `is at '${step(own.with)}' ` : ''}until ${clock(own.until)}`,
            )
            .join(', ');
    case 'tool in use':
      return `${tools.find(({ id }) => id === broken.tool)?.word ?? broken.tool} in use for '${step(broken.with)}' until ${clock(broken.until)}`;
    case 'air':
      return broken.otherMakesDust
        ? `'${step(broken.other)}' makes dust in this room until ${clock(broken.until)}`
        : `wet film lies open in this room: '${step(broken.other)}' until ${clock(broken.until)}`;
    case 'not before':
      return `not before ${clock(broken.minute)}${because(broken.why)}`;
    case 'after the end':
      return `beyond the days planned, which end ${clock(broken.horizon)}`;
  }
}

/** What would have to give, in words. */
export function reliefInWords(
  relief: Relief,
  { steps, tools }: PlanProblem,
  fitnessWord: (id: string) => string,
): string {
  const step = (id: string): string => steps.find((own) => own.id === id)?.word ?? id;
  switch (relief.kind) {
    case 'one more day':
      return 'one more day like the last';
    case 'one more of':
      return `one more ${tools.find(({ id }) => id === relief.tool)?.word ?? relief.tool}`;
    case 'one more person':
      return relief.skill === null ? 'one more person' : `one more person who can do '${relief.skill}'`;
    case 'hours until':
      return `${NOUN(relief.minutes)} longer each evening`;
    case 'fit longer':
      return relief.fitness.length === 1
        ? `${fitnessWord(relief.fitness[0] ?? '')} fit for longer: shade it or wait for another day`
        : `${[...new Set(relief.fitness.map(fitnessWord))].join(', ')} fit for longer, all of them: wait for other days, or plan without them`;
    case 'without the pin of':
      return `'${step(relief.step)}' not pinned`;
    case 'a longer wait before':
      return `'${step(relief.step)}' allowed to follow later`;
  }
}
