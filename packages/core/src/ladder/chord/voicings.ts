import type { MidiNote } from '../../units';
import { stageWindow } from '../../fit/fit';
import type { Section } from '../../voices/parts';
import { ladderCosts } from '../costs';
import { chordCosts, type ChordProblem } from './problem';

/**
 * All ways to choose a note for each part as one flat table: part p's note is notes[p][digit p of
 * the index], the lowest part's digit counting fastest. `own` is the cost, Infinity when not allowed.
 */
export interface Voicings {
  readonly notes: readonly (readonly MidiNote[])[];
  readonly own: Float64Array;
}

/** The pitch class of a note, 0 to 11. */
export const pitchClass = (note: number): number => ((note % 12) + 12) % 12;

function candidateNotes(problem: ChordProblem, root: MidiNote): MidiNote[][] {
  const wanted = problem.tones.slice(0, problem.sections.length);
  return problem.sections.map(({ reach: [low, high] }, part) => {
    const tones = part === problem.sections.length - 1 ? [0] : wanted;
    const classes = new Set(tones.map((tone) => pitchClass(root + tone)));
    return Array.from({ length: high - low + 1 }, (_, i) => low + i).filter((note) =>
      classes.has(pitchClass(note)),
    );
  });
}

/** The window and edge terms of one note in one part. */
function noteCost(section: Section, fraction: number, note: MidiNote): number {
  const [low, high] = stageWindow(section.comfort, fraction);
  return (
    ladderCosts.outsideWindow * (Math.max(0, low - note) + Math.max(0, note - high)) +
    ladderCosts.belowComfort * Math.max(0, section.comfort[0] - note) +
    ladderCosts.aboveComfort * Math.max(0, note - section.comfort[1])
  );
}

/** Every allowed way to voice the chord on a root, with its cost. */
export function voicingsOf(problem: ChordProblem, root: MidiNote): Voicings {
  const notes = candidateNotes(problem, root);
  const size = notes.reduce((product, { length }) => product * length, 1);
  const own = new Float64Array(size).fill(Infinity);
  const costs = notes.map((list, part) =>
    list.map((note) => noteCost(problem.sections[part]!, problem.fraction, note)),
  );
  // The tones present so far, one bit a pitch class.
  const bit = (note: MidiNote): number => 1 << pitchClass(note);
  const wanted = problem.tones
    .slice(0, problem.sections.length)
    .reduce((bits, tone) => bits | bit(root + tone), 0);
  const lowestPart = notes.length - 1;
  const visit = (part: number, index: number, cost: number, above: MidiNote, bits: number) => {
    if (part > lowestPart) {
      if (bits === wanted) own[index] = cost;
      return;
    }
    const choices = notes[part]!;
    const gap = part === lowestPart ? chordCosts.lowestGap : chordCosts.usualGap;
    for (let digit = 0; digit < choices.length; digit += 1) {
      const note = choices[digit]!;
      if (note > above) break;
      const spread = part === 0 ? 0 : Math.max(0, above - note - gap);
      const next = cost + costs[part]![digit]! + chordCosts.tooFarApart * spread;
      visit(part + 1, index * choices.length + digit, next, note, bits | bit(note));
    }
  };
  if (size > 0) visit(0, 0, 0, Infinity, 0);
  return { notes, own };
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
