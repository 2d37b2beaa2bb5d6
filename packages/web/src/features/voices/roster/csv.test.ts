import { mixedChoir, readRosterRow, type RosterSinger } from '@wide-fern/core';
import fc from 'fast-check';
import { guessReading, readCells, textOf, writeCsv } from './csv';

describe('lists', () => {
  it('are cut at commas, semicolons or tabs, quoted cells whole', () => {
    const expected = [
      ['Name', 'Part'],
      ['Quay, Wilmet', 'S'],
      ['O"Dell', 'A\nB'],
    ];
    for (const by of [',', ';', '\t']) {
      const text = `\uFEFFName${by}Part\r\n"Quay, Wilmet"${by}S\r\n\r\n"O""Dell"${by}"A\nB"\r\n`;
      expect(readCells(text)).toEqual({ rows: expected, warning: null });
    }
    expect(readCells('').rows).toEqual([]);
    expect(readCells('Wilmet Quay').rows).toEqual([['Wilmet Quay']]);
  });
  it('say when a quotation mark is left open, and stop at 2,000 rows', () => {
    expect(readCells('a,"b\nc,d').warning).toMatch(/quotation mark/);
    const { rows, warning } = readCells('a,b\n'.repeat(3000));
    expect(rows).toHaveLength(2001);
    expect(warning).toMatch(/first 2000/);
  });
  it('are understood by their headings, or by the usual order', () => {
    expect(guessReading([['Part', 'Singer', 'Age'], ['S']])).toEqual({
      headings: true,
      columns: ['part', 'name', null],
    });
    expect(guessReading([['Wilmet Quay', 'S', 'D4', 'G5']])).toEqual({
      headings: false,
      columns: ['name', 'part', 'easyFrom', 'easyTo'],
    });
    expect(guessReading([])).toEqual({ headings: false, columns: [] });
  });
  it('in another encoding, or far too large, are refused in words', async () => {
    const file = (...bytes: number[]) => ({
      size: bytes.length,
      arrayBuffer: () => Promise.resolve(Uint8Array.from(bytes).buffer),
    });
    await expect(textOf(file(0x4d, 0xfc, 0x6c))).rejects.toThrow('UTF-8');
    await expect(textOf({ ...file(), size: 2_000_001 })).rejects.toThrow('2 MB');
    expect(await textOf(file(0xff, 0xfe, 0x41, 0))).toBe('A');
    expect(await textOf(file(0xef, 0xbb, 0xbf, 0xc3, 0xa4))).toBe('ä');
  });
});

describe('a roster written and read again', () => {
  const word = fc.string({ maxLength: 20, unit: 'grapheme' }).map((text) => text.trim());
  const singer = fc
    .record({
      name: word.map((text) => text || 'Ash'),
      notes: fc
        .tuple(word, fc.constantFrom(' ', '\n', ';', '"', "'="))
        .map((all) => all.join('').trim()),
      part: fc.constantFrom(...mixedChoir),
      onLeave: fc.boolean(),
      known: fc.boolean(),
    })
    .map(({ part, known, ...rest }): RosterSinger => ({
      ...rest,
      part: part.id,
      also: [],
      comfort: known ? part.comfort : null,
      reach: known ? part.reach : null,
      lightTop: null,
      changes: [],
      states: [],
    }));
  it('loses nothing', () => {
    fc.assert(
      fc.property(fc.array(singer, { minLength: 1, maxLength: 8 }), (singers) => {
        const { rows } = readCells(writeCsv(singers));
        const { headings, columns } = guessReading(rows);
        expect(headings).toBe(true);
        const read = rows
          .slice(1)
          .map((cells) => readRosterRow(cells, { columns, naming: 'octaves', parts: mixedChoir }));
        expect(read).toEqual(singers.map((one) => ({ kind: 'singer', singer: one })));
      }),
    );
  });
});
