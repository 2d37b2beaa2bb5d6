import type { Sounding } from '../fit/sounding';
import type { Beats, MidiNote } from '../units';

import {
  beatsOf,
  beatsOfEvents,
  degreesOfText,
  isNote,
  type Music,
  type OverDrone,
  type PatternEvent,
} from './music';
import { partAction } from './roles';
import type { Articulation, Dynamic, Swell } from './vocabulary';

/** A note of one part as it sounds, or a silence (midi null). */
export interface LineEvent {
  readonly midi: MidiNote | null;
  /** What sounds with it, on an instrument: higher notes, from the lowest. */
  readonly above?: readonly MidiNote[] | undefined;
  readonly beats: Beats;
  readonly syllable?: string | undefined;
  /** What is sung on it in further passes, where that differs. */
  readonly further?: readonly string[] | undefined;
  readonly articulation?: Articulation | undefined;
  readonly slur?: boolean | undefined;
  readonly breathAfter?: boolean | undefined;
  readonly dynamic?: Dynamic | undefined;
  /** From this note on, until the next dynamic or swell. */
  readonly swell?: Swell | undefined;
  /** The note it slides to while it lasts. */
  readonly glideTo?: MidiNote | undefined;
}

/** What one part sings in one key. The lines of a repetition are equally long. */
export interface PartLine {
  readonly part: string;
  readonly events: readonly LineEvent[];
}

/** A stretch of a line that grows or fades: from one event to another, both within it. */
export interface SwellRun {
  readonly swell: Swell;
  readonly from: number;
  readonly to: number;
}

/** Where a line grows and fades: each swell until the next printed loudness or swell, or the last note. */
export function swellsOf(
  events: readonly Pick<LineEvent, 'midi' | 'dynamic' | 'swell'>[],
): SwellRun[] {
  return events.flatMap(({ swell }, from) => {
    if (!swell) return [];
    let to = from;
    for (let i = from + 1; i < events.length; i += 1) {
      const { midi, dynamic, swell: next } = events[i]!;
      if (dynamic || next) break;
      if (midi !== null) to = i;
    }
    return [{ swell, from, to }];
  });
}

const silence = (beats: Beats): LineEvent[] => (beats > 0 ? [{ midi: null, beats }] : []);

const onTonic = (events: readonly PatternEvent[], tonic: MidiNote): LineEvent[] =>
  events.map((event) => {
    if (!isNote(event)) return { midi: null, beats: event.beats };
    const { offset, ...rest } = event;
    return { ...rest, midi: tonic + offset };
  });

/** A text over a drone: on each pitch in turn, then in canon, who comes later waiting. */
function textLine(
  text: Extract<OverDrone, { kind: 'text' }>,
  tonic: MidiNote,
  place: number,
): LineEvent[] {
  const { beats, canon } = text;
  const syllable = text.lines.join(' ');
  const degrees = degreesOfText(text);
  // Written out once; after that its beginning says which it is.
  const again = `${text.lines[0]!.split(' ').slice(0, 2).join(' ')} …`;
  const sung = degrees.map((offset, i) => ({
    ...{ midi: tonic + offset, beats },
    syllable: i === 0 ? syllable : again,
  }));
  if (!canon) return sung;
  const before = (place % canon.entries) * canon.apart;
  const after = (canon.entries - 1) * canon.apart - before;
  const last = { midi: tonic + degrees[degrees.length - 1]!, beats, syllable: again };
  return [...sung, ...silence(before), last, ...silence(after)];
}

/** What a part that takes part like all others sings with the tonic where it has it. */
function commonLine(
  music: Music,
  tonic: MidiNote,
  place: number,
  parts: number,
  turn: number,
): LineEvent[] {
  switch (music.kind) {
    case 'pattern':
      return onTonic(music.notes, tonic);
    case 'round': {
      // Where there are fewer parts than entries, the first ones go round.
      const entries = Math.min(music.entries, parts);
      const before = (((place % entries) + turn) % entries) * music.apart;
      const after = (music.entries - 1) * music.apart - before;
      return [...silence(before), ...onTonic(music.notes, tonic), ...silence(after)];
    }
    case 'drone': {
      const { over } = music;
      if (over.kind === 'line') return onTonic(over.notes, tonic);
      return textLine(over, tonic, place);
    }
    case 'glide':
      return music.points.slice(1).map((point, i) => ({
        midi: tonic + music.points[i]!.offset,
        beats: point.beats,
        glideTo: tonic + point.offset,
        ...(i === 0 ? { syllable: music.syllable } : {}),
      }));
    case 'hold': {
      const beats = music.beats / music.syllables.length;
      return music.syllables.map((syllable, i) => ({
        midi: tonic,
        beats,
        syllable,
        ...(i < music.syllables.length - 1 ? { slur: true } : {}),
      }));
    }
    case 'chord': {
      // The lowest part begins; whoever enters later holds what is left.
      const late = Math.min((parts - 1 - place) * (music.apart ?? 0), music.beats - 1);
      const wait = Math.max(0, late);
      return [
        ...silence(wait),
        { midi: tonic, beats: music.beats - wait, syllable: music.syllable },
      ];
    }
    default:
      return [];
  }
}

/**
 * The note each part begins on, by its id; «rest» for a part that is silent.
 * @param turn the so manieth time where lines go round
 */
export function firstNotes(
  music: Music,
  soundings: readonly Sounding[],
  turn = 0,
): Readonly<Record<string, MidiNote | 'rest'>> {
  return Object.fromEntries(
    partLines(music, soundings, turn).map(({ part, events }) => [
      part,
      events.find(({ midi }) => midi !== null)?.midi ?? 'rest',
    ]),
  );
}

/**
 * What each part sings in one repetition, from the highest to the lowest; a part that rests is
 * silent for its length. Empty for what has no pitch.
 * @param soundings every part's doing in that key, as a computed segment has it
 * @param turn the so manieth time where lines go round: each part sings the next line, the last the first
 */
export function partLines(music: Music, soundings: readonly Sounding[], turn = 0): PartLine[] {
  const length = beatsOf(music);
  return soundings.map((sounding, place) => {
    if (sounding.does !== 'sing') return { part: sounding.part, events: silence(length) };
    const role = partAction(music, place, soundings.length, turn);
    const sings = (): LineEvent[] =>
      role?.kind === 'sings'
        ? onTonic(role.notes, sounding.tonic)
        : commonLine(music, sounding.tonic, place, soundings.length, turn);
    let events: LineEvent[];
    if (sounding.told === 'hold') {
      const { syllable } = sings().find(({ midi }) => midi !== null) ?? {};
      events = [{ midi: sounding.tonic, beats: length, ...(syllable ? { syllable } : {}) }];
    } else if (role?.kind === 'holds') {
      const { syllable, over } = music as Extract<Music, { kind: 'drone' }>;
      const text = over.kind === 'text' && (music as { holders?: string }).holders === 'all';
      events = [
        {
          midi: sounding.tonic + role.offset,
          beats: length,
          syllable: text ? over.lines.join(' ') : syllable,
        },
      ];
    } else events = sings();
    return {
      part: sounding.part,
      events: [...events, ...silence(length - beatsOfEvents(events))],
    };
  });
}
