import { placeNeedWords } from '../agenda';
import { noteName, type NoteWriting } from '@wide-fern/core';
import type { OpenFact } from '@wide-fern/plan';
import { likelyLongerInWords } from '../plan/words';
import { capitalise, formFor, semitonesInWords } from '../counting';

/** An open decision as a sentence, and the one act that settles it. */
export function openInWords(
  fact: OpenFact,
  {
    clock,
    writing,
  }: {
    readonly clock: (moment: number) => string;
    readonly writing: NoteWriting;
  },
): { readonly words: string; readonly act: string } {
  switch (fact.kind) {
    case 'overfull': {
      const { minutes } = fact;
      return {
        words: `The evening has ${minutes} ${formFor(minutes, 'minute', 'minutes')} too much on it.`,
        act: 'change the agenda',
      };
    }
    case 'no-warm-up':
      return { words: 'No time is set aside for a warm-up.', act: 'change the agenda' };
    case 'nobody':
      return {
        words: 'Nobody’s range is known yet: the keys rest on voices as they usually are.',
        act: 'say who sings',
      };
    case 'no-music':
      return {
        words: 'No piece is on this evening, so the warm-up prepares none.',
        act: 'change the agenda',
      };
    case 'not-allowed':
      return {
        words: `“${fact.exercise}” needs ${placeNeedWords[fact.need]}, which the place does not allow.`,
        act: 'choose something else',
      };
    case 'longer':
      return { words: capitalise(likelyLongerInWords(fact.seconds)), act: 'look at the plan' };
    case 'wish':
      return {
        words: `Nothing in the warm-up trains ${fact.skill}, the target of “${fact.title}”.`,
        act: 'choose something for it',
      };
    case 'empty':
      return {
        words: `The ${fact.title.toLowerCase()} at ${clock(fact.at)} has no exercise.`,
        act: 'plan it',
      };
    case 'outside': {
      const { many, side, note, by, title, bar } = fact;
      const way = side === 'above' ? 'up' : 'down';
      return {
        words: `${capitalise(many)} go ${way} to ${noteName(note, writing)} in “${title}”, ${semitonesInWords(by)} ${side} tonight.`,
        act: bar === undefined ? 'look at the piece' : `look at bar ${bar}`,
      };
    }
    case 'unknown':
      return {
        words: `Nobody knows yet what “${fact.title}” asks of the voices.`,
        act: 'type its notes',
      };
  }
}
