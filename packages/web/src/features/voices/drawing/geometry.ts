import type { MidiNote, PitchRange } from '@wide-fern/core';

/** A pitch axis from left to right: equal columns, one a semitone, as on a keyboard. */
export interface PitchAxis {
  readonly left: number;
  readonly right: number;
  /** Width of a column. */
  readonly step: number;
  readonly lowest: MidiNote;
  readonly highest: MidiNote;
  /** Where a note's column begins. */
  readonly x: (note: MidiNote) => number;
  /** The middle of a note's column. */
  readonly middle: (note: MidiNote) => number;
  /** The note at a place, held within the axis. */
  readonly note: (x: number) => MidiNote;
}

/** An axis that shows all of the ranges, at least two octaves and a half of it. */
export function pitchAxis(
  ranges: readonly PitchRange[],
  place: { readonly left: number; readonly right: number },
): PitchAxis {
  const { left, right } = place;
  let lowest = Math.min(...ranges.map(([low]) => low)) - 1;
  let highest = Math.max(...ranges.map(([, high]) => high)) + 1;
  for (let side = 1; highest - lowest + 1 < 30; side = -side) {
    if (side > 0) highest += 1;
    else lowest -= 1;
  }
  const step = (right - left) / (highest - lowest + 1);
  const x = (note: MidiNote): number => left + (note - lowest) * step;
  return {
    left,
    right,
    step,
    lowest,
    highest,
    x,
    middle: (note) => x(note) + step / 2,
    note: (at) => Math.min(highest, Math.max(lowest, lowest + Math.floor((at - left) / step))),
  };
}

/** The notes of an axis. */
export const notesOf = ({ lowest, highest }: PitchAxis): MidiNote[] =>
  Array.from({ length: highest - lowest + 1 }, (_, i) => lowest + i);

/** Whether a note is a black key. */
export const isBlack = (note: MidiNote): boolean =>
  [1, 3, 6, 8, 10].includes(((note % 12) + 12) % 12);

/** The outline of a share curve: steps at each note, from its counts, as an SVG path over a height. */
export function curvePath(
  counts: { readonly lowest: MidiNote; readonly counts: readonly number[] },
  singers: number,
  axis: PitchAxis,
  box: { readonly top: number; readonly bottom: number },
): string {
  const height = box.bottom - box.top;
  const y = (count: number): number => box.bottom - (count / singers) * height;
  const steps = counts.counts.map(
    (count, i) => `V ${y(count).toFixed(1)} H ${axis.x(counts.lowest + i + 1).toFixed(1)}`,
  );
  return `M ${axis.x(counts.lowest).toFixed(1)} ${box.bottom} ${steps.join(' ')} V ${box.bottom} Z`;
}

/** The notes an axis names: every C, and F where there is room, but none beside an edge that is named already. */
export function namedNotes(axis: PitchAxis, edges: readonly MidiNote[]): MidiNote[] {
  const room = Math.ceil(34 / axis.step);
  return notesOf(axis).filter(
    (note) => [0, 5, 9].includes(note % 12) && edges.every((edge) => Math.abs(edge - note) >= room),
  );
}

/** How far apart the lines beside the curve stand. */
export const aroundStep = 18;
/**
 * Where the first of three lines beside the curve stands: in its usual place, or out of the way of the
 * words at the level, which is at this height.
 */
export const aroundTop = (level: number): number => (level < 76 ? Math.max(84, level + 24) : 30);

/** The level a key brings the wanted number of singers to; undefined for other keys. */
export function levelAfterKey(key: string, wanted: number, singers: number): number | undefined {
  if (key === 'Home') return 1;
  if (key === 'End') return singers;
  const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[key];
  return by === undefined ? undefined : Math.min(singers, Math.max(1, wanted + by));
}
