import { plainNames } from '../../testing/page';
import { exerciseSchema, type Piece, type PieceMark } from '@wide-fern/contract';
import {
  type Section,
  analysePiece,
  excerpt,
  foundIn,
  mixedChoir,
  partsOfScore,
  type Mapping,
  type PieceAnalysis,
} from '@wide-fern/core';
import { demoScores } from '@wide-fern/catalogue/demo';
import { columnsOf, heightOf, pitchesShown, pitchScale, strip } from './drawing/geometry';
import { draftOf, readDraft } from './form/pieceDraft';
import {
  exerciseOf,
  purposesOf,
  syllablesOf,
  wordsOf,
  type Making,
} from '../../here/score/exercise';
import { piecesWanted } from './model/list';
import { readBars, writeBars } from './model/bars';
import {
  demandInWords,
  keyInWords,
  languageInWords,
  metreInWords,
  noteOfPiece,
  partFacts,
  pieceSentence,
  transposeInWords,
} from '@wide-fern/words';
import { guessedMapping, keptMapping, linesAsked, mappingOf, withParts } from './read/mappingModel';

const sections: Section[] = mixedChoir.map(({ id, one, many, octave, comfort, reach }) => ({
  id,
  one,
  many,
  octave,
  comfort,
  reach,
  singers: 0,
  suits: true,
}));
const { score } = demoScores.lanterns;
const mapping: Mapping[] = score.staves.map(({ id }, i) => ({
  line: `${id}/all`,
  parts: [sections[i]!.id],
}));
const analysed = (transpose = 0, phrase = 9): PieceAnalysis =>
  analysePiece(score, { mapping, sections, pace: 1, transpose, phrase });
const words = { phrase: 9, writing: 'flats' } as const;
const note = noteOfPiece(analysed(), 'flats');

describe('a piece in words', () => {
  it('says what it asks most, of whom, and where', () => {
    expect(pieceSentence(analysed(), sections, words)).toBe(
      'Everyone sings 21 seconds without a rest up to bar 22, and the altos go down to G3, two semitones below tonight.',
    );
    const higher = pieceSentence(analysed(4), sections, { ...words, phrase: 60 });
    expect(higher).toBe('The tenors go up to B4, four semitones above tonight.');
    const nobody = { ...analysed(), parts: [] };
    expect(pieceSentence(nobody, sections, words)).toMatch(/say who sings which line/);
    const wide = sections.map((band) => ({ ...band, comfort: [30, 90] as const }));
    expect(pieceSentence(analysed(), wide, { ...words, phrase: 60 })).toMatch(
      /^Everything lies inside/,
    );
  });
  it('has at most seven facts a part, and what leaves the band stands out', () => {
    const { parts } = analysed();
    for (const part of parts) expect(partFacts(part, note).length).toBeLessThanOrEqual(7);
    const alto = partFacts(parts[1]!, note);
    expect(alto[0]).toEqual({ words: 'G3 to B♭4', matters: true });
    expect(alto[2]).toEqual({ words: '10 s below tonight', matters: true });
    expect(partFacts(parts[0]!, note)[2]).toEqual({
      words: 'all inside tonight',
      matters: false,
    });
  });
  it('spells its notes by its key, and as the choir names them', () => {
    const inG = { key: { bar: 0, fifths: 1, mode: 'major' }, transpose: 0 } as const;
    expect([66, 70].map(noteOfPiece(inG, 'flats'))).toEqual(['F♯4', 'B♭4']);
    expect(noteOfPiece({ ...inG, key: undefined }, 'flats')(66)).toBe('G♭4');
    expect(noteOfPiece({ ...inG, transpose: -1 }, 'flats')(65)).toBe('F4');
    const german = { naming: 'german', accidentals: 'flats' } as const;
    expect([66, 71].map(noteOfPiece(inG, german))).toEqual(['fis′', 'h′']);
  });
  it('names key, metre, transposition and language', () => {
    expect(keyInWords({ bar: 0, fifths: -3, mode: 'major' }, 0, 'flats')).toBe('E♭ major');
    expect(keyInWords({ bar: 0, fifths: -3, mode: 'major' }, -2, 'flats')).toBe('D♭ major');
    expect(keyInWords({ bar: 0, fifths: 6, mode: 'major' }, 0, 'flats')).toBe('F♯ major');
    expect(keyInWords(undefined, 0, 'flats')).toBe('');
    expect(metreInWords({ beats: 4, unit: 4 })).toBe('four in a bar');
    expect(metreInWords({ beats: 6, unit: 8 })).toBe('six eighths');
    expect(transposeInWords(-2)).toBe('a tone lower');
    expect(transposeInWords(0)).toBe('as written');
    expect([languageInWords('en'), languageInWords('Old Norse'), languageInWords('')]).toEqual([
      'English',
      'Old Norse',
      '',
    ]);
  });
  it('says each demand with its bars', () => {
    const said = analysed().demands.map(demandInWords);
    expect(said).toContain('21 s on one breath, bars 17–22');
    expect(said.every((one) => /bars? \d+/.test(one))).toBe(true);
  });
});

