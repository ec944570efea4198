import { describe, expect, it } from '@jest/globals';
import * as z from 'zod';
import { saidOfIssue } from './said-of-issue';

const said = (schema: z.ZodType, value: unknown): string => {
  const { error } = z.strictObject({ panes: schema }).safeParse({ panes: value });
  const [issue] = error?.issues ?? [];
  if (issue === undefined) throw new Error('it fits');
  const { expected, got } = saidOfIssue(issue, value);
  return `${issue.path.join('.')}: expected ${expected}, got ${got}`;
};

describe('does a schema object in the words of the program, once?', () => {
  it.each<[string, z.ZodType, unknown, string]>([
    ['too many', z.array(z.number()).max(4), Array(12).fill(1), 'panes: expected at most 4 panes, got 12'],
    ['too few', z.array(z.number()).min(1), [], 'panes: expected a list that is not empty, got 0'],
    ['no list', z.array(z.number()), undefined, 'panes: expected a list, got nothing'],
    ['words', z.number(), 'four', 'panes: expected a number, got "four"'],
    ['half', z.int(), 1.5, 'panes: expected a whole number, got 1.5'],
    ['too large', z.number().max(30), 31, 'panes: expected at most 30, got 31'],
    ['nothing or less', z.number().positive(), 0, 'panes: expected more than 0, got 0'],
    ['empty', z.string().min(1), '', 'panes: expected a text that is not empty, got ""'],
    ['too long', z.string().max(3), 'long', 'panes: expected at most 3 characters, got "long"'],
    ['none of them', z.enum(['clear', 'grey']), 'red', 'panes: expected one of clear, grey, got "red"'],
    ['no identifier', z.uuid(), 'x', 'panes: expected an identifier (UUID), got "x"'],
  ])('%s', (_what, schema, value, says) => {
    expect(said(schema, value)).toBe(says);
  });
  it('never says twice what was expected or what came', () => {
    for (const schema of [z.array(z.number()), z.number(), z.enum(['a']), z.boolean(), z.uuid()]) {
      const says = said(schema, {});
      expect(says.match(/expected/g)).toHaveLength(1);
      expect(says).not.toMatch(/Invalid|received|Too/);
    }
  });
});
