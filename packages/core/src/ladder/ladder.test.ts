import fc from 'fast-check';
import type { PitchRange } from '../units';
import { mixedChoir, type Voice } from '../voices/parts';
import { bestLadder, ladderFrom } from './ladder';
import type { Ladder, LadderProblem, Move } from './problem';
import { farKey, keyOffsets, keysToReach, shapes, type Shape } from './shape';

const worked = (
  [lowest, highest]: readonly [number, number],
  shape: LadderProblem['shape'],
  keys: number,
  fraction: number,
): LadderProblem => ({
  sections: mixedChoir,
  pattern: { lowest, highest },
  shape,
  keys,
  step: 1,
  fraction,
});

const asLadder = (result: ReturnType<typeof bestLadder>): Ladder => {
  if (result.kind !== 'ladder') throw new Error('There should be a ladder.');
  return result;
};
const movesOf = (ladder: Ladder) =>
  Object.fromEntries(ladder.paths.map(({ id, moves }) => [id, moves]));

describe('keyOffsets', () => {
  const offsets = (shape: Shape, keys: number, step: number, scale?: readonly number[]) =>
    keyOffsets({ shape, keys, step, scale });
  it('moves as the shape says', () => {
    expect(offsets('up', 4, 2)).toEqual([0, 2, 4, 6]);
    expect(offsets('down', 3, 1)).toEqual([0, -1, -2]);
    expect(offsets('up-and-back', 5, 1)).toEqual([0, 1, 2, 1, 0]);
    expect(offsets('up-and-back', 4, 1)).toEqual([0, 1, 1, 0]);
    expect(offsets('outward', 5, 2)).toEqual([0, 2, -2, 4, -4]);
    expect(offsets('two-runs', 6, 1)).toEqual([0, 1, 2, 0, -1, -2]);
    expect(offsets('two-runs', 5, 2)).toEqual([0, 2, 4, 0, -2]);
    expect(offsets('two-runs', 1, 1)).toEqual([0]);
  });
  it('moves by the steps of a scale, up and down past the octave', () => {
    const major = [0, 2, 4, 5, 7, 9, 11];
    const dorian = [0, 2, 3, 5, 7, 9, 10];
    expect(offsets('up', 9, 1, major)).toEqual([0, 2, 4, 5, 7, 9, 11, 12, 14]);
    expect(offsets('down', 4, 1, dorian)).toEqual([0, -2, -3, -5]);
    expect(offsets('up', 4, 2, dorian)).toEqual([0, 3, 7, 10]);
    expect(offsets('down', 9, 1, major)[7]).toBe(-12);
    expect(offsets('outward', 3, 1, major)).toEqual([0, 2, -1]);
  });
});

describe('the length of a ladder by its far key', () => {
  it('is the fewest keys that come nearest to where it was pulled', () => {
    const climb = { shape: 'up' as const, keys: 3, step: 2 };
    expect(keysToReach(climb, 6, 24)).toBe(4);
    expect(keysToReach(climb, 7, 24)).toBe(4);
    expect(keysToReach(climb, -9, 24)).toBe(1);
    expect(keysToReach(climb, 99, 8)).toBe(8);
    expect(keysToReach({ ...climb, shape: 'down' }, -6, 24)).toBe(4);
    // Up and back it is where it turns: 0 2 4 6 4 2 0, or one key less at the top.
    expect(keysToReach({ ...climb, shape: 'up-and-back' }, 6, 24)).toBe(7);
  });
  it('leads back to the keys there are where the far key stays, or to fewer that reach as far', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.integer({ min: 1, max: 16 }),
        fc.integer({ min: 1, max: 4 }),
        (shape, keys, step) => {
          const climb = { shape, keys, step };
          const far = (count: number) =>
            keyOffsets({ ...climb, keys: count })[farKey({ shape, keys: count })]!;
          const found = keysToReach(climb, far(keys), 16);
          expect(found).toBeLessThanOrEqual(keys);
          expect(far(found)).toBe(far(keys));
        },
      ),
    );
  });
});

