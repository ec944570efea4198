import { CoreError } from '../quantity';
import { MOST_PEOPLE, MOST_STEPS, type PlanProblem, type Span } from './problem';

const MOST_MINUTES = 366 * 1440;

/**
 * Refuses what cannot be planned because it cannot be, as opposed to what does not fit.
 * @throws CoreError SCHEDULE_RANGE for figures, SCHEDULE_UNKNOWN for names that lead nowhere,
 * SCHEDULE_ID_TWICE
 */
export function refuseProblem({ people, tools, fitness, steps, lags, horizon }: PlanProblem): void {
  inRange('steps', steps.length, 1, MOST_STEPS, 'steps');
  inRange('people', people.length, 0, MOST_PEOPLE, 'people');
  inRange('horizon', horizon, 1, MOST_MINUTES, 'minutes');
  const toolIds = once('tools', tools);
  const fitnessIds = once('fitness', fitness);
  const stepIds = once('steps', steps);
  once('people', people);
  tools.forEach(({ count }, index) => {
    inRange(`tools.${index}.count`, count, 0, 1000, 'of them');
  });
  people.forEach(({ hours }, index) => {
    inOrder(`people.${index}.hours`, hours);
  });
  fitness.forEach(({ spans }, index) => {
    inOrder(`fitness.${index}.spans`, spans);
  });
  steps.forEach((step, index) => {
    refuseStep(step, `steps.${index}`, toolIds, fitnessIds);
  });
  lags.forEach(({ from, to, least, most }, index) => {
    known(`lags.${index}.from`, from, stepIds);
    known(`lags.${index}.to`, to, stepIds);
    inRange(`lags.${index}.least`, least, 0, MOST_MINUTES, 'whole minutes');
    if (most !== null && !(Number.isInteger(most) && most >= least))
      throw new CoreError('SCHEDULE_RANGE', {
        path: `lags.${index}.most`,
        expected: `nothing, or whole minutes not under ${least}`,
        got: String(most),
      });
  });
}

function refuseStep(
  step: PlanProblem['steps'][number],
  at: string,
  toolIds: ReadonlySet<string>,
  fitnessIds: ReadonlySet<string>,
): void {
  inRange(`${at}.minutes`, step.minutes, 1, 14 * 1440, 'whole minutes');
  inRange(`${at}.crew`, step.crew, 0, MOST_PEOPLE, 'people');
  if (step.pinned !== null) inRange(`${at}.pinned`, step.pinned, 0, MOST_MINUTES, 'whole minutes');
  if (step.notBefore !== undefined)
    inRange(`${at}.notBefore.minute`, step.notBefore.minute, 0, MOST_MINUTES, 'whole minutes');
  if (step.fitness !== null) known(`${at}.fitness`, step.fitness, fitnessIds);
  step.tools.forEach(({ tool, count }, toolIndex) => {
    known(`${at}.tools.${toolIndex}.tool`, tool, toolIds);
    inRange(`${at}.tools.${toolIndex}.count`, count, 0, 1000, 'of them');
  });
}

function inRange(path: string, value: number, least: number, most: number, of: string): void {
  if (!(Number.isInteger(value) && value >= least && value <= most))
    throw new CoreError('SCHEDULE_RANGE', {
      path,
      expected: `${least} to ${most} ${of}`,
      got: String(value),
    });
}

function inOrder(path: string, spans: readonly Span[]): void {
  let last = Number.NEGATIVE_INFINITY;
  for (const { from, to } of spans) {
    if (!(Number.isInteger(from) && Number.isInteger(to) && from >= last && to > from))
      throw new CoreError('SCHEDULE_RANGE', {
        path,
        expected: 'spans of whole minutes, one after another',
        got: `${from} to ${to}`,
      });
    last = to;
  }
}

function known(path: string, id: string, ids: ReadonlySet<string>): void {
  if (!ids.has(id))
    throw new CoreError('SCHEDULE_UNKNOWN', {
      path,
      expected: [...ids].slice(0, 5).join(', ') || 'none is there',
      got: id,
    });
}

function once(path: string, items: readonly { readonly id: string }[]): ReadonlySet<string> {
  const ids = new Set<string>();
  items.forEach(({ id }, index) => {
    if (ids.has(id))
      throw new CoreError('SCHEDULE_ID_TWICE', {
        path: `${path}.${index}.id`,
        expected: 'an identifier of its own',
        got: id,
      });
    ids.add(id);
  });
  return ids;
}
