import { analysePiece, foundIn } from './analysis';
import { readingOfScore } from './byBar';
import { excerpt, trebleTonic } from './excerpt';
import { comfortStatistics, barDifficulty, sungPart } from './figures';
import { pieceProgramme } from './listening';
import { beatsAMinute, performanceOrder, partsOfScore, sungNotesOf, type PartMusic } from './music';
import { guessParts, partsOfChoir } from './score/guess';
import { nameSays } from './score/names';
import type { PieceScore, Staff, StaffNote } from './score/score';
import { demandsOf } from './skills';

type Written = readonly [midi: number | null, quarters: number, syllable?: string];

/** A score of one staff a part, four quarters a bar at 60, from notes written one after the other. */
function scoreOf(
  parts: Readonly<Record<string, readonly Written[]>>,
  more: Partial<PieceScore> = {},
): { score: PieceScore; music: PartMusic[] } {
  const barLength = 4;
  let longest = 0;
  const staves = Object.entries(parts).map(([name, written], i) => {
    let at = 0;
    const notes = written.flatMap(([midi, quarters, syllable]): StaffNote[] => {
      const bar = Math.floor(at / barLength);
      const here = at - bar * barLength;
      at += quarters;
      longest = Math.max(longest, at);
      if (midi === null) return [];
      return [
        {
          bar,
          at: here,
          quarters,
          midi,
          voice: '1',
          ...(syllable ? { syllables: [syllable] } : {}),
        },
      ];
    });
    return {
      id: `P${i + 1}.1`,
      name,
      abbreviation: '',
      clef: 'treble' as const,
      ofStaves: 1,
      notes,
      voices: [],
    };
  });
  const score: PieceScore = {
    title: 'Slate',
    composer: '',
    language: '',
    bars: Array.from({ length: Math.ceil(longest / barLength) }, (_, i) => ({
      number: i + 1,
      counted: true,
      quarters: barLength,
    })),
    staves,
    tempos: [{ bar: 0, at: 0, tempo: 60 }],
    keys: [{ bar: 0, fifths: 0, mode: 'major' }],
    metres: [{ bar: 0, metre: { beats: 4, unit: 4 } }],
    warnings: [],
    ...more,
  };
  const mapping = Object.keys(parts).map((part, i) => ({ line: `P${i + 1}.1/all`, parts: [part] }));
  return { score, music: partsOfScore(score, mapping, Object.keys(parts)) };
}

const sungIn = ({ score, music }: ReturnType<typeof scoreOf>) => {
  const order = performanceOrder(score);
  return { score, order, sung: music.map((part) => sungPart(part, order)) };
};

describe('how a piece lies in a comfort', () => {
  // G4 to E5 comfortable: C5, D♭5, D5 … the top three semitones are D5, E♭5, E5.
  const comfort = [67, 76] as const;
  const piece = scoreOf({
    S: [
      [67, 2],
      [74, 2],
      [77, 3],
      [null, 1],
      [65, 4],
    ],
  });
  it('is told in seconds above, below and in the top three semitones, with the bars', () => {
    const { score, order, sung } = sungIn(piece);
    expect(comfortStatistics(sung[0]!, comfort, score, order)).toEqual({
      above: 3,
      below: 4,
      high: 2,
      barsOutside: [2, 3],
    });
  });
  it('makes bars as hard as its points say', () => {
    const { score, order, sung } = sungIn(piece);
    const bars = barDifficulty(sung[0]!, { comfort, phrase: 5, score, order });
    expect(bars).toEqual([
      // 2 s in the top three semitones; a leap of a fifth, two semitones beyond a fourth.
      { points: 2 * 2 + 2, above: false, below: false },
      // 3 s above; the phrase has lasted 7 s by then, 2 longer than comfortable; a third is no leap.
      { points: 3 * 3 + 2, above: true, below: false },
      // 4 s below, after a rest.
      { points: 3 * 4, above: false, below: true },
    ]);
  });
  it('counts a bar that is repeated as its hardest time, not twice', () => {
    const once = scoreOf({
      S: [
        [77, 4],
        [67, 4],
      ],
    });
    const bars = [{ ...once.score.bars[0]!, repeatTo: {} }, once.score.bars[1]!];
    const { score, order, sung } = sungIn({ ...once, score: { ...once.score, bars } });
    const [first] = barDifficulty(sung[0]!, { comfort, phrase: 100, score, order });
    expect(first!.points).toBe(12);
    expect(comfortStatistics(sung[0]!, comfort, score, order).above).toBe(8);
  });
  it('is sung quicker at another pace, in a beat of the metre', () => {
    const six = scoreOf({ S: [[67, 4]] }, { metres: [{ bar: 0, metre: { beats: 6, unit: 8 } }] });
    expect(beatsAMinute(six.score)).toBe(40);
    expect(beatsAMinute(piece.score)).toBe(60);
    expect(performanceOrder(piece.score, 2).seconds).toBe(6);
  });
});