describe('the worked table of docs/model.md', () => {
  it('0..4, five keys up', () => {
    const ladder = asLadder(bestLadder(worked([0, 4], 'up', 5, 0.6)));
    expect(ladder).toMatchObject({ start: 64, cost: 12, tonics: [64, 65, 66, 67, 68] });
    expect(new Set(ladder.paths.flatMap(({ moves }) => moves))).toEqual(new Set([0, -12]));
  });
  it('0..7, seven keys up', () => {
    const ladder = asLadder(bestLadder(worked([0, 7], 'up', 7, 0.8)));
    expect(ladder).toMatchObject({ start: 61, cost: 22 });
    expect(ladder.tonics[6]).toBe(67);
  });
  it('0..12, eight keys up: altos rest from E4, basses rest and then drop', () => {
    const ladder = asLadder(bestLadder(worked([0, 12], 'up', 8, 1)));
    expect(ladder).toMatchObject({ start: 60, cost: 79 });
    expect(movesOf(ladder)).toEqual({
      S: [0, 0, 0, 0, 0, 0, 0, 0],
      A: [0, 0, 0, 0, 'rest', 'rest', 'rest', 'rest'],
      T: [-12, -12, -12, -12, -12, -12, -12, -12],
      B: [-12, -12, -12, -12, 'rest', 'rest', -24, -24],
    });
  });
  it('0..14, nine keys up and back: high voices rest at both ends', () => {
    const ladder = asLadder(bestLadder(worked([0, 14], 'up-and-back', 9, 1)));
    expect(ladder).toMatchObject({ start: 57, cost: 132 });
    expect(ladder.tonics).toEqual([57, 58, 59, 60, 61, 60, 59, 58, 57]);
    const outer = ['rest', 'rest', 0, 0, 0, 0, 0, 'rest', 'rest'];
    expect(movesOf(ladder).S).toEqual(outer);
    expect(movesOf(ladder).T).toEqual(outer.map((move) => (move === 0 ? -12 : move)));
    expect(movesOf(ladder).A).not.toContain('rest');
    expect(movesOf(ladder).B).not.toContain('rest');
  });
});

describe('what does not work', () => {
  it('names the part and the end', () => {
    const wide = bestLadder({ ...worked([0, 30], 'up', 2, 1) });
    expect(wide).toMatchObject({ kind: 'infeasible', part: 'S' });
    const noMoves: LadderProblem = {
      ...worked([0, 12], 'up', 8, 1),
      pattern: { lowest: 0, highest: 12, octaveMoves: [0], mayRest: false },
    };
    // From 57 on sopranos and tenors miss two semitones below; every other start stops more or misses more.
    expect(bestLadder(noMoves)).toEqual({ kind: 'infeasible', part: 'S', end: 'bottom' });
  });
  it('has no ladder from a start that is out of reach', () => {
    expect(ladderFrom(worked([0, 7], 'up', 7, 0.8), 90)).toBeUndefined();
  });
});

