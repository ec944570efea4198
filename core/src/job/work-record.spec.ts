import { describe, expect, it } from '@jest/globals';
import { stepStateOf, waitEndedOf, waitEndedStep } from './work-record';

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

describe('is a record of work told from one that ends a wait?', () => {
  it('by its step, there and back', () => {
    expect(waitEndedOf({ step: waitEndedStep('primer') })).toBe('primer');
    expect(waitEndedOf({ step: 'primer' })).toBeNull();
  });
});