describe('the skills that figures suggest', () => {
  it('name the bars, the part and the figure', () => {
    const piece = scoreOf({
      S: [
        [79, 3],
        [60, 1],
        [62, 0.2],
        [64, 0.2],
        [65, 0.2],
        [67, 0.2],
        [67, 3.2],
        [null, 4],
      ],
      A: [
        [null, 4],
        [null, 4],
        [58, 4],
      ],
      T: [
        [null, 8],
        [57, 2],
        [null, 2],
      ],
    });
    const { score, order, sung } = sungIn(piece);
    const comforts = { S: [62, 79], A: [57, 74], T: [50, 67] } as const;
    const parts = sung.map((one) => ({
      sung: one,
      comfort: comforts[one.part as 'S' | 'A' | 'T'],
    }));
    const found = demandsOf(parts, 7, score, order).map(
      ({ kind, parts: who, fromBar, toBar, figure }) => [
        kind,
        who.join(''),
        fromBar,
        toBar,
        Math.round(figure * 100) / 100,
      ],
    );
    expect(found).toEqual([
      ['long phrase', 'S', 1, 2, 8],
      ['high and long', 'S', 1, 1, 3],
      ['wide leap', 'S', 1, 1, 19],
      // Four notes of a fifth of a second each.
      ['fast run', 'S', 2, 2, 5],
      // 58 is one above the comfort's end: two steps into its bottom three.
      ['low ending', 'A', 3, 3, 2],
      ['close clash', 'AT', 3, 3, 2],
    ]);
  });
});

