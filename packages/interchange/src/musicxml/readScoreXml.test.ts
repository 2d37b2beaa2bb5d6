import {
  performanceOrder,
  pieceStatistics,
  guessParts,
  partsOfScore,
  sungPart,
  type PartStatistics,
  type PieceScore,
} from '@wide-fern/core';
import { strToU8 } from 'fflate';
import { compress } from '../container/compressed';
import { UnreadableFile } from '../common/found';
import {
  back,
  barline,
  ending,
  head,
  n,
  partwise,
  repeat,
  sound,
  tempo,
  timewise,
  type XmlPart,
} from '../testing/xml';
import { readScore } from '../readScore';

const read = (parts: readonly XmlPart[]) => readScore(strToU8(partwise(parts)));

/** The figures of every part as it is guessed without help. */
function figures(score: PieceScore): Record<string, PartStatistics> {
  const order = performanceOrder(score);
  const guessed = guessParts(score).map(({ line, ...one }) => ({ ...one, line: line.id }));
  const names = [...new Set(guessed.flatMap(({ parts }) => parts))];
  return Object.fromEntries(
    partsOfScore(score, guessed, names).flatMap((music) => {
      const found = pieceStatistics(sungPart(music, order), score, order);
      return found ? [[music.part, found]] : [];
    }),
  );
}
const rangesOf = (score: PieceScore) =>
  Object.fromEntries(
    Object.entries(figures(score)).map(([part, { lowest, highest }]) => [part, [lowest, highest]]),
  );
const one = (name: string, ...bars: XmlPart['bars']): XmlPart => ({ name, bars });
const q = 60;

describe('who sings which line', () => {
  it('is told by the names of four staves, in several languages', () => {
    for (const names of [
      ['Soprano', 'Alto', 'Tenor', 'Bass'],
      ['Sopran', 'Alt', 'Tenor', 'Baß'],
      ['Dessus', 'Alto', 'Ténor', 'Basse'],
      ['Soprani', 'Contralto', 'Tenori', 'Bassi'],
      ['S.', 'A.', 'T.', 'B.'],
      ['', '', '', ''],
      ['Voice 1', 'Voice 2', 'Voice 3', 'Voice 4'],
    ]) {
      const notes = ['C5', 'G4', 'E3', 'C3'];
      const score = read(
        names.map((name, i) => one(name, head({ clef: i === 3 ? 'F' : 'G' }) + n(notes[i]!, 4))),
      );
      expect([names, rangesOf(score)]).toEqual([
        names,
        { S: [72, 72], A: [67, 67], T: [52, 52], B: [48, 48] },
      ]);
    }
  });
  it('numbers parts that are divided on staves of their own', () => {
    const names = ['Soprano I', 'Soprano II', 'Alt 1', '2. Alt', 'Men'];
    const score = read(names.map((name, i) => one(name, head() + n(`C${i < 4 ? 5 : 3}`, 4))));
    expect(Object.keys(figures(score))).toEqual(['S1', 'S2', 'A1', 'A2', 'T', 'B']);
  });
  it('leaves accompaniment out, and takes a lone keyboard for a choir written close together', () => {
    const piano = one(
      'Piano',
      head({ clefs: ['G', 'F'] }) +
        n('E5', 4, { voice: 1, staff: 1 }) +
        back(4) +
        n('C5', 4, { voice: 2, staff: 1 }) +
        back(4) +
        n('G3', 4, { voice: 5, staff: 2 }) +
        back(4) +
        n('C3', 4, { voice: 6, staff: 2 }),
    );
    expect(rangesOf(read([one('Soprano', head() + n('A4', 4)), piano]))).toEqual({ S: [69, 69] });
    expect(rangesOf(read([piano]))).toEqual({ S: [76, 76], A: [72, 72], T: [55, 55], B: [48, 48] });
  });
  it('knows a choir written close together beside a soloist', () => {
    const choir = one(
      'Chor',
      head({ clefs: ['G', 'F'] }) +
        n('E5', 4, { voice: 1, staff: 1 }) +
        back(4) +
        n('C5', 4, { voice: 2, staff: 1 }) +
        back(4) +
        n('G3', 4, { voice: 5, staff: 2 }) +
        back(4) +
        n('C3', 4, { voice: 6, staff: 2 }),
    );
    const score = read([one('Soprano Solo', head() + n('A5', 4)), choir]);
    expect(rangesOf(score)).toEqual({
      S: [76, 76],
      A: [72, 72],
      T: [55, 55],
      B: [48, 48],
    });
  });
  it('keeps the score’s own names where nothing can be guessed', () => {
    const score = read([one('Echo', head() + n('C5', 4)), one('Echo', head() + n('A4', 4))]);
    expect(Object.keys(figures(score))).toEqual(['Echo 1', 'Echo 2']);
  });
});

