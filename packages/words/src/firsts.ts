import type { Segment } from '@wide-fern/contract';
import { firstNotes, turnsIn, type MidiNote, type Sounding } from '@wide-fern/core';

/** The notes a part begins on in a key, one for each turn of the lines; «rest» where it is silent. */
export type Firsts = Readonly<Record<string, readonly (MidiNote | 'rest')[]>>;

/**
 * On which notes the parts begin in one key: one note each, or one for each line that comes to it in turn.
 * @param soundings every part's doing in that key
 */
export function firstsIn(
  { exercise: { music }, choices }: Pick<Segment, 'exercise' | 'choices'>,
  soundings: readonly Sounding[],
): Firsts {
  const turns = turnsIn(music, choices, soundings.length);
  const each = Array.from({ length: turns }, (_, turn) => firstNotes(music, soundings, turn));
  return Object.fromEntries(
    Object.keys(each[0]!).map((part) => {
      const all = each.map((firsts) => firsts[part]!);
      // What is the same each time, be it a rest, is said once.
      return [part, new Set(all).size === 1 ? all.slice(0, 1) : all];
    }),
  );
}
