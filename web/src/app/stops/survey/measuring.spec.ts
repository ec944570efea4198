import 'fake-indexeddb/auto';
import { signal } from '@angular/core';
import { beforeEach, describe, expect, it } from '@jest/globals';
import type { LengthUnit } from '@yellow-pane/core/quantity';
import { NEW_SURFACE, type Surface, NEW_JOB } from '@yellow-pane/core/job';
import { Drafts } from '../../device/drafts';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { fakeLocalStorage, type LocalTexts } from '../../testing/local-storage';
import { openJob } from '../../testing/open-job';
import { Looking } from './looking';
import { Measuring } from './measuring';

let kept: LocalTexts;
beforeEach(() => {
  kept = fakeLocalStorage();
});

/** One surface before the person, and what they type into its fields, in the order of walking. */
function before(surface: Partial<Surface> = {}, entryUnit: LengthUnit = 'mm') {
  const chosen = signal('S1');
  const row = (id: string, tag: string) => ({
    op: 'put' as const,
    table: 'surface' as const,
    id,
    fields: { ...NEW_SURFACE, placeId: 'P', tag, name: '', position: 1, ...surface },
  });
  const job = openJob(
    [
      {
        op: 'put',
        table: 'job',
        id: 'J',
        fields: { name: 'Kestrel Hill', entryUnit, ...NEW_JOB },
      },
      row('S1', 'SW1'),
      row('S2', 'SW2'),
    ],
    [],
    [
      Looking,
      Measuring,
      {
        provide: Selection,
        useFactory: (reading: JobReading) => ({ surface: () => reading.surfaceById().get(chosen()) }),
        deps: [JobReading],
      },
    ],
  );
  const measuring = job.get(Measuring);
  const type = (texts: Readonly<Record<string, string>>): void => {
    for (const [key, text] of Object.entries(texts)) {
      measuring.type(key, text);
      measuring.take(key);
    }
  };
  const field = (key: string) => measuring.sheetMeasures().find((own) => own.key === key);
  return {
    job,
    measuring,
    type,
    field,
    desk: job.get(JobDesk),
    reading: job.get(JobReading),
    goTo: (id: string) => {
      chosen.set(id);
    },
  };
}
const SQUARE = {
  'width-top': '1180',
  'width-middle': '1180',
  'width-bottom': '1180',
  'height-left': '2140',
  'height-middle': '2140',
  'height-right': '2140',
  'diagonal-falling': '2443.7',
  'diagonal-rising': '2443.7',
};