describe('two parts on one staff', () => {
  const closed = (upper: string, lower: string): XmlPart[] => [
    one('Soprano Alto', head() + upper),
    one('Tenor Bass', head({ clef: 'F' }) + lower),
  ];
  it('are told apart by their voices', () => {
    const score = read(
      closed(
        n('E5', 2) + n('D5', 2) + back(4) + n('C5', 4, { voice: 2 }),
        n('G3', 4) + back(4) + n('C3', 2, { voice: 2 }) + n('G2', 2, { voice: 2 }),
      ),
    );
    expect(rangesOf(score)).toEqual({ S: [74, 76], A: [72, 72], T: [55, 55], B: [43, 48] });
  });
  it('are told apart by the notes of a chord; a single head is sung by both', () => {
    const score = read(
      closed(
        n('E5', 2) + n('C5', 2, { chord: true }) + n('B4', 2),
        n('G3', 4) + n('C3', 4, { chord: true }),
      ),
    );
    expect(rangesOf(score)).toEqual({ S: [71, 76], A: [71, 72], T: [55, 55], B: [48, 48] });
  });
  it('are told apart by their stems in one voice', () => {
    const score = read(
      closed(
        n('E5', 2, { stem: 'up' }) +
          n('G5', 2, { stem: 'up' }) +
          back(4) +
          n('C5', 4, { stem: 'down' }),
        n('G3', 4) + n('C3', 4, { chord: true }),
      ),
    );
    expect(rangesOf(score)).toEqual({ S: [76, 79], A: [72, 72], T: [55, 55], B: [48, 48] });
  });
  it('take the words that are printed once', () => {
    const score = read(
      closed(
        n('E5', 2, { lyric: 'lan-' }) +
          n('D5', 2, { lyric: '-tern' }) +
          back(4) +
          n('C5', 2, { voice: 2 }) +
          n('B4', 2, { voice: 2 }),
        n('G3', 4) + n('C3', 4, { chord: true }),
      ),
    );
    const guessed = guessParts(score).map(({ line, ...rest }) => ({ ...rest, line: line.id }));
    const [alto] = partsOfScore(score, guessed, ['A']);
    expect(alto!.lines[0]!.map(({ syllables }) => syllables)).toEqual([['lan-'], ['tern']]);
  });
});

describe('where notes sound', () => {
  it('is an octave below for octave clefs, transpositions, and tenors printed high', () => {
    // In an octave clef a file already tells where it sounds.
    expect(rangesOf(read([one('Tenor', head({ clef: 'G8' }) + n('G3', 4))]))).toEqual({
      T: [55, 55],
    });
    const octave =
      '<transpose><chromatic>0</chromatic><octave-change>-1</octave-change></transpose>';
    expect(rangesOf(read([one('Tenor', head({ transpose: octave }) + n('G4', 4))]))).toEqual({
      T: [55, 55],
    });
    // Said once, it is not lowered again, however high the line lies.
    expect(rangesOf(read([one('Tenor', head({ transpose: octave }) + n('E5', 4))]))).toEqual({
      T: [64, 64],
    });
    expect(rangesOf(read([one('Tenor', head({ clef: 'C4' }) + n('E4', 4))]))).toEqual({
      T: [64, 64],
    });
    // A line around G4 in a plain treble clef is nobody's tenor: it sounds around G3.
    expect(rangesOf(read([one('Tenor', head() + n('G4', 4))]))).toEqual({ T: [55, 55] });
    expect(rangesOf(read([one('Tenor', head() + n('G3', 4))]))).toEqual({ T: [55, 55] });
    const inB = '<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose>';
    expect(rangesOf(read([one('Soprano', head({ transpose: inB }) + n('D5', 4))]))).toEqual({
      S: [72, 72],
    });
  });
});

