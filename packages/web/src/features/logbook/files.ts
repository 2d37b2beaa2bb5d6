import type { Logbook } from '@wide-fern/contract';
import { looksLikeFormula } from '@wide-fern/core';
import { loggedCells, loggedHeadings } from '@wide-fern/words';
import Papa from 'papaparse';

/** A logbook as a table that any program reads: one row for each exercise that was led. */
export const writeCsv = (book: Logbook, dayOf: (moment: string) => string): string =>
  Papa.unparse(
    { fields: [...loggedHeadings], data: loggedCells(book, dayOf) },
    // Names are typed by people: none of them is a formula.
    { newline: '\r\n', escapeFormulae: looksLikeFormula },
  );
