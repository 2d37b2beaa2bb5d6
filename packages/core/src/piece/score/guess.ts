import type { MidiNote } from '../../units';
import { isShared, linesOfStaff, notesOfLine, type Reading, type ScoreLine } from './lines';
import { nameSays, saysChoir, type NameSays } from './names';
import { partName } from './partName';
import type { PieceScore, Staff } from './score';

/** Why a guess is unsure: the score does not name who sings, or not the octave that sounds. */
export type Unsure = 'nameless' | 'octave';

/** A line of a score and who sings it: nobody, one part, or several in unison. */
export interface Assigned {
  readonly line: ScoreLine;
  /** Letters such as S or S2, or the score's own name where nothing can be guessed. */
  readonly parts: readonly string[];
  /** Written an octave above where it sounds, without a sign that says so. */
  readonly octaveLower: boolean;
  /** What has to be asked about it. */
  readonly unsure?: Unsure | undefined;
}

/**
 * Men's parts in a plain treble clef are printed an octave above where they sound, where nothing
 * says the octave; a line that lies low enough in it was written where it sounds.
 */
function isPrintedHigh(line: ScoreLine, parts: readonly string[]): boolean {
  const low = parts.length > 0 && parts.every((part) => /^(T|B|Bar)\d?$/.test(part));
  if (!low || line.staff.clef !== 'treble' || line.staff.octaveSaid) return false;
  const notes = notesOfLine(line);
  return notes.reduce((sum, { midi }) => sum + midi, 0) / notes.length >= printedHigh;
}

/** From this mean on a man's line in a plain treble clef is taken to sound an octave lower. */
const printedHigh: MidiNote = 63;

/** What a staff says of itself, else what it says within its bracket: «II» beside «Soprano». */
function says(staff: Staff): NameSays {
  const tries = [
    staff.name,
    staff.abbreviation,
    `${staff.group ?? ''} ${staff.name || staff.abbreviation}`,
  ];
  return tries.map(nameSays).find(({ kind }) => kind !== 'nothing') ?? { kind: 'nothing' };
}

const read = (
  staff: Staff,
  reading: Reading,
  parts: readonly (readonly string[])[],
  unsure?: Unsure,
): Assigned[] =>
  linesOfStaff(staff, reading).map((line, i) => {
    const octaveLower = isPrintedHigh(line, parts[i] ?? []);
    const why = unsure ?? (octaveLower ? 'octave' : undefined);
    return { line, parts: parts[i] ?? [], octaveLower, ...(why ? { unsure: why } : {}) };
  });

/** A staff whose name says who sings it. */
function named(staff: Staff, parts: readonly string[]): Assigned[] {
  if (parts.length === 1) return read(staff, 'one line', [parts]);
  if (!isShared(staff)) return read(staff, 'one line', [parts]);
  if (parts.length === 2) return read(staff, 'two parts', [[parts[0]!], [parts[1]!]]);
  return read(
    staff,
    'voice by voice',
    parts.map((part) => [part]),
  );
}

const single = (staves: readonly Staff[], letters: readonly string[]): Assigned[] =>
  staves.flatMap((staff, i) => read(staff, 'one line', [letters.slice(i, i + 1)], 'nameless'));

/** Choir staves without a telling name, by how many there are and whether two parts share them. */
function unnamed(staves: readonly Staff[]): Assigned[] {
  const shared = staves.map(isShared);
  if (staves.length === 2 && shared.every(Boolean)) {
    return [
      ...read(staves[0]!, 'two parts', [['S'], ['A']], 'nameless'),
      ...read(staves[1]!, 'two parts', [['T'], ['B']], 'nameless'),
    ];
  }
  if (staves.length === 4) return single(staves, ['S', 'A', 'T', 'B']);
  const isLow = ({ clef }: Staff) => clef !== 'treble';
  const isWomenAndMen = staves.map(isLow).join() === 'false,false,true';
  if (staves.length === 3 && !shared.some(Boolean) && isWomenAndMen) {
    return single(staves, ['S', 'A', 'B']);
  }
  return byTheirNames(staves);
}

