import type { Programme, Seconds } from '@wide-fern/core';
import { writeMidi as writeFile, type MidiEvent } from 'midi-file';
import { toBytes } from '../midi/text';
import { voiceProgram } from '../midi/voice';

/** At sixty a minute a quarter is a second: times are those of the plan. */
const ticksPerSecond = 960;
const microsecondsPerSecond = 1_000_000;
const loudest = 127;
const pianoProgram = 0;
/** Where these files keep what is struck without a pitch. */
const drums = 9;
const countNote = 76;

/** A segment as it is heard, and when it begins in the warm-up. */
export interface HeardSegment {
  readonly name: string;
  readonly from: Seconds;
  readonly heard: Programme;
}

interface Timed {
  readonly at: number;
  readonly event: MidiEvent;
}

function track(name: string, timed: readonly Timed[]): MidiEvent[] {
  const rank = ({ event }: Timed) =>
    event.type === 'noteOff' ? 0 : event.type === 'noteOn' ? 2 : 1;
  const ordered = [...timed].sort((a, b) => a.at - b.at || rank(a) - rank(b));
  let before = 0;
  const events = ordered.map(({ at, event }): MidiEvent => {
    const deltaTime = at - before;
    before = at;
    return { ...event, deltaTime };
  });
  return [
    { deltaTime: 0, meta: true, type: 'trackName', text: toBytes(name) },
    ...events,
    { deltaTime: 0, meta: true, type: 'endOfTrack' },
  ];
}

/** The notes of one voice; a slide is written as the semitones on its way. */
function voiceEvents(segments: readonly HeardSegment[], voice: string, channel: number): Timed[] {
  const ticks = (seconds: Seconds) => Math.round(seconds * ticksPerSecond);
  return segments.flatMap(({ from, heard }) =>
    heard.sounded
      .filter((one) => one.voice === voice)
      .flatMap(({ at, seconds, midi, glideTo = midi, loudness }) => {
        const count = Math.abs(glideTo - midi) + 1;
        const velocity = Math.max(1, Math.round(loudness * loudest));
        return Array.from({ length: count }, (_, i) => {
          const noteNumber = voice === 'count' ? countNote : midi + Math.sign(glideTo - midi) * i;
          const note = { deltaTime: 0, channel, noteNumber };
          const begins = from + at + (seconds * i) / count;
          return [
            { at: ticks(begins), event: { ...note, type: 'noteOn' as const, velocity } },
            {
              at: ticks(begins + seconds / count),
              event: { ...note, type: 'noteOff' as const, velocity: 0 },
            },
          ];
        }).flat();
      }),
  );
}

/**
 * A whole warm-up as a standard MIDI file on its own clock: talk is silence, then chord, count-in and every
 * key as it is sung; a track for each part, one for the chords, one for what is counted, and the segments by
 * name where they begin.
 * @param parts from the highest to the lowest
 */
export function writeWarmUpMidi(
  title: string,
  parts: readonly { readonly id: string; readonly name: string }[],
  segments: readonly HeardSegment[],
): Uint8Array {
  const voices = [
    ...parts.map(({ id, name }, i) => ({
      id,
      name,
      // The tenth channel is for what is struck.
      channel: i < drums ? i : i + 1,
      program: voiceProgram,
    })),
    { id: 'chord', name: 'Chords', channel: 8, program: pianoProgram },
    { id: 'count', name: 'Count', channel: drums, program: pianoProgram },
  ];
  const head = track(title, [
    {
      at: 0,
      event: {
        deltaTime: 0,
        meta: true,
        type: 'setTempo',
        microsecondsPerBeat: microsecondsPerSecond,
      },
    },
    ...segments.map(({ name, from }): Timed => ({
      at: Math.round(from * ticksPerSecond),
      event: { deltaTime: 0, meta: true, type: 'marker', text: toBytes(name) },
    })),
  ]);
  const tracks = voices.map(({ id, name, channel, program }) =>
    track(name, [
      { at: 0, event: { deltaTime: 0, type: 'programChange', channel, programNumber: program } },
      ...voiceEvents(segments, id, channel),
    ]),
  );
  return Uint8Array.from(
    writeFile({
      header: { format: 1, numTracks: tracks.length + 1, ticksPerBeat: ticksPerSecond },
      tracks: [head, ...tracks],
    }),
  );
}
