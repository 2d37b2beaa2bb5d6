import fc from 'fast-check';
import { arrangements, mixedChoir, singerStates } from '../voices';
import {
  bareCell,
  looksLikeFormula,
  guessColumns,
  looksLikeHeadings,
  partInText,
  readRosterRow,
  writeRoster,
  writtenColumns,
  type RosterColumn,
  type RosterReading,
  type RosterSinger,
} from './index';

const reading = {
  columns: ['name', 'part', 'easyFrom', 'easyTo'] as (RosterColumn | null)[],
  naming: 'octaves' as const,
  parts: mixedChoir,
};
const problems = (cells: string[], columns = reading.columns) => {
  const row = readRosterRow(cells, { ...reading, columns });
  return row.kind === 'faulty' ? row.problems.map(({ column }) => column) : [];
};

describe('headings', () => {
  it('are known by their usual words', () => {
    expect(guessColumns(['Nachname', 'Vorname', 'Stimme', 'Shoe size', 'voice'])).toEqual([
      'name',
      'firstName',
      'part',
      null,
      null,
    ]);
    expect(looksLikeHeadings(['Name', 'Part'])).toBe(true);
    expect(looksLikeHeadings(['Noor', 'S'])).toBe(false);
    expect(looksLikeHeadings(['Singer'])).toBe(true);
  });
});

describe('headings of other lists', () => {
  it.each([
    [
      ['Cognome', 'Nome', 'Voce', 'Più grave', 'Più acuta'],
      'name firstName part reachFrom reachTo',
    ],
    [['Nome', 'Cognome', 'Voz'], 'firstName name part'],
    [['Nom', 'Prénom', 'Pupitre', 'Étendue'], 'name firstName part reachRange'],
    [['Apellidos', 'Nombre', 'Cuerda', 'Nota más grave'], 'name firstName part reachFrom'],
    [['Achternaam', 'Voornaam', 'Stemgroep', 'Hoogste noot'], 'name firstName part reachTo'],
    [['Efternamn', 'Förnamn', 'Stämma', 'Högsta ton'], 'name firstName part reachTo'],
    [['Etternavn', 'Fornavn', 'Stemme', 'Høyeste tone'], 'name firstName part reachTo'],
    [['Sukunimi', 'Etunimi', 'Ääni', 'Matalin sävel'], 'name firstName part reachFrom'],
    [['Nazwisko', 'Imię', 'Głos', 'Najwyższy dźwięk'], 'name firstName part reachTo'],
    [['Név', 'Szólam', 'Hangterjedelem'], 'name part reachRange'],
    [['Name', 'Stimmgruppe', 'Tiefster Ton', 'Höchster Ton'], 'name part reachFrom reachTo'],
  ])('%j', (headings, columns) => {
    expect(guessColumns(headings).join(' ')).toBe(columns);
  });
});

describe('ranges in lists', () => {
  const ranged = (cell: string, naming: RosterReading['naming'] = 'octaves') => {
    const columns: RosterColumn[] = ['name', 'part', 'reachRange'];
    return readRosterRow(['Ash', 'B', cell], { ...reading, columns, naming });
  };
  it('stand in one cell, and what is easy lies inside them', () => {
    for (const cell of [
      'E2–E4',
      'E2 - E4',
      'E2-E4',
      'E2 to E4',
      'E2 bis E4',
      'E2..E4',
      'E2 à E4',
    ]) {
      expect([cell, ranged(cell)]).toMatchObject([
        cell,
        { kind: 'singer', singer: { reach: [40, 64], comfort: [43, 62] } },
      ]);
    }
    expect(ranged('Mi2–Mi4', 'solfege')).toMatchObject({ singer: { reach: [40, 64] } });
    expect(ranged("E-e'", 'marks')).toMatchObject({ singer: { reach: [40, 64] } });
    expect(ranged('E2')).toMatchObject({
      problems: [{ column: 'reachRange', code: 'not-a-range' }],
    });
  });
  it('are blamed where they stand, and only for what stands there', () => {
    const columns: RosterColumn[] = ['name', 'part', 'reachFrom', 'reachTo'];
    expect(problems(['Ash', 'B', 'G2', 'C6'], columns)).toEqual(['reachTo']);
    expect(problems(['Ash', 'kazoo', 'C3', 'G4'], columns)).toEqual(['part']);
    expect(problems(['Ash', 'B', 'G2', ''], columns)).toEqual(['reachTo']);
    expect(problems(['Ash', 'B', 'G2–C6'], ['name', 'part', 'reachRange'])).toEqual(['reachRange']);
  });
  it('are the reach where only the lowest and the highest note are said', () => {
    const columns: RosterColumn[] = ['name', 'part', 'reachFrom', 'reachTo'];
    expect(readRosterRow(['Ash', 'S', 'B3', 'A5'], { ...reading, columns })).toMatchObject({
      singer: { reach: [59, 81], comfort: [62, 79] },
    });
  });
});

