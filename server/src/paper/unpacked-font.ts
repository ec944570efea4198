import { inflateSync } from 'node:zlib';

const WOFF = { signature: 0x774f4646, header: 44, entry: 20 } as const;
const SFNT = { header: 12, entry: 16 } as const;

interface Table {
  readonly tag: number;
  readonly checksum: number;
  readonly data: Buffer;
}

/**
 * A font as it was before it was packed for the web: the reader of fonts would unpack a whole table again for
 * each glyph it is asked for.
 *
 * @source W3C, WOFF File Format 1.0 (2012), 3 to 5; OpenType 1.9, 'Table directory'
 * @throws Error for a file that is no WOFF 1.0
 */
export function unpackedFont(woff: Buffer): Buffer {
  if (woff.readUInt32BE(0) !== WOFF.signature) throw new Error('The font is no WOFF 1.0 file.');
  const tables = tablesOf(woff);
  const power = Math.floor(Math.log2(tables.length));
  const head = Buffer.alloc(SFNT.header + SFNT.entry * tables.length);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(tables.length, 4);
  head.writeUInt16BE(16 * 2 ** power, 6);
  head.writeUInt16BE(power, 8);
  head.writeUInt16BE(16 * (tables.length - 2 ** power), 10);
  const parts: Uint8Array[] = [head];
  let from = head.length;
  tables.forEach(({ tag, checksum, data }, index) => {
    const at = SFNT.header + SFNT.entry * index;
    head.writeUInt32BE(tag, at);
    head.writeUInt32BE(checksum, at + 4);
    head.writeUInt32BE(from, at + 8);
    head.writeUInt32BE(data.length, at + 12);
    const padding = -data.length & 3;
    parts.push(data, Buffer.alloc(padding));
    from += data.length + padding;
  });
  return Buffer.concat(parts);
}

function tablesOf(woff: Buffer): readonly Table[] {
  return Array.from({ length: woff.readUInt16BE(12) }, (_, index) => {
    const at = WOFF.header + WOFF.entry * index;
    const [offset, packed, length] = [4, 8, 12].map((more) => woff.readUInt32BE(at + more)) as [
      number,
      number,
      number,
    ];
    const stored = woff.subarray(offset, offset + packed);
    return {
      tag: woff.readUInt32BE(at),
      checksum: woff.readUInt32BE(at + 16),
      data: packed < length ? inflateSync(stored) : stored,
    };
  });
}
