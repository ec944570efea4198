import type { SurfaceCheck } from '@yellow-pane/core/measure';
import { describe, expect, it } from '@jest/globals';
import { blankNoteWords } from '@yellow-pane/contracts/words';
import { EXAMPLE_FILMS, demoOps } from '@yellow-pane/demo';
import { openJob } from '../testing/open-job';
import { DayClock } from '@yellow-pane/contracts/day-clock';
import { cutAlarm } from './cut-alarm';
import {
  type JobRows,
  allChangedAfterCut,
  blankOf,
  changedAfterCut,
  isStale,
  seamOf,
} from '@yellow-pane/core/reading';
import { JobDesk } from './job-desk';
import { JobReading } from './job-reading';

const ZURICH = new DayClock({ firstDay: '2026-11-26', days: 1, zone: 'Europe/Zurich', restDays: [] });

const DEMO = demoOps();

function opened() {
  const job = openJob(DEMO, EXAMPLE_FILMS);
  const [reading, desk] = [job.get(JobReading), job.get(JobDesk)];
  const cut = {
    blankOf: (application: JobRows['application'][number]) => blankOf(reading.view(), application),
    seamOf: (application: JobRows['application'][number]) => seamOf(reading.view(), application),
    isStale: (id: string) => isStale(reading.view(), id),
    piecesFor: (id: string) => reading.view().piecesFor(id),
    pieceOf: (id: string) => reading.view().piecesFor(id)[0],
    changedAfterCut: (surfaceId: string, check?: SurfaceCheck) =>
      changedAfterCut(reading.view(), surfaceId, check),
    allChangedAfterCut: () => allChangedAfterCut(reading.view()),
  };
  const surfaceOf = (tag: string) => {
    const found = reading.surfaces().find((own) => own.tag === tag);
    if (found === undefined) throw new Error(tag);
    return found;
  };
  const applicationOf = (tag: string) => {
    const [found] = reading.applicationsOf(surfaceOf(tag).id);
    if (found === undefined) throw new Error(tag);
    return found;
  };
  const blanksOf = (tag: string) => {
    const today = cut.blankOf(applicationOf(tag));
    if (today.kind === 'none') throw new Error(`${tag}: ${today.reason}`);
    return today.blanks;
  };
  /** Puts the blanks of a surface on a plan, as they are now. */
  const lay = (tag: string) => {
    const { inputsHash, blanks } = blanksOf(tag);
    desk.do(
      'laid out',
      blanks.map((blank, drop) =>
        desk.put('cutPiece', {
          planId: 'PLAN',
          rollId: 'R',
          applicationId: applicationOf(tag).id,
          drop: drop + 1,
          dropOf: blanks.length,
          tag,
          position: drop,
          level: 0,
          x_nm: 0,
          y_nm: 0,
          across_nm: Math.round(blank.width_mm * 1e6),
          along_nm: Math.round(blank.height_mm * 1e6),
          turned: false,
          flipped: false,
          phase_nm: 0,
          outline: null,
          notch_nm: 0,
          sector: null,
          topAlong: false,
          pinned: false,
          inputsHash,
          cutAt: null,
          spoiledAt: null,
        }),
      ),
    );
    desk.do('a plan', [
      desk.put(
        'cutPlan',
        {
          filmId: applicationOf(tag).filmId,
          mode: 'by hand',
          stages: 3,
          gap_nm: 0,
          endWaste_nm: 0,
          mostSheet_nm: null,
          objective: 'money',
          liner: 'up',
          edgeMust: false,
          lengthUsed_nm: 1,
          bound_nm: 0,
          filmCost: 0,
          cost: 0,
          filmBound: 0,
          stopped: 'limit',
        },
        'PLAN',
      ),
    ]);
  };
  const remeasure = (tag: string, by_mm: number) => {
    const measure = reading
      .measuresOf(surfaceOf(tag).id)
      .find(({ fromPoint, toPoint }) => fromPoint === 'tl' && toPoint === 'tr');
    if (measure === undefined) throw new Error(tag);
    desk.do('measured again', [
      desk.set('measure', measure.id, { value_nm: measure.value_nm + by_mm * 1e6 }),
    ]);
  };
  return { reading, cut, desk, surfaceOf, applicationOf, blanksOf, lay, remeasure };
}

