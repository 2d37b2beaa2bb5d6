import { mixedChoir, usualSections } from '../voices';
import { computePlan } from '../plan';
import type { Music } from '../exercise/music';
import type { Phase } from '../exercise/vocabulary';
import { loadOf, type LoadedSegment } from './plan';

const sections = usualSections(mixedChoir);
const tonight = { sections, needs: [] };
const fifth: Music = {
  kind: 'pattern',
  mode: 'major',
  metre: { beats: 4, unit: 4 },
  notes: [0, 4, 7, 0].map((offset) => ({ offset, beats: 1 })),
};

interface Made {
  readonly id: string;
  readonly phase?: Phase;
  readonly effort?: number;
  readonly music?: Music;
  readonly keys?: number;
  readonly coach?: number;
  readonly start?: number | null;
}
const segment = ({ id, phase = 'range', effort = 3, music = fifth, ...more }: Made) => {
  const { keys = 5, coach = 0, start = null } = more;
  return {
    id,
    exercise: {
      ...{ name: id, phase, effort, music, anchor: 'middle' as const },
      ...{ countIn: 0, breathBeats: 2, keyChangeBeats: 2 },
    },
    choices: {
      ...{ talk: 0, coach, demonstrate: 'no' as const, tempo: 60, repetitions: keys, verses: 1 },
      ...{ shape: 'up' as const, step: 1, start },
    },
  };
};
const load = (...made: readonly Made[]) => {
  const segments = made.map(segment);
  const plan = computePlan(segments, tonight, 900);
  const loaded: LoadedSegment[] = segments.map((one, i) => ({
    segment: one,
    computed: plan.segments[i]!,
  }));
  return loadOf(loaded, tonight);
};
const warmed: Made[] = [
  { id: 'hum', phase: 'onset', effort: 1, keys: 6 },
  { id: 'ring', phase: 'resonance', effort: 2, keys: 6 },
];

describe('the load of a plan', () => {
  it('is what each part sings, by its sounding time and frequency', () => {
    const { segments } = load({ id: 'one', keys: 3, start: 65 });
    const [soprano, , , bass] = segments[0]!.parts;
    // Three keys of four seconds each, at one beat a second.
    expect(soprano!.seconds).toBeCloseTo(12, 9);
    const hertz = (midi: number) => 440 * 2 ** ((midi - 69) / 12);
    const cycles = [65, 66, 67].flatMap((tonic) => [0, 4, 7, 0].map((step) => hertz(tonic + step)));
    expect(soprano!.cycles).toBeCloseTo(cycles.reduce((sum, one) => sum + one, 0) / 1000, 6);
    expect(bass!.cycles).toBeLessThan(soprano!.cycles);
  });
  it('counts the top three semitones of the comfort', () => {
    const top = sections[0]!.comfort[1];
    const { segments } = load({ id: 'high', keys: 3, start: top - 7 - 2 });
    // Keys whose fifth is two, one and no semitones below the top: one second each.
    expect(segments[0]!.parts[0]!.topSeconds).toBeCloseTo(3, 9);
  });
  it('names the peak, the first of equal ones', () => {
    const { peak } = load(...warmed, { id: 'a', effort: 4 }, { id: 'b', effort: 4 });
    expect(peak?.id).toBe('a');
    expect(load().peak).toBeUndefined();
  });
});

describe('what should be looked at', () => {
  const codes = (...made: Made[]) =>
    load(...made).warnings.map(({ code, segment: id }) => `${code} ${id}`);
  it('is strong singing of more than a minute without a break', () => {
    expect(codes(...warmed, { id: 'strong', effort: 4, keys: 7 })).toEqual([]);
    expect(codes(...warmed, { id: 'strong', effort: 4, keys: 10 })).toEqual(['no-break strong']);
    expect(codes(...warmed, { id: 'strong', effort: 4, keys: 10, coach: 6 })).toEqual([]);
  });
  it('also over the borders of segments, until something light comes between', () => {
    const strong = (id: string): Made => ({ id, effort: 4, keys: 7 });
    expect(codes(...warmed, strong('a'), strong('b'))).toEqual(['no-break a']);
    expect(codes(...warmed, strong('a'), { id: 'light', effort: 2 }, strong('b'))).toEqual([]);
  });
  it('is strong before onset and resonance', () => {
    const early = load({ id: 'early', effort: 4, keys: 3 }).warnings;
    expect(early).toEqual([
      { code: 'strong-early', segment: 'early', missing: ['onset', 'resonance'] },
    ]);
    expect(codes(...warmed, { id: 'late', effort: 4, keys: 3 })).toEqual([]);
  });
  it('is a rise of more than a fourth above what was reached', () => {
    const high = sections[0]!.comfort[1] - 7 - 3;
    const [found] = load({ id: 'leap', keys: 3, start: high }).warnings;
    expect(found).toMatchObject({ code: 'rise', segment: 'leap', top: high + 2 + 7 });
    const between = { id: 'between', keys: 3, start: high - 5 };
    expect(codes(between, { id: 'leap', keys: 3, start: high })).not.toContain('rise leap');
  });
});
