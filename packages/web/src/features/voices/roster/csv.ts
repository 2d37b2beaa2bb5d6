import {
  bareCell,
  guessColumns,
  looksLikeFormula,
  looksLikeHeadings,
  writeRoster,
  type RosterColumn,
  type RosterSinger,
} from '@wide-fern/core';
import Papa from 'papaparse';

/** The most that is read at once: far more than a roster needs. */
const csvLimits = { bytes: 2_000_000, rows: 2001 } as const;

/** A list as it was pasted or read, in cells. */
export interface Cells {
  readonly rows: readonly (readonly string[])[];
  /** What could not be understood, in words. */
  readonly warning: string | null;
}

/** Cuts a list into cells: comma, semicolon or tab between them, quotes around them, line ends of any kind. */
export function readCells(text: string): Cells {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: ['\t', ';', ','],
    skipEmptyLines: 'greedy',
  });
  const rows = data.slice(0, csvLimits.rows).map((row) => row.map(bareCell));
  const quotes = errors.find(({ type }) => type === 'Quotes');
  const warning =
    data.length > csvLimits.rows
      ? `Only the first ${csvLimits.rows - 1} rows are read.`
      : quotes
        ? `A quotation mark is not closed near row ${(quotes.row ?? 0) + 1}; look at what stands there.`
        : null;
  return { rows, warning };
}

/** What a list's columns hold, as far as its first row tells. */
export function guessReading(rows: readonly (readonly string[])[]): {
  headings: boolean;
  columns: (RosterColumn | null)[];
} {
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
  const first = rows[0] ?? [];
  const headings = first.length > 0 && looksLikeHeadings(first);
  const guessed: (RosterColumn | null)[] = headings
    ? guessColumns(first)
    : ['name', 'part', 'easyFrom', 'easyTo', 'reachFrom', 'reachTo'];
  return { headings, columns: Array.from({ length: width }, (_, i) => guessed[i] ?? null) };
}

/** A roster as a file: semicolons between cells, since a cell may list parts with commas. */
export const writeCsv = (singers: readonly RosterSinger[]): string =>
  `\uFEFF${Papa.unparse(writeRoster(singers), {
    delimiter: ';',
    newline: '\r\n',
    escapeFormulae: looksLikeFormula,
  })}\r\n`;

/** The text of a file. Throws in words when it is too large or not in a known encoding. */
export async function textOf(file: Pick<Blob, 'size' | 'arrayBuffer'>): Promise<string> {
  if (file.size > csvLimits.bytes) {
    throw new Error(
      'This file is larger than 2 MB; a roster is far smaller. Check which one it is.',
    );
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  const isUtf16 = bytes[0] === 0xff && bytes[1] === 0xfe;
  try {
    return new TextDecoder(isUtf16 ? 'utf-16le' : 'utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Error(
      'This file is not written in UTF-8. Save it as “CSV UTF-8” and choose it again.',
    );
  }
}
