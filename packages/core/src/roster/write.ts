import { noteName } from '../pitch';
import type { MidiNote } from '../units';
import { columnHeadings, writtenColumns, type RosterColumn } from './columns';
import type { RosterSinger } from './singer';

const note = (value: MidiNote | undefined | null): string =>
  value === undefined || value === null ? '' : noteName(value);

const cellOf: Readonly<Record<RosterColumn, (singer: RosterSinger) => string>> = {
  name: ({ name }) => name,
  firstName: () => '',
  part: ({ part }) => part ?? '',
  also: ({ also }) => also.join(', '),
  easyFrom: ({ comfort }) => note(comfort?.[0]),
  easyTo: ({ comfort }) => note(comfort?.[1]),
  reachFrom: ({ reach }) => note(reach?.[0]),
  reachTo: ({ reach }) => note(reach?.[1]),
  easyRange: () => '',
  reachRange: () => '',
  lightTo: ({ lightTop }) => note(lightTop),
  changes: ({ changes }) => changes.map(note).join(', '),
  state: ({ states }) => states.join(', '),
  leave: ({ onLeave }) => (onLeave ? 'yes' : ''),
  notes: ({ notes }) => notes,
};

/** A roster as rows of cells under our headings; reading them back gives the same singers. */
export const writeRoster = (singers: readonly RosterSinger[]): string[][] => [
  writtenColumns.map((column) => columnHeadings[column]),
  ...singers.map((singer) => writtenColumns.map((column) => cellOf[column](singer))),
];
