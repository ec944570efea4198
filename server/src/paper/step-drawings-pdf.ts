import {
  edgeWords,
  figuresIn,
  holdsWords,
  linerPartWords,
  linerWords,
  notTrimmedWords,
  strokeNoteWords,
} from '@yellow-pane/contracts/words';
import type { LinerPlan } from '@yellow-pane/core/liner';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { type Spot, middleWay, placeAlong } from '@yellow-pane/core/strokes';
import type { TrimPlan } from '@yellow-pane/core/trimming';
import type { StepDrawingOnPaper } from '../features/day/step-drawings';
import { type At, type Panel, faceOn, scaleOf } from './face-on-paper';
import { type PdfPage, POINTS_MM, fitting } from './pdf-page';

const MARGIN = 14 * POINTS_MM;
const ACROSS = 2;
const DOWN = 3;
const GAP = 14;
const TITLE = 12;
/** Lines of words under a drawing. */
const WORDS_HIGH = 62;
const HEAD = 5;

/** Drawings of steps, six a page, each as whoever does it sees it. */
export function stepDrawingPages(
  pdf: PdfPage,
  title: string,
  drawings: readonly StepDrawingOnPaper[],
  units: DisplayUnits,
): void {
  drawings.forEach((drawing, index) => {
    const place = index % (ACROSS * DOWN);
    if (place === 0) {
      pdf.addPage();
      pdf.font('bold').fontSize(14).fillColor('#111').text(title, MARGIN, MARGIN, { lineBreak: false });
    }
    const [wide, high] = [
      (pdf.page.width - 2 * MARGIN - GAP) / ACROSS,
      (pdf.page.height - 2 * MARGIN - 24 - GAP * (DOWN - 1)) / DOWN,
    ];
    drawPanel(pdf, drawing, units, {
      ...{ wide, high },
      x: MARGIN + (place % ACROSS) * (wide + GAP),
      y: MARGIN + 24 + Math.floor(place / ACROSS) * (high + GAP),
    });
  });
}

function drawPanel(pdf: PdfPage, drawing: StepDrawingOnPaper, units: DisplayUnits, panel: Panel): void {
  const { x, y, wide, high } = panel;
  const words = wordsOf(drawing, units);
  pdf.font('bold').fontSize(10).fillColor('#111');
  pdf.text(fitting(pdf, words.title, wide), x, y, { lineBreak: false });
  const room = { x, y: y + TITLE + 6, wide, high: high - TITLE - WORDS_HIGH - 6 };
  if (drawing.kind === 'liner') drawLiner(pdf, drawing.plan, room);
  else {
    const at = scaleOf(drawing.whole, room);
    faceOn(pdf, drawing.whole, at);
    if (drawing.kind === 'trim') drawTrim(pdf, drawing.plan, at);
    else drawStrokes(pdf, drawing, at);
  }
  pdf.font('plain').fontSize(7.5).fillColor('#222');
  pdf.text(words.lines.join('\n'), x, y + high - WORDS_HIGH + 4, {
    width: wide,
    height: WORDS_HIGH - 4,
    ellipsis: true,
  });
}

function wordsOf(
  drawing: StepDrawingOnPaper,
  units: DisplayUnits,
): { readonly title: string; readonly lines: readonly string[] } {
  const { about } = figuresIn(units);
  const head = `${drawing.tag}, step ${drawing.number}`;
  switch (drawing.kind) {
    case 'lock':
      return { title: `${head}: lock`, lines: [`${drawing.judged.strokes.length} strokes, in this order.`] };
    case 'strokes':
      return {
        title: `${head}: ${drawing.judged.strokes.length} strokes, lapping ${about(drawing.overlap_mm)}`,
        lines: drawing.notes.map((note) => strokeNoteWords(note, units)),
      };
    case 'trim':
      return {
        title: `${head}: trim`,
        lines: [
          drawing.plan.cuts
            .map(
              ({ number, edge, length_mm, goes }) =>
                `${number} ${edgeWords(edge)} ${about(length_mm)}${goes > 1 ? `, ${goes} goes` : ''}`,
            )
            .join(' · '),
          ...new Set(
            drawing.plan.edges.flatMap(({ edge, why }) =>
              why === null ? [] : [`${edgeWords(edge)}: ${notTrimmedWords(why)}`],
            ),
          ),
        ],
      };
    case 'liner':
      return {
        title: `${head}: liner`,
        lines: [
          linerWords(drawing.plan.way),
          ...drawing.plan.parts.map((part) => linerPartWords(part, about)),
          drawing.plan.people.map(({ number, holds }) => `${number} ${holdsWords(holds)}`).join(' · '),
        ],
      };
  }
}

