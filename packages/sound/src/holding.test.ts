import type { PitchFrame } from './frame';
import { hear, judged, waitFor, type Holding } from './holding';
import { listenTo } from './listen';
import { singerAnswers, usualSinger } from './simulatedSinger';
import { seeded } from './voice';

const frame = (pitch: number | null, level = -20): PitchFrame => {
  const midi = pitch === null ? null : Math.round(pitch);
  return {
    seconds: 0,
    hertz: null,
    midi,
    cents: pitch === null ? null : (pitch - midi!) * 100,
    clarity: pitch === null ? 0 : 1,
    level,
  };
};

/** Hears runs of the same pitch, each so many seconds long, a frame every 10 ms. */
function through(wanted: number, runs: readonly (readonly [number | null, number, number?])[]) {
  let holding: Holding = waitFor(wanted);
  let at = 0;
  for (const [pitch, seconds, level] of runs) {
    for (let i = 0; i < Math.round(seconds * 100); i += 1) {
      holding = hear(holding, { ...frame(pitch, level), seconds: (at += 0.01) });
    }
  }
  return holding;
}

describe('a wanted note', () => {
  it('is held when it is within 60 cents for a second', () => {
    expect(through(60, [[60.55, 0.9]]).heard).toMatchObject({ kind: 'near', cents: 55 });
    expect(through(60, [[60.55, 1.1]]).heard).toEqual({ kind: 'held' });
    expect(through(60, [[60.65, 1.5]]).heard).toEqual({ kind: 'other', note: 61, cents: 65 });
  });
  it('stays held through a short gap, and begins anew after a long one', () => {
    expect(
      through(60, [
        [60, 0.6],
        [null, 0.05],
        [60, 0.5],
      ]).heard.kind,
    ).toBe('held');
    expect(
      through(60, [
        [60, 0.6],
        [null, 0.2],
        [60, 0.5],
      ]).heard.kind,
    ).toBe('near');
  });
  it('an octave away is said, and not taken', () => {
    expect(through(60, [[48.1, 1.5]]).heard).toEqual({ kind: 'octave', way: 'lower' });
    expect(through(60, [[72, 1.5]]).heard).toEqual({ kind: 'octave', way: 'higher' });
  });
  it('that does not come is told from a room too loud to hear it', () => {
    expect(through(60, [[null, 3, -80]]).heard.kind).toBe('waiting');
    expect(through(60, [[null, 5, -80]]).heard.kind).toBe('silence');
    expect(through(60, [[null, 2.5, -12]]).heard.kind).toBe('noise');
  });
  it('is judged once it is held, or after eight seconds', () => {
    expect(judged(through(60, [[60, 1.2]]))).toBe('easy');
    expect(
      judged(
        through(60, [
          [60, 0.5],
          [null, 3],
        ]),
      ),
    ).toBeNull();
    expect(
      judged(
        through(60, [
          [60, 0.5],
          [null, 8],
        ]),
      ),
    ).toBe('came-out');
    expect(
      judged(
        through(60, [
          [57, 0.5],
          [null, 8],
        ]),
      ),
    ).toBe('no');
  });
});

describe('the simulated singer', () => {
  const sing = (note: number) => {
    const samples = singerAnswers(usualSinger, note, 16_000, seeded(note));
    const quiet = new Float32Array(16_000 * 9);
    quiet.set(samples);
    return listenTo({ sampleRate: 16_000, samples: quiet }).reduce(hear, waitFor(note));
  };
  it('is judged by what it is made of: easy, came out, not there', () => {
    const notes = [57, 58, 59, 60, 67, 74, 75, 76, 77];
    expect(notes.map((note) => judged(sing(note)))).toEqual(
      notes.map((note) =>
        note >= 60 && note <= 74 ? 'easy' : note >= 58 && note <= 76 ? 'came-out' : 'no',
      ),
    );
  });
});
