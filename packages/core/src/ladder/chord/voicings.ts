import type { MidiNote, Semitones } from '../../units';
import { stageWindow } from '../../fit/fit';
import type { Voice } from '../../voices/parts';
import { ladderCosts } from '../costs';
import { pitchClass } from './pitchClass';
import { chordCosts, type ChordSetting } from './problem';

/** One way to sing a chord: a note for each part, from the highest to the lowest, and what it costs. */
export interface Voicing {
  readonly notes: readonly MidiNote[];
  /** By itself. */
  readonly own: number;
  /** With the motion that led to it. */
  readonly total: number;
}

/**
 * Ways to choose a note for each part as one flat table: part p's note is notes[p][digit p of the
 * index], the lowest part's digit counting fastest. `own` is the cost, Infinity when not allowed.
 */
export interface Voicings {
  readonly notes: readonly (readonly MidiNote[])[];
  readonly own: Float64Array;
}

/** By how much a part moves further than its chord's root does. */
export const motion = (from: MidiNote, to: MidiNote, rootMoves: Semitones): number =>
  Math.max(0, Math.abs(from - to) - rootMoves);

/** The notes each part may take for the chord on a root: the lowest part the root, the others any tone. */
export function candidateNotes(
  { sections, tones }: Omit<ChordSetting, 'fraction'>,
  root: MidiNote,
): MidiNote[][] {
  const wanted = tones.slice(0, sections.length);
  return sections.map(({ reach: [low, high] }, part) => {
    const allowed = part === sections.length - 1 ? [0] : wanted;
    const classes = new Set(allowed.map((tone) => pitchClass(root + tone)));
    return Array.from({ length: high - low + 1 }, (_, i) => low + i).filter((note) =>
      classes.has(pitchClass(note)),
    );
  });
}

/** The window and edge terms of one note in one part. */
function noteCost(section: Voice, fraction: number, note: MidiNote): number {
  const [low, high] = stageWindow(section.comfort, fraction);
  return (
    ladderCosts.outsideWindow * (Math.max(0, low - note) + Math.max(0, note - high)) +
    ladderCosts.belowComfort * Math.max(0, section.comfort[0] - note) +
    ladderCosts.aboveComfort * Math.max(0, note - section.comfort[1])
  );
}

/** Walks through the allowed voicings on one root; whoever asks says how much each may cost. */
export interface ChordOnRoot {
  /** The first part that has no note of the chord in its reach, if there is one. */
  readonly without: string | undefined;
  /** The cheapest voicing, with the motion from the notes before if there are any; undefined when none is allowed. */
  readonly cheapest: (before?: readonly MidiNote[], rootMoves?: Semitones) => Voicing | undefined;
  /** Every allowed voicing that costs at most so much by itself. */
  readonly upTo: (most: number) => Voicings;
}

/** A table of the voicings of these notes, none of them in it yet, and a way to put one in. */
function emptyTable(notes: Voicings['notes']) {
  const size = notes.reduce((product, { length }) => product * length, 1);
  const own = new Float64Array(size).fill(Infinity);
  const digits = notes.map((list) => new Map(list.map((note, digit) => [note, digit])));
  const put = (sung: readonly MidiNote[], cost: number): void => {
    const index = sung.reduce(
      (before, note, part) => before * notes[part]!.length + digits[part]!.get(note)!,
      0,
    );
    own[index] = cost;
  };
  return { table: { notes, own }, put };
}

