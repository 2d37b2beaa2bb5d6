import type { Metre } from '../exercise/music';
import type { Score } from '../notation';
import type { BeatsPerMinute, MidiNote, Seconds } from '../units';
import { beatsToSeconds, type Beats } from '../units';
import type { Opening } from './openings';
import { countNote, programme, type Listening, type Programme, type Sounded } from './programme';

/**
 * What can be heard while a warm-up is led: the chord of a key, each part's first note one after the other
 * (the highest first), the chord with the count-in, what is sung in that key, its tonic held, or the beat.
 */
export const givings = ['chord', 'notes', 'count-in', 'pattern', 'drone', 'pulse'] as const;
export type Giving = (typeof givings)[number];
/** What goes on until it is stopped. */
export const isLasting = (how: Giving): boolean => how === 'drone' || how === 'pulse';

const chordLasts: Seconds = 1.6;
const noteLasts: Seconds = 0.9;
const loudness = 0.5;
/** What is not stopped is over after so long. */
const longest: Seconds = 300;

const asProgramme = (sounded: readonly Sounded[], seconds: Seconds): Programme => ({
  ...{ sounded, seconds, keys: [] },
});

/** A chord at once. */
const givenChord = (chord: readonly MidiNote[]): Programme =>
  asProgramme(
    chord.map((midi) => ({
      ...{ at: 0, seconds: chordLasts, voice: 'chord' },
      ...{ midi, loudness },
    })),
    chord.length > 0 ? chordLasts : 0,
  );

/** The first note of every part that sings, one after the other. */
function givenNotes(entries: Opening['entries']): Programme {
  const sung = entries.flatMap(({ part, note }) => (note === null ? [] : [{ part, note }]));
  const sounded = sung.map(({ part, note }, i): Sounded => ({
    ...{ at: i * noteLasts, seconds: noteLasts * 0.95, voice: part },
    ...{ midi: note, loudness },
  }));
  return asProgramme(sounded, sung.length * noteLasts);
}

/** So many beats, each a click; the first of each bar is louder. */
function beats(count: number, tempo: BeatsPerMinute, from: Seconds, bar: Beats): Sounded[] {
  return Array.from({ length: count }, (_, i) => ({
    ...{ at: from + beatsToSeconds(i, tempo), seconds: 0.05, voice: 'count', midi: countNote },
    loudness: i % bar === 0 ? 0.6 : 0.4,
  }));
}

/** The key that is given, with what is heard in it. */
export interface GivenKey {
  /** As it is sung; undefined for what has no keys. */
  readonly opening: Opening | undefined;
  readonly score: Score | undefined;
  /** The place of the key in the score. */
  readonly key: number;
  readonly tempo: BeatsPerMinute;
  readonly metre: Metre | undefined;
  readonly listening: Pick<Listening, 'countIn' | 'verses' | 'breathBeats'>;
}

/** The beat, as long as it is wanted. */
function pulse({ tempo, metre }: GivenKey): Programme {
  const count = Math.floor((longest * tempo) / 60);
  return asProgramme(beats(count, tempo, 0, metre?.beats ?? 1), longest);
}

/** The tonic low and an octave above, held. */
function drone(chord: readonly MidiNote[]): Programme {
  const held = chord.slice(0, 2).map((midi): Sounded => ({
    ...{ at: 0, seconds: longest, voice: 'drone' },
    ...{ midi, loudness: 0.4 },
  }));
  return asProgramme(held, held.length > 0 ? longest : 0);
}

/** The chord and then the count-in; the count-in alone where there is no key. */
function countedIn({ opening, tempo, listening: { countIn } }: GivenKey): Programme {
  const { sounded, seconds } = givenChord(opening?.chord ?? []);
  const whole = seconds + beatsToSeconds(countIn, tempo);
  return asProgramme([...sounded, ...beats(countIn, tempo, seconds, countIn)], whole);
}

/** What is sung in the key, once, without what leads to it. */
function pattern({ score, key, tempo, listening }: GivenKey): Programme {
  const sung = score?.keys[key];
  if (!score || !sung) return asProgramme([], 0);
  const one = { ...score, keys: [{ ...sung, unled: true }] };
  const alone = { ...listening, countIn: 0, keyChangeBeats: 0, verses: 1 };
  return programme({ ...alone, score: one }, tempo);
}

/** What is heard of a key: nothing where it has nothing of the kind. */
export function givenKey(given: GivenKey, how: Giving): Programme {
  const { opening } = given;
  switch (how) {
    case 'chord':
      return givenChord(opening?.chord ?? []);
    case 'notes':
      return givenNotes(opening?.entries ?? []);
    case 'count-in':
      return countedIn(given);
    case 'pattern':
      return pattern(given);
    case 'drone':
      return drone(opening?.chord ?? []);
    case 'pulse':
      return pulse(given);
  }
}

/** The same, so much louder or softer. */
export const atLoudness = (programme: Programme, share: number): Programme => ({
  ...programme,
  sounded: programme.sounded.map((one) => ({
    ...one,
    loudness: Math.min(1, one.loudness * share),
    ...(one.endLoudness === undefined ? {} : { endLoudness: Math.min(1, one.endLoudness * share) }),
  })),
});
