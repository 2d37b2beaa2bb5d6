import { z } from './zod';

/** A MIDI note number that a voice or a piano can have. */
export const midiNote = z.int('A note is a whole number.').min(0).max(127);

/** Two notes, the lower first. */
export const pitchRange = z
  .tuple([midiNote, midiNote])
  .refine(([low, high]) => low <= high, 'The lowest note must not lie above the highest.')
  .readonly();

/** Comfort and reach together: the reach holds the comfort. */
export const withinReach = (range: {
  comfort: readonly [number, number];
  reach: readonly [number, number];
}): boolean => range.reach[0] <= range.comfort[0] && range.comfort[1] <= range.reach[1];
export const withinReachMessage = 'The comfort must lie inside the reach.';

/** A day that a choir may meet on, or has met on. */
export const day = z.iso
  .date('Choose a date.')
  .refine(
    (date) => date >= '1900-01-01' && date < '2201-01-01',
    'Choose a date from 1900 to 2200.',
  );

export const uuid = z.uuid('This is not a valid id.');

/** One line of text of limited length, without blank ends. */
/** A line that may stay empty. */
export const maybeLine = (most: number) =>
  z.string().trim().max(most, `At most ${most} characters.`);
export const line = (most: number) =>
  z.string().trim().min(1, 'Write something here.').max(most, `At most ${most} characters.`);
