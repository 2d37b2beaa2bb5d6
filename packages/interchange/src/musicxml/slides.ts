import type { Staff, StaffNote } from '@wide-fern/core';

/** Whether a note is on its way to another; a slide that stays is a held note. */
export const slidesOn = ({ midi, slideTo }: StaffNote): boolean =>
  slideTo !== undefined && slideTo !== midi;

/** Where slides end: at notes, or behind the note that slides. */
export interface Slides {
  /** Notes that a slide leads to. */
  readonly stops: ReadonlySet<StaffNote>;
  /** Notes whose slide leads to no note, so that its end is written for itself. */
  readonly ends: ReadonlySet<StaffNote>;
}

export function slidesOf(staves: readonly Staff[]): Slides {
  const stops = new Set<StaffNote>();
  const ends = new Set<StaffNote>();
  for (const { notes } of staves) {
    /** By voice, the note that slides on. */
    const open = new Map<string, StaffNote>();
    for (const note of notes) {
      const from = open.get(note.voice);
      if (from && note.midi === from.slideTo) stops.add(note);
      else if (from) ends.add(from);
      open.delete(note.voice);
      if (slidesOn(note)) open.set(note.voice, note);
    }
    for (const from of open.values()) ends.add(from);
  }
  return { stops, ends };
}
