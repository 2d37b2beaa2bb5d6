import {
  type AimReached,
  type Section,
  noteInKey,
  noteName,
  tonicName,
  namingOf,
  trebleTonic,
  type NoteNames,
  type NoteWriting,
  type Demand,
  type PartAnalysis,
  type PieceAnalysis,
} from '@wide-fern/core';
import { asSentences, intervalInWords, semitonesInWords } from './counting';
import { lengthInFigures } from './time';
/** A line of figures about a part; the ones that matter stand out. */
export interface Fact {
  readonly words: string;
  readonly matters: boolean;
}

const seconds = (value: number): string => `${Math.round(value)} s`;
const bars = (from: number, to: number): string =>
  from === to ? `bar ${from}` : `bars ${from}–${to}`;

/** «nothing in the top three semitones», «35 s in the top three semitones». */
const highInWords = (high: number): string =>
  high < 0.5 ? 'nothing in the top three semitones' : `${seconds(high)} in the top three semitones`;

function outsideInWords({ comfort }: PartAnalysis): Fact {
  const { above, below } = comfort;
  const words = [
    above > 0 && `${seconds(Math.max(1, above))} above tonight`,
    below > 0 && `${seconds(Math.max(1, below))} below tonight`,
  ].filter((one) => one !== false);
  return words.length === 0
    ? { words: 'all inside tonight', matters: false }
    : { words: words.join(', '), matters: true };
}

/** How a note of a piece is called: in its key, so F♯ in G major; by the axis where it has none. */
export function noteOfPiece(
  { key, transpose }: Pick<PieceAnalysis, 'key' | 'transpose'>,
  writing: NoteWriting,
): (midi: number) => string {
  if (!key) return (midi) => noteName(midi, writing);
  const tonic = trebleTonic(key.fifths, key.mode) + transpose;
  const as = transpose === 0 ? asWritten(key.fifths, writing) : writing;
  return (midi) => noteInKey(midi, tonic, key.mode, as);
}

/** The choir's names with the accidentals of a printed signature. */
const asWritten = (fifths: number, writing: NoteWriting): NoteNames => ({
  naming: namingOf(writing),
  accidentals: fifths > 0 ? 'sharps' : 'flats',
});

/** What a piece asks of a part, a line each, at most seven. */
export function partFacts(part: PartAnalysis, note: (midi: number) => string): Fact[] {
  const { figures, comfort } = part;
  const { longestPhrase, fastestRun, widestLeap, middle } = figures;
  const said: (Fact | false)[] = [
    { words: `${note(figures.lowest)} to ${note(figures.highest)}`, matters: true },
    { words: `mostly ${note(middle[0])} to ${note(middle[1])}`, matters: false },
    outsideInWords(part),
    { words: highInWords(comfort.high), matters: false },
    {
      words: `${seconds(longestPhrase.seconds)} with no rest, ${bars(longestPhrase.fromBar, longestPhrase.toBar)}`,
      matters: false,
    },
    fastestRun.notesPerSecond > 0 && {
      words: `fastest: ${Math.round(fastestRun.notesPerSecond * 10) / 10} a second`,
      matters: false,
    },
    widestLeap.semitones > 0 && {
      words: `widest leap ${intervalInWords(widestLeap.semitones)}, bar ${widestLeap.bar}`,
      matters: false,
    },
  ];
  return said.filter((one) => one !== false);
}

const manyOf = (sections: readonly Section[], part: string): string =>
  sections.find(({ id }) => id === part)?.many ?? part;

/** «Everyone sings 21 seconds without a rest up to bar 22», when that is more than a breath. */
function breathInWords(
  { parts }: PieceAnalysis,
  sections: readonly Section[],
  phrase: number,
): string | undefined {
  const [longest] = [...parts].sort(
    (a, b) => b.figures.longestPhrase.seconds - a.figures.longestPhrase.seconds,
  );
  if (!longest) return undefined;
  const { seconds: length, toBar } = longest.figures.longestPhrase;
  if (length <= phrase + 0.5) return undefined;
  const alike = parts.every(
    ({ figures }) => Math.abs(figures.longestPhrase.seconds - length) < 0.5,
  );
  const who =
    alike && parts.length > 1 ? 'everyone sings' : `the ${manyOf(sections, longest.part)} sing`;
  return `${who} ${Math.round(length)} seconds without a rest up to bar ${toBar}`;
}

/** «the tenors go up to G4, a semitone above tonight», for the part that leaves its comfort furthest. */
function comfortInWords(
  { parts }: PieceAnalysis,
  sections: readonly Section[],
  note: (midi: number) => string,
): string | undefined {
  const left = parts.flatMap(({ part, figures }) => {
    const comfort = sections.find(({ id }) => id === part)?.comfort;
    if (!comfort) return [];
    const above = figures.highest - comfort[1];
    const below = comfort[0] - figures.lowest;
    return [
      { part, by: above, midi: figures.highest, way: 'up', side: 'above' },
      { part, by: below, midi: figures.lowest, way: 'down', side: 'below' },
    ].filter(({ by }) => by > 0);
  });
  const [furthest] = left.sort((a, b) => b.by - a.by);
  if (!furthest) return undefined;
  const { part, by, midi, way, side } = furthest;
  return `the ${manyOf(sections, part)} go ${way} to ${note(midi)}, ${semitonesInWords(by)} ${side} tonight`;
}