describe('what is counted', () => {
  it('a tied note as one, a grace note and somebody else’s cue not at all', () => {
    const grace = n('C6', 0, { before: '<grace/>' });
    const cue = n('E6', 1, { before: '<cue/>' });
    const score = read([
      one(
        'Soprano',
        head() + tempo(q) + grace + n('C5', 3) + cue,
        n('r', 1) + n('D5', 3, { tie: 'start' }),
        n('D5', 2, { tie: 'both' }) + n('D5', 1, { tie: 'stop' }) + n('E5', 1),
      ),
    ]);
    const { S } = figures(score);
    // Three seconds of C; D from the second bar on for six, then E for one without a rest between.
    expect(S).toMatchObject({
      lowest: 72,
      highest: 76,
      lowestBar: 1,
      highestBar: 3,
      histogram: { 72: 3, 74: 6, 76: 1 },
      longestPhrase: { seconds: 7, fromBar: 2, toBar: 3 },
      widestLeap: { semitones: 2, bar: 3 },
      // Three notes stand together at most.
      fastestRun: { notesPerSecond: 0 },
      sounding: 10,
    });
  });
  it('a note that is tied for the eye only as one too', () => {
    const tied = (type: string) => ({ also: `<notations><tied type="${type}"/></notations>` });
    const score = read([
      one('Soprano', head() + tempo(q) + n('C5', 4, tied('start')), n('C5', 4, tied('stop'))),
    ]);
    expect(score.staves[0]!.notes.map(({ tieStart, tieStop }) => [tieStart, tieStop])).toEqual([
      [true, undefined],
      [undefined, true],
    ]);
  });
  it('triplets and short notes by their own lengths', () => {
    const third =
      '<time-modification><actual-notes>3</actual-notes><normal-notes>2</normal-notes></time-modification>';
    const twelfth = (name: string) =>
      n(name, 1 / 3, { also: third }).replace(/<duration>[\d.]+</, '<duration>4<');
    // Twelve divisions in a quarter here, so that a triplet is whole.
    const bar =
      head().replace('<divisions>4', '<divisions>12') +
      tempo(q) +
      ['C5', 'D5', 'E5', 'F5', 'G5', 'F5'].map(twelfth).join('') +
      n('C5', 2).replace('<duration>8', '<duration>24');
    const { S } = figures(read([one('Soprano', bar)]));
    // Four notes of a triplet take four thirds of a second.
    expect(S!.fastestRun.notesPerSecond).toBeCloseTo(3, 9);
    expect(S!.histogram['77']).toBeCloseTo(2 / 3, 9);
    expect(S!.widestLeap).toEqual({ semitones: 5, bar: 1 });
    expect(S!.longestPhrase.seconds).toBeCloseTo(4, 9);
  });
  it('a pick-up as bar 0, and the halves of a parted bar as one', () => {
    const score = read([
      one(
        'Soprano',
        { attributes: 'number="0" implicit="yes"', inside: head() + tempo(q) + n('G4', 1) },
        { attributes: 'number="1"', inside: n('C5', 4) },
        { attributes: 'number="2"', inside: n('D5', 2) + repeat('backward') },
        { attributes: 'number="X1" implicit="yes"', inside: n('E5', 2) },
        { attributes: 'number="3"', inside: n('C5', 3) },
      ),
    ]);
    expect(score.bars.map(({ number, counted }) => [number, counted])).toEqual([
      [0, false],
      [1, true],
      [2, true],
      [2, false],
      [3, true],
    ]);
    // 1 + 4 + 2 quarters twice, then 2 + 3.
    expect(performanceOrder(score).seconds).toBeCloseTo(19, 9);
    expect(figures(score).S).toMatchObject({ lowestBar: 0, highestBar: 2 });
  });
  it('repeats with their endings as often as they are sung', () => {
    const score = read([
      one(
        'Alto',
        head() + tempo(q) + n('A4', 4),
        barline(ending('1', 'start')) + n('B4', 4) + repeat('backward', ending('1', 'stop')),
        barline(ending('2', 'start')) + n('C5', 4) + barline(ending('2', 'discontinue')),
        n('D5', 4),
      ),
    ]);
    expect(figures(score).A!.histogram).toEqual({ 69: 8, 71: 4, 72: 4, 74: 4 });
    expect(performanceOrder(score).seconds).toBe(20);
  });
  it('da capo to the fine, and dal segno to the coda', () => {
    const fine = read([
      one(
        'Bass',
        head({ clef: 'F' }) + tempo(q) + n('C3', 4),
        n('D3', 4) + '<direction><direction-type><words>Fine</words></direction-type></direction>',
        n('E3', 4) +
          '<direction><direction-type><words>D.C. al Fine</words></direction-type></direction>',
      ),
    ]);
    expect(figures(fine).B!.histogram).toEqual({ 48: 8, 50: 8, 52: 4 });
    const sign = (name: string) =>
      `<direction><direction-type><${name}/></direction-type></direction>`;
    const coda = read([
      one(
        'Bass',
        head({ clef: 'F' }) + tempo(q) + n('C3', 4),
        sign('segno') + n('D3', 4) + sign('coda'),
        n('E3', 4) + sound('dalsegno="s"'),
        sign('coda') + n('F3', 4),
      ),
    ]);
    // 1 2 3, back to 2, on to 4.
    expect(figures(coda).B!.histogram).toEqual({ 48: 4, 50: 8, 52: 4, 53: 4 });
  });
  it('each stretch at its own tempo and metre, from the middle of a bar too', () => {
    const faster = tempo(120);
    const score = read([
      one(
        'Tenor',
        head({ clef: 'G8' }) + tempo(q) + n('C4', 2) + faster + n('D4', 2),
        '<attributes><time><beats>3</beats><beat-type>4</beat-type></time></attributes>' +
          n('E4', 3),
      ),
    ]);
    // Two quarters at 60, then five at 120.
    expect(figures(score).T!.histogram).toEqual({ 60: 2, 62: 1, 64: 1.5 });
    expect(score.metres.map(({ bar, metre }) => [bar, metre.beats])).toEqual([
      [0, 4],
      [1, 3],
    ]);
  });
  it('a tempo mark by its beat: a dotted quarter of six eighths', () => {
    const mark =
      '<direction><direction-type><metronome><beat-unit>quarter</beat-unit><beat-unit-dot/><per-minute>ca. 40</per-minute></metronome></direction-type></direction>';
    const score = read([one('Alto', head({ beats: 6, unit: 8 }) + mark + n('A4', 3))]);
    // Two dotted quarters at 40 a minute.
    expect(performanceOrder(score).seconds).toBeCloseTo(3, 9);
  });
  it('96 quarters a minute where no tempo is named, and says so', () => {
    const score = read([one('Alto', head() + n('A4', 4))]);
    expect(performanceOrder(score).seconds).toBeCloseTo(2.5, 9);
    expect(score.warnings).toEqual([
      {
        bar: null,
        where: '',
        what: 'The score names no tempo; 96 quarter notes a minute are taken.',
        of: 'piece',
      },
    ]);
  });
  it('rests of many bars, and an empty bar as long as its metre', () => {
    const rests =
      '<attributes><measure-style><multiple-rest>2</multiple-rest></measure-style></attributes>';
    const score = read([
      one(
        'Alto',
        head({ beats: 3 }) + tempo(q) + n('A4', 3),
        rests + n('r', 3),
        n('r', 3),
        '',
        n('B4', 3),
      ),
    ]);
    expect(performanceOrder(score).seconds).toBe(15);
    expect(figures(score).A).toMatchObject({ longestPhrase: { seconds: 3 }, highestBar: 5 });
  });
  it('every note of a divided part in full, its runs and leaps by the upper one', () => {
    const score = read([
      one(
        'Soprano',
        head() +
          tempo(q) +
          n('C5', 1) +
          n('A4', 1, { chord: true }) +
          n('G5', 1) +
          n('C5', 1, { chord: true }) +
          n('C5', 2) +
          n('C4', 2, { chord: true }),
      ),
    ]);
    // Up a fifth and down a fifth above; the octave below belongs to nobody's run.
    expect(figures(score).S).toMatchObject({
      histogram: { 60: 2, 69: 1, 72: 4, 79: 1 },
      widestLeap: { semitones: 7, bar: 1 },
      longestPhrase: { seconds: 4 },
      sounding: 8,
    });
  });
  it('words verse by verse, with their hyphens', () => {
    const score = read([
      one(
        'Soprano',
        head() +
          n('C5', 2, { lyric: ['slate-', 'wa-'] }) +
          n('D5', 2, { lyric: ['-grey', '-ter'] }),
      ),
    ]);
    expect(score.staves[0]!.notes.map(({ syllables }) => syllables)).toEqual([
      ['slate-', 'wa-'],
      ['grey', 'ter'],
    ]);
  });
  it('names by bar what it does not take as it stands', () => {
    const score = read([
      one(
        'Soprano',
        head() + tempo(q) + n('C5', 4),
        n('C5', 4, { also: '<notations><fermata/></notations>' }),
      ),
    ]);
    expect(score.warnings).toEqual([
      { bar: 1, where: 'Soprano', what: 'Words above the staff are left out.', of: 'exercise' },
      { bar: 2, where: 'Soprano', what: 'The fermata is counted as long as it is written.' },
    ]);
  });
});

