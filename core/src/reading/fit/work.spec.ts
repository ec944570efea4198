import { describe, expect, it } from '@jest/globals';
import { NEW_DAY, NEW_SURFACE, NO_SITE_FACTS, NO_WALL_FACTS, type RowOf, type SeenFrom } from '../../job';
import { JobView } from '../view/job-view';
import { jobRows } from '../view/job-rows';
import { isWayKnown, schoolsOf, stillToDoWith, ticksBeside, workCaseOf, workStepsOf } from './work';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-11-30T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const surface = row<RowOf<'surface'>>({ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'SW1', unitId: 'U' });
const film = (side: SeenFrom) =>
  row<RowOf<'application'>>({
    id: 'A',
    surfaceId: 'S',
    filmId: 'F',
    method: 'trim in place',
    side,
    schools: {},
  });
const pane = (position: number, coating: string, coatedSide: string) =>
  row<RowOf<'glassPane'>>({ id: `G${position}`, unitId: 'U', position, coating, coatedSide });

describe('what does Survey say about the work?', () => {
  const PANES = [pane(1, 'low-e, hard', 'outer'), pane(2, 'low-e, soft', 'outer')];
  it.each([
    ['outside', PANES, 'yes'],
    ['room', PANES, 'no'],
    ['room', [pane(1, 'none', 'unknown')], 'no'],
    ['room', [pane(1, 'low-e, hard', 'unknown')], 'unknown'],
    ['room', [pane(1, 'unknown', 'unknown')], 'unknown'],
    ['outside', [], 'unknown'],
  ] as const)('film on the %s: is its face coated?', (side, glassPane, known) => {
    const view = new JobView(jobRows({ surface: [surface], application: [film(side)], glassPane }));
    expect(workCaseOf(view, film(side)).isFaceCoated).toBe(known);
  });
  it('hardware that is back is not to be put back; an obstacle on the drawing counts', () => {
    const part = (id: string, kind: string, putBackAt: string | null) =>
      row<RowOf<'part'>>({ id, surfaceId: 'S', kind, putBackAt, position: 1 });
    const view = new JobView(
      jobRows({
        surface: [surface],
        application: [film('room')],
        part: [
          part('h1', 'hardware', null),
          part('h2', 'hardware', '2026-11-30T12:00:00Z'),
          part('o', 'obstacle', null),
        ],
        siteFacts: [
          row<RowOf<'siteFacts'>>({ ...NO_SITE_FACTS, id: 'X', surfaceId: 'S', sealantToCut: 'no' }),
        ],
      }),
    );
    expect(workCaseOf(view, film('room'))).toMatchObject({
      partsOff: 1,
      hasObstacles: true,
      straySealant: 'no',
    });
  });
});

describe('what else of Survey decides the work?', () => {
  const site = (fields: object) =>
    row<RowOf<'siteFacts'>>({ ...NO_SITE_FACTS, id: 'X', surfaceId: 'S', ...fields });
  const caseWith = (rows: Parameters<typeof jobRows>[0]) =>
    workCaseOf(
      new JobView(jobRows({ surface: [surface], application: [film('room')], ...rows })),
      film('room'),
    );
  it('rescue glass, its consent, old film, power, who is to do it, a pane that lies overhead', () => {
    const consent = {
      givenBy: 'rescue service',
      number: 'A 12',
      personId: null,
      who: 'Wren',
      at: '2026-11-25T08:00:00Z',
    };
    expect(
      caseWith({
        siteFacts: [
          site({
            rescueGlass: 'yes',
            consent,
            oldFilm: 'sticker',
            oldFilmArea_m2: 0.2,
            power: 'no',
            crew: 'refer it',
            tilt_deg: 20,
          }),
        ],
      }),
    ).toMatchObject({
      isRescueGlass: 'yes',
      hasConsent: true,
      oldFilm: 'sticker',
      oldFilm_m2: 0.2,
      power: 'no',
      isReferred: true,
      isOverhead: true,
    });
  });
  it('plastic, toughened and wired panes; heater lines', () => {
    const pane = (treatment: string) =>
      caseWith({
        glassPane: [
          row({ id: 'G', unitId: 'U', position: 1, treatment, coating: 'none', coatedSide: 'unknown' }),
        ],
      });
    expect([pane('acrylic').isPlastic, pane('toughened').isToughened, pane('wired').isWired]).toEqual([
      true,
      true,
      true,
    ]);
    expect(
      caseWith({ part: [row({ id: 'p', surfaceId: 'S', kind: 'heater lines', position: 1 })] })
        .hasHeaterLines,
    ).toBe(true);
  });
  it.each([
    [{ paint: 'none' }, false],
    [{ paint: 'matt', paintAge: 'under 30 days' }, false],
    [{ paint: 'unknown', texture: 'laminate' }, false],
    [{ paint: 'matt', paintAge: 'older' }, true],
    [{ paint: 'unknown', texture: 'brick' }, true],
  ])('may %j be old paint? %s', (facts, may) => {
    expect(
      caseWith({ wallFacts: [row({ ...NO_WALL_FACTS, id: 'W', surfaceId: 'S', ...facts })] }).mayBeOldPaint,
    ).toBe(may);
  });
});