describe('what is cut for the surfaces of the demo?', () => {
  it('a pane trimmed in place is larger than its glass on every side', () => {
    const { blanksOf } = opened();
    const [blank] = blanksOf('SW1').blanks;
    expect(blank?.width_mm).toBeGreaterThan(1181);
    expect(blank?.height_mm).toBeGreaterThan(2140);
  });
  it('a surface that is not measured has none, and says what is missing', () => {
    const { cut, applicationOf, desk, reading, surfaceOf } = opened();
    desk.do(
      'measures gone',
      reading.measuresOf(surfaceOf('SW1').id).map(({ id }) => desk.remove('measure', id)),
    );
    expect(cut.blankOf(applicationOf('SW1'))).toMatchObject({
      kind: 'none',
      reason: expect.stringContaining('missing'),
    });
  });
  it('a wall wider than the roll is cut in drops, numbered as they are hung', () => {
    const { blanks } = opened().blanksOf('WL1');
    expect(blanks.length).toBeGreaterThan(1);
    const widest = Math.max(
      ...(EXAMPLE_FILMS.find(({ id }) => id === opened().applicationOf('WL1').filmId)?.film.widths_nm ?? []),
    );
    for (const { width_mm } of blanks) expect(width_mm * 1e6).toBeLessThanOrEqual(widest);
  });
  it('a column that tapers is cut as a sector, one that does not as a rectangle', () => {
    const { blanksOf } = opened();
    expect(blanksOf('CO2').blanks.some(({ sector }) => sector !== undefined)).toBe(true);
    expect(blanksOf('CO1').blanks.every(({ sector }) => sector === undefined)).toBe(true);
  });
  it('the same rows give the very same answer, not another alike', () => {
    const { cut, applicationOf } = opened();
    expect(cut.blankOf(applicationOf('SW1'))).toBe(cut.blankOf(applicationOf('SW1')));
  });
});

describe('when does what is laid out no longer hold?', () => {
  it('not when it was just laid', () => {
    const { lay, cut, applicationOf } = opened();
    lay('SW1');
    expect(cut.isStale(applicationOf('SW1').id)).toBe(false);
  });
  it('when a measure of its surface changes, and no longer when that is undone', () => {
    const { lay, cut, applicationOf, remeasure, desk } = opened();
    lay('SW1');
    remeasure('SW1', 3);
    expect(cut.isStale(applicationOf('SW1').id)).toBe(true);
    desk.undo();
    expect(cut.isStale(applicationOf('SW1').id)).toBe(false);
  });
  it('not when its neighbour is measured again', () => {
    const { lay, cut, applicationOf, remeasure } = opened();
    lay('SW1');
    remeasure('SW2', 3);
    expect(cut.isStale(applicationOf('SW1').id)).toBe(false);
  });
  it('when the allowance of its way of fitting changes for this job', () => {
    const { lay, cut, applicationOf, desk } = opened();
    lay('SW1');
    desk.do('allowance', [
      desk.put('jobAllowance', {
        method: 'trim in place',
        top_nm: 40e6,
        right_nm: 40e6,
        bottom_nm: 40e6,
        left_nm: 40e6,
      }),
    ]);
    expect(cut.isStale(applicationOf('SW1').id)).toBe(true);
  });
  it('when the wall is to be hung with other seams, which makes other drops', () => {
    const { lay, cut, applicationOf, desk } = opened();
    lay('WL1');
    const { id } = applicationOf('WL1');
    const placing =
      cut.seamOf(applicationOf('WL1')).placing === 'equal drops' ? 'full width and strip' : 'equal drops';
    desk.do('seams', [
      desk.put('seamChoice', {
        applicationId: id,
        kind: null,
        placing,
        match: null,
        firstDrop: null,
        rollWidth_nm: null,
      }),
    ]);
    expect(cut.isStale(id)).toBe(true);
  });
  it('a spoiled piece is no longer one of its pieces', () => {
    const { lay, cut, applicationOf, desk } = opened();
    lay('SW1');
    const { id } = applicationOf('SW1');
    const piece = cut.pieceOf(id);
    expect(piece?.tag).toBe('SW1');
    desk.do('spoiled', [desk.set('cutPiece', piece?.id ?? '', { spoiledAt: '2026-11-25T10:00:00Z' })]);
    expect(cut.pieceOf(id)).toBeUndefined();
  });
});

