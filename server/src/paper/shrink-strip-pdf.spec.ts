import { describe, expect, it } from '@jest/globals';
import { pathsOf, textOf } from '../testing/pdf-reader';
import { piecesOfStrip, shrinkStripPdf } from './shrink-strip-pdf';

const MM = 72 / 25.4;
const STRIP = {
  job: 'a job',
  tag: 'A-E1',
  seenFrom: 'outside',
  heights_mm: { left: 391, middle: 392, right: 201 },
  units: 'metric',
} as const;
/** Lengths of the straight lines on a page, mm. */
const linesOf = (pdf: Buffer, page: number): readonly number[] =>
  pathsOf(pdf)
    .filter((path) => path.page === page && path.points.length === 2)
    .map(
      ({ points: [a, b] }) => Math.hypot((a?.[0] ?? 0) - (b?.[0] ?? 0), (a?.[1] ?? 0) - (b?.[1] ?? 0)) / MM,
    );

describe('is the strip true to scale?', () => {
  it('every sheet has a line of 100 mm to check the printer by; the first 25, 150 and 190 mm', async () => {
    const pdf = await shrinkStripPdf(STRIP, 'A4');
    const pages = await textOf(pdf);
    expect(pages).toHaveLength(3);
    for (const page of pages.keys()) expect(linesOf(pdf, page)).toContainEqual(expect.closeTo(100, 2));
    for (const length of [25, 150, 190]) expect(linesOf(pdf, 0)).toContainEqual(expect.closeTo(length, 2));
    expect(pages[0]).toContain('A-E1, seen from outside');
    expect(pages[0]).toContain('print again at 100 %');
  });
  it('each height falls so far from the top of the strip, on the piece it belongs to', async () => {
    const pdf = await shrinkStripPdf(STRIP, 'A4');
    const heights = pathsOf(pdf).filter(
      ({ points: [a, b] }) => Math.abs(Math.abs((a?.[0] ?? 0) - (b?.[0] ?? 0)) / MM - 30) < 0.01,
    );
    const fromTop = (page: number): number[] =>
      heights
        .filter((path) => path.page === page)
        .map(({ points }) => Math.round((297 - (points[0]?.[1] ?? 0) / MM - 50) * 10) / 10);
    expect(fromTop(1)).toContain(201);
    expect(fromTop(2)).toEqual(expect.arrayContaining([391 - 230, 392 - 230]));
    expect((await textOf(pdf))[2]).toContain('Glue on where the piece before ends: 230 mm');
  });
  it('pieces follow on without a gap', () => {
    expect(piecesOfStrip(402)).toEqual([
      { from_mm: 0, to_mm: 230 },
      { from_mm: 230, to_mm: 402 },
    ]);
    expect(piecesOfStrip(10)).toEqual([{ from_mm: 0, to_mm: 10 }]);
  });
});
