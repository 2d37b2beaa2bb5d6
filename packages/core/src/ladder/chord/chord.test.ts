import fc from 'fast-check';
import { mixedChoir, type Voice } from '../../voices/parts';
import { arrangements } from '../../voices/arrangements';
import { bestChordLadder, chordLadderFrom, voiceChords, type ChordProblem } from './index';
import { keyOffsets, shapes } from '../shape';

const choir: ChordProblem = {
  sections: mixedChoir,
  tones: [0, 4, 7],
  shape: 'down',
  keys: 4,
  step: 1,
  fraction: 0.8,
};

describe('a chord through keys', () => {
  const ladder = bestChordLadder(choir)!;
  it('gives every part a note, uncrossed, with the root below and every tone present', () => {
    expect(ladder.voicings).toHaveLength(4);
    ladder.voicings.forEach((notes, i) => {
      const root = ladder.tonics[i]!;
      expect(notes).toEqual([...notes].sort((a, b) => b - a));
      expect((notes[3]! - root) % 12).toBe(0);
      expect(new Set(notes.map((note) => (((note - root) % 12) + 12) % 12))).toEqual(
        new Set([0, 4, 7]),
      );
    });
  });
  it('moves every part with the root while the comfort allows it', () => {
    const [first, second] = ladder.voicings;
    expect(second).toEqual(first?.map((note) => note - 1));
  });
  it('cannot be voiced where a part has no chord note', () => {
    const narrow: Voice = { id: 'X', comfort: [61, 61], reach: [61, 61], octave: 0 };
    const problem: ChordProblem = { ...choir, keys: 1, sections: [narrow, ...mixedChoir.slice(1)] };
    expect(chordLadderFrom(problem, 60)).toBeUndefined();
    expect(chordLadderFrom(problem, 61)).toBeDefined();
  });
  it('takes root and third first when there are fewer parts than tones', () => {
    const two: ChordProblem = { ...choir, keys: 1, sections: [mixedChoir[0]!, mixedChoir[3]!] };
    const [notes] = chordLadderFrom(two, 60)!.voicings;
    expect(notes!.map((note) => note % 12)).toEqual([4, 0]);
  });
});

describe('a chord on given roots', () => {
  it('is the same as a ladder on them', () => {
    const ladder = chordLadderFrom({ ...choir, shape: 'up' }, 60)!;
    const found = voiceChords(choir, [60, 61, 62, 63]);
    expect(found).toEqual({ kind: 'chords', cost: ladder.cost, voicings: ladder.voicings });
  });
  it('names the first root that has no voicing, and the part without a note', () => {
    const narrow: Voice = { id: 'X', comfort: [61, 61], reach: [61, 61], octave: 0 };
    const sections = [narrow, ...mixedChoir.slice(1)];
    expect(voiceChords({ ...choir, sections }, [61, 60])).toEqual({
      kind: 'no-voicing',
      root: 60,
      part: 'X',
    });
    // Both have notes of the chord, but only crossed.
    const crossed = [mixedChoir[3]!, mixedChoir[0]!];
    expect(voiceChords({ ...choir, sections: crossed }, [66])).toEqual({
      kind: 'no-voicing',
      root: 66,
      part: undefined,
    });
  });
  it('is found for eight parts too, every one in its place', () => {
    const eight = arrangements.find(({ id }) => id === 'mixed-eight')!.parts;
    const found = bestChordLadder({ ...choir, sections: eight })!;
    expect(found.cost).toBe(0);
    for (const notes of found.voicings) {
      expect(notes).toEqual([...notes].sort((a, b) => b - a));
      notes.forEach((note, part) => {
        expect(note).toBeGreaterThanOrEqual(eight[part]!.reach[0]);
        expect(note).toBeLessThanOrEqual(eight[part]!.reach[1]);
      });
    }
  });
});

