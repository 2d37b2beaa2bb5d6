import {
  type NoteNames,
  type NoteNaming,
  columnHeadings,
  mostChanges,
  noteName,
  readNoteKindly,
  type RosterReading,
  type RowProblem,
  rosterLengths,
  singerStates,
} from '@wide-fern/core';
import { listInWords } from './counting';
import { stateWords } from './labels';
import { partName, undecidedName } from './partNames';
import { limitsProblemInWords } from './voices';

const exampleOf: Readonly<Record<NoteNaming, string>> = {
  octaves: 'C4, F♯3 or B♭4',
  marks: 'c’, F or b♭’',
  german: 'c’, fis’, b or H',
  solfege: 'Do4, Fa♯3 or Si♭4',
  solfege3: 'Do3, Fa♯2 or Si♭3',
};

/** What the ways of naming notes are chosen by. */
export const namingWords: Readonly<Record<NoteNaming, string>> = {
  octaves: 'C4 is middle C, B♭3 below it',
  marks: 'c′ is middle C, b♭ below it',
  german: 'c′ is middle C; h, b, cis′, es′',
  solfege: 'Do4 is middle C, Si♭3 below it',
  solfege3: 'Do3 is middle C, Si♭2 below it',
};

/** Why what was typed is no note here: nothing known, or it can be one or another. */
export function notANote(text: string, { naming, accidentals }: NoteNames): string {
  const either = readNoteKindly(text, naming).map((note) =>
    noteName(note, { naming, accidentals }),
  );
  return either.length > 1
    ? `“${text}” can be ${either.join(' or ')}; write which.`
    : `“${text}” is no note; write it like ${exampleOf[naming]}.`;
}

/** What is wrong in a cell of a roster, and what to write there. */
export function rowProblemInWords(
  problem: RowProblem,
  { parts, naming }: Pick<RosterReading, 'parts' | 'naming'>,
): string {
  const partNames = listInWords(parts.map(({ id }) => id));
  switch (problem.code) {
    case 'no-name':
      return 'A name is missing.';
    case 'name-too-long':
      return `A name has at most ${rosterLengths.name} characters.`;
    case 'many-changes':
      return `At most ${mostChanges} notes at which the register changes.`;
    case 'notes-too-long':
      return `Notes have at most ${rosterLengths.notes} characters.`;
    case 'one-easy-note':
      return `“${columnHeadings[problem.column]}” is missing; a range needs both its notes.`;
    case 'not-a-note':
      return `“${problem.written}” is no note; write it like ${exampleOf[naming]}.`;
    case 'not-a-range':
      return `“${problem.written}” is no range; write its lowest and highest note, like ${exampleOf[naming].split(',')[0]!}–${exampleOf[naming].split(' or ')[1]!}.`;
    case 'not-a-part':
      return `“${problem.written}” is no part of this choir, which has ${partNames}.`;
    case 'not-a-state': {
      const known = listInWords(singerStates.map((state) => stateWords[state]));
      return `“${problem.written}” is no state; write ${known}, or leave it empty.`;
    }
    case 'unclear-leave':
      return `“${problem.written}” is unclear; write yes or no.`;
    case 'limits': {
      const part =
        problem.part === null
          ? undecidedName
          : (parts.find(({ id }) => id === problem.part) ?? partName(problem.part));
      return limitsProblemInWords(problem.problem, part);
    }
  }
}
