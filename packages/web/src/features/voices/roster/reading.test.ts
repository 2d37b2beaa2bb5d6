import type { Singer } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import { forgetPersonal } from '@wide-fern/client';
import { keepList, readKept, type ReadList } from './keptList';
import { previewRows, toStore, withCell, withoutRow } from './reading';

const list: ReadList = {
  rows: [
    ['Name', 'Part'],
    ['Ash Tarn', 'B'],
    ['Bo', 'kazoo'],
    ['ash tarn', 'T'],
  ],
  headings: true,
  columns: ['name', 'part'],
  naming: 'octaves',
  either: [],
  warning: null,
};
const ash = { id: 'a', version: 4, name: 'Ash Tarn' } as Singer;

describe('a list before it is stored', () => {
  it('shows faulty rows and who is known, each namesake once', () => {
    const rows = previewRows(list, mixedChoir, [ash]);
    expect(rows.map(({ number, read, known }) => [number, read.kind, known?.id])).toEqual([
      [1, 'singer', 'a'],
      [2, 'faulty', undefined],
      [3, 'singer', undefined],
    ]);
  });
  it('changes, adds or skips who is known, as wanted', () => {
    const rows = previewRows(list, mixedChoir, [ash]);
    const names = (same: 'change' | 'add' | 'skip') => {
      const { add, change } = toStore(rows, same);
      return [add.map(({ part }) => part), change.map(({ id, version }) => `${id}${version}`)];
    };
    expect(names('change')).toEqual([['T'], ['a4']]);
    expect(names('add')).toEqual([['B', 'T'], []]);
    expect(names('skip')).toEqual([['T'], []]);
  });
  it('can be put right, cell by cell, or row by row', () => {
    const right = withCell(list, 2, 1, 'A');
    expect(previewRows(right, mixedChoir, []).every(({ read }) => read.kind === 'singer')).toBe(
      true,
    );
    expect(withCell(list, 1, 3, 'x').rows[1]).toEqual(['Ash Tarn', 'B', '', 'x']);
    expect(withoutRow(list, 2).rows).toHaveLength(3);
  });
  it('is kept on the device until it is stored, and forgotten by whoever signs out', () => {
    keepList('me', 'choir', list);
    expect(readKept('me', 'choir')).toEqual(list);
    expect(readKept('me', 'other')).toBeUndefined();
    keepList('me', 'choir', undefined);
    expect(readKept('me', 'choir')).toBeUndefined();
    keepList('me', 'choir', list);
    forgetPersonal();
    expect(readKept('me', 'choir')).toBeUndefined();
  });
});
