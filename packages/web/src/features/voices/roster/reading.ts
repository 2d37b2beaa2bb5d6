import type { Singer, SingerFields, StoreSingers } from '@wide-fern/contract';
import { readRosterRow, type RosterColumn, type RosterPart, type RosterRow } from '@wide-fern/core';
import type { ReadList } from './keptList';

/** What to do with a row whose name is on the roster already. */
export type SameName = 'change' | 'add' | 'skip';

/** A row of a list as it would be stored. */
export interface PreviewRow {
  /** Its place in the list, headings not counted, from 1. */
  readonly number: number;
  /** Its place among all rows, for putting a cell right. */
  readonly index: number;
  readonly cells: readonly string[];
  readonly read: RosterRow;
  /** Who has the same name on the roster already. */
  readonly known: Singer | undefined;
}

const plain = (name: string): string => name.trim().toLowerCase();

/** Every row of a list as it would be stored; a name is known once. */
export function previewRows(
  list: ReadList,
  parts: readonly RosterPart[],
  singers: readonly Singer[],
): PreviewRow[] {
  const free = new Map<string, Singer[]>();
  for (const singer of singers) {
    const key = plain(singer.name);
    free.set(key, [...(free.get(key) ?? []), singer]);
  }
  const skipped = list.headings ? 1 : 0;
  return list.rows.slice(skipped).map((cells, i) => {
    const read = readRosterRow(cells, { columns: list.columns, naming: list.naming, parts });
    const namesakes = read.kind === 'singer' ? free.get(plain(read.singer.name)) : undefined;
    // Of two namesakes each row takes its own.
    const known = namesakes?.shift();
    return { number: i + 1, index: i + skipped, cells, read, known };
  });
}

const fieldsOf = (row: PreviewRow): SingerFields[] =>
  row.read.kind === 'singer'
    ? [
        {
          ...row.read.singer,
          // What a list says nothing of stays as it is known.
          part: row.read.singer.part ?? row.known?.part ?? null,
          changes: [
            ...(row.read.singer.changes.length > 0
              ? row.read.singer.changes
              : (row.known?.changes ?? [])),
          ],
          also: [...row.read.singer.also],
          states: [...row.read.singer.states],
        },
      ]
    : [];

/** What would be stored: new singers, and those that the list changes. Faulty rows are left out. */
export function toStore(rows: readonly PreviewRow[], same: SameName): StoreSingers {
  return {
    add: rows.filter(({ known }) => !known || same === 'add').flatMap(fieldsOf),
    change:
      same === 'change'
        ? rows.flatMap((row) =>
            row.known
              ? fieldsOf(row).map((singer) => ({
                  id: row.known!.id,
                  version: row.known!.version,
                  singer,
                }))
              : [],
          )
        : [],
  };
}

/** A list with one cell put right. */
export function withCell(list: ReadList, index: number, column: number, text: string): ReadList {
  const rows = list.rows.map((row, i) => {
    if (i !== index) return row;
    const wide = Array.from({ length: Math.max(row.length, column + 1) }, (_, c) => row[c] ?? '');
    wide[column] = text;
    return wide;
  });
  return { ...list, rows };
}

/** A list without one of its rows. */
export const withoutRow = (list: ReadList, index: number): ReadList => ({
  ...list,
  rows: list.rows.filter((_, i) => i !== index),
});

/** A list whose column holds something else; no two columns hold the same. */
export const withColumn = (list: ReadList, at: number, to: RosterColumn | null): ReadList => ({
  ...list,
  columns: list.columns.map((column, i) =>
    i === at ? to : column === to && to !== null ? null : column,
  ),
});

/** Whether a list says how far singers reach, and nothing of what is easy. */
export const onlyReach = (columns: ReadList['columns']): boolean =>
  columns.some((column) => column === 'reachRange' || column === 'reachTo') &&
  !columns.some((column) => ['easyFrom', 'easyTo', 'easyRange'].includes(column ?? ''));
