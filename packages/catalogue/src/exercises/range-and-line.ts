import type { Exercise } from '@wide-fern/contract';
import { cautions } from '../cautions';
import { exercise, line } from './make';

export const rangeExercises: readonly Exercise[] = [
  exercise({
    id: 'slate-steps',
    name: 'Slate steps',
    figure: 'a scale to the ninth and back',
    phase: 'range',
    purposes: ['top notes', 'register change'],
    purpose: 'Reach the top lightly, across the register change.',
    cue: 'Taller, not louder, as you climb.',
    watchFor: ['A chin that rises with the line; loudness in place of space.'],
    effort: 4,
    difficulty: 2,
    cautions: [cautions.pain, cautions.changing],
    music: {
      kind: 'pattern',
      mode: 'major',
      notes: line(
        [0, 2, 4, 5, 7, 9, 11, 12, 14, 12, 11, 9, 7, 5, 4, 2, 0],
        [...Array<number>(16).fill(0.5), 2],
        'up the slate steps one by one and down a- gain be- fore the light is gone',
      ),
    },
    usual: { talk: 20, tempo: 100, repetitions: 7 },
  }),
  exercise({
    id: 'pulley',
    name: 'Pulley',
    figure: 'an octave arpeggio, up and back',
    phase: 'range',
    purposes: ['top notes', 'open space'],
    purpose: 'Open the octave with the same ease at both ends.',
    cue: 'The rope runs down as the sound goes up.',
    watchFor: ['Reaching for the top with the chin.'],
    effort: 3,
    difficulty: 2,
    cautions: [cautions.pain, cautions.changing],
    music: {
      kind: 'pattern',
      mode: 'major',
      notes: line([0, 4, 7, 12, 7, 4, 0], [1, 1, 1, 2, 1, 1, 1], 'yah ah ah ah ah ah ah'),
    },
    usual: { talk: 15, tempo: 112, repetitions: 7 },
  }),
];

export const agilityExercises: readonly Exercise[] = [
  exercise({
    id: 'swift-turns',
    name: 'Swift turns',
    figure: 'quick turns over a fifth',
    phase: 'agility',
    purposes: ['agility', 'register change'],
    purpose: 'Quick notes that each have a place.',
    cue: 'Small and bright: let it spin.',
    watchFor: ['An h before every note; a jaw that keeps time.'],
    effort: 3,
    difficulty: 3,
    cautions: [cautions.pain],
    music: {
      kind: 'pattern',
      mode: 'major',
      notes: line(
        [0, 2, 4, 2, 4, 5, 4, 5, 7, 5, 4, 2, 0],
        [...Array<number>(12).fill(0.5), 2],
        'dee',
      ),
    },
    usual: { talk: 15, tempo: 104, repetitions: 7 },
  }),
  exercise({
    id: 'long-ledge',
    name: 'Long ledge',
    figure: 'a slow scale over a fifth, growing on each note',
    phase: 'agility',
    purposes: ['legato', 'swelling and fading', 'long outflow'],
    purpose: 'A line that grows through the note instead of at its start.',
    cue: 'Walk the whole ledge in one breath; breathe in turn if you must.',
    watchFor: ['A bulge on every note; breath taken together.'],
    effort: 3,
    difficulty: 2,
    music: {
      kind: 'pattern',
      mode: 'major',
      notes: line([0, 2, 4, 5, 7, 5, 4, 2, 0], [1, 1, 1, 1, 2, 1, 1, 1, 2], 'noh'),
    },
    usual: { talk: 15, tempo: 76, repetitions: 5 },
    keys: { fraction: 0.8 },
  }),
];
