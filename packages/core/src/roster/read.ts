import { readNote, type ListedNote, type NoteNaming } from '../pitch';
import type { PitchRange } from '../units';
import {
  limitsProblems,
  mostChanges,
  reachOfAll,
  singerStates,
  type LimitsProblem,
  type PartName,
  type SingerState,
} from '../voices';
import type { RosterColumn } from './columns';
import { partInText } from './partWords';
import { rosterLengths, type RosterSinger } from './singer';

/** A part as a roster's cells name it. */
export interface RosterPart extends PartName {
  readonly id: string;
  readonly comfort: PitchRange;
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
export type RowProblem = { readonly column: RosterColumn } & RowFault;

/** What is wrong in a cell; `written` is what stands in it. */
export type RowFault =
  | {
      readonly code:
        'no-name' | 'name-too-long' | 'many-changes' | 'notes-too-long' | 'one-easy-note';
    }
  | {
      readonly code: 'not-a-note' | 'not-a-range' | 'not-a-part' | 'not-a-state' | 'unclear-leave';
      readonly written: string;
    }
  /** For the limits of a part, or of whoever has none yet. */
  | { readonly code: 'limits'; readonly part: string | null; readonly problem: LimitsProblem };

/** A row as read: a singer, or what stands in the way of one. */
export type RosterRow =
  | { readonly kind: 'singer'; readonly singer: RosterSinger }
  | { readonly kind: 'faulty'; readonly problems: readonly RowProblem[] };

const yes = ['yes', 'y', 'x', '1', 'true', 'on leave', 'leave', 'ja', 'oui'];
const no = ['', 'no', 'n', '0', 'false', 'active', 'nein', 'non', '-'];

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
  singerStates.find((state) => [state, `${state} voice`].includes(word.toLowerCase()));

/** A range in one cell: «G2–D4», «Sol2 - Ré4», «c bis g″». */
const rangeCell =
  /^(.+?)\s*(?:[–—−]|\.\.+|\s-\s|(?<=[\da-h’'′,])-(?=\D)|(?<=\s)(?:to|bis|a|à|al|do|til|till|tot)(?=\s))\s*(.+)$/iu;

/** The two notes a cell holds, as texts; undefined where it holds no two. */
function notesOfRange(cell: string): readonly [string, string] | undefined {
  const [, low, high] = rangeCell.exec(cell.trim()) ?? [];
  return low === undefined || high === undefined ? undefined : [low.trim(), high.trim()];
}

/** What is easy within a reach, as far inside it as is usual for the part. */
function easyWithin([low, high]: PitchRange, { comfort, reach }: RosterPart): PitchRange {
  const easy: PitchRange = [low + comfort[0] - reach[0], high - (reach[1] - comfort[1])];
  return easy[0] <= easy[1] ? easy : [low, high];
}

/** What a row says of a singer's limits: the easy notes, the reach and the light top, each null when it is not said. */
function limitsOf(
  text: (column: RosterColumn) => string,
  note: (column: RosterColumn) => number | null,
  range: (column: 'easyRange' | 'reachRange') => PitchRange | null,
  part: RosterPart | undefined,
  parts: readonly RosterPart[],
  complain: (column: RosterColumn, fault: RowFault) => void,
): readonly [comfort: PitchRange | null, reach: PitchRange | null, lightTop: number | null] {
  const [easy, whole] = [range('easyRange'), range('reachRange')];
  const [reachFrom, reachTo] = whole ?? [note('reachFrom'), note('reachTo')];
  const lightTop = note('lightTo');
  let [easyFrom, easyTo] = easy ?? [note('easyFrom'), note('easyTo')];
  const saysEasy = ['easyFrom', 'easyTo', 'easyRange'].some(
    (column) => text(column as RosterColumn) !== '',
  );
  // Only the lowest and the highest note are said: that is the reach, of whatever part it is.
  const isReachAlone = !saysEasy && reachFrom !== null && reachTo !== null;
  if (isReachAlone) [easyFrom, easyTo] = easyWithin([reachFrom, reachTo], part ?? parts[0]!);
  if (easyFrom === null || easyTo === null) {
    const isAnySaid = [easyFrom, easyTo, reachFrom, reachTo].some((one) => one !== null);
    const missing = saysEasy
      ? ([
          ['easyFrom', easyFrom],
          ['easyTo', easyTo],
        ] as const)
      : ([
          ['reachFrom', reachFrom],
          ['reachTo', reachTo],
        ] as const);
    for (const [column, value] of missing) {
      if (isAnySaid && value === null && text(column) === '') {
        complain(column, { code: 'one-easy-note' });
      }
    }
    return [null, null, lightTop];
  }
  const comfort: PitchRange = [easyFrom, easyTo];
  const reach: PitchRange = [reachFrom ?? easyFrom, reachTo ?? easyTo];
  for (const problem of limitsProblems(
    { comfort, reach, lightTop },
    part?.reach ?? reachOfAll(parts),
  )) {
    const isEasy = problem.field === 'comfortLow' || problem.field === 'comfortHigh';
    // What was made of the reach is no fault of its own.
    if (isEasy && isReachAlone) continue;
    const inOne = isEasy
      ? easy && 'easyRange'
      : problem.field !== 'lightTop' && whole && 'reachRange';
    const column = inOne || columnOfLimit[problem.field];
    complain(column, { code: 'limits', part: part?.id ?? null, problem });
  }
  return [comfort, reach, lightTop];
}

/** The notes at which a voice changes its register, from low to high. */
function changesIn(
  text: string,
  naming: NoteNaming,
  complain: (column: RosterColumn, fault: RowFault) => void,
): number[] {
  const notes = listed(text).flatMap((written) => {
    const note = readNote(written, naming);
    if (note === undefined) complain('changes', { code: 'not-a-note', written });
    return note ?? [];
  });
  if (notes.length > mostChanges) complain('changes', { code: 'many-changes' });
  return [...new Set(notes)].sort((a, b) => a - b);
}

/** Reads one row of a roster. Blank cells say nothing; whatever cannot be understood is named. */
export function readRosterRow(cells: readonly string[], reading: RosterReading): RosterRow {
  const problems: RowProblem[] = [];
  const complain = (column: RosterColumn, fault: RowFault) => {
    problems.push({ column, ...fault });
  };
  const text = (column: RosterColumn): string =>
    (cells[reading.columns.indexOf(column)] ?? '').trim();
  const note = (column: RosterColumn): number | null => {
    const written = text(column);
    if (written === '') return null;
    const found = readNote(written, reading.naming);
    if (found !== undefined) return found;
    complain(column, { code: 'not-a-note', written });
    return null;
  };

  const range = (column: 'easyRange' | 'reachRange'): PitchRange | null => {
    const written = text(column);
    if (written === '') return null;
    const both = notesOfRange(written)?.map((one) => readNote(one, reading.naming));
    if (both && both[0] !== undefined && both[1] !== undefined) return [both[0], both[1]];
    complain(column, { code: 'not-a-range', written });
    return null;
  };

  const name = [text('firstName'), text('name')].filter((word) => word !== '').join(' ');
  if (name === '') complain('name', { code: 'no-name' });
  else if (name.length > rosterLengths.name) {
    complain('name', { code: 'name-too-long' });
  }

  // A blank part is one that is not decided yet.
  const part = partInText(text('part'), reading.parts);
  if (!part && text('part') !== '') {
    complain('part', { code: 'not-a-part', written: text('part') });
  }
  const also = listed(text('also')).flatMap((word) => {
    const found = partInText(word, reading.parts);
    if (!found) complain('also', { code: 'not-a-part', written: word });
    return found && found !== part ? [found.id] : [];
  });

  const states = listed(text('state')).flatMap((word) => {
    const found = stateOf(word);
    if (!found) {
      complain('state', { code: 'not-a-state', written: word });
    }
    return found ?? [];
  });

  const leave = text('leave').toLowerCase();
  if (!yes.includes(leave) && !no.includes(leave)) {
    complain('leave', { code: 'unclear-leave', written: text('leave') });
  }
  const notes = text('notes');
  if (notes.length > rosterLengths.notes) {
    complain('notes', { code: 'notes-too-long' });
  }

  const [comfort, reach, lightTop] = limitsOf(text, note, range, part, reading.parts, complain);
  const changes = changesIn(text('changes'), reading.naming, complain);
  if (problems.length > 0) return { kind: 'faulty', problems };
  return {
    kind: 'singer',
    singer: {
      name,
      part: part?.id ?? null,
      also: [...new Set(also)],
      comfort,
      reach,
      lightTop,
      changes,
      states: [...new Set(states)],
      onLeave: yes.includes(leave),
      notes,
    },
  };
}

const noteColumns: readonly RosterColumn[] = [
  ...(['easyFrom', 'easyTo', 'reachFrom', 'reachTo', 'lightTo'] as const),
];

/** Every note of a list as it stands there, with the usual reach of whose it is, to find how it names them. */
export function listedNotes(
  rows: readonly (readonly string[])[],
  { columns, parts }: Pick<RosterReading, 'columns' | 'parts'>,
): ListedNote[] {
  return rows.flatMap((cells) => {
    const part = partInText((cells[columns.indexOf('part')] ?? '').trim(), parts);
    return columns.flatMap((column, i) => {
      const cell = (cells[i] ?? '').trim();
      if (column === null || cell === '') return [];
      const isRange = column === 'easyRange' || column === 'reachRange';
      const texts = noteColumns.includes(column) ? [cell] : isRange ? notesOfRange(cell) : [];
      return (texts ?? []).map((text) => ({ text, within: part?.reach }));
    });
  });
}