describe('the order of a file', () => {
  const parts = [
    one('Soprano', head() + tempo(90) + n('C5', 4), n('E5', 4)),
    one('Alto', head() + n('G4', 4), n('B4', 4)),
  ];
  it('by bars or by parts, plain or compressed, is the same score', () => {
    const wanted = read(parts);
    expect(readScore(strToU8(timewise(parts)))).toEqual(wanted);
    expect(readScore(compress(timewise(parts)))).toEqual(wanted);
  });
});

describe('a file that is no score', () => {
  const refused = (bytes: Uint8Array): string => {
    try {
      readScore(bytes);
    } catch (error) {
      if (error instanceof UnreadableFile) return error.message;
      throw error;
    }
    return 'was read';
  };
  it.each([
    ['nothing', '', /is empty/],
    ['no music', 'Dear choir', /not read/],
    ['another document', '<html><body/></html>', /no MusicXML score/],
    ['a broken one', partwise([one('S', head() + n('C5', 4))]).slice(0, 300), /breaks off/],
    ['one without notes', partwise([one('S', head() + n('r', 4))]), /no note/],
    [
      'a note without a length',
      partwise([one('S', head() + n('C5', 4).replace('>16<', '>0<'))]),
      /no length/,
    ],
    [
      'a note beyond hearing',
      partwise([one('S', head() + n('C5', 4).replace('<octave>5', '<octave>50'))]),
      /where nothing sounds/,
    ],
    ['entities of its own', `<!DOCTYPE x [<!ENTITY a "b">]><score-partwise/>`, /entities/],
  ])('%s is refused in words', (_, text, words) => {
    expect(refused(strToU8(text))).toMatch(words);
  });
  it('with signs that lead round without end is refused when it is sung', () => {
    const score = read([
      one(
        'S',
        head() + n('C5', 4),
        n('C5', 4) + '<barline><repeat direction="backward" times="1000000"/></barline>',
      ),
    ]);
    expect(() => performanceOrder(score)).toThrow(/round without end/);
  });
});