describe('parts in lists', () => {
  const eight = arrangements.find(({ id }) => id === 'mixed-eight')!.parts;
  it('are found by letter, name and usual word', () => {
    for (const text of ['S', 's', 'Soprano', 'sopranos', 'Sopran']) {
      expect([text, partInText(text, mixedChoir)?.id]).toEqual([text, 'S']);
    }
    for (const text of ['A2', 'a 2', 'Alt II', 'alto 2', 'second alto', '2. Alt']) {
      expect([text, partInText(text, eight)?.id]).toEqual([text, 'A2']);
    }
    expect(partInText('Bariton', mixedChoir)?.id).toBe('B');
  });
  it('are not guessed where several would do', () => {
    expect(partInText('soprano', eight)).toBeUndefined();
    expect(partInText('', mixedChoir)).toBeUndefined();
    expect(partInText('kazoo', mixedChoir)).toBeUndefined();
  });
});

describe('a row', () => {
  it('becomes a singer', () => {
    expect(readRosterRow(['Noor Haddadin', 'soprano', 'E♭4', 'E5'], reading)).toEqual({
      kind: 'singer',
      singer: {
        name: 'Noor Haddadin',
        part: 'S',
        also: [],
        comfort: [63, 76],
        reach: [63, 76],
        lightTop: null,
        changes: [],
        states: [],
        onLeave: false,
        notes: '',
      },
    });
    expect(problems(['Ash', 'B', '', ''])).toEqual([]);
  });
  it('says of each cell what is wrong with it', () => {
    expect(problems(['', 'X', 'C', 'C9'])).toEqual(['name', 'part', 'easyFrom']);
    expect(problems(['Ash', 'B', 'G2', ''])).toEqual(['easyTo']);
    expect(problems(['Ash', 'B', 'G2', 'C6'])).toContain('easyTo');
    expect(problems(['Ash', 'S', 'G5', 'D4'])).toContain('easyFrom');
    expect(problems(['x'.repeat(81), 'S'])).toEqual(['name']);
    const more: RosterColumn[] = ['name', 'part', 'also', 'state', 'leave', 'notes'];
    expect(problems(['Ash', 'S', 'A, kazoo', 'sleepy', 'perhaps', 'n'.repeat(1001)], more)).toEqual(
      ['also', 'state', 'leave', 'notes'],
    );
  });
  it('joins a name from two cells and reads lists of parts and states', () => {
    const columns: RosterColumn[] = ['name', 'firstName', 'part', 'also', 'state', 'leave'];
    const row = readRosterRow(['Tarn', 'Ash', 'B', 'T / B', 'tired; changing voice', 'ja'], {
      ...reading,
      columns,
    });
    expect(row).toMatchObject({
      singer: { name: 'Ash Tarn', also: ['T'], states: ['tired', 'changing'], onLeave: true },
    });
  });
});

describe('cells', () => {
  it('that a spreadsheet would take for a formula are guarded, and come back as they were', () => {
    expect(looksLikeFormula.test('=1+1')).toBe(true);
    expect(looksLikeFormula.test("O'Hara")).toBe(false);
    const guarded = (cell: string) => (looksLikeFormula.test(cell) ? `'${cell}` : cell);
    fc.assert(
      fc.property(
        fc.string().map((text) => `${text.slice(0, 1)}${text}`),
        fc.constantFrom('', '=', '@', '-', "'", "''=", "'+"),
        (text, start) => {
          expect(bareCell(guarded(start + text))).toBe(start + text);
          expect(guarded(start + text)).not.toMatch(/^[=+\-@\t\r]/);
        },
      ),
    );
  });
});

describe('a roster that is written', () => {
  const text = (most: number) =>
    fc.string({ maxLength: most, unit: 'grapheme' }).map((one) => one.trim());
  const singer = fc
    .record({
      part: fc.constantFrom(...mixedChoir),
      inset: fc.tuple(fc.nat(4), fc.nat(4), fc.nat(3), fc.nat(3)),
      checked: fc.boolean(),
      changes: fc.uniqueArray(fc.integer({ min: 40, max: 84 }), { maxLength: 4 }),
      light: fc.boolean(),
      name: text(20).map((one) => one || 'Ash'),
      notes: text(40),
      also: fc.subarray(mixedChoir.map(({ id }) => id)),
      states: fc.subarray([...singerStates]),
      onLeave: fc.boolean(),
    })
    .map(({ part, inset, checked, light, also, changes, ...rest }): RosterSinger => {
      const [a, b, c, d] = inset;
      const [low, high] = part.comfort;
      return {
        ...rest,
        // Whoever has no part yet stands in the list with a blank one.
        part: also.includes(part.id) && !checked ? null : part.id,
        changes: [...changes].sort((a, b) => a - b),
        also: also.filter((id) => id !== part.id),
        comfort: checked ? [low + a, high - b] : null,
        reach: checked ? [low + a - c, high - b + d] : null,
        lightTop: checked && light ? high + d : null,
      };
    });
  it('gives the same singers when it is read back', () => {
    fc.assert(
      fc.property(fc.array(singer, { maxLength: 6 }), (singers) => {
        const [headings, ...rows] = writeRoster(singers);
        expect(guessColumns(headings!)).toEqual(writtenColumns);
        const columns = guessColumns(headings!);
        expect(rows.map((row) => readRosterRow(row, { ...reading, columns }))).toEqual(
          singers.map((one) => ({ kind: 'singer', singer: one })),
        );
      }),
    );
  });
});