describe('is a measure checked while it is typed?', () => {
  it('the drawing follows the keys before anything is taken', () => {
    const { measuring, reading } = before();
    measuring.type('width-top', '1180');
    expect(measuring.check().state).toBe('unfinished');
    measuring.type('height-left', '2140');
    expect(measuring.sizes()?.aroundWidth_mm.value).toBeCloseTo(1180, 6);
    expect(reading.measuresOf('S1')).toEqual([]);
  });
  it('what is typed stays with its surface, also when another one is looked at in between', () => {
    const { measuring, field, goTo } = before();
    measuring.type('width-top', '118');
    goTo('S2');
    expect(field('width-top')).toMatchObject({ text: '', isDraft: false });
    goTo('S1');
    expect(field('width-top')).toMatchObject({ text: '118', isDraft: true });
  });
  it('a reload finds it again', async () => {
    const { job, measuring } = before();
    measuring.type('width-top', '11 abc');
    await job.get(Drafts).settled();
    const again = before();
    await again.job.get(Drafts).load();
    expect(again.field('width-top')).toMatchObject({ text: '11 abc', isDraft: true });
    again.measuring.drop('width-top');
    await again.job.get(Drafts).settled();
  });
  it('a page left before the database has taken the last letter finds it again; what was taken over is not found again', async () => {
    const { job, measuring } = before();
    measuring.type('width-top', '118');
    const again = before();
    await again.job.get(Drafts).load();
    expect(again.field('width-top')).toMatchObject({ text: '118', isDraft: true });
    measuring.drop('width-top');
    const oneMore = before();
    await oneMore.job.get(Drafts).load();
    expect(oneMore.field('width-top')?.isDraft).toBe(false);
    await Promise.all([job, again.job, oneMore.job].map((own) => own.get(Drafts).settled()));
    expect([...kept.texts.keys()]).toEqual(['yellow-pane.device']);
  });
  it('what a version up to 0.5.0 kept is taken over', async () => {
    kept.texts.set('yellow-pane.drafts', JSON.stringify({ 'S1:width-top': '11 def' }));
    const { job, field } = before();
    await job.get(Drafts).load();
    expect(field('width-top')).toMatchObject({ text: '11 def', isDraft: true });
  });
  it('what is typed is set against what was there at its first letter: a colleague’s value saved meanwhile is asked about, not overwritten', () => {
    const { job, measuring, desk, reading } = before();
    const put = {
      op: 'put' as const,
      table: 'measure' as const,
      id: 'M',
      fields: {
        surfaceId: 'S1',
        kind: 'distance' as const,
        fromPoint: 'tl',
        toPoint: 'tr',
        text: '1180',
        unit: 'mm' as const,
        value_nm: 1_180_000_000,
        instrument: 'tape' as const,
        sd_nm: null,
      },
    };
    desk.do('measured', [put]);
    job.serverTakesAll();
    const seen = reading.measuresOf('S1')[0]?.version ?? 0;
    measuring.type('width-top', '118');
    job.othersDo([
      {
        op: 'set',
        table: 'measure',
        id: 'M',
        baseVersion: seen,
        fields: { text: '1195', value_nm: 1_195_000_000 },
      },
    ]);
    measuring.type('width-top', '1182');
    measuring.take('width-top');
    expect(desk.state().pending.at(-1)?.change.ops).toMatchObject([
      { op: 'set', id: 'M', baseVersion: seen, fields: { text: '1182' } },
    ]);
  });
  it('a value that a colleague put where there was none when one began to type is asked about too', () => {
    const { job, measuring, desk } = before();
    measuring.type('width-top', '118');
    job.othersDo([
      {
        op: 'put',
        table: 'measure',
        id: 'M',
        fields: {
          surfaceId: 'S1',
          kind: 'distance',
          fromPoint: 'tl',
          toPoint: 'tr',
          text: '1195',
          unit: 'mm',
          value_nm: 1_195_000_000,
          instrument: 'tape',
          sd_nm: null,
        },
      },
    ]);
    measuring.take('width-top');
    expect(desk.state().pending.at(-1)?.change.ops).toMatchObject([
      { op: 'set', id: 'M', baseVersion: 0, fields: { text: '118' } },
    ]);
  });
});

