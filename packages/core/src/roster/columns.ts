/** What a column of a roster can hold. */
export const rosterColumns = [
  'name',
  'firstName',
  'part',
  'also',
  'easyFrom',
  'easyTo',
  'reachFrom',
  'reachTo',
  'lightTo',
  'state',
  'leave',
  'notes',
] as const;
export type RosterColumn = (typeof rosterColumns)[number];

/** What heads a column in the file we write, and what a column is called where a person maps it. */
export const columnHeadings: Readonly<Record<RosterColumn, string>> = {
  name: 'Name',
  firstName: 'First name',
  part: 'Part',
  also: 'Also sings',
  easyFrom: 'Easy from',
  easyTo: 'Easy to',
  reachFrom: 'Reach from',
  reachTo: 'Reach to',
  lightTo: 'Light register to',
  state: 'State',
  leave: 'On leave',
  notes: 'Notes',
};

/** The columns of the file we write: a name is one cell there. */
export const writtenColumns = rosterColumns.filter((column) => column !== 'firstName');

/** Words that head such a column in other people's lists. */
const otherWords: Readonly<Record<RosterColumn, readonly string[]>> = {
  name: ['singer', 'surname', 'last name', 'family name', 'full name', 'nachname', 'nom'],
  firstName: ['given name', 'vorname', 'prénom', 'prenom'],
  part: ['voice', 'section', 'voice part', 'stimme', 'stimmlage', 'voix', 'pupitre'],
  also: ['second part', 'other part', 'can sing', 'auch'],
  easyFrom: ['lowest easy', 'comfort low', 'comfortable low', 'easy low', 'low', 'tief'],
  easyTo: ['highest easy', 'comfort high', 'comfortable high', 'easy high', 'high', 'hoch'],
  reachFrom: ['lowest', 'reach low', 'lowest note', 'tiefster ton'],
  reachTo: ['highest', 'reach high', 'highest note', 'höchster ton'],
  lightTo: ['light register', 'light to', 'light top'],
  state: ['condition', 'flags', 'zustand'],
  leave: ['leave', 'absent', 'inactive', 'beurlaubt', 'pause'],
  notes: ['note', 'remarks', 'comment', 'comments', 'bemerkung', 'bemerkungen'],
};

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s_.-]+/g, ' ')
    .trim();

const columnOf = new Map(
  rosterColumns.flatMap((column) =>
    [columnHeadings[column], ...otherWords[column]].map((word) => [plain(word), column] as const),
  ),
);

/** The column each heading stands for, as far as its word is known; no column twice. */
export function guessColumns(headings: readonly string[]): (RosterColumn | null)[] {
  const taken = new Set<RosterColumn>();
  return headings.map((heading) => {
    const column = columnOf.get(plain(heading));
    if (column === undefined || taken.has(column)) return null;
    taken.add(column);
    return column;
  });
}

/** Whether a first row looks like headings: at least two of its cells head a known column. */
export const looksLikeHeadings = (row: readonly string[]): boolean =>
  guessColumns(row).filter((column) => column !== null).length >= Math.min(2, row.length);