/** Every way through the keys tried one by one, for small problems; the slow truth. */
function tryEverything(problem: LadderProblem) {
  const { pattern, fraction, keys } = problem;
  const displacements = pattern.octaveMoves ?? [0, -12, 12];
  const offsets = keyOffsets(problem);
  const price = (
    section: Voice,
    tonic: number,
    displacement: number,
    anyway: boolean,
    isHeld = false,
  ): number => {
    const { lowest, highest } = isHeld ? { lowest: 0, highest: 0 } : pattern;
    const [low, high] = section.comfort;
    const lo = tonic + section.octave + displacement + lowest;
    const hi = tonic + section.octave + displacement + highest;
    if (!anyway && (lo < section.reach[0] || hi > section.reach[1])) return Infinity;
    if (!anyway && pattern.strict && (lo < low || hi > high)) return Infinity;
    const half = (high - low) / 2;
    const [from, to] = problem.windows?.[section.id] ?? [
      Math.ceil((low + high) / 2 - fraction * half - 1e-9),
      Math.floor((low + high) / 2 + fraction * half + 1e-9),
    ];
    const window = Math.max(0, from - lo) + Math.max(0, hi - to);
    const edges = 2 * Math.max(0, low - lo) + 4 * Math.max(0, hi - high);
    return window + edges + (displacement === 0 || isHeld ? 0 : 3);
  };
  /** The octaves in which the key's note can be held: within the reach, or all where none is. */
  const heldIn = (section: Voice, tonic: number): number[] => {
    const octaves = [0, -12, -24, 12, 24].map((displacement) => section.octave + displacement);
    const [low, high] = section.reach;
    const within = octaves.filter((octave) => tonic + octave >= low && tonic + octave <= high);
    return within.length > 0 ? within : octaves;
  };
  const rank = (move: Move, usual: number) =>
    move === 'rest'
      ? 3
      : move === usual
        ? 0
        : (move < usual ? 1 : 2) + Math.abs(move - usual) / 100;
  const bestWay = (section: Voice, tonics: readonly number[]) => {
    const fixed = problem.fixed?.[section.id] ?? {};
    const actions: Move[] = displacements.map((displacement) => section.octave + displacement);
    if (pattern.mayRest !== false) actions.push('rest');
    let ways: Move[][] = [[]];
    for (let i = 0; i < tonics.length; i += 1) {
      const told = fixed[i];
      const open =
        told === undefined ? actions : told === 'hold' ? heldIn(section, tonics[i]!) : [told];
      ways = ways.flatMap((way) => open.map((action) => [...way, action]));
    }
    const judged = ways.flatMap((moves) => {
      const rests = moves.filter((move, i) => move === 'rest' && fixed[i] === undefined).length;
      if (rests > Math.floor(keys / 2)) return [];
      let cost = 0;
      moves.forEach((move, i) => {
        const by = move === 'rest' ? 0 : move - section.octave;
        const told = fixed[i];
        cost +=
          move === 'rest' ? 6 : price(section, tonics[i]!, by, told !== undefined, told === 'hold');
        const isAtHold = told === 'hold' || fixed[i - 1] === 'hold';
        if (i > 0 && move !== moves[i - 1] && !isAtHold) cost += 2;
      });
      const away = moves.filter(
        (move, i) => move !== 'rest' && move !== section.octave && fixed[i] !== 'hold',
      ).length;
      const order = moves.map((move) => rank(move, section.octave));
      return cost === Infinity ? [] : [{ moves, key: [cost, rests, away, ...order] }];
    });
    return judged.sort((a, b) => {
      const i = a.key.findIndex((value, index) => value !== b.key[index]);
      return i < 0 ? 0 : a.key[i]! - b.key[i]!;
    })[0];
  };
  let best: { start: number; cost: number; moves: Move[][] } | undefined;
  const given = problem.start;
  const from = given ?? 20;
  for (let start = from; start <= (given ?? 110); start += 1) {
    const tonics = offsets.map((offset) => start + offset);
    const ways = problem.sections.map((section) => bestWay(section, tonics));
    if (ways.some((way) => way === undefined)) continue;
    let cost = ways.reduce((sum, way) => sum + way!.key[0]!, 0);
    if (problem.preferredStart !== undefined) cost += Math.abs(start - problem.preferredStart);
    if (problem.goalTonic !== undefined) {
      cost += 3 * Math.max(0, problem.goalTonic - Math.max(...tonics));
    }
    if (problem.goalBottomTonic !== undefined) {
      cost += 3 * Math.max(0, Math.min(...tonics) - problem.goalBottomTonic);
    }
    if (!best || cost < best.cost) best = { start, cost, moves: ways.map((way) => way!.moves) };
  }
  return best;
}

describe('a note that is held by hand', () => {
  it('lies in the comfort, though the keys beside it are sung in another octave', () => {
    const tenor = mixedChoir.find(({ id }) => id === 'T')!;
    const { paths, tonics } = asLadder(
      bestLadder({
        ...worked([0, 12], 'up', 3, 1),
        ...{ sections: [tenor], start: 60, fixed: { T: { 1: 'hold' } } },
      }),
    );
    // D♭3 would be a semitone below what is easy; D♭4 is well inside.
    expect(paths[0]!.moves).toEqual([-12, 0, -12]);
    expect(tonics[1]).toBe(61);
  });
});

