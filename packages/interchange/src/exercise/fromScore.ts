import {
  modes,
  sameTime,
  voicesOf,
  type Dynamic,
  type Metre,
  type Swell,
  type MidiNote,
  type Mode,
  type PieceScore,
  type Quarters,
  type Staff,
  type StaffNote,
} from '@wide-fern/core';
import { notes as collect, type FoundMusic, type Notes } from '../common/found';
import { exactBeats, likelyTonic, musicOf, type SoundingEvent } from './lines';
import { instrumentName } from '../common/instrument';
import { readFileNote, saidName } from './said';

/** Where played notes begin and end is read to this part of a beat: 32nds are, triplets are. */
const grid = 24;
const mostPoints = 24;

/** A note from its beginning to its end, whatever bars it is tied over. */
interface Whole {
  readonly midi: MidiNote;
  readonly from: Quarters;
  to: Quarters;
  readonly syllables: readonly string[] | undefined;
  readonly dynamic: Dynamic | undefined;
  readonly swell: Swell | undefined;
  slur: boolean;
  breathAfter: boolean;
  slideTo: MidiNote | undefined;
}

/** A line of the score: one voice of a staff. */
interface Line {
  readonly name: string;
  readonly staff: Staff;
  readonly notes: readonly Whole[];
}

/** A voice's notes, tied ones as one, in the order in which they begin. */
function wholeNotes(notes: readonly StaffNote[], starts: readonly Quarters[]): Whole[] {
  const wholes: Whole[] = [];
  const open = new Map<MidiNote, Whole>();
  for (const note of notes) {
    const from = starts[note.bar]! + note.at;
    const to = from + note.quarters;
    const before = note.tieStop ? open.get(note.midi) : undefined;
    let whole: Whole;
    if (before && Math.abs(before.to - from) < sameTime) {
      whole = before;
      whole.to = to;
    } else {
      const { midi, syllables, dynamic, swell } = note;
      whole = {
        midi,
        from,
        to,
        syllables,
        dynamic,
        swell,
        slur: false,
        breathAfter: false,
        slideTo: undefined,
      };
      wholes.push(whole);
    }
    whole.slur = note.slur === true;
    whole.breathAfter ||= note.breathAfter === true;
    whole.slideTo = note.slideTo;
    if (note.tieStart) open.set(note.midi, whole);
    else open.delete(note.midi);
  }
  return wholes;
}

/** One note at a time: of notes together the highest, and each ends where the next begins. */
function oneByOne(notes: readonly Whole[], where: string, notKept: Notes): Whole[] {
  const ordered = [...notes].sort((a, b) => a.from - b.from || b.midi - a.midi);
  const line: Whole[] = [];
  for (const note of ordered) {
    const last = line[line.length - 1];
    if (last && note.from - last.from < sameTime) {
      notKept.add(where, 'Where several notes sound together, the highest is kept.');
      continue;
    }
    if (last) last.to = Math.min(last.to, note.from);
    line.push(note);
  }
  return line;
}

/** Moves what was played to where it was most likely meant. */
function onGrid(notes: readonly Whole[], beatsInQuarter: number): Whole[] {
  const parts = grid * beatsInQuarter;
  const snap = (quarters: Quarters) => Math.round(quarters * parts) / parts;
  return notes.map((note) => {
    const from = snap(note.from);
    return { ...note, from, to: Math.max(from + 1 / parts, snap(note.to)) };
  });
}

/** The line's notes with the silences between, in beats. */
function eventsOf(
  notes: readonly Whole[],
  until: Quarters,
  beatsInQuarter: number,
): SoundingEvent[] {
  const events: SoundingEvent[] = [];
  let end: Quarters = 0;
  const rest = (to: Quarters) => {
    if (to - end < sameTime) return;
    events.push({ midi: null, beats: exactBeats((to - end) * beatsInQuarter) });
  };
  notes.forEach((note, i) => {
    rest(note.from);
    const next = notes[i + 1];
    const goesOn = next !== undefined && next.from - note.to < sameTime;
    const syllable = note.syllables?.[0];
    events.push({
      midi: note.midi,
      beats: exactBeats((note.to - note.from) * beatsInQuarter),
      ...(syllable ? { syllable } : {}),
      ...(note.slur && goesOn ? { slur: true } : {}),
      ...(note.breathAfter ? { breathAfter: true } : {}),
      ...(note.dynamic ? { dynamic: note.dynamic } : {}),
      ...(note.swell ? { swell: note.swell } : {}),
    });
    end = note.to;
  });
  rest(until);
  return events;
}

/** The pitch class of a key's tonic, from its signature. */
const tonicClass = (fifths: number, mode: Mode): number =>
  ((((fifths - modes[mode].fifths) * 7) % 12) + 12) % 12;

/** A line that slides as points over its tonic; undefined when there is a silence in it. */
function pointsOf(notes: readonly Whole[], tonic: MidiNote, beatsInQuarter: number) {
  const [first] = notes;
  if (!first || first.from > sameTime) return undefined;
  const points = [{ offset: first.midi - tonic, beats: 0 }];
  for (const [i, { midi, from, to, slideTo }] of notes.entries()) {
    const next = notes[i + 1];
    if (next && next.from - to > sameTime) return undefined;
    const end = slideTo ?? midi;
    points.push({ offset: end - tonic, beats: exactBeats((to - from) * beatsInQuarter) });
    // A leap takes no time.
    if (next && next.midi !== end) points.push({ offset: next.midi - tonic, beats: 0 });
  }
  return points.length > mostPoints ? undefined : points;
}