describe('is it said when film is cut and its surface is another now?', () => {
  const cutNow = ({ desk, cut, applicationOf }: ReturnType<typeof opened>, tag: string) => {
    for (const { id } of cut.piecesFor(applicationOf(tag).id))
      desk.do('cut', [desk.set('cutPiece', id, { cutAt: '2026-11-27T11:30:00Z' })]);
  };
  it('not before it is cut, nor when nothing changed; 15 mm more at the top says what it was cut to and what it would be', () => {
    const job = opened();
    job.lay('SW1');
    job.remeasure('SW1', 15);
    expect(job.cut.allChangedAfterCut()).toEqual([]);
    job.desk.undo();
    cutNow(job, 'SW1');
    expect(job.cut.allChangedAfterCut()).toEqual([]);
    job.remeasure('SW1', 15);
    const [changed] = job.cut.allChangedAfterCut();
    expect(changed).toMatchObject({ tag: 'SW1', surfaceId: job.surfaceOf('SW1').id });
    expect((changed?.now?.width_mm ?? 0) - (changed?.was.width_mm ?? 0)).toBeGreaterThan(2);
    expect(cutAlarm(changed === undefined ? [] : [changed], 'metric', ZURICH)).toMatch(
      /^SW1 was cut 1\d\d\d.* mm × .* on 27 November 2026; today it would be/,
    );
  });
  it('at the keystroke: by a check of what is being typed, before anything is taken over', () => {
    const job = opened();
    job.lay('SW1');
    cutNow(job, 'SW1');
    const other = job.reading.checkOf(job.surfaceOf('SW5').id);
    expect(job.cut.changedAfterCut(job.surfaceOf('SW1').id)).toEqual([]);
    expect(job.cut.changedAfterCut(job.surfaceOf('SW1').id, other)).toHaveLength(1);
  });
});

describe('whose are allowances, and who gets no seam?', () => {
  it('22 mm over on one curved pane leaves its fellow as it was', () => {
    const { lay, cut, applicationOf, desk } = opened();
    lay('A-D1');
    lay('A-E1');
    desk.do('22 over', [
      desk.set('application', applicationOf('A-D1').id, {
        over: { top_nm: 22e6, right_nm: 13e6, bottom_nm: 22e6, left_nm: 13e6 },
      }),
    ]);
    expect([cut.isStale(applicationOf('A-D1').id), cut.isStale(applicationOf('A-E1').id)]).toEqual([
      true,
      false,
    ]);
  });
  it('curved glass too high for the roll stays one piece, and says what would do', () => {
    const { blanksOf, desk, applicationOf } = opened();
    desk.do('more over', [
      desk.set('application', applicationOf('A-D1').id, {
        over: { top_nm: 300e6, right_nm: 13e6, bottom_nm: 300e6, left_nm: 13e6 },
      }),
    ]);
    const { blanks, tooWide, notes } = blanksOf('A-D1');
    expect(blanks).toHaveLength(1);
    expect(tooWide?.by_mm).toBeGreaterThan(0);
    expect(notes.map((note) => blankNoteWords(note, 'metric')).join(' ')).toMatch(
      /Short by [\d.]+ mm: take \d+ mm over at top and bottom, or a wider roll/,
    );
  });
});
