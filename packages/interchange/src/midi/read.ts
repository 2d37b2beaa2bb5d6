import midi from '@tonejs/midi';
import { readNote, type Metre, type MidiNote } from '@wide-fern/core';
import { notes as collect, refuse, type FoundMusic, type Notes } from '../common/found';
import { fromBytes } from './text';
import { likelyTonic, musicOf, type SoundingEvent, type SoundingLine } from '../common/lines';

const { Midi } = midi;

/** Where notes begin and end is read to this part of a quarter: 32nds are, triplets are. */
const grid = 24;
const units = [1, 2, 4, 8, 16] as const;

interface Played {
  readonly midi: MidiNote;
  readonly from: number;
  readonly to: number;
}

/** One line out of what a track plays: of notes together the highest, and each ends where the next begins. */
function oneLine(played: readonly Played[], name: string, notKept: Notes): SoundingEvent[] {
  const ordered = [...played].sort((a, b) => a.from - b.from || b.midi - a.midi);
  const events: SoundingEvent[] = [];
  let end = 0;
  ordered.forEach((note, i) => {
    if (i > 0 && ordered[i - 1]!.from === note.from) {
      notKept.add(name, 'Where several notes sound together, the highest is kept.');
      return;
    }
    const next = ordered.find(({ from }) => from > note.from);
    const to = Math.max(note.from + 1, Math.min(note.to, next?.from ?? note.to));
    if (note.from > end) events.push({ midi: null, beats: (note.from - end) / grid });
    events.push({ midi: note.midi, beats: (to - note.from) / grid });
    end = to;
  });
  return events;
}

/** The pitch class of the tonic: keys are named by their major, a minor one lies a third below it. */
function tonicClassOf(key: string | undefined, scale: string | undefined): number {
  const major = readNote(`${key ?? 'C'}4`) ?? 60;
  return (major - (scale === 'minor' ? 3 : 0)) % 12;
}

function openFile(bytes: Uint8Array): InstanceType<typeof Midi> {
  if (String.fromCharCode(...bytes.slice(0, 4)) !== 'MThd') {
    return refuse('This is no standard MIDI file. Choose one that ends in .mid.');
  }
  try {
    return new Midi(bytes);
  } catch {
    return refuse('This MIDI file breaks off or is damaged. Save it again and try once more.');
  }
}

/**
 * Reads a standard MIDI file into an exercise: one melody, or up to four parts (docs/interchange.md).
 * @throws UnreadableFile with words for a person
 */
export function readMidi(bytes: Uint8Array): FoundMusic {
  const file = openFile(bytes);
  const { ppq, tempos, timeSignatures, keySignatures, name } = file.header;
  if (!(ppq > 0)) refuse('This MIDI file counts its lengths by nothing. It is damaged.');
  const notKept = collect();
  const [time] = timeSignatures;
  const [beats, written] = time?.timeSignature ?? [];
  const unit = units.find((one) => one === written);
  const metre: Metre | undefined =
    beats !== undefined && unit && beats >= 1 && beats <= 32 ? { beats, unit } : undefined;
  if (timeSignatures.length > 1) notKept.add('', 'Only the first time signature is kept.');
  if (tempos.length > 1) notKept.add('', 'Only the first tempo is kept.');
  const [key] = keySignatures;
  if (new Set(keySignatures.map((one) => one.key)).size > 1) {
    notKept.add('', 'The key changes; all notes are counted from the first key.');
  }
  const beatsInQuarter = (metre?.unit ?? 4) / 4;
  const snap = (ticks: number) => Math.round((ticks * grid * beatsInQuarter) / ppq);
  const tracks = file.tracks.filter(({ notes }) => notes.length > 0);
  if (tracks.some(({ channel }) => channel === 9)) notKept.add('', 'Percussion is left out.');
  const lines = tracks
    .filter(({ channel }) => channel !== 9)
    .map((track, i): SoundingLine => {
      const where = fromBytes(track.name).trim() || `track ${i + 1}`;
      if (track.notes.length > 20_000) {
        refuse(`${where} has ${track.notes.length} notes: that is a piece, not an exercise.`);
      }
      if (track.pitchBends.length > 0) notKept.add(where, 'Bent pitches are left out.');
      const played = track.notes.map((note) => ({
        midi: note.midi,
        from: snap(note.ticks),
        to: snap(note.ticks + note.durationTicks),
      }));
      const events = oneLine(played, where, notKept);
      const pitches = played.map((note) => note.midi);
      // Without clefs the height tells: a line that lies below middle C is sung by low voices.
      const middle = pitches.reduce((sum, note) => sum + note, 0) / pitches.length;
      return { name: where, octave: tracks.length > 1 && middle < 59 ? -12 : 0, events };
    });
  const lowest = lines.flatMap(({ events, octave }) =>
    events.flatMap(({ midi: note }) => (note === null ? [] : note - octave)),
  );
  const mode = key?.scale === 'minor' ? 'minor' : 'major';
  const tonic = likelyTonic(
    tonicClassOf(key?.key, key?.scale),
    lowest.length > 0 ? lowest.reduce((a, b) => Math.min(a, b)) : 60,
  );
  return {
    name: fromBytes(name).trim(),
    music: musicOf(lines, { mode, metre, tonic, notKept }),
    tonic,
    tempo: tempos[0] && Math.round(tempos[0].bpm * beatsInQuarter * 1000) / 1000,
    notKept: notKept.list,
  };
}
