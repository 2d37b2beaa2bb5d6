import {
  hasKeys,
  noteInKey,
  onOwnPitch,
  plainScore,
  segmentScore,
  tonicName,
  withInstrument,
  writtenIn,
  type MidiNote,
} from '@wide-fern/core';
import { asSentences } from '../counting';
import { doneLines, ownPitchInWords } from '../done';
import { firstsIn, type Firsts } from '../firsts';
import { movesOfKeys } from '../ladder';
import type { Wording } from '../ladder/wording';
import { accompanimentInWords, passesInWords } from '../passes';
import { singleInWords, turnsOfSegment } from '../plan/single';
import { breathInWords, ladderHeading } from '../plan/words';
import { lengthInFigures } from '../time';
import {
  plain,
  sheetWith,
  strong,
  type Line,
  type OfSegment,
  type SheetOf,
  type SheetTable,
  type SheetText,
} from './sheet';

/** The tonic where a treble reads it: men sing it an octave below. */
const trebleOf = (tonic: MidiNote): MidiNote => (tonic < 55 ? trebleOf(tonic + 12) : tonic);

/** The notes and words in the first key: one line where all sing alike, else every part. */
export function firstKey({ segment, computed, sections }: OfSegment) {
  const { exercise, choices } = segment;
  const { kind } = exercise.music;
  // No note is given, so none is printed.
  if (onOwnPitch(exercise.music)) return undefined;
  const isAlike = kind === 'pattern' || kind === 'glide' || kind === 'hold' || kind === 'round';
  const tonic = computed.repetitions[0]?.tonic;
  // Lines that come in turn are told, not written out one after the other.
  const once = { ...segment, choices: { ...choices, linesInTurn: false } };
  const score = isAlike
    ? plainScore(writtenIn(once), choices.tempo, [trebleOf(tonic ?? 60)])
    : segmentScore(once, sections, computed.repetitions.slice(0, 1));
  return score && score.keys.length > 0 ? score : undefined;
}

/** What is done and said where nothing is written in notes. */
export function saidAndDone({ segment: { exercise, choices } }: OfSegment): Line[] {
  const { music } = exercise;
  if (music.kind === 'body') return [plain(doneLines(music).join(' '))];
  if (music.kind === 'breath') return [plain(breathInWords(music))];
  if (music.kind === 'spoken') return [plain(`“${music.lines.join(' ')}”`)];
  return onOwnPitch(music) ? [plain(ownPitchInWords(exercise, choices))] : [];
}

/** «Seven keys, up by semitone, 84 a minute.» */
export function howOften({ segment }: OfSegment): string {
  const { exercise, choices } = segment;
  const { music } = exercise;
  return (
    ladderHeading(segment) +
    (music.kind === 'body' ? '' : `, ${choices.tempo} a minute`) +
    (choices.verses > 1 && hasKeys(music) ? `, ${choices.verses} times in each key` : '') +
    '.'
  );
}

/** A part's first note in one key, or one for each line that comes to it in turn, spelled in that key; or that it rests. */
const startingNote = (
  notes: Firsts[string] | undefined,
  key: MidiNote,
  { mode, writing }: Wording,
): string =>
  notes?.map((note) => (note === 'rest' ? note : noteInKey(note, key, mode, writing))).join(', ') ??
  '';

/** The keys in a row, and in each every part's first note. */
export function keyTable(
  { segment, computed, wording, sections }: OfSegment,
  only?: string,
): SheetTable | undefined {
  const { keys, repetitions } = computed;
  if (keys.kind === 'none' || !keys.sung) return undefined;
  const firsts = repetitions.map(({ parts }) => firstsIn(segment, parts));
  return {
    head: keys.sung.tonics.map((tonic) => tonicName(tonic, wording.mode, wording.writing)),
    rows: sections
      .filter(({ id }) => only === undefined || id === only)
      .map(({ id }) => ({
        name: id,
        cells: repetitions.map(({ tonic }, i) => startingNote(firsts[i]![id], tonic ?? 0, wording)),
      })),
  };
}

/** What to tell the choir, and what for. */
export const cueLine = ({ cue, purpose }: { readonly cue: string; readonly purpose: string }) =>
  [
    ...(cue ? [strong(cue)] : []),
    ...(purpose ? [{ text: cue ? ` ${purpose}` : purpose }] : []),
  ] satisfies Line;

/** What is other in single keys and times, and who takes what in turn. */
export function singleLines(segment: OfSegment['segment']): Line[] {
  const lines = [...singleInWords(segment), turnsOfSegment(segment)].filter(Boolean);
  return lines.length > 0 ? [plain(lines.join(' '))] : [];
}

/** Where no key is for everybody, that is said. */
export const withoutKey = ({ computed: { keys } }: OfSegment): Line[] =>
  keys.kind !== 'none' && !keys.sung ? [plain('No key works for everyone.')] : [];

function leadEntry(of: OfSegment) {
  const { segment, computed, wording } = of;
  const { exercise } = segment;
  const cue = cueLine(exercise);
  const score = firstKey(of);
  const moves = asSentences(movesOfKeys(computed.keys, wording));
  return {
    beside: exercise.figure,
    first: cue.length > 0 ? [cue] : [],
    notes: score && { kind: 'score' as const, score: withInstrument(score) },
    lines: [
      ...saidAndDone(of),
      plain([howOften(of), ...moves].join(' ')),
      ...singleLines(of.segment),
      ...(exercise.passes ? [plain(passesInWords(exercise.passes, exercise.music).join(' '))] : []),
      ...(exercise.accompaniment ? [plain(accompanimentInWords(exercise.accompaniment))] : []),
      ...withoutKey(of),
    ],
    table: keyTable(of),
  };
}

/** Everything to lead from: when, what, in which keys, on which notes, and what to mind. */
export const leadSheet = (of: SheetOf): SheetText =>
  sheetWith(
    of,
    leadEntry,
    (plan, clock) =>
      `${of.choir} · ${of.place} · warm-up ${clock.minute(of.start)} to ` +
      `${clock.second(of.start + Math.round(plan.total) * 1000)} · ` +
      `${lengthInFigures(plan.total)} of ${lengthInFigures(of.allotted)}`,
  );
