import type { Exercise } from '@wide-fern/contract';
import { cautions, kindWords, phaseWords, typedProblemInWords } from '@wide-fern/words';
import {
  anchors,
  bareCell,
  cautionsNeeded,
  idFromName,
  looksLikeFormula,
  modeNames,
  phases,
  purposes,
  readLine,
  writeLine,
  type Anchor,
  type Mode,
  type Phase,
  type Purpose,
} from '@wide-fern/core';
import papa from 'papaparse';
import { notes as collect, refuse, type Notes } from '../common/found';
import type { FoundExercises } from '../json/json';

/** The columns of a list, in their order. «line» is the pattern as it is typed. */
const listColumns = [
  'name',
  'phase',
  'kind',
  'figure',
  'purposes',
  'purpose',
  'cue',
  'image',
  'anchor',
  'effort',
  'difficulty',
  'tempo',
  'keys',
  'mode',
  'line',
] as const;
type Column = (typeof listColumns)[number];
type Row = Readonly<Partial<Record<Column, string>>>;

const lineOf = ({ music }: Exercise): { mode: string; line: string } =>
  music.kind === 'pattern'
    ? { mode: music.mode, line: writeLine(music.notes, music.mode) }
    : { mode: 'mode' in music ? music.mode : '', line: '' };

/** Exercises as a list for a table, a line each. */
export function writeCsv(exercises: readonly Exercise[]): string {
  const rows = exercises.map((one): Record<Column, string> => ({
    name: one.name,
    phase: phaseWords[one.phase],
    kind: kindWords[one.music.kind],
    figure: one.figure,
    purposes: one.purposes.join('; '),
    purpose: one.purpose,
    cue: one.cue,
    image: one.image ?? '',
    anchor: one.anchor,
    effort: String(one.effort),
    difficulty: String(one.difficulty),
    tempo: String(one.usual.tempo),
    keys: String(one.usual.repetitions),
    ...lineOf(one),
  }));
  const cells = rows.map((row) => listColumns.map((column) => row[column]));
  return `${papa.unparse({ fields: [...listColumns], data: cells }, { newline: '\r\n', escapeFormulae: looksLikeFormula })}\r\n`;
}

function numberIn(words: string | undefined, least: number, most: number, usual: number): number {
  const value = Number(words?.replace(',', '.'));
  return words && Number.isFinite(value)
    ? Math.min(most, Math.max(least, Math.round(value)))
    : usual;
}

/** Where on the voice a row says it lives; what opens the range climbs to what the music needs. */
const anchorIn = (words: string | undefined, phase: Phase): Anchor =>
  anchors.find((one) => one === words?.trim().toLowerCase()) ??
  (phase === 'range' ? 'top' : 'middle');

function fromRow(row: Row, where: string, notKept: Notes): Exercise | undefined {
  const name = row.name?.trim().slice(0, 60);
  if (!name) {
    notKept.add(where, 'There is no name; write one in the column “name”.');
    return undefined;
  }
  const mode = (modeNames as readonly string[]).includes(row.mode ?? '')
    ? (row.mode as Mode)
    : 'major';
  const read = row.line?.trim() ? readLine(row.line, mode) : undefined;
  if (!read || read.kind === 'problem') {
    notKept.add(
      where,
      read
        ? `${name}: the line stops at character ${read.at + 1}. ${typedProblemInWords(read)}`
        : `${name} has no line of notes; a list can only bring lines.`,
    );
    return undefined;
  }
  const said = row.phase?.trim().toLowerCase();
  const phase =
    phases.find((one) => one === said || phaseWords[one].toLowerCase() === said) ?? 'range';
  const words = (row.purposes ?? '').split(/[;,]/).map((one) => one.trim().toLowerCase());
  const known = purposes.filter((one): one is Purpose => words.includes(one)).slice(0, 6);
  const whole = {
    id: idFromName(name),
    version: 1,
    name,
    figure: (row.figure?.trim() || 'a line from a list').slice(0, 80),
    phase,
    anchor: anchorIn(row.anchor, phase),
    purposes: known.length > 0 ? known : (['agility'] as Purpose[]),
    purpose: (row.purpose?.trim() ?? '').slice(0, 200),
    cue: (row.cue?.trim() ?? '').slice(0, 90),
    ...(row.image?.trim() ? { image: row.image.trim().slice(0, 120) } : {}),
    steps: [],
    watchFor: [],
    substitutes: [],
    effort: numberIn(row.effort, 1, 5, 2),
    difficulty: numberIn(row.difficulty, 1, 3, 1),
    needs: [],
    music: { kind: 'pattern', mode, notes: [...read.events] } as const,
    countIn: 4,
    breathBeats: 2,
    keyChangeBeats: 2,
    usual: {
      talk: 15,
      demonstrate: 'no' as const,
      tempo: numberIn(row.tempo, 20, 240, 84),
      repetitions: numberIn(row.keys, 1, 24, 5),
      verses: 1,
      shape: 'up' as const,
      step: 1,
    },
  };
  return { ...whole, cautions: cautionsNeeded(whole).map((caution) => cautions[caution]) };
}

/**
 * Reads a list with a line of column names; rows with a typed line become exercises.
 * @throws UnreadableFile with words for a person
 */
export function readCsv(text: string): FoundExercises {
  const lines = text.split('\n').length;
  if (lines > 20_000) refuse(`This list has ${lines} lines; at most 2000 rows are read at once.`);
  const { data, meta } = papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
    transform: (cell) => bareCell(cell),
  });
  if (!meta.fields?.includes('name') || !meta.fields.includes('line')) {
    return refuse(
      'This list has no columns “name” and “line”. The first row names the columns; the line is typed like 1 2 3 4 5:2.',
    );
  }
  if (data.length > 2000) {
    return refuse(`This list has ${data.length} rows; at most 2000 are read at once.`);
  }
  const notKept = collect();
  const exercises = data.flatMap((row, i) => fromRow(row, `row ${i + 2}`, notKept) ?? []);
  if (exercises.length === 0) {
    const why = notKept.list[0];
    return refuse(
      `No exercise in this list can be read.${why ? ` ${why.where}: ${why.what}` : ''}`,
    );
  }
  return { exercises, notKept: notKept.list };
}