describe('bars in an address', () => {
  it('are read and written, and nonsense is none', () => {
    expect(readBars('19-22')).toEqual({ from: 19, to: 22 });
    expect(readBars('22-19')).toEqual({ from: 19, to: 22 });
    expect(readBars('7')).toEqual({ from: 7, to: 7 });
    expect(readBars('x')).toBeUndefined();
    expect(readBars(null)).toBeUndefined();
    expect(writeBars({ from: 7, to: 7 })).toBe('7');
    expect(writeBars({ from: 7, to: 9 })).toBe('7-9');
  });
});

describe('the geometry of a piece', () => {
  it('has a column for each printed bar, and four in one where there are too many', () => {
    const numbers = [0, 1, 2, 2, 3];
    expect(columnsOf(numbers, 400).map(({ from, places }) => [from, places])).toEqual([
      [0, [0]],
      [1, [1]],
      [2, [2, 3]],
      [3, [4]],
    ]);
    const many = Array.from({ length: 600 }, (_, i) => i + 1);
    const columns = columnsOf(many, 1168);
    expect(columns).toHaveLength(150);
    expect(columns[1]).toMatchObject({ from: 5, to: 8 });
    expect(columns.flatMap(({ places }) => places)).toHaveLength(600);
  });
  it('keeps the band and all that is sung in sight, the higher above', () => {
    const shown = pitchesShown([60, 72], [58, 70]);
    expect(shown).toEqual([57, 73]);
    const { y, step } = pitchScale(shown);
    expect(y(73)).toBeLessThan(y(57));
    expect(y(60) - y(61)).toBeCloseTo(step, 9);
    expect(heightOf(1000)).toBe(strip.tallest);
    expect(heightOf(2)).toBeCloseTo(3.3, 9);
  });
});

describe('an exercise made of bars', () => {
  const making: Making = {
    form: 'parts',
    part: 'S',
    words: 'noo',
    text: '',
    tempo: 58,
    name: 'Night wind',
  };
  const marks: PieceMark[] = [
    { id: 'a', fromBar: 19, toBar: 22, parts: [], skill: 'long outflow', note: '' },
    { id: 'b', fromBar: 29, toBar: 29, parts: [], skill: 'tuning', note: '' },
  ];
  const musics = partsOfScore(
    score,
    mapping,
    sections.map(({ id }) => id),
  );
  const cut = (words: Making['words']) =>
    excerpt(score, {
      from: 18,
      to: 21,
      form: 'parts',
      parts: musics.map((music, i) => ({ music, octave: sections[i]!.octave })),
      words: wordsOf({ words, text: '' }),
    })!;
  const of = {
    piece: '00000000-0000-4000-8000-000000000000',
    title: 'Lanterns over Slate',
    from: 19,
    to: 22,
    marks,
    sections,
    troubled: 'S',
    transpose: 0,
  };

  it('is sound, of the phase into the piece, for the skill that was marked, and linked', () => {
    const made = exerciseSchema.parse(exerciseOf(cut('noo'), making, of));
    expect(made).toMatchObject({
      id: 'night-wind',
      phase: 'piece',
      purposes: ['long outflow'],
      purpose: 'This is bars 19 to 22 of “Lanterns over Slate”, 8 beats a minute slower, on noo.',
      source: { fromBar: 19, toBar: 22, parts: ['S', 'A', 'T', 'B'] },
      music: { kind: 'lines', mode: 'major' },
      usual: { tempo: 58 },
    });
  });
  it('climbs to where the part that has the trouble sings it as written, or higher as it is sung', () => {
    const bars = cut('noo');
    expect(exerciseOf(bars, making, of).aim).toEqual({ part: 'S', tonic: bars.tonic });
    const higher = exerciseOf(
      bars,
      { ...making, form: 'line', part: 'A' },
      { ...of, transpose: 2 },
    );
    expect(higher.aim).toEqual({ part: 'A', tonic: bars.tonic + 2 });
  });
  it('stays sound with a name and a title as long as they may be', () => {
    const long = { ...of, title: 'Slate '.repeat(20).trim() };
    const name = 'n'.repeat(60);
    expect(
      exerciseSchema.safeParse(exerciseOf(cut('own'), { ...making, name, words: 'own' }, long))
        .success,
    ).toBe(true);
  });
  it('is for legato where nothing is marked', () => {
    expect(purposesOf(marks, 1, 4)).toEqual(['legato']);
    expect(purposesOf(marks, 20, 30)).toEqual(['long outflow', 'tuning']);
  });
  it('takes words of one’s own syllable by syllable', () => {
    expect(syllablesOf(' slate-grey  wa-ter ')).toEqual(['slate-', 'grey', 'wa-', 'ter']);
    expect(wordsOf({ words: 'lip trill', text: '' })).toMatchObject({ bound: true });
  });
});

