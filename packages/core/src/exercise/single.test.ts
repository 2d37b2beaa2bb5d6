import { computeSegment, segmentScore, type PlannedExercise, type SegmentChoices } from '../plan';
import { openings } from '../playing/openings';
import { programme } from '../playing/programme';
import { mixedChoir, usualSections } from '../voices';
import { differingTimes, passIn, placesBetween, type Ways } from './single';

const ways: Ways = {
  passes: { over: 'keys', each: [{ sounds: ['noo'], dynamic: 'p' }, { sounds: ['nah'] }] },
  inTimes: { '1': { dynamic: 'f', cue: 'louder' } },
  inKeys: { '2': { way: { sounds: ['mee'] } }, '0': { pause: { seconds: 10 } } },
};

describe('how a key is sung', () => {
  it('is its turn, over that the time, over that the key itself', () => {
    expect(passIn(ways, 0, 0)).toEqual({ sounds: ['noo'], dynamic: 'p' });
    expect(passIn(ways, 0, 1)).toEqual({ sounds: ['noo'], dynamic: 'f', cue: 'louder' });
    expect(passIn(ways, 2, 1)).toEqual({ sounds: ['mee'], dynamic: 'f', cue: 'louder' });
    expect(passIn(ways, 3, 0)).toEqual({ sounds: ['nah'] });
    expect(passIn({}, 3, 0)).toBeUndefined();
  });
  it('differs from time to time where times do', () => {
    expect(differingTimes(ways, 4)).toBe(4);
    expect(differingTimes({ passes: ways.passes }, 4)).toBe(1);
    expect(differingTimes({ passes: { over: 'verses', each: [{}, {}, {}] } }, 4)).toBe(3);
    expect(differingTimes({ inTimes: {} }, 4)).toBe(1);
  });
  it('is found by names that objects have of their own only where it was said', () => {
    expect(passIn({ inKeys: {}, inTimes: {} }, Number('constructor'), 0)).toBeUndefined();
  });
});

it('places of a stretch are counted anew from its first', () => {
  expect(placesBetween({ '0': 'a', '3': 'b', '5': 'c' }, 3, 5)).toEqual({ '0': 'b' });
});

const exercise: PlannedExercise & { name: string } = {
  name: 'Fifth',
  phase: 'onset',
  anchor: 'middle',
  music: {
    kind: 'pattern',
    mode: 'major',
    notes: [
      { offset: 0, beats: 1, syllable: 'la' },
      { offset: 7, beats: 3, syllable: 'la' },
    ],
  },
  countIn: 4,
  breathBeats: 2,
  keyChangeBeats: 2,
  accompaniment: { kind: 'drone', tones: [0, 7] },
};
const choices: SegmentChoices = {
  ...{ talk: 10, demonstrate: 'no', tempo: 60, repetitions: 4, verses: 1 },
  ...{ shape: 'up', step: 1, start: null },
};
const sections = usualSections(mixedChoir);
const segment = (changed: Partial<SegmentChoices>) => {
  const one = { id: 'x', exercise, choices: { ...choices, ...changed } };
  const computed = computeSegment(one, { sections, needs: [] });
  const score = segmentScore(one, sections, computed.repetitions)!;
  return { one, computed, score, heard: programme({ ...exercise, score, verses: 1 }) };
};

describe('a segment with single keys', () => {
  it('waits after a key as long as it was told, and not after the last', () => {
    const plain = segment({}).computed;
    const { computed } = segment({
      inKeys: { '1': { pause: { seconds: 20 } }, '3': { pause: { seconds: 30 } } },
    });
    expect(computed.seconds).toBeCloseTo(plain.seconds + 20);
    const begins = (all: typeof plain) => all.repetitions.map(({ at }) => at);
    expect(begins(computed).map((at, i) => at - begins(plain)[i]!)).toEqual([0, 0, 20, 20]);
  });
  it('sings there what was chosen there', () => {
    const { score } = segment({ inKeys: { '2': { way: { sounds: ['mee'] } } } });
    const sung = score.keys.map(({ lines }) => lines[0]!.events[0]!.syllable);
    expect(sung).toEqual(['la', 'la', 'mee', 'la']);
  });
  it('is played there as was chosen there, in the same time', () => {
    const all = segment({});
    const some = segment({ inKeys: { '1': { played: 'chord' }, '2': { played: 'nothing' } } });
    expect(some.heard.seconds).toBe(all.heard.seconds);
    expect(some.heard.keys).toEqual(all.heard.keys);
    const chords = ({ heard, computed }: typeof all) =>
      computed.repetitions.map((_, i) => {
        const [from, to] = [heard.keys[i]!, heard.keys[i + 1] ?? Infinity];
        const played = heard.sounded.filter(({ voice }) => voice === 'chord');
        const before = i === 0 ? 0 : heard.keys[i - 1]! + 4;
        return {
          led: played.some(({ at }) => at >= before && at < from),
          under: played.some(({ at, loudness }) => at >= from && at < to && loudness < 0.3),
        };
      });
    expect(chords(all)).toEqual(Array(4).fill({ led: true, under: true }));
    expect(chords(some)).toEqual([
      { led: true, under: true },
      { led: true, under: false },
      { led: false, under: false },
      { led: true, under: true },
    ]);
    const shown = openings({ ...exercise, ...some.one.choices }, some.computed.repetitions);
    expect(shown.map(({ chord }) => chord.length)).toEqual([4, 4, 0, 4]);
  });
});
