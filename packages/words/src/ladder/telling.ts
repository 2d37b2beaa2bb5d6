import { counted, listInWords } from '../counting';
import { tonicName, type MidiNote, type Section, type ToldMove } from '@wide-fern/core';
import type { Wording } from './wording';

/** What a part can be told to do in a key, and who it is about: «Altos on D♭». */
export function tellWords(
  { many, octave }: Pick<Section, 'many' | 'octave'>,
  tonic: MidiNote,
  wording: Wording,
): { readonly who: string; readonly moves: readonly (readonly [move: ToldMove, word: string])[] } {
  const who = many.charAt(0).toUpperCase() + many.slice(1);
  return {
    who: `${who} on ${tonicName(tonic, wording.mode, wording.writing)}`,
    moves: [
      [octave, 'as usual'],
      [octave - 12, 'an octave down'],
      [octave + 12, 'an octave up'],
      ['hold', 'hold the key’s note'],
      ['rest', 'rest'],
    ],
  };
}

/** «altos in two keys and basses in one key» */
export function toldInFigures(
  told: Readonly<Record<string, object>>,
  parts: readonly Pick<Section, 'id' | 'many'>[],
): string {
  return listInWords(
    parts.map(
      ({ id, many }) => `${many} in ${counted(Object.keys(told[id] ?? {}).length, 'key', 'keys')}`,
    ),
  );
}