describe('against trying everything', () => {
  const section = (id: string) =>
    fc
      .tuple(
        fc.integer({ min: 40, max: 66 }),
        fc.integer({ min: 4, max: 20 }),
        fc.integer({ min: 0, max: 4 }),
        fc.integer({ min: 0, max: 4 }),
        fc.constantFrom(0, -12),
      )
      .map(([low, width, below, above, octave]): Voice => ({
        id,
        comfort: [low, low + width] satisfies PitchRange,
        reach: [low - below, low + width + above],
        octave,
      }));
  const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
  const problem = fc
    .record({
      first: section('A'),
      second: maybe(section('B')),
      lowest: fc.integer({ min: -5, max: 0 }),
      width: fc.integer({ min: 0, max: 14 }),
      shape: fc.constantFrom(...shapes),
      keys: fc.integer({ min: 1, max: 4 }),
      step: fc.integer({ min: 1, max: 2 }),
      fraction: fc.constantFrom(0.55, 0.6, 0.7, 0.8, 1),
      strict: fc.boolean(),
      mayRest: fc.boolean(),
      octaveMoves: fc.constantFrom(undefined, [0], [0, -12]),
      preferredStart: maybe(fc.integer({ min: 50, max: 70 })),
      goalTonic: maybe(fc.integer({ min: 55, max: 75 })),
      goalBottomTonic: maybe(fc.integer({ min: 50, max: 70 })),
      scale: maybe(fc.constantFrom([0, 2, 4, 5, 7, 9, 11], [0, 2, 3, 5, 7, 9, 10])),
      window: maybe(fc.tuple(fc.integer({ min: 50, max: 62 }), fc.integer({ min: 0, max: 9 }))),
      start: maybe(fc.integer({ min: 45, max: 75 })),
      // At most one key in four is told, so that every part still binds the start.
      fixed: maybe(
        fc.tuple(
          fc.integer({ min: 0, max: 3 }),
          fc.constantFrom(0, -12, -24, 12, ...(['rest', 'hold', 'hold'] as const)),
        ),
      ),
    })
    .map((r): LadderProblem => ({
      sections: r.second ? [r.first, r.second] : [r.first],
      pattern: {
        lowest: r.lowest,
        highest: r.lowest + r.width,
        strict: r.strict,
        mayRest: r.mayRest,
        ...(r.octaveMoves ? { octaveMoves: r.octaveMoves } : {}),
      },
      shape: r.shape,
      keys: r.keys,
      step: r.step,
      fraction: r.fraction,
      ...(r.preferredStart === undefined ? {} : { preferredStart: r.preferredStart }),
      ...(r.goalTonic === undefined ? {} : { goalTonic: r.goalTonic }),
      ...(r.goalBottomTonic === undefined ? {} : { goalBottomTonic: r.goalBottomTonic }),
      ...(r.scale === undefined ? {} : { scale: r.scale }),
      ...(r.window ? { windows: { A: [r.window[0], r.window[0] + r.window[1]] } } : {}),
      ...(r.start === undefined ? {} : { start: r.start }),
      ...(r.fixed && r.fixed[0] < r.keys && (r.keys > 2 || r.start !== undefined)
        ? { fixed: { A: { [r.fixed[0]]: r.fixed[1] } } }
        : {}),
    }));
  it('finds the same start, cost and moves', () => {
    fc.assert(
      fc.property(problem, (p) => {
        const expected = tryEverything(p);
        const found = bestLadder(p);
        if (!expected) {
          expect(found.kind).toBe('infeasible');
          return;
        }
        expect({ ...found, moves: asLadder(found).paths.map(({ moves }) => moves) }).toMatchObject(
          expected,
        );
      }),
      { numRuns: 400 },
    );
  });
});