/** The one sentence about a piece: what it asks most, of whom, and where. */
export function pieceSentence(
  analysis: PieceAnalysis,
  sections: readonly Section[],
  { phrase, writing }: { phrase: number; writing: NoteWriting },
): string {
  if (analysis.parts.length === 0)
    return 'Nobody sings anything in it yet: say who sings which line.';
  const breath = breathInWords(analysis, sections, phrase);
  const comfort = comfortInWords(analysis, sections, noteOfPiece(analysis, writing));
  const said = [breath, comfort].filter((one) => one !== undefined);
  if (said.length > 0) return asSentences([said.join(', and ')])[0]!;
  return 'Everything lies inside tonight’s voices, and no phrase outlasts the breath.';
}

const beatWords: Readonly<Record<number, string>> = {
  2: 'two',
  3: 'three',
  4: 'four',
  5: 'five',
  6: 'six',
  9: 'nine',
  12: 'twelve',
};

/** «four in a bar», «six eighths». */
export const metreInWords = (metre: PieceAnalysis['metre']): string => {
  if (!metre) return '';
  const count = beatWords[metre.beats] ?? String(metre.beats);
  if (metre.unit === 4) return `${count} in a bar`;
  const unit = { 1: 'whole notes', 2: 'halves', 8: 'eighths', 16: 'sixteenths' }[metre.unit];
  return `${count} ${unit}`;
};

/** «E♭ major», as it is sung. */
export function keyInWords(
  key: PieceAnalysis['key'],
  transpose: number,
  writing: NoteWriting,
): string {
  if (!key) return '';
  const tonic = trebleTonic(key.fifths, key.mode) + transpose;
  const as = transpose === 0 ? asWritten(key.fifths, writing) : writing;
  return `${tonicName(tonic, key.mode, as)} ${key.mode}`;
}

/** «as written», «a tone lower». */
export function transposeInWords(transpose: number): string {
  if (transpose === 0) return 'as written';
  return `${intervalInWords(transpose)} ${transpose > 0 ? 'higher' : 'lower'}`;
}

/** «48 bars, 2:55». */
export const sizeInWords = (count: number, length: number): string =>
  `${count} ${count === 1 ? 'bar' : 'bars'} · ${lengthInFigures(length)}`;

const demandWords: Readonly<Record<Demand['kind'], (figure: number) => string>> = {
  'long phrase': (figure) => `${Math.round(figure)} s on one breath`,
  'high and long': (figure) => `high for ${Math.round(figure * 10) / 10} s`,
  'wide leap': (figure) => `a leap of ${intervalInWords(figure).replace(/^an? /, 'a ')}`,
  'fast run': (figure) => `${Math.round(figure * 10) / 10} notes a second`,
  'low ending': () => 'ends low',
  'close clash': (figure) => `close together for ${Math.round(figure * 10) / 10} s`,
};

/** «21 s on one breath, bars 17–22, S A T B». */
export const demandInWords = ({ kind, figure, fromBar, toBar }: Demand): string =>
  `${demandWords[kind](figure)}, ${bars(fromBar, toBar)}`;

/** «bars 19 to 22», «bar 7». */
export const barsInWords = (from: number, to: number): string =>
  from === to ? `bar ${from}` : `bars ${from} to ${to}`;

/** «English» for «en»; what is written out already stays as it is. */
export function languageInWords(language: string): string {
  if (!/^[a-z]{2,3}(-[A-Za-z0-9]+)*$/.test(language)) return language;
  try {
    return new Intl.DisplayNames(['en'], { type: 'language' }).of(language) ?? language;
  } catch {
    return language;
  }
}

/**
 * What an exercise of bars reaches of them as they are written: «The sopranos sing the F5 as it is
 * written.», or which note it is that they do not reach tonight, and what they reach instead.
 */
export function aimInWords(
  reached: AimReached,
  sections: readonly Pick<Section, 'id' | 'many'>[],
  writing: NoteWriting,
): string {
  const who = sections.find(({ id }) => id === reached.part)?.many ?? reached.part;
  const note = (midi: number) => noteName(midi, writing);
  if (reached.kind === 'reached') {
    return `It climbs to the bars as they are written: the ${who} up to ${note(reached.highest)}.`;
  }
  const { wanted, highest, limit } = reached;
  const instead =
    highest === undefined
      ? 'they rest in every key'
      : highest === wanted
        ? 'they sing it lower in the scale'
        : `it brings them to ${note(highest)} instead`;
  if (!limit)
    return `The ${who} do not come to the ${note(wanted)} that is written there; ${instead}.`;
  const why =
    limit.end === 'top'
      ? `is out of the ${who}’ reach tonight, which ends at ${note(limit.note)}`
      : `goes with a note below the ${who}’ reach tonight, which begins at ${note(limit.note)}`;
  return `The ${note(wanted)} that is written there ${why}; ${instead}.`;
}
