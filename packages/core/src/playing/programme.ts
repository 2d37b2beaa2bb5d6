import { beatsOfEvents } from '../exercise/music';
import type { Dynamic } from '../exercise/vocabulary';
import type { Score } from '../notation';
import { modes } from '../pitch';
import { beatsToSeconds, type Beats, type MidiNote, type Seconds } from '../units';

/** Something that sounds: a part's note, a note of the chord that leads to a key, or a counted beat. */
export interface Sounded {
  readonly at: Seconds;
  readonly seconds: Seconds;
  /** The part's id, «chord», or «count». */
  readonly voice: string;
  readonly midi: MidiNote;
  /** The note it slides to while it lasts. */
  readonly glideTo?: MidiNote;
  /** From 0 to 1. */
  readonly loudness: number;
}

/** What is heard of an exercise, in the order it sounds. */
export interface Programme {
  readonly seconds: Seconds;
  readonly sounded: readonly Sounded[];
  /** When each key's first note sounds. */
  readonly keys: readonly Seconds[];
}

export interface Listening {
  readonly score: Score;
  readonly countIn: Beats;
  readonly verses: number;
  readonly breathBeats: Beats;
  readonly keyChangeBeats: Beats;
}

const loudnessOf: Readonly<Record<Dynamic, number>> = {
  pp: 0.3,
  p: 0.42,
  mp: 0.54,
  mf: 0.66,
  f: 0.82,
  ff: 1,
};
const usualLoudness = 0.6;
/** Before the first key there is no change, but a chord all the same. */
const firstChordBeats = 2;
/** Where the chord is given: the tonic in the octave below middle C, and its triad above middle C. */
const chordFrom: MidiNote = 60;
const countNote: MidiNote = 96;

/** The chord that leads to a key: its tonic low, its triad around middle C. */
export function keyChord(tonic: MidiNote, mode: Score['mode']): MidiNote[] {
  const root = chordFrom + ((((tonic - chordFrom) % 12) + 12) % 12);
  const close = root > chordFrom + 6 ? root - 12 : root;
  const { scale } = modes[mode === 'chromatic' ? 'major' : mode];
  return [close - 12, close, close + scale[2], close + scale[4]];
}

/**
 * What is heard when an exercise is played from its first key to its last: the first key's chord,
 * the count-in, every key as often as it is sung, and the chord that leads to the next one. The
 * times from the count-in on are those of the segment's own timing (docs/model.md, section 6).
 */
export function programme(
  { score, countIn, verses, breathBeats, keyChangeBeats }: Listening,
  tempo: number = score.tempo,
): Programme {
  const sounded: Sounded[] = [];
  const keys: Seconds[] = [];
  let beat: Beats = 0;
  const seconds = (beats: Beats) => beatsToSeconds(beats, tempo);
  const chord = (tonic: MidiNote, beats: Beats) => {
    if (beats <= 0) return;
    for (const midi of keyChord(tonic, score.mode)) {
      const length = { at: seconds(beat), seconds: seconds(beats * 0.9) };
      sounded.push({ ...length, voice: 'chord', midi, loudness: 0.4 });
    }
    beat += beats;
  };
  score.keys.forEach(({ tonic, lines }, i) => {
    chord(tonic, i === 0 ? firstChordBeats : keyChangeBeats);
    if (i === 0) {
      for (let count = 0; count < countIn; count += 1) {
        const length = { at: seconds(beat + count), seconds: 0.05 };
        const loudness = count === 0 ? 0.6 : 0.4;
        sounded.push({ ...length, voice: 'count', midi: countNote, loudness });
      }
      beat += countIn;
    }
    keys.push(seconds(beat));
    for (let verse = 0; verse < verses; verse += 1) {
      for (const { part, events } of lines) {
        let at = beat;
        let loudness = usualLoudness;
        for (const event of events) {
          if (event.dynamic) loudness = loudnessOf[event.dynamic];
          if (event.midi !== null && event.beats > 0) {
            sounded.push({
              at: seconds(at),
              seconds: seconds(event.beats),
              voice: part,
              midi: event.midi,
              loudness,
              ...(event.glideTo === undefined || event.glideTo === event.midi
                ? {}
                : { glideTo: event.glideTo }),
            });
          }
          at += event.beats;
        }
      }
      beat += Math.max(0, ...lines.map(({ events }) => beatsOfEvents(events)));
      if (verse < verses - 1 || i < score.keys.length - 1) beat += breathBeats;
    }
  });
  sounded.sort((a, b) => a.at - b.at);
  return { seconds: seconds(beat), sounded, keys };
}
