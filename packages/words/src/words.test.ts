import {
  askedFor,
  limitsProblems,
  mixedChoir,
  occasions,
  partLines,
  possibleParts,
  readLine,
  readRosterRow,
  readSlide,
  recommendedWarmUp,
  type RosterColumn,
} from '@wide-fern/core';
import {
  momentOfYear,
  momentInWords,
  clockIn,
  clockDrawn,
  clockInWords,
  adviceInWords,
  allInWords,
  figured,
  breathAdviceInWords,
  chanceInWords,
  choiceInWords,
  counted,
  intervalInWords,
  lengthInFigures,
  limitsProblemInWords,
  listInWords,
  partFitInWords,
  partName,
  recommendationInWords,
  rowProblemInWords,
  scoreInWords,
  searchWords,
  understoodInWords,
  semitonesInWords,
  typedProblemInWords,
  withoutInWords,
} from './index';

describe('counts', () => {
  it('have the form that goes with them, also where there is one or two', () => {
    expect([1, 2, 7].map((count) => allInWords(count, 'alto'))).toEqual([
      'the one alto',
      'both',
      'all seven',
    ]);
    expect([0, 1, 133].map((count) => figured(count, 'exercise', 'exercises'))).toEqual([
      '0 exercises',
      '1 exercise',
      '133 exercises',
    ]);
  });
});

describe('counts and lists', () => {
  it('are words while they are small, and agree in number', () => {
    expect(semitonesInWords(1)).toBe('a semitone');
    expect(semitonesInWords(2)).toBe('two semitones');
    expect(intervalInWords(7)).toBe('a fifth');
    expect(intervalInWords(19)).toBe('19 semitones');
    expect([0, 1, 2, 13].map((count) => counted(count, 'key', 'keys'))).toEqual([
      'no keys',
      'one key',
      'two keys',
      '13 keys',
    ]);
    expect(listInWords([])).toBe('');
    expect(listInWords(['altos'])).toBe('altos');
    expect(listInWords(['altos', 'tenors', 'basses'])).toBe('altos, tenors and basses');
    expect(choiceInWords(['a narrower pattern', 'fewer keys'])).toBe(
      'a narrower pattern or fewer keys',
    );
    expect(withoutInWords(['Noor', 'Dorit'])).toBe('without Noor and Dorit');
    expect(withoutInWords(['a', 'b', 'c', 'd'])).toBe('without 4 singers');
  });
});

describe('lengths and chances', () => {
  it('writes lengths', () => {
    expect(lengthInFigures(800)).toBe('13:20');
    expect(lengthInFigures(3725)).toBe('1:02:05');
    expect(lengthInFigures(-65)).toBe('−1:05');
    expect(lengthInFigures(-0.2)).toBe('0:00');
  });
  it('says how often it ends on time', () => {
    expect(chanceInWords(0.84)).toBe('on time 8 times in 10');
    expect(chanceInWords(0.1)).toBe('on time 1 time in 10');
    expect(chanceInWords(0.99)).toBe('on time nearly always');
    expect(chanceInWords(0.01)).toBe('hardly ever on time');
  });
});

describe('a score in words', () => {
  it('names the key, its signature and each part’s notes, parts that sing alike together', () => {
    const fit = { low: 0, high: 0, roomAbove: 0, roomBelow: 0, state: 'comfortable' } as const;
    const lines = partLines(
      {
        kind: 'pattern',
        mode: 'minor',
        notes: [
          { offset: 0, beats: 1 },
          { offset: 3, beats: 1 },
        ],
      },
      [
        { part: 'S', does: 'sing', fit, tonic: 63, away: 0 },
        { part: 'A', does: 'sing', fit, tonic: 63, away: 0 },
        { part: 'B', does: 'rest' },
      ],
    );
    expect(scoreInWords(lines, { tonic: 63, mode: 'minor', parts: partName })).toBe(
      'E♭ minor, 6 flats. Sopranos and altos: E♭4 G♭4. Basses: rest.',
    );
  });
});

describe('voices in words', () => {
  it('give the reason why a part is possible', () => {
    const alto = mixedChoir[1]!;
    const [fit] = possibleParts([63, 76], [alto]);
    expect(partFitInWords(fit, alto)).toBe('as alto: all of A3 to D5 but the six notes below E♭4');
    expect(partFitInWords(possibleParts([57, 73], [alto])[0], alto)).toBe(
      'as alto: all of A3 to D5 but the note above D♭5',
    );
    expect(partFitInWords(possibleParts([50, 80], [alto])[0], alto)).toBe(
      'as alto: every note of the part’s usual comfort, A3 to D5',
    );
  });
  it('say what is wrong with a limit and what to do', () => {
    const bass = mixedChoir[3]!;
    const said = (comfort: [number, number], reach: [number, number], lightTop: number | null) =>
      limitsProblems({ comfort, reach, lightTop }, bass.reach).map((one) =>
        limitsProblemInWords(one, bass),
      );
    expect(said([43, 84], [40, 84], null)[0]).toBe(
      'C6 is more than an octave above what basses usually reach (E4). Check the octave.',
    );
    expect(said([62, 43], [40, 64], null)).toEqual([
      'D4 lies above G2; the lowest easy note comes first.',
    ]);
    expect(said([43, 62], [45, 60], 100)).toEqual([
      'The reach begins at A2, above the lowest easy note G2; it goes at least as low.',
      'The reach ends at C4, below the highest easy note D4; it goes at least as high.',
      'E7 is no usual top of a light register for basses. Check the octave.',
    ]);
  });
});