/** Every sequence of voicings, tried one by one. */
function tryEverything(problem: ChordProblem, start: number) {
  const { sections, fraction } = problem;
  const roots = keyOffsets(problem).map((d) => start + d);
  const wanted = problem.tones.slice(0, sections.length);
  const voicingsOf = (root: number) => {
    let all: number[][] = [[]];
    for (const { reach } of sections) {
      const next: number[][] = [];
      for (const sung of all) {
        for (let note = reach[0]; note <= reach[1]; note += 1) next.push([...sung, note]);
      }
      all = next;
    }
    return all.filter((notes) => {
      const tones = notes.map((note) => (((note - root) % 12) + 12) % 12);
      return (
        tones[tones.length - 1] === 0 &&
        tones.every((tone) => wanted.includes(tone)) &&
        wanted.every((tone) => tones.includes(tone)) &&
        notes.every((note, i) => i === 0 || notes[i - 1]! - note >= (problem.distinct ? 1 : 0))
      );
    });
  };
  const own = (notes: readonly number[]) =>
    notes.reduce((sum, note, part) => {
      const [low, high] = sections[part]!.comfort;
      const half = (high - low) / 2;
      const from = Math.ceil((low + high) / 2 - fraction * half - 1e-9);
      const to = Math.floor((low + high) / 2 + fraction * half + 1e-9);
      const gap = part === 0 ? 0 : notes[part - 1]! - note;
      const most = part === sections.length - 1 ? 19 : 12;
      return (
        sum +
        Math.max(0, from - note) +
        Math.max(0, note - to) +
        2 * Math.max(0, low - note) +
        4 * Math.max(0, note - high) +
        (part === 0 ? 0 : 2 * Math.max(0, gap - most))
      );
    }, 0);
  let sequences: { notes: number[][]; cost: number }[] = [{ notes: [], cost: 0 }];
  roots.forEach((root, i) => {
    const voicings = voicingsOf(root);
    sequences = sequences.flatMap((sequence) =>
      voicings.map((notes) => {
        const before = sequence.notes[i - 1];
        const rootMoves = i === 0 ? 0 : Math.abs(root - roots[i - 1]!);
        const moved = (before ?? []).reduce(
          (sum, note, part) => sum + Math.max(0, Math.abs(note - notes[part]!) - rootMoves),
          0,
        );
        return { notes: [...sequence.notes, notes], cost: sequence.cost + own(notes) + moved };
      }),
    );
  });
  const order = ({ notes, cost }: (typeof sequences)[number]) => [
    cost,
    ...notes.flatMap((chord) => [chord.reduce((a, b) => a + b, 0), ...[...chord].reverse()]),
  ];
  return sequences.sort((a, b) => {
    const [x, y] = [order(a), order(b)];
    const i = x.findIndex((value, index) => value !== y[index]);
    return i < 0 ? 0 : x[i]! - y[i]!;
  })[0];
}

describe('against trying everything', () => {
  const section = fc
    .tuple(
      fc.integer({ min: 48, max: 60 }),
      fc.integer({ min: 3, max: 9 }),
      fc.integer({ min: 0, max: 3 }),
    )
    .map(([low, width, more]): Voice => ({
      id: 'X',
      comfort: [low, low + width],
      reach: [low - more, low + width + more],
      octave: 0,
    }));
  it('finds the same voicings and cost', () => {
    fc.assert(
      fc.property(
        fc.array(section, { minLength: 2, maxLength: 3 }),
        fc.constantFrom([0, 4, 7], [0, 3, 7], [0, 7]),
        fc.constantFrom(...shapes),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 48, max: 59 }),
        fc.boolean(),
        (sections, tones, shape, keys, start, distinct) => {
          const problem = { sections, tones, shape, keys, step: 2, fraction: 0.6, distinct };
          const expected = tryEverything(problem, start);
          const found = chordLadderFrom(problem, start);
          expect(found?.voicings).toEqual(expected?.notes);
          expect(found?.cost).toBe(expected?.cost);
        },
      ),
      { numRuns: 150 },
    );
  });
});
