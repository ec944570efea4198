import { describe, expect, it } from '@jest/globals';
import { stepStateOf } from './work-record';

describe('how far is a step?', () => {
  it.each([
    [undefined, 'open'],
    [{ startedAt: null, doneAt: null }, 'open'],
    [{ startedAt: '2026-11-25T08:00:00Z', doneAt: null }, 'begun'],
    [{ startedAt: '2026-11-25T08:00:00Z', doneAt: '2026-11-25T08:20:00Z' }, 'done'],
    [{ startedAt: null, doneAt: '2026-11-25T08:20:00Z' }, 'done'],
  ] as const)('%j: %s', (record, state) => {
    expect(stepStateOf(record)).toBe(state);
  });
});
