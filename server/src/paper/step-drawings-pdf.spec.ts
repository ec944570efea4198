import { describe, expect, it } from '@jest/globals';
import { linerPlan } from '@yellow-pane/core/liner';
import { type StrokesAsked, judgeStrokes, notesOf, calculateStrokes } from '@yellow-pane/core/strokes';
import { trimPlan } from '@yellow-pane/core/trimming';
import type { StepDrawingOnPaper } from '../features/day/step-drawings';
import { pathsOf, textOf } from '../testing/pdf-reader';
import { newPdf } from './pdf-page';
import { stepDrawingPages } from './step-drawings-pdf';

/** Raked: higher at the right, as one sees it. */
const RAKED = [
  { x: 0, y: 0 },
  { x: 1200, y: 0 },
  { x: 1200, y: 900 },
  { x: 0, y: 500 },
];
const ASKED: StrokesAsked = {
  ...{ face: { rings: [RAKED] }, tool: { blade_mm: 150, overlap_mm: 30, card_mm: 40 }, way: 'lanes' },
  ...{ lock: 'T', first: 'right', isDry: false, people: 1 },
};
const strokes = (count?: number): StepDrawingOnPaper => {
  const judged = judgeStrokes(ASKED, calculateStrokes(ASKED).slice(0, count));
  return {
    ...{ kind: 'strokes', tag: 'W1', number: 10, whole: ASKED.face, judged, overlap_mm: 30 },
    notes: notesOf(judged),
  };
};
const trim: StepDrawingOnPaper = {
  ...{ kind: 'trim', tag: 'W1', number: 9, whole: ASKED.face },
  plan: trimPlan({
    ...{ outline: RAKED, method: 'pre-squared', factoryEdge: 'at one side', from: 'a top corner down' },
    ...{ over: { top: 0, right: 25, bottom: 25, left: 0 }, reach_mm: 1000, point_mm: 6000 },
    gap_mm: { least: 1.5, most: 3 },
  }),
};
const liner: StepDrawingOnPaper = {
  ...{ kind: 'liner', tag: 'W1', number: 6 },
  plan: linerPlan({ width_mm: 1500, height_mm: 2400, way: 'halves on the glass', people: 2, hand: null }),
};
async function printed(drawings: readonly StepDrawingOnPaper[]): Promise<Buffer> {
  const { pdf, done } = newPdf('A4', 'test');
  stepDrawingPages(pdf, 'Wren: how it is done', drawings, 'metric');
  return done();
}

describe('are the drawings of steps on paper those of the screen?', () => {
  it('strokes by number with what is said of them; a raked pane higher at the right, as one sees it', async () => {
    const pdf = await printed([strokes()]);
    const [page = ''] = await textOf(pdf);
    expect(page).toContain('W1, step 10');
    expect(page).toContain('lapping 30 mm');
    expect(page).toContain('All of it is gone over; nothing is shut in.');
    const outline = pathsOf(pdf).find(({ points }) => points.length >= 4 && points.length <= 5);
    const points = outline?.points ?? [];
    const xs = points.map(([x]) => x);
    const topAt = (x: number): number =>
      Math.max(...points.filter((own) => Math.abs(own[0] - x) < 0.1).map(([, y]) => y));
    expect(topAt(Math.max(...xs))).toBeGreaterThan(topAt(Math.min(...xs)) + 10);
  });
  it('what is left is said: a line, and how long', async () => {
    const [page = ''] = await textOf(await printed([strokes(6)]));
    expect(page).toMatch(/This leaves (a line|\d+ lines)/);
  });
  it('edges that are trimmed by number, those that are not with their reason; parts of the liner, who does what', async () => {
    const [page = ''] = await textOf(await printed([trim, liner]));
    expect(page).toContain('left: factory edge: it is not cut');
    expect(page).toMatch(/1 right 900 mm/);
    expect(page).toContain('1. 1200 mm down, spray, lay it back');
    expect(page).toContain('2 draws the liner');
  });
  it('what a lock leaves is no gap', async () => {
    const own = strokes(3);
    const filled = (pdf: Buffer) => pathsOf(pdf).length;
    const [asStrokes, asLock] = [
      await printed([own]),
      await printed([{ ...own, kind: 'lock' } as StepDrawingOnPaper]),
    ];
    expect(filled(asLock)).toBeLessThan(filled(asStrokes));
  });
  it('six a page', async () => {
    expect(await textOf(await printed(Array.from({ length: 7 }, () => trim)))).toHaveLength(2);
    expect(await textOf(await printed([trim]))).toHaveLength(1);
  });
});
