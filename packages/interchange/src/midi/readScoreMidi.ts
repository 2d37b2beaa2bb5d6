import {
  dynamics,
  swells,
  longestSyllable,
  type Dynamic,
  type Swell,
  type PieceScore,
  type Staff,
  type StaffNote,
} from '@wide-fern/core';
import type { MidiEvent } from 'midi-file';
import { refuse } from '../common/found';
import { barAt, gridOf, type Timed } from './grid';
import { openMidi } from './open';
import { fromBytes } from './text';
import { legato } from './voice';
import { mostScoreNotes } from '../common/limits';
import { Warnings } from '../common/warnings';

/** A gap shorter than this is how a note was played, not a rest: a 32nd, in quarters. */
const shortestRest = 0.125;
const percussion = 9;

interface Played {
  readonly from: number;
  to: number;
  readonly midi: number;
  /** Bound to the next one. */
  readonly slur: boolean;
}

/** What one channel of a track plays. */
interface Line {
  readonly name: string;
  readonly notes: Played[];
  readonly lyrics: ReadonlyMap<number, string>;
  readonly dynamics: ReadonlyMap<number, Dynamic>;
  readonly swells: ReadonlyMap<number, Swell>;
}

/** What a track says: its lines, and words that stand in it without notes. */
interface Track {
  readonly lines: readonly Line[];
  readonly words: ReadonlyMap<number, string>;
}

function timed(track: readonly MidiEvent[]): Timed[] {
  let tick = 0;
  return track.map((event) => {
    tick += event.deltaTime;
    return { tick, event };
  });
}

/** The lines of a track: one for each channel that plays. */
function linesOf(track: readonly Timed[], warnings: Warnings): Track {
  let name = '';
  const lyrics = new Map<number, string>();
  const texts = new Map<number, string>();
  const loud = new Map<number, Dynamic>();
  const swelling = new Map<number, Swell>();
  const bound = new Set<number>();
  const sounding = new Map<string, Played>();
  const channels = new Map<number, Played[]>();
  for (const { tick, event } of track) {
    if (event.type === 'trackName') name = fromBytes(event.text).trim();
    else if (event.type === 'lyrics') lyrics.set(tick, fromBytes(event.text));
    else if (event.type === 'text') {
      const dynamic = dynamics.find((one) => one === event.text.trim());
      const swell = swells.find((one) => one === event.text.trim());
      if (dynamic) loud.set(tick, dynamic);
      else if (swell) swelling.set(tick, swell);
      else if (!event.text.startsWith('@')) texts.set(tick, fromBytes(event.text));
    } else if (event.type === 'controller' && event.controllerType === legato) {
      if (event.value >= 64) bound.add(event.channel);
      else bound.delete(event.channel);
    } else if (event.type === 'noteOn' || event.type === 'noteOff') {
      const key = `${event.channel} ${event.noteNumber}`;
      const open = sounding.get(key);
      if (open) {
        open.to = tick;
        sounding.delete(key);
      }
      if (event.type === 'noteOff' || event.velocity === 0) continue;
      const slur = bound.has(event.channel);
      const played = { from: tick, to: tick, midi: event.noteNumber, slur };
      sounding.set(key, played);
      const notes = channels.get(event.channel) ?? [];
      notes.push(played);
      channels.set(event.channel, notes);
    } else if (event.type === 'pitchBend' && event.value !== 0) {
      warnings.add(null, name, 'Bent pitches are counted as the plain note.');
    }
  }
  if (channels.has(percussion)) warnings.add(null, name, 'Percussion is left out.');
  const lines = [...channels]
    .filter(([channel]) => channel !== percussion)
    .map(([, notes]) => {
      const sounding = notes.filter(({ from, to }) => to > from);
      return { name, notes: sounding, lyrics, dynamics: loud, swells: swelling };
    });
  return { lines, words: lines.length > 0 ? new Map() : lyrics.size > 0 ? lyrics : texts };
}

/**
 * Words that stand in a track of their own go to the line that begins notes where they are sung; one
 * that has words already keeps them.
 */
function withWordsBeside(tracks: readonly Track[]): Line[] {
  const lines = tracks.flatMap((track) => track.lines);
  const [words] = tracks
    .map((track) => track.words)
    .filter((one) => one.size > 2)
    .sort((a, b) => b.size - a.size);
  if (!words) return lines;
  const sungWith = ({ notes, lyrics }: Line) =>
    lyrics.size > 0 ? -1 : notes.filter(({ from }) => words.has(from)).length;
  const [best] = [...lines].sort((a, b) => sungWith(b) - sungWith(a));
  const isSung = best && sungWith(best) >= words.size / 2;
  return lines.map((line) => (isSung && line === best ? { ...line, lyrics: words } : line));
}

/** A note ends where the next begins, when only a breath of a gap lies between. */
function closeGaps(notes: readonly Played[], gap: number): void {
  const begins = [...new Set(notes.map(({ from }) => from))].sort((a, b) => a - b);
  for (const note of notes) {
    let low = 0;
    let high = begins.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (begins[middle]! < note.to) low = middle + 1;
      else high = middle;
    }
    const next = begins[low];
    if (next !== undefined && next - note.to < gap) note.to = next;
  }
}

/** Lyrics of MIDI files: a trailing hyphen goes on, a line's end and a blank are no part of the word. */
const syllableOf = (text: string): string =>
  text
    .replace(/[\r\n/\\]/g, '')
    .trim()
    .slice(0, longestSyllable);

