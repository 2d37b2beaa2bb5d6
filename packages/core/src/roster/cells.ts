/**
 * A spreadsheet takes a cell that begins with one of these for a formula. We write an apostrophe
 * before it and take it away again on reading, so that a round trip loses nothing.
 */
const looksLikeFormula = /^'*[=+\-@\t\r]/;

/** A cell as it is safe in a file that spreadsheets open. */
export const guardCell = (cell: string): string =>
  looksLikeFormula.test(cell) ? `'${cell}` : cell;

/** A cell as it was before it was guarded. */
export const bareCell = (cell: string): string =>
  cell.startsWith("'") && looksLikeFormula.test(cell) ? cell.slice(1) : cell;
