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
  'easyRange',
  'reachRange',
  'lightTo',
  'changes',
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
  easyRange: 'Easy range',
  reachRange: 'Range',
  lightTo: 'Light register to',
  changes: 'Register changes at',
  state: 'State',
  leave: 'On leave',
  notes: 'Notes',
};

/** The columns of the file we write: a name is one cell there, and each note has its own. */
export const writtenColumns = rosterColumns.filter(
  (column) => !['firstName', 'easyRange', 'reachRange'].includes(column),
);

/** Words that head such a column in other people's lists, in the languages choirs keep them in, without accents. */
const otherWords: Readonly<Record<RosterColumn, readonly string[]>> = {
  name: [
    ...['singer', 'surname', 'last name', 'family name', 'full name', 'member', 'nachname'],
    ...['familienname', 'sanger', 'sangerin', 'mitglied', 'nom', 'nom de famille', 'choriste'],
    ...['cognome', 'cantore', 'nome', 'apellido', 'apellidos', 'nombre completo', 'cantante'],
    ...['apelido', 'sobrenome', 'naam', 'achternaam', 'zanger', 'namn', 'efternamn', 'navn'],
    ...['etternavn', 'efternavn', 'nimi', 'sukunimi', 'laulaja', 'nazwisko', 'imie i nazwisko'],
    ...['nev', 'vezeteknev', 'enekes'],
  ],
  firstName: [
    ...['given name', 'forename', 'vorname', 'prenom', 'nombre', 'primeiro nome', 'voornaam'],
    ...['fornamn', 'fornavn', 'etunimi', 'imie', 'keresztnev', 'nome di battesimo'],
  ],
  part: [
    ...['voice', 'section', 'voice part', 'voice type', 'stimme', 'stimmlage', 'stimmgruppe'],
    ...['register', 'voix', 'pupitre', 'voce', 'sezione', 'registro', 'voz', 'cuerda', 'naipe'],
    ...['stem', 'stemgroep', 'partij', 'stamma', 'stemme', 'stemmegruppe', 'aani', 'stemma'],
    ...['glos', 'szolam', 'hang'],
  ],
  also: [
    ...['second part', 'other part', 'can sing', 'auch', 'zweite stimme', 'aussi', 'anche'],
    ...['tambien', 'tambem', 'ook', 'aven', 'ogsa', 'myos', 'tez', 'tudja meg'],
  ],
  easyFrom: ['lowest easy', 'comfort low', 'comfortable low', 'easy low', 'bequem von'],
  easyTo: ['highest easy', 'comfort high', 'comfortable high', 'easy high', 'bequem bis'],
  reachFrom: [
    ...['low', 'lowest', 'reach low', 'lowest note', 'low note', 'from', 'bottom', 'tief', 'von'],
    ...['tiefster ton', 'tiefster', 'grave', 'note grave', 'note la plus grave', 'nota grave'],
    ...['piu grave', 'nota piu bassa', 'mas grave', 'nota mas grave', 'mais grave', 'laagste'],
    ...[
      'laagste noot',
      'lagsta',
      'lagsta ton',
      'laveste',
      'laveste tone',
      'dybeste',
      'dybeste tone',
    ],
    ...['matalin', 'alin savel', 'matalin savel', 'najnizszy', 'najnizszy dzwiek', 'legmelyebb'],
    ...['legmelyebb hang'],
  ],
  reachTo: [
    ...['high', 'highest', 'reach high', 'highest note', 'high note', 'to', 'top', 'hoch', 'bis'],
    ...['hochster ton', 'hochster', 'aigu', 'note aigue', 'note la plus aigue', 'nota acuta'],
    ...['piu acuta', 'nota piu alta', 'mas agudo', 'mas aguda', 'nota mas aguda', 'mais agudo'],
    ...['hoogste', 'hoogste noot', 'hogsta', 'hogsta ton', 'hoyeste', 'hoyeste tone', 'hojeste'],
    ...['hojeste tone', 'korkein', 'ylin savel', 'korkein savel', 'najwyzszy', 'najwyzszy dzwiek'],
    ...['legmagasabb', 'legmagasabb hang'],
  ],
  easyRange: ['comfort', 'comfortable range', 'comfortable', 'tessitura', 'bequemer umfang'],
  reachRange: [
    ...['reach', 'voice range', 'vocal range', 'compass', 'umfang', 'tonumfang', 'stimmumfang'],
    ...[
      'etendue',
      'ambitus',
      'tessiture',
      'estensione',
      'extension',
      'rango',
      'extensao',
      'bereik',
    ],
    ...['stembereik', 'omfang', 'stemmeomfang', 'rostomfang', 'aaniala', 'laajuus', 'skala'],
    ...['skala glosu', 'hangterjedelem'],
  ],
  lightTo: ['light register', 'light to', 'light top', 'falsetto', 'falsett', 'kopfstimme'],
  changes: [
    ...['register change', 'register changes', 'break', 'passaggio', 'registerwechsel', 'bruch'],
    ...['passage', 'pasaje', 'passagem', 'registerovergang', 'registerskifte'],
  ],
  state: ['condition', 'flags', 'zustand', 'etat', 'stato', 'estado', 'toestand', 'tilstand'],
  leave: [
    ...['leave', 'absent', 'inactive', 'beurlaubt', 'pause', 'en pause', 'in pausa', 'de baja'],
    ...['ausente', 'afwezig', 'permisjon', 'tauolla', 'urlop', 'szunetel'],
  ],
  notes: [
    ...['note', 'remarks', 'comment', 'comments', 'bemerkung', 'bemerkungen', 'remarque'],
    ...['remarques', 'commentaires', 'osservazioni', 'observaciones', 'observacoes', 'opmerking'],
    ...['opmerkingen', 'anmarkning', 'merknad', 'bemaerkning', 'huomautus', 'uwagi', 'megjegyzes'],
  ],
};

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[øöœ]/g, 'o')
    .replace(/æ/g, 'ae')
    .replace(/ł/g, 'l')
    .replace(/[\s_.-]+/g, ' ')
    .trim();

const columnOf = new Map(
  rosterColumns.flatMap((column) =>
    [columnHeadings[column], ...otherWords[column]].map((word) => [plain(word), column] as const),
  ),
);

/** Words that head whole names, and first names beside a surname. */
const plainNames = ['name', 'nome', 'nombre', 'naam', 'namn', 'navn', 'nimi'];

/** The column each heading stands for, as far as its word is known; no column twice. */
export function guessColumns(headings: readonly string[]): (RosterColumn | null)[] {
  const found: (RosterColumn | null)[] = [];
  for (const heading of headings) {
    const column = columnOf.get(plain(heading)) ?? null;
    const before = column === null ? -1 : found.indexOf(column);
    // «Nome, Cognome»: where the surname has its own column, the plain name is the first name.
    const isTwice = column === 'name' && before >= 0 && !found.includes('firstName');
    const isPlain = plainNames.includes(plain(heading));
    if (isTwice && !isPlain) found[before] = 'firstName';
    found.push(before < 0 ? column : isTwice ? (isPlain ? 'firstName' : column) : null);
  }
  return found;
}

/** Whether a first row looks like headings: at least two of its cells head a known column. */
export const looksLikeHeadings = (row: readonly string[]): boolean =>
  guessColumns(row).filter((column) => column !== null).length >= Math.min(2, row.length);
