import type { Touch } from '@wide-fern/core';
import { letter, type Shortcut } from '../../ui/useShortcuts';

/** What can be done by one key; pedals send Page Up and Page Down. */
export interface StandActs {
  readonly touch: (touch: Touch) => void;
  readonly undo: () => void;
  readonly give: (how: 'chord' | 'notes') => void;
  /** Opens what is noted, or who is here; a second time closes it. */
  readonly open: (which: 'notes' | 'who') => void;
}

const named =
  (...names: readonly string[]) =>
  (event: KeyboardEvent): boolean =>
    names.includes(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey;

/** The keys of the stand, for the listener and for the list. */
export const standShortcuts = ({ touch, undo, give, open }: StandActs): Shortcut[] => [
  {
    keys: 'space, Page Down',
    words: 'the next key, or on',
    match: named(' ', 'PageDown'),
    act: () => touch('next'),
  },
  { keys: 'Page Up', words: 'back', match: named('PageUp'), act: () => touch('back') },
  { keys: 'a', words: 'the same key again', match: letter('a'), act: () => touch('again') },
  { keys: 'o', words: 'on to the next exercise', match: letter('o'), act: () => touch('on') },
  { keys: ',', words: 'a semitone lower', match: letter(','), act: () => touch('lower') },
  { keys: '.', words: 'a semitone higher', match: letter('.'), act: () => touch('higher') },
  { keys: 's', words: 'this key stays longer', match: letter('s'), act: () => touch('stay') },
  { keys: 't', words: 'talking, or singing again', match: letter('t'), act: () => touch('talk') },
  { keys: 'p', words: 'pause, or go on', match: letter('p'), act: () => touch('pause') },
  { keys: 'u', words: 'undo the last touch', match: letter('u'), act: undo },
  { keys: 'c', words: 'hear the chord', match: letter('c'), act: () => give('chord') },
  { keys: 'n', words: 'hear the first notes', match: letter('n'), act: () => give('notes') },
  { keys: 'm', words: 'note what happens', match: letter('m'), act: () => open('notes') },
  { keys: 'w', words: 'who is here', match: letter('w'), act: () => open('who') },
];
