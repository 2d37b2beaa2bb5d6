import {
  bind,
  breathe,
  bySemitones,
  bySteps,
  isNote,
  longer,
  noteAfter,
  noteInKey,
  restAfter,
  takeOut,
  writeLength,
  type NoteWriting,
  type LineEdit,
  type Mode,
  type PatternEvent,
} from '@wide-fern/core';

/** Lines are written down on middle C. */
export const lineTonic = 60;

/** What can be done to the chosen note of a line, by its word and by its key. */
export interface LineAct {
  readonly words: string;
  /** As the browser names it; with «Shift+» before it where shift is held. */
  readonly keys: readonly string[];
  readonly edit: (at: number, mode: Mode) => LineEdit;
  /** Which note is chosen afterwards; where it is not said, the same one. */
  readonly then?: (at: number) => number;
}

export const lineActs: readonly LineAct[] = [
  { words: 'higher', keys: ['ArrowUp'], edit: (at, mode) => bySteps(at, 1, mode) },
  { words: 'lower', keys: ['ArrowDown'], edit: (at, mode) => bySteps(at, -1, mode) },
  { words: 'semitone up', keys: ['Shift+ArrowUp'], edit: (at) => bySemitones(at, 1) },
  { words: 'semitone down', keys: ['Shift+ArrowDown'], edit: (at) => bySemitones(at, -1) },
  { words: 'longer', keys: ['+', 'Shift++'], edit: (at) => longer(at, 1) },
  { words: 'shorter', keys: ['-'], edit: (at) => longer(at, -1) },
  { words: 'note after', keys: ['Enter'], edit: (at) => noteAfter(at), then: (at) => at + 1 },
  { words: 'rest after', keys: ['r'], edit: (at) => restAfter(at), then: (at) => at + 1 },
  { words: 'bind', keys: ['~', 'Shift+~'], edit: (at) => bind(at) },
  { words: 'breathe', keys: [','], edit: (at) => breathe(at) },
  { words: 'take out', keys: ['Delete'], edit: (at) => takeOut(at), then: (at) => at },
];
/** Takes the note out and goes back one, as typing backwards does. */
const backwards: LineAct = {
  words: 'take out',
  keys: ['Backspace'],
  edit: (at) => takeOut(at),
  then: (at) => at - 1,
};

/** The act a pressed key means; undefined for keys of other meanings. */
export function actOfKey(key: string, shift: boolean): LineAct | undefined {
  const pressed = shift ? `Shift+${key}` : key;
  return [...lineActs, backwards].find(({ keys }) => keys.includes(pressed));
}

/** Where a key moves the choice among so many notes; undefined when it does not. */
export function choiceOfKey(
  key: string,
  at: number | undefined,
  count: number,
): number | undefined {
  if (key === 'ArrowLeft') return at === undefined ? count - 1 : at - 1;
  if (key === 'ArrowRight') return at === undefined ? 0 : at + 1;
  return undefined;
}

/** «3 of 8: G4, 1/2 beats»; with nothing chosen, what to do. */
export function chosenInWords(
  events: readonly PatternEvent[],
  at: number | undefined,
  mode: Mode,
  writing: NoteWriting,
): string {
  const event = at === undefined ? undefined : events[at];
  if (!event || at === undefined) return 'Click a note, or the staff behind the last one.';
  const what = isNote(event)
    ? noteInKey(lineTonic + event.offset, lineTonic, mode, writing)
    : 'rest';
  return `${at + 1} of ${events.length}: ${what}, ${writeLength(event.beats)} ${event.beats === 1 ? 'beat' : 'beats'}`;
}