describe('a row of a roster that cannot be read', () => {
  it('is told what to write', () => {
    const columns: RosterColumn[] = ['name', 'part', 'easyFrom', 'easyTo', 'state', 'leave'];
    const reading = { columns, naming: 'octaves' as const, parts: mixedChoir };
    const said = (cells: string[]) => {
      const row = readRosterRow(cells, reading);
      return row.kind === 'faulty'
        ? row.problems.map((one) => rowProblemInWords(one, reading))
        : [];
    };
    expect(said(['', 'X', 'Q', '', 'sad', 'perhaps'])).toEqual([
      'A name is missing.',
      '“X” is no part of this choir, which has S, A, T and B.',
      '“sad” is no state; write tired, returning, ill and changing voice, or leave it empty.',
      '“perhaps” is unclear; write yes or no.',
      '“Q” is no note; write it like C4, F♯3 or B♭4.',
    ]);
    expect(said(['Noor', 'S', 'C4', '', '', ''])).toEqual([
      '“Easy to” is missing; a range needs both its notes.',
    ]);
    expect(said(['Noor', 'B', 'C4', 'C7', '', ''])[0]).toMatch(/^C7 is more than an octave above/);
  });
});

describe('advice and reasons', () => {
  it('name the figures', () => {
    const advice = breathAdviceInWords({ seconds: 12, comfortable: 9, tempo: 80 });
    expect(advice).toContain('12 s on one breath; 9 s is comfortable here.');
    expect(advice).toContain('Take it at 80 a minute');
  });
  it('differ for each occasion, and say when the evening is short', () => {
    const reasons = occasions.map((one) => recommendationInWords(recommendedWarmUp(one, 120)));
    expect(new Set(reasons).size).toBe(occasions.length);
    expect(recommendationInWords(recommendedWarmUp('morning', 60))).toMatch(/a fifth/);
  });
});

describe('a typed line that cannot be read', () => {
  it('is told what to type instead, with what stands there', () => {
    const line = (text: string) => {
      const read = readLine(text, 'major');
      return read.kind === 'problem' ? typedProblemInWords(read) : undefined;
    };
    expect(line('1 2 x')).toMatch(/^“x” cannot be read here/);
    expect(line('1:0')).toBe('A length is more than nothing.');
    expect(line('1 2')).toBeUndefined();
    const slide = readSlide('1', 'major');
    expect(slide.kind === 'problem' && typedProblemInWords(slide)).toBe(
      'A slide needs a beginning and an end, like 1 5:3.',
    );
  });
});

describe('what is searched of an exercise', () => {
  it('is said as it was understood, and not where it stands as it is', () => {
    expect(understoodInWords(askedFor('flat and seated'))).toBe(
      '“flat” as tuning or listening; “seated” as everyone sits and nothing on the floor',
    );
    expect(understoodInWords(askedFor('tired children'))).toMatch(
      /“tired” as .*little effort; “children” as fit for children, little effort and easy ones/,
    );
    expect(understoodInWords(askedFor('embers'))).toBe('');
    expect(understoodInWords(askedFor('legato'))).toBe('');
  });
  it('has its name, cue, purposes and kind, without case or accents', () => {
    const words = searchWords({
      name: 'Süßer Zug',
      figure: 'an octave',
      purpose: 'Open it.',
      cue: 'Pull down.',
      purposes: ['top notes'],
      music: { kind: 'pattern' },
    });
    for (const word of ['susser zug', 'octave', 'pull', 'top notes', 'a line for all']) {
      expect(words).toContain(word);
    }
  });
});

describe('an advice for an evening', () => {
  const words = (advice: Parameters<typeof adviceInWords>[0]) =>
    Object.values(
      adviceInWords(advice, {
        title: (id) => id.toUpperCase(),
        many: () => 'tenors',
        times: (from, to) => `19:45 (${from}) to 20:50 (${to})`,
      }),
    ).join(' — ');
  it('says why, and its one act', () => {
    expect(words({ code: 'warm-up-before', item: 'a' })).toBe(
      '“A” is sung before anybody has warmed up. — put a short warm-up before it',
    );
    expect(words({ code: 'break-after', item: 'a', from: 'w', to: 'b' })).toBe(
      '19:45 (w) to 20:50 (b) is sung without a rest. — put a break of ten minutes after “A”',
    );
    expect(words({ code: 'earlier', item: 'c', before: 'a', part: 'T', minutes: 40 })).toBe(
      '“C” takes tenors furthest beyond what is easy, and comes after 40 minutes of singing. — sing it before “A”',
    );
  });
});

describe('a time of day', () => {
  it('is shown as the choir has it', () => {
    expect(clockInWords('19:30', '24')).toBe('19:30');
    const twelve = ['00:05', '09:30', '12:00', '12:01', '23:59'].map((time) =>
      clockInWords(time, '12'),
    );
    expect(twelve).toEqual(['12:05 am', '9:30 am', '12:00 pm', '12:01 pm', '11:59 pm']);
    expect(clockDrawn('19:30', '12')).toBe('7:30');
  });
  it('is the same of a moment, where the choir is', () => {
    const moment = Date.parse('2026-12-01T19:43:20Z');
    const london = clockIn('Europe/London', '12');
    expect([london.minute(moment), london.second(moment)]).toEqual(['7:43 pm', '7:43:20 pm']);
    expect([london.drawn.minute(moment), london.drawn.second(moment)]).toEqual(['7:43', '7:43:20']);
    expect(clockIn('Europe/Helsinki').second(moment)).toBe('21:43:20');
    expect(momentInWords(moment, 'Europe/London')).toBe('Tue 1 Dec 19:43');
    expect(momentOfYear(moment, 'Europe/London', '12')).toBe('1 Dec 2026 7:43 pm');
  });
});