describe('which school is followed, and what becomes of ticks?', () => {
  const job = (more: Parameters<typeof jobRows>[0] = {}, schools: object = {}) => {
    const application = { ...film('room'), schools } as RowOf<'application'>;
    return {
      application,
      view: new JobView(jobRows({ surface: [surface], application: [application], ...more })),
    };
  };
  const day = (schools: object) => [
    row<RowOf<'daySettings'>>({
      ...NEW_DAY,
      id: 'D',
      firstDay: '2026-11-30',
      zone: 'Europe/Zurich',
      schools,
    }),
  ];
  const lockOf = ({ view, application }: ReturnType<typeof job>) =>
    schoolsOf(view, application).find(({ key }) => key === 'lock');
  it('the job has a default for all its surfaces; one surface may go its own way', () => {
    expect(lockOf(job({ daySettings: day({ lock: 'X' }) }))).toMatchObject({ value: 'X', by: 'the job' });
    expect(lockOf(job({ daySettings: day({ lock: 'X' }) }, { lock: 'quarters' }))).toMatchObject({
      value: 'quarters',
      by: 'this surface',
    });
  });
  const tick = (step: string) =>
    row<RowOf<'workRecord'>>({
      id: `T${step}`,
      applicationId: 'A',
      template: 'flat-glass',
      step,
      templateVersion: 1,
      startedAt: null,
      doneAt: '2026-11-30T09:00:00Z',
      note: '',
    });
  it('ticks of a school that is left, or of a step no way has any more, are kept and shown; a wait ended is no step', () => {
    const { view, application } = job(
      {
        workRecord: [tick('lock-t'), tick('clean'), tick('by-magnet')],
      },
      { lock: 'X' },
    );
    expect(ticksBeside(view, application).map(({ step }) => step)).toEqual(['lock-t', 'by-magnet']);
  });
  it('a column with four sides: not known how, and no step is made up', () => {
    const square = { ...surface, kind: 'column', shape: 'square column' } as RowOf<'surface'>;
    const application = { ...film('room'), method: 'column' } as RowOf<'application'>;
    const view = new JobView(jobRows({ surface: [square], application: [application] }));
    expect([isWayKnown(view, application), workStepsOf(view, application)]).toEqual([false, []]);
  });
  it('a step for the whole row names the panes it is still open on', () => {
    const other = { ...surface, id: 'S2', tag: 'SW2' } as RowOf<'surface'>;
    const far = { ...surface, id: 'S3', tag: 'N1', placeId: 'Q' } as RowOf<'surface'>;
    const on = (id: string, surfaceId: string) =>
      ({ ...film('room'), id, surfaceId }) as RowOf<'application'>;
    const open = (workRecord: readonly RowOf<'workRecord'>[]) => {
      const view = new JobView(
        jobRows({
          surface: [surface, other, far],
          application: [on('A', 'S'), on('B', 'S2'), on('C', 'S3')],
          workRecord,
        }),
      );
      return stillToDoWith(view, on('A', 'S'), { step: 'clean', over: 'the row' }).map(({ tag }) => tag);
    };
    expect(open([])).toEqual(['SW2']);
    expect(open([{ ...tick('clean'), applicationId: 'B' }])).toEqual([]);
  });
});