/** Staves that are called what the score calls them: nobody knows more. */
const byTheirNames = (staves: readonly Staff[]): Assigned[] =>
  staves.flatMap((staff, i) => read(staff, 'one line', [[partName(staff, i)]], 'nameless'));

/** The same part twice is its first and second; the same name twice gets a number. */
function told(all: readonly Assigned[]): Assigned[] {
  const count = (part: string) => all.filter(({ parts }) => parts.includes(part)).length;
  const seen = new Map<string, number>();
  return all.map(({ parts, ...one }) => ({
    ...one,
    parts: parts.map((part) => {
      if (count(part) < 2) return part;
      const place = (seen.get(part) ?? 0) + 1;
      seen.set(part, place);
      return /^[A-Z][a-z]*$/.test(part) && part.length <= 3
        ? `${part}${place}`
        : `${part} ${place}`;
    }),
  }));
}

type Known = { readonly staff: Staff; readonly says: NameSays };

/** Who sings: the staves of parts, else those of soloists, else those that say nothing. */
function voicesAmong(known: readonly Known[]): readonly Known[] {
  const isNamed = known.some(({ says: said }) => said.kind === 'parts');
  const isSolo = known.some(({ says: said }) => said.kind === 'solo' && said.parts.length > 0);
  const isNothing = known.some(({ says: said }) => said.kind === 'nothing');
  return known.filter(({ staff, says: said }) => {
    if (said.kind === 'instrument') {
      // Two staves of one «piano» with nothing else beside them are a choir written close together.
      return known.every((one) => one.says.kind === 'instrument');
    }
    if (said.kind === 'solo') return !isNamed && !isNothing && (said.parts.length > 0 || !isSolo);
    const isKeyboard = staff.ofStaves > 1 && !saysChoir(`${staff.name} ${staff.group ?? ''}`);
    return !(said.kind === 'nothing' && isNamed && isKeyboard);
  });
}

/**
 * Who sings which line of a score, as far as it can be told: by the staves' names and brackets, else
 * by how many there are, which is said to be unsure. Instruments, soloists beside a choir, and a
 * keyboard without a name beside named voices, are left out.
 */
export function guessParts(score: PieceScore): Assigned[] {
  const staves = score.staves.filter(({ notes }) => notes.length > 0);
  const known = staves.map((staff): Known => ({ staff, says: says(staff) }));
  const voices = voicesAmong(known);
  const sung = voices.filter(
    ({ says: said }) => (said.kind === 'parts' || said.kind === 'solo') && said.parts.length > 0,
  );
  const nameless = voices.filter((one) => !sung.includes(one)).map(({ staff }) => staff);
  const assigned = sung.flatMap(({ staff, says: said }) =>
    named(staff, 'parts' in said ? said.parts : []),
  );
  const others = sung.length > 0 ? byTheirNames(nameless) : unnamed(nameless);
  const nobody = known
    .filter((one) => !voices.includes(one))
    .flatMap(({ staff }) => linesOfStaff(staff, 'one line'));
  return [
    ...told(assigned),
    ...told(others),
    ...nobody.map((line) => ({ line, parts: [], octaveLower: false })),
  ];
}

/** The parts of a choir that sing what a score calls by another name: S for S1 and S2, or the other way round. */
export function partsOfChoir(name: string, choir: readonly string[]): string[] {
  if (choir.includes(name)) return [name];
  const [, letter = '', number = ''] = /^([A-Z])(\d?)$/.exec(name) ?? [];
  const alike = choir.filter((part) => part.startsWith(letter) && /^[A-Z]\d?$/.test(part));
  if (letter !== '') {
    if (number === '') return alike;
    return choir.includes(letter) ? [letter] : alike.slice(-1);
  }
  const near: Readonly<Record<string, readonly string[]>> = {
    Bar: ['B1', 'B'],
    Mez: ['S2', 'S', 'A1'],
  };
  return (near[name] ?? []).filter((part) => choir.includes(part)).slice(0, 1);
}
