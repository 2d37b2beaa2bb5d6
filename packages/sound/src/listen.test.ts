import { createListener, listenTo } from './listen';
import { hear, waitFor } from './holding';
import { choirNote, mainsHum, padNote, pinkNoise, withBelow } from './testing/hall';
import { seeded, singNote, vowels, type SungNote } from './voice';

const kinds = ['sine', ...(Object.keys(vowels) as (keyof typeof vowels)[])] as const;
const vibrato = { cents: 50, hertz: 5.5 };
const sung = (more: Partial<SungNote>) =>
  singNote({
    note: 60,
    seconds: 0.5,
    sampleRate: 16_000,
    vowel: 'ah',
    random: seeded(7),
    ...more,
  });

/** Shares of all frames: on the right semitone, and an octave beside it. */
function judge(notes: readonly number[], more: Partial<SungNote>) {
  let [all, right, octave] = [0, 0, 0];
  for (const vowel of kinds) {
    for (const note of notes) {
      const frames = listenTo(sung({ ...more, note, vowel }));
      all += frames.length;
      right += frames.filter(({ midi }) => midi === note).length;
      octave += frames.filter(({ midi }) => midi !== null && Math.abs(midi - note) >= 11).length;
    }
  }
  return { right: right / all, octave: octave / all };
}

describe('a voice from E2 to C6', () => {
  // Every semitone and more rates are measured by the bench.
  const notes = [40, 47, 54, 61, 69, 76, 84];
  it.each([
    ['plain', {}],
    ['with vibrato', { vibrato }],
    ['in noise', { noise: 20 }],
    ['with vibrato, in noise, at another rate', { vibrato, noise: 20, sampleRate: 44_100 }],
  ])('is heard on its note: %s', (_, more) => {
    const { right, octave } = judge(notes, more);
    expect(right).toBeGreaterThanOrEqual(0.98);
    expect(octave).toBeLessThan(0.01);
  });
});

describe('a real room', () => {
  const notes = [43, 69, 80];
  const seconds = 1.4;
  const made = (note: number, more: Partial<SungNote> = {}) => sung({ note, seconds, ...more });
  const length = seconds * 16_000;
  const heard = (make: (note: number) => ReturnType<typeof sung>) => {
    let [all, right, octave, held] = [0, 0, 0, 0];
    for (const note of notes) {
      const frames = listenTo(make(note));
      all += frames.length;
      right += frames.filter(({ midi }) => midi === note).length;
      octave += frames.filter(({ midi }) => midi !== null && Math.abs(midi - note) >= 11).length;
      if (frames.reduce(hear, waitFor(note)).heard.kind === 'held') held += 1;
    }
    return { right: right / all, octave: octave / all, held };
  };
  it.each([4.5, 5.5, 6.5])(
    'holds a note through a vibrato of a hundred cents, %s a second',
    (hertz) => {
      const { held } = heard((note) => made(note, { vibrato: { cents: 100, hertz } }));
      expect(held).toBe(notes.length);
    },
  );
  it.each([
    ['noise of a hall at 10 dB', (note: number) => pinkNoise(length, seeded(note)), 10],
    ['the hum of the mains at 14 dB', () => mainsHum(length, 16_000), 14],
    ['the hum of other mains at 14 dB', () => mainsHum(length, 16_000, 60), 14],
  ])('leaves nine of ten readings right in %s', (_, noise, below) => {
    const { right, octave } = heard((note) => withBelow(made(note), noise(note), below));
    expect(right).toBeGreaterThanOrEqual(0.9);
    expect(octave).toBeLessThan(0.01);
  });
  it.each([
    ['aahs', (note: number) => choirNote({ ...choirOf(note), vowel: 'ah' })],
    ['oohs', (note: number) => choirNote({ ...choirOf(note), vowel: 'oo' }, 8, 25)],
    ['pads', (note: number) => padNote(note, seconds, 16_000)],
  ])('never slips by an octave on a synthesised choir’s %s', (_, make) => {
    const { right, octave } = heard(make);
    expect(octave).toBeLessThan(0.01);
    expect(right).toBeGreaterThanOrEqual(0.9);
  });
  const choirOf = (note: number) => ({ note, seconds, sampleRate: 16_000, random: seeded(1) });
});

describe('a listener', () => {
  it('answers within 120 ms of audio', () => {
    for (const note of [40, 60, 84]) {
      const quiet = new Float32Array(8000);
      const samples = new Float32Array(16_000);
      samples.set(quiet);
      samples.set(sung({ note, seconds: 0.5, vibrato }).samples, 8000);
      const listener = createListener(16_000);
      // What is known after 120 ms of the note.
      const frames = listener.push(samples.subarray(0, 8000 + 0.12 * 16_000));
      expect(frames[frames.length - 1]?.midi).toBe(note);
    }
  });
  it('gives the same frames however the samples are cut', () => {
    const { samples } = sung({ seconds: 0.4 });
    const whole = createListener(16_000).push(samples);
    const listener = createListener(16_000);
    const pieces: unknown[] = [];
    for (let at = 0; at < samples.length; at += 333) {
      pieces.push(...listener.push(samples.subarray(at, at + 333)));
    }
    expect(pieces).toEqual(whole);
  });
  it('says how far beside the note a voice is', () => {
    const frames = listenTo(sung({ vowel: 'sine', offset: 30 }));
    expect(frames[40]?.midi).toBe(60);
    expect(frames[40]?.cents).toBeCloseTo(30, 0);
    expect(frames[40]?.hertz).toBeCloseTo(266.2, 0);
    const tuned = listenTo(sung({ vowel: 'sine', note: 69 }), 446);
    expect(tuned[40]?.cents).toBeCloseTo(-23.5, 0);
  });
  it('does not mind an offset of the input', () => {
    const { samples } = sung({ note: 45 });
    const frames = listenTo({ sampleRate: 16_000, samples: samples.map((one) => one + 0.3) });
    expect(frames.filter(({ midi }) => midi === 45).length / frames.length).toBeGreaterThan(0.95);
  });
  it('follows a step of a semitone', () => {
    const [low, high] = [60, 61].map((note) => sung({ note, vibrato, seconds: 1 }).samples);
    const both = new Float32Array(32_000);
    both.set(low!);
    both.set(high!, 16_000);
    const frames = listenTo({ sampleRate: 16_000, samples: both });
    for (const { seconds, midi } of frames) {
      if (seconds < 0.95) expect(midi).toBe(60);
      if (seconds > 1.12) expect(midi).toBe(61);
    }
  });
  it('hears no voice in silence, noise or the hum of the mains', () => {
    const random = seeded(1);
    for (const make of [
      () => 0,
      () => (random() - 0.5) * 0.3,
      (i: number) => 0.02 * Math.sin((2 * Math.PI * 50 * i) / 16_000),
      (i: number) => 0.2 * Math.sin((2 * Math.PI * 60 * i) / 16_000),
    ]) {
      const samples = Float32Array.from({ length: 16_000 }, (_, i) => make(i));
      const frames = listenTo({ sampleRate: 16_000, samples });
      expect(frames.every(({ hertz, midi }) => hertz === null && midi === null)).toBe(true);
    }
  });
  it('refuses a rate it cannot listen at', () => {
    expect(() => createListener(4000)).toThrow(RangeError);
  });
});
