import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { ERRORS } from './errors';
import { errorsDocument } from './errors-document';

describe('docs/errors.md', () => {
  it('is what the catalogue says, each code on a line of its own', () => {
    const text = readFileSync(new URL('../../docs/errors.md', import.meta.url), 'utf8');
    expect(text).toBe(errorsDocument());
    for (const code of Object.keys(ERRORS)) expect(text.split(`\n| ${code} |`)).toHaveLength(2);
  });
});
