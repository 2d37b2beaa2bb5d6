import { managing, touches, type Giving, type Managing, type Touch } from '@wide-fern/core';
import type { Shortcut } from '../../../ui/useShortcuts';

/** What can be opened above the touches: what happens, who is here, sound, the notes of the key, other screens, keys and pedals. */
export type Panel = 'noticed' | 'who' | 'sound' | 'score' | 'screens' | 'controls';

/** What can be done by one key; pedals send Page Up and Page Down. */
export interface StandActs {
  readonly touch: (touch: Touch) => void;
  readonly undo: () => void;
  readonly give: (how: Giving) => void;
  readonly managed: (how: Managing) => void;
  /** Opens something above the touches; a second time closes it. */
  readonly open: (which: Panel) => void;
}

/** What can be put on a key, a pedal or a note of one's own. */
export const commands = [
  ...(['next', 'back', 'again', 'on', 'lower', 'higher', 'stay', 'talk', 'pause', 'undo'] as const),
  ...managing,
  ...([
    'chord',
    'notes',
    'drone',
    'pulse',
    'noticed',
    'sound',
    'score',
    'who',
    'screens',
    'controls',
  ] as const),
] as const;
export type Command = (typeof commands)[number];

/** What each command does, in words, and the keys it has by itself. */
const usual: Readonly<Record<Command, readonly [words: string, ...keys: string[]]>> = {
  next: ['the next key, or on', ' ', 'PageDown'],
  back: ['back', 'PageUp'],
  again: ['the same key again', 'a'],
  on: ['on to the next exercise', 'o'],
  lower: ['a semitone lower', ','],
  higher: ['a semitone higher', '.'],
  stay: ['this key stays longer', 's'],
  talk: ['talking, or singing again', 't'],
  pause: ['pause, or go on', 'p'],
  undo: ['undo the last touch', 'u'],
  all: ['all managed', '1'],
  most: ['most managed', '2'],
  few: ['few managed', '3'],
  chord: ['hear the chord', 'c'],
  notes: ['hear the first notes', 'n'],
  drone: ['hear the tonic held, or stop it', 'd'],
  pulse: ['hear the beat, or stop it', 'b'],
  noticed: ['note what happens', 'm'],
  sound: ['sound', 'v'],
  score: ['the notes of this key', 'k'],
  who: ['who is here', 'w'],
  screens: ['other screens', 'f'],
  controls: ['these keys', '?'],
};
const keyNames: Readonly<Record<string, string>> = {
  ' ': 'space',
  PageDown: 'Page Down',
  PageUp: 'Page Up',
};

/** A command with the keys it has by itself. */
export type StandShortcut = Shortcut & { readonly command: Command };

const isManaging = (command: Command): command is Managing =>
  (managing as readonly string[]).includes(command);
const isTouch = (command: Command): command is Command & Touch =>
  (touches as readonly string[]).includes(command);

function actFor(command: Command, { touch, undo, give, managed, open }: StandActs): void {
  if (isTouch(command)) touch(command);
  else if (command === 'undo') undo();
  else if (isManaging(command)) managed(command);
  else if (command === 'chord' || command === 'notes') give(command);
  else if (command === 'drone' || command === 'pulse') give(command);
  else open(command);
}

/** The keys of the stand, for the listener and for the list. */
export const standShortcuts = (acts: StandActs): StandShortcut[] =>
  commands.map((command) => {
    const [words, ...keys] = usual[command];
    return {
      command,
      words,
      keys: keys.map((key) => keyNames[key] ?? key).join(', '),
      match: ({ key, ctrlKey, metaKey, altKey }) =>
        keys.includes(key) && !ctrlKey && !metaKey && !altKey,
      act: () => actFor(command, acts),
    };
  });
