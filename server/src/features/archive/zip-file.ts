import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import yauzl from 'yauzl';
import { Refusal } from '../../http/refusal';

const MOST_ENTRIES = 25_000;
/** Text of rows is some hundred bytes a row: a job of a hundred thousand rows is far below. */
const MOST_TEXT = 200_000_000;
const MOST_PHOTO = 50_000_000;
const MOST_PAPER = 200_000_000;
/** JSON packs to a tenth or a twentieth; what unpacks to much more than that was made to fill a disk. */
const MOST_RATIO = 200;
/** Together; an archive has at most 2 GB, and photos do not pack. */
const MOST_TOGETHER = 4_000_000_000;
const RATIO_FROM = 1_000_000;

/** What an archive may hold. */
const KNOWN =
  /^(archive\.json|rows\.json|shop\.json|schema\.json|README\.txt|photos\/[0-9a-f-]{36}\.jpg|papers\/[\w.-]{1,120}\.pdf)$/;

const damaged = (got: string): Refusal =>
  new Refusal('ARCHIVE_DAMAGED', { path: 'archive', expected: 'a whole archive as it was saved', got });
const unsafe = (path: string, got: string): Refusal =>
  new Refusal('ARCHIVE_UNSAFE', { path, expected: 'only the files an archive has', got });

/** A zip on the disk of which only files are read that an archive has, none larger than it says. */
export class ArchiveFile {
  private constructor(
    readonly zip: yauzl.ZipFile,
    readonly entries: ReadonlyMap<string, yauzl.Entry>,
  ) {}

  /** @throws Refusal ARCHIVE_UNREADABLE, ARCHIVE_DAMAGED, ARCHIVE_UNSAFE */
  static async open(path: string): Promise<ArchiveFile> {
    const zip = await opened(path);
    try {
      return new ArchiveFile(zip, await entriesOf(zip));
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  close(): void {
    this.zip.close();
  }

  /** @throws Refusal ARCHIVE_UNSAFE for a name no archive has */
  refuseUnknown(): void {
    for (const name of this.entries.keys())
      if (!KNOWN.test(name)) throw unsafe(name.slice(0, 80), 'a file of another name');
  }

  /** @throws Refusal ARCHIVE_UNREADABLE, ARCHIVE_DAMAGED */
  async text(name: string): Promise<{ readonly text: string; readonly sha256: string }> {
    const parts: Buffer[] = [];
    const hash = createHash('sha256');
    for await (const part of await this.stream(name)) {
      parts.push(part as Buffer);
      hash.update(part as Buffer);
    }
    return { text: Buffer.concat(parts).toString('utf8'), sha256: hash.digest('hex') };
  }

  /** A file that is small enough to hold. */
  async bytes(name: string): Promise<{ readonly data: Buffer; readonly sha256: string }> {
    const parts: Buffer[] = [];
    for await (const part of await this.stream(name)) parts.push(part as Buffer);
    const data = Buffer.concat(parts);
    return { data, sha256: createHash('sha256').update(data).digest('hex') };
  }

  async stream(name: string): Promise<Readable> {
    const entry = this.entries.get(name);
    if (entry === undefined) throw damaged(`no ${name}`);
    return new Promise((resolve, reject) => {
      this.zip.openReadStream(entry, (error, stream) => {
        if (error !== null) {
          reject(damaged(error.message));
          return;
        }
        // What breaks off or is larger than it says ends as an error of the stream.
        const fail = (why: Error): void => {
          stream.destroy(why instanceof Refusal ? why : damaged(why.message));
        };
        stream.once('error', fail);
        resolve(stream);
      });
    });
  }
}

const opened = (path: string): Promise<yauzl.ZipFile> =>
  new Promise((resolve, reject) => {
    yauzl.open(path, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, zip) => {
      if (error === null) resolve(zip);
      else
        reject(
          new Refusal('ARCHIVE_UNREADABLE', {
            path: 'archive',
            expected: 'a zip that is whole',
            got: 'a file that is no zip, or breaks off',
          }),
        );
    });
  });

function entriesOf(zip: yauzl.ZipFile): Promise<ReadonlyMap<string, yauzl.Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, yauzl.Entry>();
    let together = 0;
    zip.on('error', (error: Error) => {
      reject(
        /relative path|absolute path|characters in/i.test(error.message)
          ? unsafe('name', error.message)
          : damaged(error.message),
      );
    });
    zip.on('end', () => {
      resolve(entries);
    });
    zip.on('entry', (entry: yauzl.Entry) => {
      together += entry.uncompressedSize;
      const fault =
        together > MOST_TOGETHER ? unsafe('archive', `${together} bytes together`) : faultOf(entry, entries);
      if (fault !== undefined) {
        reject(fault);
        return;
      }
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

function faultOf(entry: yauzl.Entry, entries: ReadonlyMap<string, yauzl.Entry>): Refusal | undefined {
  const { fileName, uncompressedSize, compressedSize } = entry;
  if (entries.size >= MOST_ENTRIES) return unsafe('archive', `more than ${MOST_ENTRIES} files`);
  if (entries.has(fileName)) return unsafe(fileName.slice(0, 80), 'the same file twice');
  const most = fileName.startsWith('photos/')
    ? MOST_PHOTO
    : fileName.startsWith('papers/')
      ? MOST_PAPER
      : MOST_TEXT;
  if (uncompressedSize > most) return unsafe(fileName.slice(0, 80), `${uncompressedSize} bytes`);
  const ratio = uncompressedSize / Math.max(1, compressedSize);
  return uncompressedSize > RATIO_FROM && ratio > MOST_RATIO
    ? unsafe(fileName.slice(0, 80), `${uncompressedSize} bytes out of ${compressedSize}`)
    : undefined;
}
