import { inflateSync } from 'node:zlib';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

interface PdfPath {
  /** Points from the page's lower left corner, y upwards, as one sees the page. */
  readonly points: readonly (readonly [number, number])[];
  readonly page: number;
}

/**
 * Straight paths of a PDF as one sees them: move, line and matrix of its pages' streams, and nothing of the
 * writer's own.
 */
export function pathsOf(pdf: Buffer): readonly PdfPath[] {
  const found: PdfPath[] = [];
  let page = -1;
  for (const stream of streamsOf(pdf)) {
    page += 1;
    const stack: number[][] = [];
    let matrix = [1, 0, 0, 1, 0, 0];
    let open: [number, number][] = [];
    const at = (x: number, y: number): [number, number] => [
      (matrix[0] ?? 1) * x + (matrix[2] ?? 0) * y + (matrix[4] ?? 0),
      (matrix[1] ?? 0) * x + (matrix[3] ?? 1) * y + (matrix[5] ?? 0),
    ];
    const end = (): void => {
      if (open.length > 1) found.push({ points: open, page });
      open = [];
    };
    for (const [, numbers = '', operator = ''] of stream.matchAll(
      /((?:-?[\d.]+\s+)*)(cm|[mlqQhfSsBb]\*?)(?=\s|$)/g,
    )) {
      const values = numbers.trim().split(/\s+/).map(Number);
      const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = values;
      if (operator === 'q') stack.push(matrix);
      else if (operator === 'Q') matrix = stack.pop() ?? matrix;
      else if (operator === 'cm') {
        const [ma = 1, mb = 0, mc = 0, md = 1] = matrix;
        const [x, y] = at(e, f);
        matrix = [ma * a + mc * b, mb * a + md * b, ma * c + mc * d, mb * c + md * d, x, y];
      } else if (operator === 'm') {
        end();
        open = [at(a, b)];
      } else if (operator === 'l') open.push(at(a, b));
      else if (/^[fSsBb]/.test(operator)) end();
    }
    end();
  }
  return found;
}

function streamsOf(pdf: Buffer): readonly string[] {
  const streams: string[] = [];
  for (let from = pdf.indexOf('stream\n'); from >= 0; from = pdf.indexOf('stream\n', from + 1)) {
    if (pdf.subarray(from - 3, from).toString() === 'end') continue;
    const body = pdf.subarray(from + 7, pdf.indexOf('endstream', from));
    const text = (() => {
      try {
        return inflateSync(body).toString('latin1');
      } catch {
        return '';
      }
    })();
    if (/^1 0 0 -1 0 /.test(text)) streams.push(text);
  }
  return streams;
}

/** The words of a PDF, page by page, by an independent reader. */
export async function textOf(pdf: Buffer): Promise<readonly string[]> {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 })
    .promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number += 1) {
    const { items } = await (await document.getPage(number)).getTextContent();
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    );
  }
  await document.cleanup();
  return pages;
}

/** Pieces of text of a page and where they begin: points from its upper left corner, y downwards. */
export async function wordsAt(
  pdf: Buffer,
  page: number,
): Promise<readonly { readonly text: string; readonly x: number; readonly y: number }[]> {
  const own = await (await getDocument({ data: new Uint8Array(pdf) }).promise).getPage(page + 1);
  const { height } = own.getViewport({ scale: 1 });
  const { items } = await own.getTextContent();
  return items.flatMap((item) => {
    if (!('str' in item)) return [];
    const [x, y] = (item.transform as readonly number[]).slice(4);
    return [{ text: item.str, x: x ?? 0, y: height - (y ?? 0) }];
  });
}