describe('an exercise of bars', () => {
  const piece = scoreOf(
    {
      S: [
        [null, 1],
        [67, 1, 'lan-'],
        [69, 1, 'tern'],
        [71, 1],
        [72, 4, 'light'],
      ],
      B: [
        [48, 4, 'oh'],
        [55, 2, 'dark'],
        [48, 2],
      ],
    },
    { keys: [{ bar: 0, fifths: 0, mode: 'major' }] },
  );
  const [soprano, bass] = piece.music;
  const both = [
    { music: soprano!, octave: 0 },
    { music: bass!, octave: -12 },
  ];
  const own = { kind: 'own' } as const;

  it('is one part’s line for all, over the tonic of its key, with its words', () => {
    const found = excerpt(piece.score, { from: 0, to: 1, form: 'line', parts: both, words: own })!;
    expect(found.tonic).toBe(60);
    expect(found.tempo).toBe(60);
    expect(found.music).toEqual({
      kind: 'pattern',
      mode: 'major',
      metre: { beats: 4, unit: 4 },
      notes: [
        { offset: 7, beats: 1, syllable: 'lan-' },
        { offset: 9, beats: 1, syllable: 'tern', slur: true },
        { offset: 11, beats: 1 },
        { offset: 12, beats: 4, syllable: 'light' },
      ],
    });
    // The rest before the upbeat is the breath: the next time it begins on the second beat again.
    expect(found.breathBeats).toBe(1);
  });
  it('is a line for each part, each in its own octave', () => {
    const found = excerpt(piece.score, { from: 0, to: 1, form: 'parts', parts: both, words: own })!;
    expect(found.music).toMatchObject({
      kind: 'lines',
      lines: [
        [
          { rest: true, beats: 1 },
          { offset: 7 },
          { offset: 9 },
          { offset: 11 },
          { offset: 12, beats: 3 },
        ],
        [
          { offset: 0, beats: 4 },
          { offset: 7, beats: 2, slur: true },
          { offset: 0, beats: 1 },
        ],
      ],
    });
    // No rest at either end of all: the last notes give up a beat to breathe.
    expect(found.breathBeats).toBe(1);
  });
  it('is as it is printed where that is wanted: no rest and no beat is given up', () => {
    const wanted = { from: 0, to: 1, form: 'parts', parts: both, words: own } as const;
    const found = excerpt(piece.score, { ...wanted, asWritten: true })!;
    const { lines } = found.music as Extract<typeof found.music, { kind: 'lines' }>;
    expect(lines.map((events) => events.reduce((sum, { beats }) => sum + beats, 0))).toEqual([
      8, 8,
    ]);
    expect(lines[0]!.at(-1)).toMatchObject({ offset: 12, beats: 4 });
    // The next time, if there is one, begins in its bar.
    expect(found.breathBeats).toBe(4);
  });
  it('is chord by chord, each as long as the next', () => {
    const found = excerpt(piece.score, {
      from: 0,
      to: 1,
      form: 'chords',
      parts: both,
      words: { kind: 'syllable', text: 'noo' },
    })!;
    const { music } = found;
    expect(music).toMatchObject({
      kind: 'lines',
      lines: [
        [
          { rest: true, beats: 2 },
          { offset: 7 },
          { offset: 9 },
          { offset: 11 },
          { offset: 12 },
          { offset: 12 },
        ],
        [0, 0, 0, 0, 7, 0].map((offset) => ({ offset, beats: 2, syllable: 'noo' })),
      ],
    });
    expect('metre' in music).toBe(false);
  });
  it('goes on a neutral syllable, bound on a trill, or on words of one’s own', () => {
    const on = (words: Parameters<typeof excerpt>[1]['words']) => {
      const found = excerpt(piece.score, { from: 0, to: 1, form: 'line', parts: both, words })!;
      return found.music.kind === 'pattern' ? found.music.notes : [];
    };
    expect(on({ kind: 'syllable', text: 'noo' })).toMatchObject(
      [7, 9, 11, 12].map((offset) => ({ offset, syllable: 'noo' })),
    );
    expect(on({ kind: 'syllable', text: 'brr', bound: true })).toEqual([
      { offset: 7, beats: 1, syllable: 'brr', slur: true },
      { offset: 9, beats: 1, slur: true },
      { offset: 11, beats: 1, slur: true },
      { offset: 12, beats: 4 },
    ]);
    expect(on({ kind: 'text', syllables: ['grey', 'wa-'] })).toEqual([
      { offset: 7, beats: 1, syllable: 'grey' },
      { offset: 9, beats: 1, syllable: 'wa-', slur: true },
      { offset: 11, beats: 1, slur: true },
      { offset: 12, beats: 4 },
    ]);
  });
  it('leaves a bar free where no note can give up a beat', () => {
    const short = scoreOf({
      S: [
        [67, 1],
        [69, 1],
        [71, 1],
        [72, 1],
      ],
    });
    const parts = [{ music: short.music[0]!, octave: 0 }];
    const found = excerpt(short.score, { from: 0, to: 0, form: 'line', parts, words: own })!;
    expect(found.breathBeats).toBe(4);
  });
  it('is none where nothing is sung', () => {
    const silent = scoreOf({
      S: [
        [null, 4],
        [67, 4],
      ],
    });
    const parts = [{ music: silent.music[0]!, octave: 0 }];
    const wanted = { from: 0, to: 0, form: 'line', parts, words: own } as const;
    expect(excerpt(silent.score, wanted)).toBeUndefined();
  });
  it('lies between A3 and A♭4 by its tonic', () => {
    expect([
      trebleTonic(0, 'major'),
      trebleTonic(-3, 'major'),
      trebleTonic(0, 'minor'),
      trebleTonic(3, 'major'),
      trebleTonic(-4, 'major'),
    ]).toEqual([60, 63, 57, 57, 68]);
  });
});

