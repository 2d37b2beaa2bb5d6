import { noteName, type NoteWriting } from '@wide-fern/core';
import { holdRules, type Heard } from '@wide-fern/sound';

const cents = (by: number): string =>
  by === 0 ? 'right on it' : `${Math.abs(by)} cents too ${by > 0 ? 'high' : 'low'}`;

/** What is heard, in words for whoever sings. */
export function heardInWords(heard: Heard, writing: NoteWriting): string {
  switch (heard.kind) {
    case 'waiting':
      return 'Listening.';
    case 'near':
      return `${cents(heard.cents)}, held ${heard.held.toFixed(1)} s of ${holdRules.held}.`.replace(
        /^./,
        (first) => first.toUpperCase(),
      );
    case 'held':
      return 'Held.';
    case 'octave':
      return `You sang it an octave ${heard.way}.`;
    case 'other':
      return `That is ${noteName(heard.note, writing)}, ${cents(heard.cents)}.`;
    case 'silence':
      return 'Nothing to hear yet. Sing nearer to the microphone, or answer by hand.';
    case 'noise':
      return 'It is too loud here to hear one voice. Wait for quiet, or answer by hand.';
  }
}