/** A played note as it would be written: cut at bar lines and tied over them. */
function written(note: Played, line: Line, starts: readonly number[], ticks: number): StaffNote[] {
  const pieces: StaffNote[] = [];
  let from = note.from;
  let bar = barAt(starts, from);
  while (from < note.to) {
    const to = Math.min(note.to, starts[bar + 1] ?? Infinity);
    const lyric = from === note.from ? line.lyrics.get(from) : undefined;
    const syllable = lyric === undefined ? '' : syllableOf(lyric);
    const dynamic = from === note.from ? line.dynamics.get(from) : undefined;
    const swell = from === note.from ? line.swells.get(from) : undefined;
    pieces.push({
      bar,
      at: (from - starts[bar]!) / ticks,
      quarters: (to - from) / ticks,
      midi: note.midi,
      voice: '1',
      ...(from > note.from ? { tieStop: true } : {}),
      ...(to < note.to ? { tieStart: true } : {}),
      ...(syllable === '' ? {} : { syllables: [syllable] }),
      ...(dynamic ? { dynamic } : {}),
      ...(swell ? { swell } : {}),
      ...(note.slur ? { slur: true } : {}),
    });
    from = to;
    bar += 1;
  }
  return pieces;
}

const temposOf = (
  all: readonly Timed[],
  starts: readonly number[],
  ticks: number,
  end: number,
): PieceScore['tempos'] =>
  all
    .flatMap(({ tick, event }) =>
      event.type === 'setTempo' && event.microsecondsPerBeat > 0 && tick <= end
        ? [{ tick, tempo: 60_000_000 / event.microsecondsPerBeat }]
        : [],
    )
    // Nobody sings so; a file that says it is counting something else.
    .filter(({ tempo }) => tempo >= 5 && tempo <= 1000)
    .sort((a, b) => a.tick - b.tick)
    .map(({ tick, tempo }) => {
      const bar = barAt(starts, tick);
      return { bar, at: (tick - starts[bar]!) / ticks, tempo };
    });

const keysOf = (all: readonly Timed[], starts: readonly number[]): PieceScore['keys'] =>
  all.flatMap(({ tick, event }) =>
    event.type === 'keySignature'
      ? [
          {
            bar: barAt(starts, tick),
            fifths: event.key,
            mode: event.scale === 1 ? ('minor' as const) : ('major' as const),
          },
        ]
      : [],
  );

function staffOf(line: Line, index: number, starts: readonly number[], ticks: number): Staff {
  const notes = line.notes
    .flatMap((note) => written(note, line, starts, ticks))
    .sort((a, b) => a.bar - b.bar || a.at - b.at || b.midi - a.midi);
  const mean = notes.reduce((sum, { midi }) => sum + midi, 0) / notes.length;
  const sounding = new Set(notes.map(({ bar }) => bar));
  return {
    id: `T${index + 1}.1`,
    name: line.name,
    abbreviation: '',
    clef: mean < 57 ? 'bass' : 'treble',
    octaveSaid: true,
    ofStaves: 1,
    notes,
    voices: starts.map((_, bar) => (sounding.has(bar) ? ['1'] : [])),
  };
}

/**
 * Reads a choir score from a standard MIDI file of type 0 or 1: a staff for each track, or for each
 * channel of a track that plays several (docs/interchange.md).
 * @param closed gaps shorter than this, in quarters, are how the notes were played, and are closed
 * @throws UnreadableFile with words for a person
 */
export function readScoreMidi(bytes: Uint8Array, closed = shortestRest): PieceScore {
  const { header, tracks } = openMidi(bytes);
  const ticks = header.ticksPerBeat;
  if (ticks === undefined || !(ticks > 0)) {
    return refuse('This MIDI file counts by film frames, not by beats. Save it with beats.');
  }
  if (header.format === 2) refuse('This MIDI file holds separate patterns, not a score.');
  const warnings = new Warnings();
  const byTrack = tracks.map(timed);
  const all = byTrack.flat();
  const lines = withWordsBeside(byTrack.map((track) => linesOf(track, warnings)));
  const count = lines.reduce((sum, { notes }) => sum + notes.length, 0);
  if (count === 0) refuse('There is no note in this file. Choose one with music in it.');
  if (count > mostScoreNotes) {
    refuse(`This file has ${count} notes; scores up to ${mostScoreNotes} are read.`);
  }
  for (const { notes } of lines) closeGaps(notes, closed * ticks);
  let end = 0;
  for (const { notes } of lines) for (const { to } of notes) end = Math.max(end, to);
  const { starts, metres } = gridOf(all, ticks, end);
  const tempos = temposOf(all, starts, ticks, end);
  if (tempos.length === 0) {
    warnings.add(
      null,
      '',
      'The file names no tempo; 96 quarter notes a minute are taken.',
      'piece',
    );
  }
  warnings.add(
    null,
    '',
    'A MIDI file has no repeats and no pick-up: bars are counted from its beginning.',
    'piece',
  );
  const lengthOf = (bar: number): number => {
    const metre = metres.findLast((mark) => mark.bar <= bar)?.metre ?? { beats: 4, unit: 4 };
    const full = (metre.beats * 4) / metre.unit;
    const next = starts[bar + 1];
    return next === undefined ? full : (next - starts[bar]!) / ticks;
  };
  const title = all.find(({ event }) => event.type === 'trackName')?.event;
  const isTitled = byTrack[0]?.every(({ event }) => event.type !== 'noteOn') ?? false;
  return {
    title: isTitled && title?.type === 'trackName' ? fromBytes(title.text).trim() : '',
    composer: '',
    language: '',
    bars: starts.map((_, bar) => ({ number: bar + 1, counted: true, quarters: lengthOf(bar) })),
    staves: lines.map((line, i) => staffOf(line, i, starts, ticks)),
    tempos,
    keys: keysOf(all, starts),
    metres,
    warnings: warnings.list,
  };
}
