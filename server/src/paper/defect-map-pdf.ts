import { SEEN_FROM, markReasonWords, markSizeWords, markVerdictWords } from '@yellow-pane/contracts/words';
import type { MarkVerdict, SeenFrom } from '@yellow-pane/core/job';
import { VERDICT_OF_MARK } from '@yellow-pane/core/judging';
import { type DisplayUnits, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import type { JudgedMark, JudgedSurface } from '@yellow-pane/core/reading';
import { type At, faceOn, scaleOf } from './face-on-paper';
import type { Paper } from './paper';
import { type PdfPage, POINTS_MM, fitting, newPdf } from './pdf-page';

/** One surface with its marks, as it is printed. */
export interface MarksOnPaper {
  readonly tag: string;
  readonly seenFrom: SeenFrom;
  readonly judged: JudgedSurface;
  /** Rule set, version, light, distance. */
  readonly under: string;
  /** Who accepted it and when; undefined: nobody yet. */
  readonly accepted: string | undefined;
  /** By when pockets should be gone; undefined: nobody knows. */
  readonly watchUntil: string | undefined;
  /** The last picture of each mark, by its number. */
  readonly photos: ReadonlyMap<number, Buffer>;
}

interface DefectMap {
  readonly job: string;
  readonly surfaces: readonly MarksOnPaper[];
  readonly units: DisplayUnits;
}

const MARGIN = 14 * POINTS_MM;
const LINE = 13;
const PHOTO = { wide: 120, high: 90 };

/** Where the marks are, what they are, how large, what decided, with pictures: a page a surface and more. */
export async function defectMapPdf(map: DefectMap, paper: Paper): Promise<Buffer> {
  const { pdf, done } = newPdf(paper, `Defect map, ${map.job}`);
  for (const surface of map.surfaces) surfacePages(pdf, map, surface);
  if (map.surfaces.length === 0) {
    pdf.addPage();
    pdf.font('bold').fontSize(15).text(`${map.job}: no marks`, MARGIN, MARGIN);
  }
  return done();
}

function surfacePages(pdf: PdfPage, { job, units }: DefectMap, own: MarksOnPaper): void {
  const { tag, seenFrom, judged, under, accepted, photos } = own;
  pdf.addPage();
  const wide = pdf.page.width - 2 * MARGIN;
  pdf.font('bold').fontSize(15).fillColor('#111');
  pdf.text(`${tag}, seen ${SEEN_FROM[seenFrom]}: ${judged.verdict}`, MARGIN, MARGIN, { lineBreak: false });
  pdf.font('plain').fontSize(9);
  pdf.text(fitting(pdf, job, wide), MARGIN, MARGIN + 20, { lineBreak: false });
  const looked = judged.isWhole
    ? 'The whole face and all edges were looked at.'
    : 'Not all of it was looked at.';
  pdf.text(fitting(pdf, `${looked} ${under}`, wide), MARGIN, MARGIN + 32, { lineBreak: false });
  pdf.text(accepted ?? 'Not accepted yet.', MARGIN, MARGIN + 44, { lineBreak: false });
  const room = { x: MARGIN, y: MARGIN + 60, wide, high: pdf.page.height * 0.4 };
  const at = scaleOf(judged.face, room);
  faceOn(pdf, judged.face, at);
  for (const mark of judged.marks) pinOn(pdf, mark, at);
  let y = room.y + room.high + 12;
  const page = (need: number): void => {
    if (y + need < pdf.page.height - MARGIN) return;
    pdf.addPage();
    y = MARGIN;
  };
  for (const mark of judged.marks) {
    const text = lineOf(mark, units, own.watchUntil);
    pdf.font('plain').fontSize(9).fillColor('#111');
    const high = pdf.heightOfString(text, { width: wide }) + 3;
    page(high);
    pdf.text(text, MARGIN, y, { width: wide });
    y += high;
  }
  y += LINE;
  let x = MARGIN;
  for (const [number, photo] of photos) {
    page(PHOTO.high + LINE);
    pdf.image(photo, x, y, { fit: [PHOTO.wide, PHOTO.high] });
    pdf.text(`Mark ${number}`, x, y + PHOTO.high + 2, { lineBreak: false });
    x += PHOTO.wide + 10;
    if (x + PHOTO.wide > pdf.page.width - MARGIN) [x, y] = [MARGIN, y + PHOTO.high + LINE + 6];
  }
}

const INK: Readonly<Record<(typeof VERDICT_OF_MARK)[MarkVerdict], string>> = {
  go: '#1c6b3a',
  'go with care': '#8a5a00',
  unknown: '#111',
  stop: '#a11d1d',
};

/** By shape first: what is to be done again has a second ring, what nobody knows a broken one. */
function pinOn(pdf: PdfPage, { number, at: place, mark, decision }: JudgedMark, at: At): void {
  if (place === undefined || mark.goneAt !== null) return;
  const { x, y } = at(place);
  const verdict = decision === undefined ? 'unknown' : VERDICT_OF_MARK[decision.verdict];
  pdf.lineWidth(1.6);
  if (verdict === 'unknown') pdf.dash(2.5, { space: 2 });
  pdf.circle(x, y, 8).fillAndStroke('#fff', INK[verdict]).undash();
  if (verdict === 'stop') pdf.lineWidth(0.8).circle(x, y, 10.5).stroke(INK[verdict]);
  pdf.font('bold').fontSize(8).fillColor('#111');
  pdf.text(String(number), x - 10, y - 4.4, { width: 20, align: 'center', lineBreak: false });
}

function lineOf(
  { number, mark, at, decision }: JudgedMark,
  units: DisplayUnits,
  watchUntil: string | undefined,
): string {
  const length = (nm: number): string => formatLengthWithUnit(nm, units);
  const size = [
    ...(mark.size_nm === null ? [] : [markSizeWords(mark.size_nm, units)]),
    ...(mark.length_nm === null ? [] : [`${length(mark.length_nm)} long`]),
  ].join(', ');
  const place =
    at === undefined || mark.x_nm === null || mark.y_nm === null
      ? 'no place'
      : `${length(mark.x_nm)} from the left, ${length(mark.y_nm)} from the top`;
  const until = decision?.verdict === 'watch' && watchUntil !== undefined ? ` until ${watchUntil}` : '';
  const says =
    mark.goneAt !== null
      ? 'gone'
      : decision === undefined
        ? 'unknown'
        : `${markVerdictWords(decision.verdict)}${until}. ${markReasonWords(decision.reason, units)}`;
  return `${number}. ${mark.look}${size === '' ? '' : `, ${size}`}; ${place}: ${says}`;
}
