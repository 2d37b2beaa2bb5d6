import type { MidiNote } from '../../units';
import { isShared, linesOfStaff, notesOfLine, type Reading, type ScoreLine } from './lines';
import { nameSays, type NameSays } from './names';
import { partName } from './partName';
import type { PieceScore, Staff } from './score';

/** A line of a score and who sings it: nobody, one part, or several in unison. */
export interface Assigned {
  readonly line: ScoreLine;
  /** Letters such as S or S2, or the score's own name where nothing can be guessed. */
  readonly parts: readonly string[];
  /** Written an octave above where it sounds, without a sign that says so. */
  readonly octaveLower: boolean;
}

/**
 * Men's parts in a plain treble clef are printed an octave above where they sound; a line that lies
 * low enough in it was written where it sounds.
 */
function isPrintedHigh(line: ScoreLine, parts: readonly string[]): boolean {
  const low = parts.length > 0 && parts.every((part) => /^(T|B|Bar)\d?$/.test(part));
  if (!low || line.staff.clef !== 'treble') return false;
  const notes = notesOfLine(line);
  return notes.reduce((sum, { midi }) => sum + midi, 0) / notes.length >= printedHigh;
}

/** From this mean on a man's line in a plain treble clef is taken to sound an octave lower. */
const printedHigh: MidiNote = 63;

const says = (staff: Staff): NameSays => {
  const byName = nameSays(staff.name);
  return byName.kind === 'nothing' ? nameSays(staff.abbreviation) : byName;
};

const read = (staff: Staff, reading: Reading, parts: readonly (readonly string[])[]): Assigned[] =>
  linesOfStaff(staff, reading).map((line, i) => ({
    line,
    parts: parts[i] ?? [],
    octaveLower: isPrintedHigh(line, parts[i] ?? []),
  }));

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

/** Choir staves without a telling name, by how many there are and whether two parts share them. */
function unnamed(staves: readonly Staff[]): Assigned[] {
  const shared = staves.map(isShared);
  if (staves.length === 2 && shared.every(Boolean)) {
    return [
      ...read(staves[0]!, 'two parts', [['S'], ['A']]),
      ...read(staves[1]!, 'two parts', [['T'], ['B']]),
    ];
  }
  if (staves.length === 4) {
    return staves.flatMap((staff, i) =>
      read(staff, 'one line', [['S', 'A', 'T', 'B'].slice(i, i + 1)]),
    );
  }
  const isLow = ({ clef }: Staff) => clef !== 'treble';
  if (
    staves.length === 3 &&
    !shared.some(Boolean) &&
    staves.map(isLow).join() === 'false,false,true'
  ) {
    return staves.flatMap((staff, i) => read(staff, 'one line', [['S', 'A', 'B'].slice(i, i + 1)]));
  }
  return staves.flatMap((staff, i) => read(staff, 'one line', [[partName(staff, i)]]));
}

/** Whether a staff says that a whole choir sings it. */
const isChoir = ({ name }: Staff): boolean =>
  /^(choir|chorus|chor|coro|ch(œ|oe)ur|koor|kör)\b/i.test(name.trim());

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

/**
 * Who sings which line of a score, as far as it can be told: by the staves' names, else by how many
 * there are. Instruments, and a keyboard without a name beside named voices, are left out.
 */
export function guessParts(score: PieceScore): Assigned[] {
  const staves = score.staves.filter(({ notes }) => notes.length > 0);
  const known = staves.map((staff) => ({ staff, says: says(staff) }));
  const isNamed = known.some((one) => one.says.kind === 'parts');
  const isKeyboard = (staff: Staff) => staff.ofStaves > 1;
  // Two staves of one «piano» with nothing else beside them are a choir written close together.
  const onlyInstruments = known.every((one) => one.says.kind === 'instrument');
  const nobody: ScoreLine[] = [];
  const voices: typeof known = [];
  for (const one of known) {
    const leaveOut =
      (one.says.kind === 'instrument' && !onlyInstruments) ||
      (one.says.kind === 'nothing' && isNamed && isKeyboard(one.staff) && !isChoir(one.staff));
    if (leaveOut) nobody.push(...linesOfStaff(one.staff, 'one line'));
    else voices.push(one);
  }
  const nameless = voices
    .filter(({ says: said }) => said.kind === 'nothing' || !isNamed)
    .map(({ staff }) => staff);
  const assigned = [
    ...voices.flatMap(({ staff, says: said }) =>
      said.kind === 'parts' ? named(staff, said.parts) : [],
    ),
    ...unnamed(nameless),
  ];
  return [...told(assigned), ...nobody.map((line) => ({ line, parts: [], octaveLower: false }))];
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