describe('the names of staves', () => {
  it.each([
    ['S/A', ['S', 'A']],
    ['SA', ['S', 'A']],
    ['SSAA', ['S1', 'S2', 'A1', 'A2']],
    ['Sopran 1 und 2', ['S1', 'S2']],
    ['Mezzo-Soprano', ['Mez']],
    ['Bariton', ['Bar']],
    ['Frauen', ['S', 'A']],
    ['T. II', ['T2']],
    ['1st Soprano', ['S1']],
    ['2nd Tenors', ['T2']],
    ['Second Bass', ['B2']],
    ['Men’s choir', ['T', 'B']],
    ['Women 2', ['A']],
    ['Choir II Alto', ['A']],
    ['Coro SATB', ['S', 'A', 'T', 'B']],
    ['Sopraanot', ['S']],
    ['Altot', ['A']],
    ['Tenorit', ['T']],
    ['Bassot', ['B']],
    ['Bassen', ['B']],
    ['Alten', ['A']],
    ['Tenöre', ['T']],
    ['Bässe', ['B']],
    ['2:a Sopran', ['S2']],
    ['Basar', ['B']],
    ['Kvinder', ['S', 'A']],
    ['Soprany', ['S']],
    ['Basy', ['B']],
    ['Mężczyźni', ['T', 'B']],
    ['Szoprán', ['S']],
    ['Basszus', ['B']],
    ['Tenores', ['T']],
    ['Bajos', ['B']],
    ['Soprani I', ['S1']],
    ['Contralti', ['A']],
    ['Ténors', ['T']],
    ['Basses', ['B']],
    ['Hommes', ['T', 'B']],
  ])('%s', (name, parts) => {
    expect(nameSays(name)).toEqual({ kind: 'parts', parts });
  });
  it.each([
    ...['Orgel', 'Piano (for rehearsal only)', 'Bass Clarinet', 'Kontrabass', 'Klavierauszug'],
    ...['Marimba', 'Handbells', 'Accordion', 'Piccolo', 'Bass Guitar', 'String Bass', 'E-Bass'],
    ...[
      'Tenor Saxophone',
      'Alto Flute',
      'Bass Drum',
      'Kontrabasso',
      'Altówka',
      'Brácsa',
      'Altviool',
    ],
  ])('%s is an instrument', (name) => {
    expect(nameSays(name)).toEqual({ kind: 'instrument' });
  });
  it.each([
    ['Soprano Solo', ['S']],
    ['Tenorsolo', ['T']],
    ['Solista', []],
    ['Solo T', ['T']],
  ])('%s is one person', (name, parts) => {
    expect(nameSays(name)).toEqual({ kind: 'solo', parts });
  });
  it.each(['Voice', 'Choir A', 'a cappella', 'Coro a 4', 'Chor I', 'At rest', 'constructor'])(
    '%s says nothing',
    (name) => {
      expect(nameSays(name)).toEqual({ kind: 'nothing' });
    },
  );
  it('find the parts of a choir that has them, or nearly', () => {
    const eight = ['S1', 'S2', 'A1', 'A2', 'T1', 'T2', 'B1', 'B2'];
    const four = ['S', 'A', 'T', 'B'];
    expect(partsOfChoir('S', four)).toEqual(['S']);
    expect(partsOfChoir('S', eight)).toEqual(['S1', 'S2']);
    expect(partsOfChoir('S2', four)).toEqual(['S']);
    expect(partsOfChoir('A3', eight)).toEqual(['A2']);
    expect(partsOfChoir('Bar', eight)).toEqual(['B1']);
    expect(partsOfChoir('Echo', four)).toEqual([]);
  });
});

describe('who sings which staff', () => {
  const guess = (staves: Readonly<Record<string, Partial<Staff> & { midi?: number }>>) => {
    const { score } = scoreOf(
      Object.fromEntries(
        Object.entries(staves).map(([name, { midi = 67 }]) => [name, [[midi, 4]]]),
      ),
    );
    const marked = score.staves.map((staff) => ({ ...staff, ...staves[staff.name] }));
    return guessParts({ ...score, staves: marked }).map(({ parts, octaveLower, unsure }) => [
      parts.join(),
      octaveLower,
      unsure,
    ]);
  };
  it('never lowers a tenor whose octave the file says, and asks where it has to guess', () => {
    expect(guess({ Tenor: { octaveSaid: true } })).toEqual([['T', false, undefined]]);
    expect(guess({ Tenor: {} })).toEqual([['T', true, 'octave']]);
    expect(guess({ Tenor: { midi: 55 } })).toEqual([['T', false, undefined]]);
  });
  it('leaves soloists out beside a choir, and takes them where nobody else sings', () => {
    expect(guess({ Soprano: {}, 'Soprano solo': {} })).toEqual([
      ['S', false, undefined],
      ['', false, undefined],
    ]);
    expect(guess({ 'Soprano solo': {}, 'Alto solo': {} }).map(([part]) => part)).toEqual([
      'S',
      'A',
    ]);
  });
  it('renames no named staff for a nameless one', () => {
    expect(guess({ Soprano: {}, Echo: {}, Alto: {}, Chimney: {} })).toEqual([
      ['S', false, undefined],
      ['A', false, undefined],
      ['Echo', false, 'nameless'],
      ['Chimney', false, 'nameless'],
    ]);
  });
  it('reads the bracket where the staff has only a number', () => {
    const bracket = { group: 'Soprano' };
    const staves = { I: bracket, II: bracket, 1: { group: 'Men' }, 2: { group: 'Men' } };
    expect(guess(staves).map(([part]) => part)).toEqual(
      expect.arrayContaining(['S1', 'S2', 'T', 'B']),
    );
  });
});

