/** How well and how fast a voice is heard on its note, over the signals the tests use and many more. */
import { createListener, listenTo, seeded, singNote, vowels, type Vowel } from '@wide-fern/sound';

export interface PitchFigures {
  /** Shares of all frames. */
  readonly right: number;
  readonly octave: number;
  /** The longest time from the beginning of a note to the first right frame that is complete, in ms. */
  readonly answer: number;
  /** Processing time for a second of audio at 44,1 kHz, in ms. */
  readonly cost: number;
}

/** Sine and vowels, with and without vibrato and noise, every semitone from E2 to C6, at two rates. */
export function measurePitch(): PitchFigures {
  const kinds: readonly (Vowel | 'sine')[] = ['sine', ...(Object.keys(vowels) as Vowel[])];
  let [frames, right, octave, answer] = [0, 0, 0, 0];
  for (const sampleRate of [16_000, 44_100]) {
    for (const vowel of kinds) {
      for (const vibrato of [undefined, { cents: 50, hertz: 5.5 }]) {
        for (const noise of [undefined, 20]) {
          for (let note = 40; note <= 84; note += 1) {
            const sung = singNote({
              note,
              seconds: 0.5,
              sampleRate,
              vowel,
              ...(vibrato ? { vibrato } : {}),
              ...(noise === undefined ? {} : { noise }),
              random: seeded(note),
            });
            const heard = listenTo(sung);
            frames += heard.length;
            right += heard.filter(({ midi }) => midi === note).length;
            octave += heard.filter(
              ({ midi }) => midi !== null && Math.abs(midi - note) >= 11,
            ).length;
            const first = heard.find(({ midi }) => midi === note)?.seconds ?? Infinity;
            // Half of its 50 ms lie after the middle of a frame.
            answer = Math.max(answer, (first + 0.025) * 1000);
          }
        }
      }
    }
  }
  const long = singNote({
    note: 60,
    seconds: 10,
    sampleRate: 44_100,
    vowel: 'ah',
    random: seeded(1),
  });
  const listener = createListener(44_100);
  const began = performance.now();
  listener.push(long.samples);
  return {
    right: right / frames,
    octave: octave / frames,
    answer,
    cost: (performance.now() - began) / 10,
  };
}