/** The bars of a score, and how much of one stands before the first. */
function metreOf({ metres, bars }: PieceScore): Metre | undefined {
  const metre = metres[0]?.metre;
  const [first, ...others] = bars;
  // A single bar that is not full is short, and leads to nothing.
  if (!metre || !first || first.counted || others.length === 0) return metre;
  const pickUp = exactBeats((first.quarters * metre.unit) / 4);
  return pickUp < metre.beats ? { ...metre, pickUp } : metre;
}

/** What an exercise does not follow, though the score says it. */
function sayWhatChanges(score: PieceScore, notKept: Notes): void {
  for (const { bar, where, what, of } of score.warnings) {
    if (of === 'piece') continue;
    notKept.add([where, bar === null ? '' : `bar ${bar}`].filter(Boolean).join(', '), what);
  }
  const at = (bar: number) => `bar ${score.bars[bar]?.number ?? bar + 1}`;
  const changes = (marks: readonly { readonly bar: number }[], first: number, what: string) => {
    for (const { bar } of marks.slice(first)) notKept.add(at(bar), what);
  };
  const { keys, metres, tempos, bars } = score;
  const fifths = keys.filter((key, i) => i === 0 || key.fifths !== keys[i - 1]!.fifths);
  changes(fifths, 1, 'The key changes; all notes are counted from the first key.');
  changes(metres, 1, 'The time signature changes; bars follow the first one.');
  changes(tempos, 1, 'The tempo changes; the first one is kept.');
  bars.forEach(({ repeatFrom, repeatTo, endings, backTo }, bar) => {
    if (repeatFrom || repeatTo || endings || backTo) {
      notKept.add(at(bar), 'Repeats are not carried out: every bar is read once.');
    }
  });
}

/**
 * A score as music for an exercise: one melody, or up to four parts (docs/interchange.md).
 * @param isPlayed the score comes from what was played: it has no rests and no clefs of its own, and
 *   its times are those of fingers
 * @throws UnreadableFile with words for a person
 */
export function exerciseOfScore(score: PieceScore, isPlayed = false): FoundMusic {
  const notKept = collect();
  sayWhatChanges(score, notKept);
  const metre = metreOf(score);
  const beatsInQuarter = (metre?.unit ?? 4) / 4;
  let end: Quarters = 0;
  const starts = score.bars.map(({ quarters }) => {
    const here = end;
    end += quarters;
    return here;
  });
  const sung = score.staves.filter(({ name }) => name !== instrumentName);
  if (sung.length > 0 && sung.length < score.staves.length) {
    notKept.add(instrumentName, 'What is played under the singers is left out.');
  }
  const lines = (sung.length > 0 ? sung : score.staves).flatMap((staff, i) =>
    voicesOf(staff).map((voice): Line => {
      const name = staff.name || `${isPlayed ? 'track' : 'part'} ${i + 1}`;
      const written = wholeNotes(
        staff.notes.filter((note) => note.voice === voice),
        starts,
      );
      const notes = oneByOne(isPlayed ? onGrid(written, beatsInQuarter) : written, name, notKept);
      if (notes.some(({ syllables }) => (syllables?.length ?? 0) > 1)) {
        notKept.add(name, 'Only the first verse is kept.');
      }
      return { name, staff, notes };
    }),
  );
  // One line that was played may lie anywhere; a clef says who reads it.
  const octaveOf = ({ staff }: Line) =>
    staff.clef === 'treble' || (isPlayed && lines.length === 1) ? 0 : -12;
  const lowest = lines.flatMap((line) => line.notes.map(({ midi }) => midi - octaveOf(line)));
  const { fifths, mode: keyMode } = score.keys[0] ?? { fifths: 0, mode: 'major' as const };
  const mode = score.said?.[saidName.mode] === 'chromatic' ? 'chromatic' : keyMode;
  const pitchClass = tonicClass(fifths, mode);
  const said = readFileNote(score.said?.[saidName.tonic] ?? '');
  const tonic =
    said !== undefined && said % 12 === pitchClass
      ? said
      : likelyTonic(
          pitchClass,
          lowest.reduce((a, b) => Math.min(a, b), lowest[0] ?? 60),
        );
  const isSliding = lines.some(({ notes }) => notes.some(({ slideTo }) => slideTo !== undefined));
  const [only] = lines;
  const points =
    isSliding && only && lines.length === 1
      ? pointsOf(only.notes, tonic + octaveOf(only), beatsInQuarter)
      : undefined;
  if (isSliding && !points) notKept.add('', 'Slides between single notes are left out.');
  const syllable = only?.notes.find(({ syllables }) => syllables?.[0])?.syllables?.[0];
  const music: FoundMusic['music'] = points
    ? { kind: 'glide', mode, points, syllable: syllable ?? 'ah' }
    : musicOf(
        lines.map((line) => ({
          name: line.name,
          octave: octaveOf(line),
          events: eventsOf(line.notes, isPlayed ? 0 : end, beatsInQuarter),
        })),
        { mode, metre, tonic, notKept },
      );
  const tempo = score.tempos[0]?.tempo;
  return {
    name: score.title,
    music,
    tonic,
    tempo: tempo === undefined ? undefined : Math.round(tempo * beatsInQuarter * 1000) / 1000,
    notKept: notKept.list,
  };
}