/** The chord on one root, for the parts of a setting. */
export function chordOnRoot(setting: ChordSetting, root: MidiNote): ChordOnRoot {
  const { sections, tones, fraction, distinct } = setting;
  const candidates = candidateNotes(setting, root);
  const costs = candidates.map((notes, part) =>
    notes.map((note) => noteCost(sections[part]!, fraction, note)),
  );
  // The tones present so far, one bit a pitch class.
  const bit = (note: MidiNote): number => 1 << pitchClass(note);
  const wanted = tones.slice(0, sections.length).reduce((bits, tone) => bits | bit(root + tone), 0);
  const last = candidates.length - 1;
  // What the parts from here down cost at least, so that a walk turns back early.
  const least = new Array<number>(candidates.length + 1).fill(0);
  for (let part = last; part >= 0; part -= 1) {
    least[part] = least[part + 1]! + Math.min(...costs[part]!);
  }
  const bits = (value: number): number => value.toString(2).replaceAll('0', '').length;
  const missing = Array.from({ length: wanted + 1 }, (_, have) => bits(wanted & ~have));

  /** Calls back for each voicing whose total stays within what `most` allows at that moment. */
  const walk = (
    extra: (part: number, note: MidiNote) => number,
    most: () => number,
    found: (notes: readonly MidiNote[], own: number, total: number) => void,
  ) => {
    const notes: MidiNote[] = [];
    // The cheapest first: what is found early is good, and what is dear is turned away by it.
    const ordered = candidates.map((choices, part) =>
      choices
        .map((note, i) => ({ note, cost: costs[part]![i]!, added: extra(part, note) }))
        .sort((a, b) => a.cost + a.added - b.cost - b.added),
    );
    const visit = (part: number, own: number, added: number, have: number) => {
      if (own + added + least[part]! > most()) return;
      // Every part still to come can bring one missing tone at most.
      if (missing[have & wanted]! > candidates.length - part) return;
      if (part > last) {
        found(notes, own, own + added);
        return;
      }
      const above = part === 0 ? Infinity : notes[part - 1]!;
      const gap = part === last ? chordCosts.lowestGap : chordCosts.usualGap;
      for (const { note, cost, added: more } of ordered[part]!) {
        if (distinct ? note >= above : note > above) continue;
        const spread = part === 0 ? 0 : Math.max(0, above - note - gap);
        notes[part] = note;
        visit(
          part + 1,
          own + cost + chordCosts.tooFarApart * spread,
          added + more,
          have | bit(note),
        );
      }
    };
    visit(0, 0, 0, 0);
  };

  return {
    without: sections.find((_, part) => candidates[part]!.length === 0)?.id,
    cheapest: (before, rootMoves = 0) => {
      let best: Voicing | undefined;
      const extra = before
        ? (part: number, note: MidiNote) => motion(before[part]!, note, rootMoves)
        : () => 0;
      walk(
        extra,
        // Only what is cheaper than the best so far is of interest.
        () => (best ? best.total - 1 : Infinity),
        (notes, own, total) => {
          best = { notes: [...notes], own, total };
        },
      );
      return best;
    },
    upTo: (most) => {
      // A note that costs too much with every other part at its least is in none of them.
      const notes = candidates.map((choices, part) => {
        const others = least[0]! - Math.min(...costs[part]!);
        return choices.filter((_, i) => costs[part]![i]! + others <= most);
      });
      const { table, put } = emptyTable(notes);
      walk(
        () => 0,
        () => most,
        put,
      );
      return table;
    },
  };
}

/** The notes of one voicing in the table, from the highest part to the lowest. */
export function notesAt({ notes }: Voicings, index: number): MidiNote[] {
  const sung: MidiNote[] = [];
  let rest = index;
  for (let part = notes.length - 1; part >= 0; part -= 1) {
    const { length } = notes[part]!;
    sung[part] = notes[part]![rest % length]!;
    rest = Math.floor(rest / length);
  }
  return sung;
}

/** The order among voicings of equal cost: the lower sum, then the lower note from the lowest part up. */
export function byLowness(a: readonly MidiNote[], b: readonly MidiNote[]): number {
  const sum = (notes: readonly MidiNote[]) => notes.reduce((total, note) => total + note, 0);
  let difference = sum(a) - sum(b);
  for (let part = a.length - 1; part >= 0 && difference === 0; part -= 1) {
    difference = a[part]! - b[part]!;
  }
  return difference;
}
