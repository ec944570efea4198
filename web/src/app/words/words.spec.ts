import { describe, expect, test } from '@jest/globals';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { catalogueWords } from './catalogue';
import { cutWords } from './cut';
import { dayWords } from './day';
import { filmWords } from './film';
import { fitWords } from './fit';
import { jobsWords } from './jobs';
import type { Messages } from './messages';
import { shrinkWords } from './shrink';
import { settingsWords } from './settings';
import { shellWords } from './shell';
import { surveyWords } from './survey';
import { uiWords } from './ui';

const ROOMS: Readonly<Record<string, Messages>> = {
  catalogueWords,
  cutWords,
  dayWords,
  filmWords,
  fitWords,
  jobsWords,
  settingsWords,
  shellWords,
  shrinkWords,
  surveyWords,
  uiWords,
};
const APP = join(import.meta.dirname, '..');
const FILES = readdirSync(APP, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.spec.ts') && !file.startsWith('words'),
);

/** All code and templates that speak with the words of one room. */
function speakersOf(room: string): string {
  return FILES.map((file) => {
    const code = readFileSync(join(APP, file), 'utf8');
    const template = join(APP, file.replace(/\.ts$/, '.html'));
    return code.includes(room) ? code + (existsSync(template) ? readFileSync(template, 'utf8') : '') : '';
  }).join('\n');
}

describe('what the page says', () => {
  test.each(Object.entries(ROOMS))('every message of %s is said somewhere', (room, messages) => {
    const said = speakersOf(room);
    const isSaid = (key: string): boolean => new RegExp(`\\b(?:words|${room})\\s*\\.${key}\\b`).test(said);
    expect(Object.keys(messages).filter((key) => !isSaid(key))).toEqual([]);
  });

  test.each(Object.entries(ROOMS))('messages of %s are lines of plain text', (_room, messages) => {
    const texts = Object.values(messages).map(String);
    expect(texts.filter((text) => /\n| {2}|<\/?[a-z]|&\w+;/.test(text.replace(/^.*=>/s, '')))).toEqual([]);
  });
});
