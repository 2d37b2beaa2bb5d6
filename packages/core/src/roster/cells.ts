/**
 * A spreadsheet takes a cell that begins with one of these for a formula. A list is written with an
 * apostrophe before it, which is taken away again on reading, so that a round trip loses nothing.
 */
export const looksLikeFormula = /^'*[=+\-@\t\r]/;

/** A cell as it was before it was guarded. */
export const bareCell = (cell: string): string =>
  cell.startsWith("'") && looksLikeFormula.test(cell) ? cell.slice(1) : cell;