describe('is a measure taken over at Enter?', () => {
  it('as typed, with its unit and exact length: 34 5/8 in are 879,475,000 nm', () => {
    const { type, reading, desk } = before({}, 'in');
    type({ 'width-top': '34 5/8' });
    expect(reading.measuresOf('S1')).toMatchObject([
      {
        text: '34 5/8',
        unit: 'in',
        value_nm: 879_475_000,
        fromPoint: 'tl',
        toPoint: 'tr',
        instrument: 'tape',
      },
    ]);
    expect(desk.canUndo()).toMatch(/^SW1: .*34 5\/8$/);
  });
  it('a bare number is in the unit of the job, a unit typed wins: 88 cm where inches are usual', () => {
    const { type, reading } = before({}, 'in');
    type({ 'width-top': '88 cm' });
    expect(reading.measuresOf('S1')).toMatchObject([{ text: '88 cm', value_nm: 880_000_000 }]);
  });
  it.each([
    ['abc', /./],
    ['21 m', /Expected 20 mm to 20 m/],
    ['11800 m', /Larger than anything measured/],
    ['3', /Expected 20 mm to 20 m, got/],
    ['-5', /./],
  ])('%s stays in its field with what is wrong, and nothing is kept', (text, fault) => {
    const { type, field, reading, desk } = before();
    type({ 'width-top': text });
    expect(field('width-top')).toMatchObject({ text, isDraft: true, fault: expect.stringMatching(fault) });
    expect([reading.measuresOf('S1'), desk.unsaved()]).toEqual([[], 0]);
  });
  it('the same text taken twice is one change', () => {
    const { type, desk } = before();
    type({ 'width-top': '1180' });
    type({ 'width-top': '1180' });
    expect(desk.unsaved()).toBe(1);
  });
  it('an emptied field takes the measure out; undo brings it back', () => {
    const { type, reading, desk, field } = before();
    type({ 'width-top': '1180' });
    type({ 'width-top': '  ' });
    expect(reading.measuresOf('S1')).toEqual([]);
    desk.undo();
    expect([reading.measuresOf('S1').length, field('width-top')?.text]).toEqual([1, '1180']);
  });
  it('a reading of the laser lands where the person stands, and says that it is one', () => {
    const { measuring, reading } = before();
    expect(measuring.land('height-left', 2_140_300_000, 'laser')).toBe(true);
    expect(reading.measuresOf('S1')).toMatchObject([
      { value_nm: 2_140_300_000, instrument: 'laser', text: '2140.3 mm' },
    ]);
    expect(measuring.land('no such field', 1e9, 'laser')).toBe(false);
  });
  it('the laser does not walk on to what it cannot take: a girth, a radius, a thickness', () => {
    const { measuring } = before({ kind: 'column', shape: 'round column' });
    expect([measuring.target('laser'), measuring.after('height')]).toEqual(['height', 'round-foot']);
    expect(measuring.after('height', 'laser')).toBeUndefined();
    measuring.reachedKey.set('round-foot');
    expect([measuring.target('laser'), measuring.target('tape')]).toEqual(['height', 'round-foot']);
  });
});

describe('what is said of eight measures?', () => {
  it('square by Pythagoras: √(1180² + 2140²) = 2443.7; they agree', () => {
    const { type, measuring } = before();
    type(SQUARE);
    expect(measuring.finding().verdict).toBe('go');
    expect(measuring.suspects()).toEqual([]);
  });
  it('a digit turned round on typing (2410 for 2140) is found, named, and offered to be put right', () => {
    const { type, measuring, reading } = before();
    type({ ...SQUARE, 'height-middle': '2410' });
    expect(measuring.finding().verdict).toBe('stop');
    expect(
      measuring
        .sheetMeasures()
        .filter(({ isSuspect }) => isSuspect)
        .map(({ key }) => key),
    ).toEqual(['height-middle']);
    const [fix] = measuring.slips();
    expect(fix?.changes.map(({ value_mm }) => Math.round(value_mm))).toEqual([2140]);
    if (fix !== undefined) measuring.setTo(fix.changes);
    expect(measuring.finding().verdict).toBe('go');
    expect(
      reading.measuresOf('S1').find(({ fromPoint, toPoint }) => fromPoint === 'mt' && toPoint === 'mb')
        ?.value_nm,
    ).toBe(2_140_000_000);
  });
  it('the next field asked for is the next open one, walking on; none while something disagrees', () => {
    const { type, measuring } = before();
    expect(measuring.nextKey()).toBe(Object.keys(SQUARE)[0]);
    type({ 'width-top': '1180' });
    expect(measuring.nextKey()).not.toBe('width-top');
    type({ ...SQUARE, 'height-middle': '2410' });
    expect(measuring.nextKey()).toBeUndefined();
  });
  it('a measure nobody customarily takes gets a field when asked for', () => {
    const { measuring, field, reading } = before();
    const key = measuring.ask({ kind: 'distance', from: 'tl', to: 'mr' });
    expect(field(key)).toMatchObject({ text: '', slot: undefined });
    measuring.type(key, '1588');
    measuring.take(key);
    expect(reading.measuresOf('S1')).toMatchObject([
      { fromPoint: 'tl', toPoint: 'mr', value_nm: 1_588_000_000 },
    ]);
  });
});
