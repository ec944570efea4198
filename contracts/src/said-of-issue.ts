import type { core } from 'zod';

/** What was expected of a field, and what came, in the words core's own errors use. */
export interface SaidOfIssue {
  readonly expected: string;
  readonly got: string;
}

const MOST_SHOWN = 120;
const TYPES: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'a text',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with fields',
  null: 'nothing',
  nan: 'a number',
};
const FORMATS: Readonly<Record<string, string>> = {
  uuid: 'an identifier (UUID)',
  guid: 'an identifier (UUID)',
  datetime: 'a time such as 2026-11-30T07:00:00.000Z',
  date: 'a day such as 2026-11-30',
  url: 'an address on the web',
};

/**
 * @param issue of a schema
 * @param value what stood in the field
 */
export function saidOfIssue(issue: core.$ZodIssue, value: unknown): SaidOfIssue {
  const isTooMany = Array.isArray(value) && (issue.code === 'too_big' || issue.code === 'too_small');
  return { expected: expectedBy(issue), got: isTooMany ? String(value.length) : shown(value) };
}

function expectedBy(issue: core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return TYPES[issue.expected] ?? issue.expected;
    case 'too_small':
      return atLeast(issue.origin, Number(issue.minimum), issue.inclusive !== false, nameOf(issue));
    case 'too_big':
      return atMost(issue.origin, Number(issue.maximum), issue.inclusive !== false, nameOf(issue));
    case 'invalid_value':
      return issue.values.length === 1
        ? String(issue.values[0])
        : `one of ${issue.values.map(String).join(', ')}`;
    case 'invalid_format':
      return FORMATS[issue.format] ?? issue.message;
    case 'not_multiple_of':
      return `a multiple of ${String(issue.divisor)}`;
    case 'unrecognized_keys':
      return 'no such field';
    case 'custom':
    case 'invalid_element':
    case 'invalid_key':
    case 'invalid_union':
      return issue.message;
  }
}

/** Of a list: what its entries are called. */
function nameOf({ path }: core.$ZodIssue): string {
  const last = path.at(-1);
  return typeof last === 'string' ? last : 'entries';
}

function atLeast(origin: string, least: number, isInclusive: boolean, name: string): string {
  if (origin === 'string') return least === 1 ? 'a text that is not empty' : `at least ${least} characters`;
  if (origin === 'array') return least === 1 ? 'a list that is not empty' : `at least ${least} ${name}`;
  return `${isInclusive ? 'at least' : 'more than'} ${least}`;
}

function atMost(origin: string, most: number, isInclusive: boolean, name: string): string {
  if (origin === 'string') return `at most ${most} characters`;
  if (origin === 'array') return `at most ${most} ${name}`;
  return `${isInclusive ? 'at most' : 'less than'} ${most}`;
}

function shown(value: unknown): string {
  return value === undefined ? 'nothing' : JSON.stringify(value).slice(0, MOST_SHOWN);
}
