import {
  beatsOfEvents,
  loudnessAlong,
  quartersOfBeat,
  soundingShare,
  spellKey,
  type Beats,
  type Dynamic,
  type LineEvent,
  type LoudnessScale,
  type Score,
} from '@wide-fern/core';
import { writeMidi as writeFile, type MidiEvent } from 'midi-file';
import { instrumentName } from '../common/instrument';
import { toBytes } from './text';
import { legato, voiceProgram } from './voice';

/** Ticks of a quarter: exact for 32nds and triplets. */
const ticksPerQuarter = 480;
const loudness: Readonly<Record<Dynamic, number>> = {
  pp: 38,
  p: 53,
  mp: 68,
  mf: 84,
  f: 102,
  ff: 120,
};
/** How hard notes are struck, also along a swell. */
const struck: LoudnessScale = { of: loudness, usual: 76, swell: 30, least: 25, most: 127 };

/** An event at its time from the beginning, before times are told from one event to the next. */
interface Timed {
  readonly at: number;
  readonly event: MidiEvent;
}

/** A slide has no note of its own in these files: it is written as the semitones on its way. */
function steps({ midi: from, glideTo }: LineEvent): number[] {
  const to = glideTo ?? from!;
  const count = Math.abs(to - from!) + 1;
  return Array.from({ length: count }, (_, i) => from! + Math.sign(to - from!) * i);
}

/**
 * One line from a beat on: its notes, its syllables as the file's words, how loud it is in words and in
 * how hard its notes are struck, and its slurs as a pedal that binds.
 */
function lineEvents(
  events: readonly LineEvent[],
  from: Beats,
  ticks: (beats: Beats) => number,
  channel: number,
): Timed[] {
  let beat = from;
  const velocities = loudnessAlong(events, struck);
  let bound = false;
  return events.flatMap((event, place) => {
    const [velocityFrom, velocityTo] = velocities[place]!;
    const begins = beat;
    beat += event.beats;
    if (event.midi === null || event.beats === 0) return [];
    const at = ticks(begins);
    const said = (type: 'lyrics' | 'text', words: string | undefined): Timed[] =>
      words === undefined
        ? []
        : [{ at, event: { deltaTime: 0, meta: true, type, text: toBytes(words) } }];
    const bow: Timed[] = [];
    if (bound !== (event.slur === true)) {
      bound = event.slur === true;
      const value = bound ? 127 : 0;
      const control = { deltaTime: 0, channel, type: 'controller' } as const;
      bow.push({ at, event: { ...control, controllerType: legato, value } });
    }
    const notes = steps(event);
    const part = event.beats / notes.length;
    const sounding = notes.flatMap((noteNumber, i): Timed[] => {
      const note = { deltaTime: 0, channel, noteNumber };
      // A slide that swells is struck louder on its way.
      const velocity = Math.round(velocityFrom + ((velocityTo - velocityFrom) * i) / notes.length);
      return [
        { at: ticks(begins + i * part), event: { ...note, type: 'noteOn', velocity } },
        {
          at: ticks(begins + (i + soundingShare(event.articulation)) * part),
          event: { ...note, type: 'noteOff', velocity: 0 },
        },
      ];
    });
    return [
      ...said('lyrics', event.syllable),
      ...said('text', event.dynamic),
      ...said('text', event.swell),
      ...bow,
      ...sounding,
    ];
  });
}

/** A track: ends of notes before beginnings at the same time, each event's time from the one before. */
function track(timed: readonly Timed[]): MidiEvent[] {
  const rank = ({ event }: Timed) =>
    event.type === 'noteOff' ? 0 : event.type === 'noteOn' ? 2 : 1;
  const ordered = [...timed].sort((a, b) => a.at - b.at || rank(a) - rank(b));
  let before = 0;
  const events = ordered.map(({ at, event }) => {
    const deltaTime = at - before;
    before = at;
    return { ...event, deltaTime };
  });
  return [...events, { deltaTime: 0, meta: true, type: 'endOfTrack' }];
}