describe('who sings which line', () => {
  const found = foundIn(demoScores.coldIron.score);
  it('is guessed for the parts a choir has', () => {
    const guessed = guessedMapping(found, sections);
    expect(mappingOf(found, guessed).map(({ parts }) => parts)).toEqual([
      ['S'],
      ['A'],
      ['T'],
      ['B'],
    ]);
    const eight = ['S1', 'S2', 'A1', 'A2', 'T1', 'T2', 'B1', 'B2'].map((id) => ({ id }));
    expect(mappingOf(found, guessedMapping(found, eight))[0]!.parts).toEqual(['S1', 'S2']);
  });
  it('follows how a staff is read', () => {
    const guessed = guessedMapping(found, sections);
    const [first] = found.staves;
    const whole = {
      ...guessed,
      readings: { ...guessed.readings, [first!.id]: 'one line' as const },
    };
    expect(linesAsked(found, whole).map(({ take }) => take)).toEqual(['', 'upper', 'lower']);
    expect(mappingOf(found, whole)[0]!.parts).toEqual([]);
  });
  it('comes back as it was kept, unless the score has other lines', () => {
    const kept = mappingOf(found, guessedMapping(found, sections));
    expect(mappingOf(found, keptMapping(found, kept)!)).toEqual(kept);
    expect(keptMapping(found, [{ line: 'P9.1/all', parts: ['S'] }])).toBeUndefined();
    expect(keptMapping(found, [])).toBeUndefined();
  });
  it('lets only low voices read an octave high', () => {
    const draft = { readings: {}, parts: {}, octaveLower: { x: true } };
    expect(withParts(draft, 'x', ['S'], sections).octaveLower.x).toBe(false);
    expect(withParts(draft, 'x', ['T'], sections).octaveLower.x).toBe(true);
  });
});

describe('a piece typed by hand', () => {
  const draft = draftOf(undefined, plainNames);
  it('is read, or says what is wrong at its field', () => {
    const read = readDraft(
      { ...draft, title: ' Slate ', tempo: '66,5', ranges: { S: ['eb4', 'F5'], A: ['', ''] } },
      sections,
      undefined,
      plainNames,
    );
    expect(read).toMatchObject({
      body: { title: 'Slate', tempo: 66.5, ranges: { S: [63, 77] }, score: null },
    });
    const wrong = readDraft(
      { ...draft, tempo: '5', ranges: { S: ['F5', 'E4'], A: ['x', ''] } },
      sections,
      undefined,
      plainNames,
    );
    expect('errors' in wrong && Object.keys(wrong.errors).sort()).toEqual([
      'A',
      'S',
      'tempo',
      'title',
    ]);
  });
  it('comes back into the fields as it was', () => {
    const piece = {
      piece: {
        ...{ title: 'Slate', composer: '', language: '', tempo: null, transpose: -1, notes: 'x' },
        ranges: { S: [63, 77] },
        score: null,
      },
    } as unknown as Piece;
    const again = draftOf(piece, plainNames);
    expect(again.ranges.S).toEqual(['E♭4', 'F5']);
    expect(readDraft(again, sections, piece, plainNames)).toMatchObject({
      body: { transpose: -1, ranges: { S: [63, 77] } },
    });
  });
});

describe('the list of pieces', () => {
  const piece = (title: string, composer = '') =>
    ({ title, composer, language: '' }) as Parameters<typeof piecesWanted>[0][number];
  it('is searched word by word, whatever the accents', () => {
    const all = [piece('Édge of Slate', 'Nobody'), piece('Ferry')];
    expect(piecesWanted(all, 'slate edge').map(({ title }) => title)).toEqual(['Édge of Slate']);
    expect(piecesWanted(all, 'nobody')).toHaveLength(1);
    expect(piecesWanted(all, '  ')).toHaveLength(2);
    expect(piecesWanted(all, 'x')).toEqual([]);
  });
});
