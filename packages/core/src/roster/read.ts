import { readNote, type NoteNaming } from '../pitch';
import type { PitchRange } from '../units';
import {
  limitsProblems,
  listInWords,
  singerStates,
  stateWords,
  type PartName,
  type SingerState,
} from '../voices';
import { columnWords, type RosterColumn } from './columns';
import { partInText } from './partWords';
import { rosterLengths, type RosterSinger } from './singer';

/** A part as a roster's cells name it. */
export interface RosterPart extends PartName {
  readonly id: string;
  readonly reach: PitchRange;
}

/** How the cells of a roster are to be read. */
export interface RosterReading {
  /** What each cell of a row holds; null for what is left alone. */
  readonly columns: readonly (RosterColumn | null)[];
  readonly naming: NoteNaming;
  readonly parts: readonly RosterPart[];
}

/** What is wrong in a row, at a column where one is to blame. */
export interface RowProblem {
  readonly column: RosterColumn;
  readonly message: string;
}

/** A row as read: a singer, or what stands in the way of one. */
export type RosterRow =
  | { readonly kind: 'singer'; readonly singer: RosterSinger }
  | { readonly kind: 'faulty'; readonly problems: readonly RowProblem[] };

const yes = ['yes', 'y', 'x', '1', 'true', 'on leave', 'leave', 'ja', 'oui'];
const no = ['', 'no', 'n', '0', 'false', 'active', 'nein', 'non', '-'];

const exampleOf: Readonly<Record<NoteNaming, string>> = {
  octaves: 'C4, F♯3 or B♭4',
  marks: 'c’, F or b♭’',
  german: 'c’, fis’, b or H',
};

/** The column in which a problem of the limits is to be put right. */
const columnOfLimit = {
  comfortLow: 'easyFrom',
  comfortHigh: 'easyTo',
  reachLow: 'reachFrom',
  reachHigh: 'reachTo',
  lightTop: 'lightTo',
} as const;

const listed = (text: string): string[] =>
  text
    .split(/[,;/+]/)
    .map((word) => word.trim())
    .filter((word) => word !== '');

const stateOf = (word: string): SingerState | undefined =>
  singerStates.find((state) => [state, stateWords[state]].includes(word.toLowerCase()));

/** Reads one row of a roster. Blank cells say nothing; whatever cannot be understood is named. */
export function readRosterRow(cells: readonly string[], reading: RosterReading): RosterRow {
  const problems: RowProblem[] = [];
  const complain = (column: RosterColumn, message: string) => {
    problems.push({ column, message });
  };
  const text = (column: RosterColumn): string =>
    (cells[reading.columns.indexOf(column)] ?? '').trim();
  const note = (column: RosterColumn): number | null => {
    const written = text(column);
    if (written === '') return null;
    const found = readNote(written, reading.naming);
    if (found !== undefined) return found;
    complain(column, `«${written}» is no note; write it like ${exampleOf[reading.naming]}.`);
    return null;
  };
  const partNames = () => listInWords(reading.parts.map(({ id }) => id));

  const name = [text('firstName'), text('name')].filter((word) => word !== '').join(' ');
  if (name === '') complain('name', 'A name is missing.');
  else if (name.length > rosterLengths.name) {
    complain('name', `A name has at most ${rosterLengths.name} characters.`);
  }

  const part = partInText(text('part'), reading.parts);
  if (!part) {
    const written = text('part');
    complain(
      'part',
      written === ''
        ? `A part is missing; this choir has ${partNames()}.`
        : `«${written}» is no part of this choir, which has ${partNames()}.`,
    );
  }
  const also = listed(text('also')).flatMap((word) => {
    const found = partInText(word, reading.parts);
    if (!found) complain('also', `«${word}» is no part of this choir, which has ${partNames()}.`);
    return found && found !== part ? [found.id] : [];
  });

  const states = listed(text('state')).flatMap((word) => {
    const found = stateOf(word);
    if (!found) {
      const known = singerStates.map((state) => stateWords[state]);
      complain('state', `«${word}» is no state; write ${listInWords(known)}, or leave it empty.`);
    }
    return found ?? [];
  });

  const leave = text('leave').toLowerCase();
  if (!yes.includes(leave) && !no.includes(leave)) {
    complain('leave', `«${text('leave')}» is unclear; write yes or no.`);
  }
  const notes = text('notes');
  if (notes.length > rosterLengths.notes) {
    complain('notes', `Notes have at most ${rosterLengths.notes} characters.`);
  }

  const [easyFrom, easyTo] = [note('easyFrom'), note('easyTo')];
  const [reachFrom, reachTo] = [note('reachFrom'), note('reachTo')];
  const lightTop = note('lightTo');
  let comfort: PitchRange | null = null;
  let reach: PitchRange | null = null;
  if (easyFrom !== null && easyTo !== null) {
    comfort = [easyFrom, easyTo];
    reach = [reachFrom ?? easyFrom, reachTo ?? easyTo];
    if (part) {
      for (const { field, message } of limitsProblems({ comfort, reach, lightTop }, part)) {
        complain(columnOfLimit[field], message);
      }
    }
  } else if ([easyFrom, easyTo, reachFrom, reachTo].some((one) => one !== null)) {
    for (const [column, value] of [
      ['easyFrom', easyFrom],
      ['easyTo', easyTo],
    ] as const) {
      if (value === null && text(column) === '') {
        complain(column, `«${columnWords[column]}» is missing; a range needs both easy notes.`);
      }
    }
  }
  if (problems.length > 0 || !part) return { kind: 'faulty', problems };
  return {
    kind: 'singer',
    singer: {
      name,
      part: part.id,
      also: [...new Set(also)],
      comfort,
      reach,
      lightTop,
      states: [...new Set(states)],
      onLeave: yes.includes(leave),
      notes,
    },
  };
}
