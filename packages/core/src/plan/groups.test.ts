import { arrangements } from '../voices/arrangements';
import { mixedChoir } from '../voices/parts';
import { usualSections } from '../voices/section';
import type { Grouping } from '../exercise';
import { highAndLow } from './groups';
import { computeSegment } from './segment';
import type { SegmentChoices } from './planned';

const idsOf = (id: string) => {
  const { parts } = arrangements.find((one) => one.id === id)!;
  return highAndLow(parts).map((group) => group.map((part) => part.id));
};

describe('high and low voices', () => {
  it('are told by where they lie, whatever their octave', () => {
    expect(highAndLow(mixedChoir).map((group) => group.map(({ id }) => id))).toEqual([
      ['S', 'T'],
      ['A', 'B'],
    ]);
    const [high, low] = idsOf('mixed-eight');
    expect(high).toEqual(expect.arrayContaining(['S1', 'T1']));
    expect(low).toEqual(expect.arrayContaining(['A2', 'B2']));
    expect(high!.length + low!.length).toBe(8);
  });
  it('are the first half and the second where all lie alike, and a part alone is both', () => {
    const [part] = mixedChoir;
    const alike = ['X', 'Y', 'Z'].map((id) => ({ ...part!, id }));
    expect(highAndLow(alike).map((group) => group.length)).toEqual([2, 1]);
    expect(highAndLow(alike.slice(0, 1)).map((group) => group.length)).toEqual([1, 1]);
  });
});

describe('keys of two groups in turn', () => {
  const sections = usualSections(mixedChoir);
  const choices: SegmentChoices = {
    ...{ talk: 0, demonstrate: 'no', tempo: 60, repetitions: 5, verses: 1 },
    ...{ shape: 'down', step: 1, start: null },
  };
  const compute = (changed: Partial<SegmentChoices> = {}, groups: Grouping = 'in turn') =>
    computeSegment(
      {
        id: 'x',
        exercise: {
          ...{ phase: 'range', anchor: 'low', countIn: 0, breathBeats: 0, keyChangeBeats: 0 },
          music: {
            kind: 'pattern',
            mode: 'major',
            notes: [7, 0].map((offset) => ({ offset, beats: 1 })),
          },
          keys: { groups },
        },
        choices: { ...choices, ...changed },
      },
      { sections, needs: [] },
    );
  const ladderOf = ({ keys }: ReturnType<typeof compute>) => {
    if (keys.kind !== 'ladder' || !keys.sung || !keys.groups) throw new Error('No groups.');
    return { sung: keys.sung, groups: keys.groups };
  };
  it('are each group’s own, the others resting, and take twice the time', () => {
    const computed = compute();
    const { sung, groups } = ladderOf(computed);
    expect(sung.tonics).toHaveLength(10);
    expect(computed.seconds).toBe(20);
    expect(groups.map(({ problem }) => problem.sections.map(({ id }) => id))).toEqual([
      ['S', 'T'],
      ['A', 'B'],
    ]);
    const moves = Object.fromEntries(sung.paths.map(({ id, moves }) => [id, moves]));
    expect(moves.S!.slice(5)).toEqual(Array.from({ length: 5 }, () => 'rest'));
    expect(moves.B!.slice(0, 5)).toEqual(Array.from({ length: 5 }, () => 'rest'));
    // Sopranos and tenors go down to D4, altos and basses further.
    expect(Math.min(...sung.tonics.slice(0, 5))).toBeLessThanOrEqual(62);
    expect(Math.min(...sung.tonics.slice(5))).toBeLessThanOrEqual(57);
    expect(sung.cost).toBe(groups.reduce((sum, group) => sum + (group.sung?.cost ?? 0), 0));
  });
  it('are for what all sing alike: a chord is sung by all, in its own time', () => {
    const chord = computeSegment(
      {
        id: 'x',
        exercise: {
          ...{
            phase: 'listening',
            anchor: 'middle',
            countIn: 0,
            breathBeats: 0,
            keyChangeBeats: 0,
          },
          music: { kind: 'chord', mode: 'major', tones: [0, 4, 7], beats: 4, syllable: 'oo' },
          keys: { groups: 'in turn' as const },
        },
        choices,
      },
      { sections, needs: [] },
    );
    expect(chord.seconds).toBe(20);
    expect(chord.repetitions).toHaveLength(5);
  });
  it('move together where a start is chosen by hand', () => {
    const before = ladderOf(compute()).sung.tonics;
    const after = ladderOf(compute({ start: before[0]! + 2 })).sung.tonics;
    expect(after).toEqual(before.map((tonic) => tonic + 2));
  });
  it('together are each group’s own at the same time, as far from its own tonic as alone', () => {
    const { seconds, repetitions, keys } = compute({}, 'together');
    const inTurn = compute();
    expect(seconds).toBeLessThan(inTurn.seconds);
    expect(repetitions).toHaveLength(5);
    const { groups } = ladderOf({ keys } as ReturnType<typeof compute>);
    const own = ladderOf(inTurn).groups;
    expect(groups.map(({ sung }) => sung!.tonics)).toEqual(own.map(({ sung }) => sung!.tonics));
    expect(groups[0]!.sung!.tonics).not.toEqual(groups[1]!.sung!.tonics);
    repetitions.forEach(({ parts, tonic }, i) => {
      expect(tonic).toBe(groups[0]!.sung!.tonics[i]);
      for (const sounding of parts) {
        const group = groups.find(({ problem }) =>
          problem.sections.some(({ id }) => id === sounding.part),
        )!;
        const path = group.sung!.paths.find(({ id }) => id === sounding.part)!;
        const move = path.moves[i]!;
        if (move === 'rest') expect(sounding.does).toBe('rest');
        else expect(sounding).toMatchObject({ tonic: group.sung!.tonics[i]! + move });
      }
    });
  });
});
