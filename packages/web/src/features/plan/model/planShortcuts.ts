import { letter, type Shortcut } from '../../../ui/useShortcuts';

/** What the keys of a plan can do. */
export interface PlanActs {
  readonly mayEdit: boolean;
  /** To another segment, so many places on. */
  readonly go: (by: number) => void;
  /** Looks at the chosen segment from near, then at one key. */
  readonly nearer: () => void;
  readonly whole: () => void;
  readonly startBy: (semitones: number) => void;
  readonly keysBy: (count: number) => void;
  readonly moveBy: (places: number) => void;
  readonly hear: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly build: () => void;
  readonly fit: () => void;
  /** Keeps the chosen segment chosen beside the next one. */
  readonly keepChosen: () => void;
  readonly onceMore: () => void;
  /** Whatever is built around it, it stays; or no longer. */
  readonly pin: () => void;
  readonly instead: () => void;
  readonly whatWasDone: () => void;
  readonly openShelf: () => void;
  readonly lead: () => void;
  /** What is drawn, as a table. */
  readonly asTable: () => void;
  readonly toggleKeys: () => void;
}

/** The platform's own key for undo, with or without Shift. */
const platformUndo = ({ ctrlKey, metaKey, key }: KeyboardEvent): boolean =>
  (ctrlKey || metaKey) && key.toLowerCase() === 'z';

/** Shift with an arrow, as a move earlier (−1) or later (1). */
const arrow = ({ key, shiftKey }: KeyboardEvent): number => {
  if (!shiftKey) return 0;
  if (key === 'ArrowLeft' || key === 'ArrowUp') return -1;
  return key === 'ArrowRight' || key === 'ArrowDown' ? 1 : 0;
};

/** The keys of a plan, for the list and for the listener; a reader has those that only look. */
export function planShortcuts(acts: PlanActs): Shortcut[] {
  const looking: Shortcut[] = [
    { keys: 'n', words: 'next segment', match: letter('n'), act: () => acts.go(1) },
    { keys: 'p', words: 'previous segment', match: letter('p'), act: () => acts.go(-1) },
    { keys: 'h', words: 'hear the segment, or be silent', match: letter('h'), act: acts.hear },
    { keys: 'v', words: 'nearer: the segment, then one key', match: letter('v'), act: acts.nearer },
    { keys: 'Shift and v', words: 'all of the warm-up', match: letter('V'), act: acts.whole },
    { keys: 't', words: 'key by key, as a table', match: letter('t'), act: acts.asTable },
    { keys: '?', words: 'this list', match: letter('?'), act: acts.toggleKeys },
  ];
  if (!acts.mayEdit) return looking;
  return [
    ...looking,
    { keys: '[', words: 'start a semitone down', match: letter('['), act: () => acts.startBy(-1) },
    { keys: ']', words: 'start a semitone up', match: letter(']'), act: () => acts.startBy(1) },
    { keys: '-', words: 'one key or round fewer', match: letter('-'), act: () => acts.keysBy(-1) },
    { keys: '+', words: 'one key or round more', match: letter('+'), act: () => acts.keysBy(1) },
    {
      keys: 'Shift and an arrow',
      words: 'move the segment earlier or later',
      match: (event) => arrow(event) !== 0,
      act: (event) => acts.moveBy(arrow(event)),
    },
    {
      keys: 'u',
      words: 'undo (the platform’s own key too)',
      match: (event) => letter('u')(event) || (platformUndo(event) && !event.shiftKey),
      act: acts.undo,
    },
    {
      keys: 'Shift and u',
      words: 'again what was undone',
      match: (event) => letter('U')(event) || (platformUndo(event) && event.shiftKey),
      act: acts.redo,
    },
    {
      keys: 'x',
      words: 'keep it chosen beside the next one, or not',
      match: letter('x'),
      act: acts.keepChosen,
    },
    { keys: 'o', words: 'the segment once more', match: letter('o'), act: acts.onceMore },
    { keys: 's', words: 'it stays as it is, or may change', match: letter('s'), act: acts.pin },
    { keys: 'i', words: 'another exercise instead', match: letter('i'), act: acts.instead },
    {
      keys: 'w',
      words: 'what was done, and back to any of it',
      match: letter('w'),
      act: acts.whatWasDone,
    },
    { keys: 'l', words: 'lead it', match: letter('l'), act: acts.lead },
    { keys: 'b', words: 'build a warm-up', match: letter('b'), act: acts.build },
    { keys: 'f', words: 'fit to time', match: letter('f'), act: acts.fit },
    { keys: '/', words: 'shelf', match: letter('/'), act: acts.openShelf },
  ];
}