describe('words above the staff', () => {
  const words = (text: string) =>
    `<direction><direction-type><words>${text}</words></direction-type></direction>`;
  it.each(['To Coda', 'zur Coda', 'al Coda', 'vers la Coda', 'naar Coda'])(
    '«%s» leads on to the coda, in any language',
    (text) => {
      const bars = [
        words(text) + n('C5', 4),
        words('D.C. al Coda') + n('D5', 4),
        words('Coda') + n('E5', 4),
      ];
      const score = read([one('Soprano', head() + bars[0]!, bars[1]!, bars[2]!)]);
      expect(score.bars.map(({ toCoda, coda }) => [toCoda ?? false, coda ?? false])).toEqual([
        [true, false],
        [false, false],
        [false, true],
      ]);
    },
  );
  it('and names that every object has do no harm', () => {
    const odd = n('C5', 4, { before: '' }).replace(
      '</note>',
      '<notations><constructor/><toString/></notations></note>',
    );
    const mode = head().replace('</fifths>', '</fifths><mode>constructor</mode>');
    const score = read([one('constructor', mode + odd), one('toString', head() + n('C4', 4))]);
    expect(score.keys[0]).toEqual({ bar: 0, fifths: 0, mode: 'major' });
    expect(guessParts(score).map(({ parts }) => parts.join())).toEqual(['constructor', 'toString']);
  });
});
