import { describe, expect, it } from '@jest/globals';
import { LOOK_TABLES } from '@yellow-pane/core/diagnosing';
import { DIAGNOSED_LOOKS } from '@yellow-pane/core/job';
import { causeWords, questionWords, strengthWords } from './index';

describe('is every cause and every question said in words?', () => {
  it.each(DIAGNOSED_LOOKS)('%s', (look) => {
    const { causes, evidence } = LOOK_TABLES[look];
    for (const { id } of causes) expect([id, causeWords(id)]).not.toEqual([id, id]);
    for (const { id } of evidence) expect([id, questionWords(id)]).not.toEqual([id, id]);
  });
  it('for or against by its sign, and little is neither', () => {
    expect(strengthWords('speaks clearly', 7)).toBe('speaks clearly for it');
    expect(strengthWords('speaks strongly', -12)).toBe('speaks strongly against it');
    expect(strengthWords('says little', 1)).toBe('says little');
  });
});