/** A way with a head at its end, and its number on it. */
function arrow(pdf: PdfPage, way: readonly Spot[], number: number, label: Spot, isBroken = false): void {
  const [last, before] = [way.at(-1), way.at(-2)];
  if (last === undefined || before === undefined) return;
  const turn = Math.atan2(last.y - before.y, last.x - before.x);
  pdf.lineWidth(0.6);
  if (isBroken) pdf.dash(3, { space: 2 });
  way.forEach(({ x, y }, index) => (index === 0 ? pdf.moveTo(x, y) : pdf.lineTo(x, y)));
  pdf.stroke('#111').undash();
  for (const barb of [0.5, -0.5])
    pdf
      .moveTo(last.x, last.y)
      .lineTo(last.x - HEAD * Math.cos(turn + barb), last.y - HEAD * Math.sin(turn + barb))
      .stroke('#111');
  pdf.circle(label.x, label.y, 5).fillAndStroke('#fff', '#111');
  pdf.font('bold').fontSize(6).fillColor('#111');
  pdf.text(String(number), label.x - 5, label.y - 3.4, { width: 10, align: 'center', lineBreak: false });
}

function drawStrokes(
  pdf: PdfPage,
  { kind, judged }: Extract<StepDrawingOnPaper, { readonly kind: 'lock' | 'strokes' }>,
  at: At,
): void {
  judged.strokes.forEach((stroke, index) => {
    const way = middleWay(stroke).map(at);
    const share = [0.5, 0.34, 0.66][index % 3] ?? 0.5;
    arrow(pdf, way, index + 1, placeAlong(way, share), stroke.part === 'edge');
  });
  // A lock is not meant to go over all of it.
  if (kind === 'lock') return;
  for (const { pieces } of judged.coverage.gaps.filter(({ area_mm2 }) => area_mm2 > 1))
    for (const piece of pieces)
      pdf.polygon(...piece.map((spot): [number, number] => [at(spot).x, at(spot).y])).fill('#b00');
}

function drawTrim(pdf: PdfPage, { cuts, edges, corners }: TrimPlan, at: At): void {
  for (const { path } of edges.filter(({ why }) => why !== null)) {
    path.map(at).forEach(({ x, y }, index) => (index === 0 ? pdf.moveTo(x, y) : pdf.lineTo(x, y)));
    pdf.lineWidth(3).stroke('#111');
  }
  for (const { number, path } of cuts) arrow(pdf, path.map(at), number, placeAlong(path.map(at), 0.5), true);
  for (const corner of corners.map(at))
    pdf.lineWidth(1.2).circle(corner.x, corner.y, 3.5).fillAndStroke('#fff', '#111');
}

function drawLiner(pdf: PdfPage, { width_mm, height_mm, parts, tabs, people }: LinerPlan, room: Panel): void {
  const sheet = [
    { x: 0, y: 0 },
    { x: width_mm, y: 0 },
    { x: width_mm, y: height_mm },
    { x: 0, y: height_mm },
  ];
  const at = scaleOf({ rings: [sheet] }, { ...room, high: room.high - 18 });
  faceOn(pdf, { rings: [sheet] }, at);
  for (const { number, from_mm, to_mm } of parts) {
    const [left, right] = [at({ x: 0, y: to_mm }), at({ x: width_mm, y: to_mm })];
    pdf.dash(3, { space: 2 }).moveTo(left.x, left.y).lineTo(right.x, right.y).stroke('#111').undash();
    const way = [at({ x: width_mm / 2, y: from_mm }), at({ x: width_mm / 2, y: to_mm })];
    arrow(pdf, way, number, placeAlong(way, 0.5));
  }
  for (const { liner, film } of tabs)
    for (const spot of [liner, film].map(at))
      pdf.rect(spot.x - 3, spot.y - 6, 6, 8).fillAndStroke('#ddd', '#111');
  for (const { number, at: stand } of people) {
    const foot = at({ x: stand.x, y: 0 });
    pdf.circle(foot.x, foot.y + 12, 6).fillAndStroke('#fff', '#111');
    pdf.font('bold').fontSize(7).fillColor('#111');
    pdf.text(String(number), foot.x - 6, foot.y + 8.4, { width: 12, align: 'center', lineBreak: false });
  }
}
