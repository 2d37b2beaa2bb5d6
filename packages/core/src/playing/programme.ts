import { beatsOfEvents } from '../exercise/music';
import type { LineEvent } from '../exercise/partLines';
import type { Articulation, Dynamic } from '../exercise/vocabulary';
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
  /** How loud it ends, where it grows or fades while it lasts. */
  readonly endLoudness?: number;
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
/** How loud printed words are on some scale, what is sung without one, and how far a swell goes that leads to none. */
export interface LoudnessScale {
  readonly of: Readonly<Record<Dynamic, number>>;
  readonly usual: number;
  readonly swell: number;
  readonly least: number;
  readonly most: number;
}
const heard: LoudnessScale = {
  of: loudnessOf,
  usual: usualLoudness,
  swell: 0.24,
  least: 0.2,
  most: 1,
};

/**
 * How loud each event begins and ends: as printed, and along a swell evenly from where it begins to the
 * next printed loudness, or by two steps where none follows.
 */
export function loudnessAlong(
  events: readonly Pick<LineEvent, 'beats' | 'dynamic' | 'swell'>[],
  scale: LoudnessScale = heard,
): readonly (readonly [from: number, to: number])[] {
  const along: (readonly [number, number])[] = [];
  let loudness = scale.usual;
  for (let i = 0; i < events.length;) {
    const { dynamic, swell } = events[i]!;
    if (dynamic) loudness = scale.of[dynamic];
    let end = i + 1;
    while (end < events.length && !events[end]!.dynamic && !events[end]!.swell) end += 1;
    const next = events[end]?.dynamic;
    const toward = swell === 'growing' ? loudness + scale.swell : loudness - scale.swell;
    const goal =
      swell === undefined
        ? loudness
        : next
          ? scale.of[next]
          : Math.min(scale.most, Math.max(scale.least, toward));
    const beats = beatsOfEvents(events.slice(i, end));
    let passed = 0;
    for (; i < end; i += 1) {
      const at = (beat: Beats) => loudness + ((goal - loudness) * beat) / (beats || 1);
      along.push([at(passed), at(passed + events[i]!.beats)]);
      passed += events[i]!.beats;
    }
    loudness = goal;
  }
  return along;
}

/** Before the first key there is no change, but a chord all the same. */
const firstChordBeats = 2;
/** Where the chord is given: the tonic in the octave below middle C, and its triad above middle C. */
const chordFrom: MidiNote = 60;
export const countNote: MidiNote = 96;
/** How loud an instrument is that plays under singers. */
const underLoudness = 0.22;
/** By how much a note begun with weight is louder. */
const weight = 0.16;

/** How much of its length a note sounds. */
export const soundingShare = (articulation: Articulation | undefined): number =>
  articulation === 'short' ? 0.45 : articulation === 'weighty' ? 0.85 : 1;

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
  score.keys.forEach(({ tonic, lines, verses: ways, under, unled }, i) => {
    if (!unled) chord(tonic, i === 0 ? firstChordBeats : keyChangeBeats);
    else if (i > 0) beat += keyChangeBeats;
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
      let played = beat;
      for (const { midis, beats } of under ?? []) {
        const length = { at: seconds(played), seconds: seconds(beats) };
        for (const midi of midis) {
          sounded.push({ ...length, voice: 'chord', midi, loudness: underLoudness });
        }
        played += beats;
      }
      const sung = ways?.[verse % ways.length] ?? lines;
      for (const { part, events } of sung) {
        let at = beat;
        const loudness = loudnessAlong(events);
        for (const [place, event] of events.entries()) {
          const [from, to] = loudness[place]!;
          if (event.midi !== null && event.beats > 0) {
            sounded.push({
              at: seconds(at),
              seconds: seconds(event.beats * soundingShare(event.articulation)),
              voice: part,
              midi: event.midi,
              loudness: event.articulation === 'weighty' ? Math.min(1, from + weight) : from,
              ...(to === from ? {} : { endLoudness: to }),
              ...(event.glideTo === undefined || event.glideTo === event.midi
                ? {}
                : { glideTo: event.glideTo }),
            });
          }
          at += event.beats;
        }
      }
      beat += Math.max(0, ...sung.map(({ events }) => beatsOfEvents(events)));
      if (verse < verses - 1 || i < score.keys.length - 1) beat += breathBeats;
    }
  });
  sounded.sort((a, b) => a.at - b.at);
  return { seconds: seconds(beat), sounded, keys };
}