/** Name, tempo, metre, and every key's signature where it begins. */
function headTrack(score: Score, starts: readonly Beats[], ticks: (beats: Beats) => number) {
  const { title, tempo, metre, mode } = score;
  const microsecondsPerBeat = Math.round(60_000_000 / (tempo * quartersOfBeat(metre)));
  const head = { deltaTime: 0, meta: true } as const;
  return track([
    { at: 0, event: { ...head, type: 'trackName', text: toBytes(title) } },
    { at: 0, event: { ...head, type: 'setTempo', microsecondsPerBeat } },
    ...(metre
      ? [
          {
            at: 0,
            event: {
              ...head,
              type: 'timeSignature',
              numerator: metre.beats,
              denominator: metre.unit,
              metronome: 24,
              thirtyseconds: 8,
            } as const,
          },
        ]
      : []),
    ...score.keys.map(({ tonic }, i): Timed => {
      const { signature } = spellKey(tonic, mode);
      const scale = mode === 'minor' ? 1 : 0;
      return {
        at: ticks(starts[i]!),
        event: { ...head, type: 'keySignature', key: signature, scale },
      };
    }),
  ]);
}

/** How hard an instrument is struck that plays under singers. */
const underVelocity = 44;
/** A piano, as these files number instruments. */
const pianoProgram = 0;

/** What is played under every key, on a track of its own. */
function underTrack(
  score: Score,
  starts: readonly Beats[],
  ticks: (beats: Beats) => number,
  channel: number,
): MidiEvent[] {
  const chords = score.keys.flatMap(({ under = [] }, i) => {
    let beat = starts[i]!;
    return under.flatMap(({ midis, beats }) => {
      const [from, to] = [ticks(beat), ticks(beat + beats)];
      beat += beats;
      return midis.flatMap((noteNumber): Timed[] => {
        const note = { deltaTime: 0, channel, noteNumber };
        return [
          { at: from, event: { ...note, type: 'noteOn', velocity: underVelocity } },
          { at: to, event: { ...note, type: 'noteOff', velocity: 0 } },
        ];
      });
    });
  });
  const named = { deltaTime: 0, meta: true, type: 'trackName' } as const;
  return track([
    { at: 0, event: { ...named, text: toBytes(instrumentName) } },
    {
      at: 0,
      event: { deltaTime: 0, type: 'programChange', channel, programNumber: pianoProgram },
    },
    ...chords,
  ]);
}

/** An exercise as a standard MIDI file: a track for every part, every key of its score in turn. */
export function writeMidi(score: Score): Uint8Array {
  const ticksOfBeat = ticksPerQuarter * quartersOfBeat(score.metre);
  const ticks = (beats: Beats) => Math.round(beats * ticksOfBeat);
  const starts: Beats[] = [];
  let at: Beats = 0;
  for (const { lines } of score.keys) {
    starts.push(at);
    at += Math.max(0, ...lines.map(({ events }) => beatsOfEvents(events))) + score.between;
  }
  const parts = score.parts.map(({ name }, place) =>
    track([
      { at: 0, event: { deltaTime: 0, meta: true, type: 'trackName', text: toBytes(name) } },
      {
        at: 0,
        event: { deltaTime: 0, type: 'programChange', channel: place, programNumber: voiceProgram },
      },
      ...score.keys.flatMap(({ lines }, i) =>
        lineEvents(lines[place]!.events, starts[i]!, ticks, place),
      ),
    ]),
  );
  if (score.keys.some(({ under }) => under)) {
    parts.push(underTrack(score, starts, ticks, score.parts.length));
  }
  return Uint8Array.from(
    writeFile({
      header: { format: 1, numTracks: parts.length + 1, ticksPerBeat: ticksPerQuarter },
      tracks: [headTrack(score, starts, ticks), ...parts],
    }),
  );
}
