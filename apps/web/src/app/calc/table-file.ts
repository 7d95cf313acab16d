import papa from 'papaparse';

/** How a file of rows is written. */
export interface TableForm {
  readonly encoding: string;
  readonly delimiter: string;
}

/** Why a file can't be read as a table, in words for the gardener. */
export class NotATable extends Error {}

// A quotation mark that is never closed would make the rest of the file one cell.
const longestRow = 1_000_000;
const headBytes = 64 * 1024;

/** Encoding and delimiter of a file; its marks first, then whether it can be UTF-8, else what older spreadsheets write. */
export async function formOf(file: Blob): Promise<TableForm> {
  if (file.size === 0) throw new NotATable('The file is empty.');
  const head = new Uint8Array(await file.slice(0, headBytes).arrayBuffer());
  if (head[0] === 0x50 && head[1] === 0x4b)
    throw new NotATable('This is a workbook or another packed file. Save the sheet as CSV first, and choose that.');
  const encoding = markOf(head) ?? ((await isUtf8(file)) ? 'utf-8' : 'windows-1252');
  const text = new TextDecoder(encoding).decode(head);
  if (text.includes('\u0000')) throw new NotATable('This is no text: it may be a picture or a program’s own file. Save it as CSV first.');
  const { meta } = papa.parse<string[]>(text, { preview: 50, delimitersToGuess: [',', ';', '\t', '|'] });
  return { encoding, delimiter: meta.delimiter };
}

function markOf([one, two, three]: Uint8Array): string | undefined {
  if (one === 0xff && two === 0xfe) return 'utf-16le';
  if (one === 0xfe && two === 0xff) return 'utf-16be';
  return one === 0xef && two === 0xbb && three === 0xbf ? 'utf-8' : undefined;
}

async function isUtf8(file: Blob): Promise<boolean> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  try {
    for await (const part of partsOf(file)) decoder.decode(part, { stream: true });
    decoder.decode();
    return true;
  } catch {
    return false;
  }
}

async function* partsOf(file: Blob): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader();
  try {
    for (let part = await reader.read(); !part.done; part = await reader.read()) yield part.value;
  } finally {
    await reader.cancel();
  }
}

/** Rows of a file, blank ones too, and how much of it was read, from 0 to 1: as many at a time as come, so that a long file needs no more memory than a short one. */
export async function* rowsOf(
  file: Blob,
  { encoding, delimiter }: TableForm,
): AsyncGenerator<{ readonly rows: readonly string[][]; readonly share: number }> {
  const decoder = new TextDecoder(encoding);
  const parser = new papa.Parser({ delimiter, newline: '\n' });
  let [rest, bytes, heldBack] = ['', 0, ''];
  for await (const part of partsOf(file)) {
    bytes += part.length;
    const text = heldBack + decoder.decode(part, { stream: true });
    // A carriage return at the end may belong to a line feed that is still to come.
    heldBack = text.endsWith('\r') ? '\r' : '';
    rest += text.slice(0, text.length - heldBack.length).replaceAll(/\r\n?/g, '\n');
    const { data, meta } = parser.parse(rest, 0, true) as papa.ParseResult<string[]>;
    rest = rest.slice(meta.cursor);
    if (rest.length > longestRow) throw new NotATable('One row is longer than a million letters: a quotation mark is not closed.');
    yield { rows: data, share: bytes / file.size };
  }
  const { data } = parser.parse(rest + decoder.decode().replaceAll('\r', '\n'), 0, false) as papa.ParseResult<string[]>;
  yield { rows: data, share: 1 };
}

/** Something stands in it. */
export const isWritten = (row: readonly string[]) => row.some((cell) => cell.trim() !== '');
