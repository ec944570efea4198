/**
 * What a plotter makes of HP-GL: pieces, each with the lines to cut, in millimetres. Reads a small part of
 * the language and refuses the rest by name; written apart from the writer, as a real machine's is.
 */
export interface HpglPiece {
  readonly name: string;
  readonly lines: readonly (readonly (readonly [number, number])[])[];
}

const UNIT_MM = 0.025;
const ETX = '\u0003';
const KNOWN = new Set(['IN', 'PA', 'SP', 'PU', 'PD', 'LB', '']);

/** @throws RangeError naming what it does not know */
export function readHpgl(text: string): readonly HpglPiece[] {
  const pieces: { name: string; lines: [number, number][][] }[] = [];
  let [pen, isDown, at]: [number, boolean, [number, number]] = [0, false, [0, 0]];
  let line: [number, number][] | undefined;
  const endLine = (): void => {
    if (line !== undefined && line.length > 1) {
      if (pieces.length === 0) pieces.push({ name: '', lines: [] });
      pieces.at(-1)?.lines.push(line);
    }
    line = undefined;
  };
  let rest = text;
  while (rest.length > 0) {
    rest = rest.replace(/^[\s;]+/, '');
    if (rest === '') break;
    const code = rest.slice(0, 2).toUpperCase();
    if (!KNOWN.has(code)) throw new RangeError(`instruction ${JSON.stringify(code)}`);
    if (code === 'LB') {
      const end = rest.indexOf(ETX);
      if (end < 0) throw new RangeError('a label without an end');
      endLine();
      pieces.push({ name: rest.slice(2, end), lines: [] });
      rest = rest.slice(end + 1);
      continue;
    }
    const end = rest.indexOf(';');
    const body = rest.slice(2, end < 0 ? undefined : end);
    rest = end < 0 ? '' : rest.slice(end + 1);
    if (code === 'SP') {
      endLine();
      pen = Number(body) || 0;
      isDown = false;
      continue;
    }
    if (code !== 'PU' && code !== 'PD') continue;
    const numbers = body.trim() === '' ? [] : body.split(/[\s,]+/).map(Number);
    if (numbers.length % 2 !== 0 || numbers.some((value) => !Number.isFinite(value)))
      throw new RangeError(`coordinates ${JSON.stringify(body.slice(0, 30))}`);
    if (code === 'PU') {
      endLine();
      isDown = false;
    } else if (!isDown) {
      isDown = true;
      if (pen === 1) line = [at];
    }
    for (let index = 0; index < numbers.length; index += 2) {
      at = [(numbers[index] ?? 0) * UNIT_MM, (numbers[index + 1] ?? 0) * UNIT_MM];
      if (isDown) line?.push(at);
    }
  }
  endLine();
  return pieces;
}
