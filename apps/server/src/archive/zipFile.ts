import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { openPromise } from 'yauzl';
import type { Entry, ZipFile as Opened } from 'yauzl';
import { ApiError } from '../http/apiError.js';

// What a garden within its quotas can come to; a zip that unpacks to more is none of ours.
const mostEntries = 10_000;
const mostBytes = 6_000_000_000;
const mostBytesOfEntry = 2_000_000_000;
const longestLine = 2_000_000;

export const notAnArchive = (message: string): ApiError => new ApiError(400, 'not-an-archive', message);

/** A zip on the disk, read entry by entry. Nothing of it is unpacked before its size was looked at. */
export class ZipFile {
  readonly #zip: Opened;
  readonly #entries: ReadonlyMap<string, Entry>;

  private constructor(zip: Opened, entries: ReadonlyMap<string, Entry>) {
    this.#zip = zip;
    this.#entries = entries;
  }

  /** @throws ApiError where it is no zip, is cut short, or unpacks to more than a garden can be */
  static async open(path: string): Promise<ZipFile> {
    const zip = await openPromise(path, { lazyEntries: true, autoClose: false, validateEntrySizes: true }).catch(() => {
      throw notAnArchive('This file is not a zip, or it ends too early.');
    });
    try {
      if (zip.entryCount > mostEntries)
        throw notAnArchive(`This zip has ${zip.entryCount} files in it; a garden has ${mostEntries} at most.`);
      const entries = await readEntries(zip);
      const all = [...entries.values()].reduce((sum, { uncompressedSize }) => sum + uncompressedSize, 0);
      const large = [...entries.values()].find(({ uncompressedSize }) => uncompressedSize > mostBytesOfEntry);
      if (all > mostBytes || large) throw notAnArchive('This zip unpacks to more than a garden can be.');
      return new ZipFile(zip, entries);
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  close(): void {
    this.#zip.close();
  }

  has = (name: string): boolean => this.#entries.has(name);

  /** @throws ApiError where it is not in there, or longer than is allowed */
  async bytes(name: string, most = longestLine): Promise<Buffer> {
    const parts: Buffer[] = [];
    let length = 0;
    for await (const part of await this.#stream(name)) {
      length += (part as Buffer).length;
      if (length > most) throw notAnArchive(`${name} is longer than ${most} bytes.`);
      parts.push(part as Buffer);
    }
    return Buffer.concat(parts);
  }

  async json(name: string): Promise<unknown> {
    const text = (await this.bytes(name, 20_000_000)).toString('utf8');
    try {
      return JSON.parse(text);
    } catch {
      throw notAnArchive(`${name} is not JSON.`);
    }
  }

  /** Values of a list that has one on each line, with the number of its line. */
  async *list(name: string): AsyncGenerator<readonly [line: number, value: unknown]> {
    let number = 0;
    for await (const text of this.lines(name)) {
      number++;
      const line = text.replace(/,\s*$/, '').trim();
      if (line === '' || line === '[' || line === ']' || line === '[]') continue;
      let value: unknown;
      try {
        value = JSON.parse(line);
      } catch {
        throw notAnArchive(`${name}, line ${number}: this is not one JSON value.`);
      }
      yield [number, value];
    }
  }

  async *lines(name: string): AsyncGenerator<string> {
    const stream = await this.#stream(name);
    const lines = createInterface({ input: stream, crlfDelay: Infinity });
    for await (const line of lines) {
      if (line.length > longestLine) throw notAnArchive(`${name}: a line is longer than ${longestLine} letters.`);
      yield line;
    }
    if (stream.errored) throw brokenEntry(name);
  }

  async #stream(name: string): Promise<Readable> {
    const entry = this.#entries.get(name);
    if (!entry) throw notAnArchive(`${name} is missing in this zip.`);
    const stream = await this.#zip.openReadStreamPromise(entry).catch(() => {
      throw brokenEntry(name);
    });
    // An error in the middle is told where it is read; the listener keeps it from ending the process.
    stream.on('error', () => undefined);
    return stream;
  }
}

const brokenEntry = (name: string) => notAnArchive(`${name} in this zip is broken, or ends too early.`);

function readEntries(zip: Opened): Promise<ReadonlyMap<string, Entry>> {
  const entries = new Map<string, Entry>();
  return new Promise((resolve, reject) => {
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once('end', () => resolve(entries));
    zip.once('error', () => reject(notAnArchive('This zip is broken, or ends too early.')));
    zip.readEntry();
  });
}
