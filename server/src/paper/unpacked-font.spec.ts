import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from '@jest/globals';
import { create } from 'fontkit';
import { unpackedFont } from './unpacked-font';

const packed = readFileSync(
  createRequire(import.meta.url).resolve(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  ),
);

describe('is a font that was unpacked the font it was?', () => {
  const plain = unpackedFont(packed);
  it('every table adds up to its own sum, as OpenType asks', () => {
    const words = (from: number, length: number): number => {
      let sum = 0;
      for (let at = from; at < from + length; at += 4) sum = (sum + plain.readUInt32BE(at)) >>> 0;
      return sum;
    };
    const count = plain.readUInt16BE(4);
    expect(count).toBeGreaterThan(8);
    for (let index = 0; index < count; index += 1) {
      const at = 12 + 16 * index;
      const tag = plain.toString('latin1', at, at + 4);
      const [sum, from, length] = [4, 8, 12].map((more) => plain.readUInt32BE(at + more)) as [
        number,
        number,
        number,
      ];
      // The head leaves out its own word for the whole file.
      const without = tag === 'head' ? plain.readUInt32BE(from + 8) : 0;
      expect({ tag, sum: (words(from, length) - without) >>> 0 }).toEqual({ tag, sum });
    }
  });
  it('an independent reader finds the same outlines and widths in both', () => {
    const [one, other] = [create(packed), create(plain)].map((font) => {
      if (!('layout' in font)) throw new Error('a collection');
      const { glyphs, advanceWidth } = font.layout('SW3 · 34 5/8 in, Höhe 1210 mm');
      return { advanceWidth, outlines: glyphs.map(({ path }) => path.toSVG()) };
    });
    expect(one?.advanceWidth).toBeGreaterThan(0);
    expect(other).toEqual(one);
  });
  it('what is no such file is refused', () => {
    expect(() => unpackedFont(Buffer.from('wOF2 and more that follows'))).toThrow('no WOFF 1.0');
  });
});