describe('everything a piece asks', () => {
  const piece = scoreOf({
    S: [
      [67, 2, 'slate-'],
      [79, 2, 'grey'],
      [67, 4, 'stone'],
    ],
    B: [
      [48, 4],
      [43, 4],
    ],
  });
  const setting = {
    mapping: [
      { line: 'P1.1/all', parts: ['S'] },
      { line: 'P2.1/all', parts: ['B'] },
    ],
    sections: [
      { id: 'S', comfort: [62, 78] },
      { id: 'B', comfort: [43, 62] },
    ],
    pace: 1,
    transpose: 0,
    phrase: 9,
  } as const;

  it('is told for each part, with the words where it is highest', () => {
    const { parts, seconds, tempo } = analysePiece(piece.score, setting);
    expect([seconds, tempo]).toEqual([8, 60]);
    expect(parts[0]).toMatchObject({
      part: 'S',
      highestWords: 'slategrey',
      comfort: { above: 2, barsOutside: [1] },
      sings: [true, true],
    });
  });
  it('changes with tempo and key at once', () => {
    const lower = analysePiece(piece.score, { ...setting, transpose: -2, pace: 0.5 });
    expect(lower.seconds).toBe(16);
    expect(lower.parts[0]).toMatchObject({ figures: { highest: 77 }, comfort: { above: 0 } });
    expect(lower.parts[1]).toMatchObject({ figures: { lowest: 41 }, comfort: { below: 8 } });
  });
  it('is heard from any bar on, with a bar counted in, held notes too', () => {
    const order = performanceOrder(piece.score);
    const wanted = { score: piece.score, parts: piece.music, order, pace: 1, from: 1, to: 1 };
    const { sounded, seconds, places } = pieceProgramme({ ...wanted, countIn: true });
    expect([seconds, places]).toEqual([8, [4]]);
    expect(sounded.filter(({ voice }) => voice === 'count').map(({ at }) => at)).toEqual([
      0, 1, 2, 3,
    ]);
    expect(sounded.filter(({ voice }) => voice !== 'count')).toMatchObject([
      { voice: 'S', midi: 67, at: 4, seconds: 4 },
      { voice: 'B', midi: 43, at: 4, seconds: 4 },
    ]);
    expect(pieceProgramme({ ...wanted, countIn: false }).seconds).toBe(4);
  });
  it('is asked about with every line that was found', () => {
    const { staves, guess, bars } = foundIn(piece.score);
    expect(bars).toBe(2);
    expect(staves.map(({ name, reading }) => [name, reading])).toEqual([
      ['S', 'one line'],
      ['B', 'one line'],
    ]);
    expect(staves[0]!.lines['one line']).toEqual([
      {
        id: 'P1.1/all',
        take: '',
        range: [67, 79],
        notes: 3,
        firstWords: 'slategrey stone',
        firstBar: 1,
      },
    ]);
    expect(guess.map(({ line, parts }) => [line, parts])).toEqual([
      ['P1.1/all', ['S']],
      ['P2.1/all', ['B']],
    ]);
  });
  it('is kept bar by bar', () => {
    const { byBar, ranges, seconds } = readingOfScore(piece.score, setting.mapping, ['S', 'B']);
    expect(byBar).toEqual({
      numbers: [1, 2],
      parts: {
        S: [
          [67, 79],
          [67, 67],
        ],
        B: [
          [48, 48],
          [43, 43],
        ],
      },
    });
    expect([ranges, seconds]).toEqual([{ S: [67, 79], B: [43, 48] }, 8]);
  });
});

describe('two voices of a line that hold the same pitch', () => {
  it('go on each by itself where both are tied over at once', () => {
    const { score } = scoreOf({ Soprano: [[67, 4]] });
    const note = (voice: string, at: number, quarters: number, tie: object): StaffNote => ({
      bar: 0,
      midi: 67,
      voice,
      at,
      quarters,
      ...tie,
    });
    const line = [
      note('2', 0, 1, { tieStart: true }),
      note('1', 0.5, 0.5, { tieStart: true }),
      note('1', 1, 2, { tieStop: true }),
      note('2', 1, 1, { tieStop: true }),
    ];
    const sung = sungNotesOf({ part: 'S', lines: [line] }, performanceOrder(score));
    expect(sung.map(({ from, to }) => [from, to])).toEqual([
      [0, 2],
      [0.5, 3],
    ]);
  });
});
