import {
  bestLadder,
  goalTonic,
  ladderFrom,
  mixedChoir,
  type Infeasible,
  type Ladder,
  type LadderProblem,
} from '@wide-fern/core';
import { chosenStartInWords, infeasibleInWords, movesInWords, reasonsInWords } from './index';

const problem = (highest: number, more: Partial<LadderProblem> = {}): LadderProblem => ({
  sections: mixedChoir,
  pattern: { lowest: 0, highest },
  shape: 'up',
  keys: 8,
  step: 1,
  fraction: 1,
  ...more,
});

describe('what the parts do', () => {
  it('joins equal keys into one phrase', () => {
    const ladder = bestLadder(problem(12)) as Ladder;
    expect(movesInWords(ladder, { sections: mixedChoir })).toEqual([
      'altos rest from E',
      'basses rest at E and F, then sing an octave down at G♭ and G',
    ]);
  });
  it('says who holds the key’s note, whatever the octave', () => {
    const held = problem(4, { keys: 4, fixed: { B: { 1: 'hold', 2: 'hold' } } });
    const ladder = bestLadder(held) as Ladder;
    expect(movesInWords(ladder, held)).toEqual([
      expect.stringMatching(/^basses hold the key’s note at \S+ and \S+$/),
    ]);
  });
  it('joins parts that do the same, and counts keys that come twice', () => {
    const ladder = bestLadder(problem(14, { shape: 'up-and-back', keys: 9 })) as Ladder;
    expect(movesInWords(ladder, { sections: mixedChoir })).toEqual([
      'sopranos and tenors rest in the first two keys and in the last two keys',
    ]);
  });
});

describe('reasons', () => {
  it('says that everyone is in comfort, and what decides the start', () => {
    const easy = problem(4, { keys: 3 });
    expect(reasonsInWords(bestLadder(easy) as Ladder, easy)[0]).toBe(
      'Every part sings every key in its comfort, in its usual octave.',
    );
  });
  it('names part, note, key and distance where the comfort is left', () => {
    const wide = problem(12);
    expect(reasonsInWords(bestLadder(wide) as Ladder, wide)).toEqual(
      expect.arrayContaining([
        'Sopranos and tenors dip two semitones below their comfort at C.',
        'Altos and basses top a semitone above their comfort at E♭.',
        'A semitone lower has the sopranos rest in one key more.',
      ]),
    );
  });
  it('says when tonight’s music asks for more', () => {
    const short = problem(7, {
      pattern: { lowest: 0, highest: 7, octaveMoves: [0] },
      keys: 2,
      goalTonic: 80,
      sections: mixedChoir.slice(0, 1),
    });
    expect(reasonsInWords(bestLadder(short) as Ladder, short)).toContain(
      'The top key C stays eight semitones below what tonight’s music needs.',
    );
  });
});

describe('a start chosen by hand', () => {
  it('says for whom it is harder, and how; no bare figures', () => {
    const easy = problem(7, { keys: 5, fraction: 0.8 });
    const best = bestLadder(easy) as Ladder;
    const higher = ladderFrom(easy, best.start + 3)!;
    const said = chosenStartInWords(higher, best, easy);
    expect(said).toMatch(/^Start \S+ is harder than \S+: the \w+ (rest in|go to) /);
    expect(said).not.toMatch(/point|cost/);
    expect(chosenStartInWords(best, best, easy)).toMatch(/is the best one/);
    const twin = { ...best, start: best.start + 12 };
    expect(chosenStartInWords(twin, best, easy)).toMatch(/^Start (\S+) is as good as \1\.$/);
  });
});

describe('no ladder', () => {
  it('says which part, which end, and what would help', () => {
    const stuck = problem(12, {
      pattern: { lowest: 0, highest: 12, octaveMoves: [0], mayRest: false },
    });
    expect(infeasibleInWords(bestLadder(stuck) as Infeasible, stuck)).toBe(
      'No start works: it lies too low for the sopranos in more keys than they may rest. ' +
        'What helps: a narrower pattern, fewer keys, another octave or letting the sopranos rest.',
    );
  });
});

describe('goalTonic', () => {
  it('is the least tonic at which every part that can has sung its top', () => {
    const needs = [
      { part: 'S', highest: 77 },
      { part: 'A', highest: 72 },
      { part: 'T', highest: 65 },
      { part: 'B', highest: 60 },
    ];
    expect(goalTonic(mixedChoir, () => ({ lowest: 0, highest: 12 }), needs)).toBe(65);
    expect(goalTonic(mixedChoir, () => ({ lowest: 0, highest: 12 }), [])).toBeUndefined();
  });
  it('never aims above the comfort, and leaves out who cannot sing the pattern there', () => {
    const soprano = mixedChoir.slice(0, 1);
    expect(
      goalTonic(soprano, () => ({ lowest: 0, highest: 7 }), [{ part: 'S', highest: 84 }]),
    ).toBe(72);
    expect(
      goalTonic(soprano, () => ({ lowest: -30, highest: 0 }), [{ part: 'S', highest: 77 }]),
    ).toBeUndefined();
  });
});
