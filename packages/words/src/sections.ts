import {
  noteName,
  type NoteWriting,
  type Condition,
  type PartName,
  type PitchRange,
  type Trim,
} from '@wide-fern/core';
import { conditionWords } from './labels';
import { counted, listInWords, semitonesInWords } from './counting';

/** «D4–F5». */
export const rangeInFigures = ([low, high]: PitchRange, writing: NoteWriting): string =>
  `${noteName(low, writing)}–${noteName(high, writing)}`;

/** «D4 to F5», or «D4 alone». */
export const rangeInWords = ([low, high]: PitchRange, writing: NoteWriting): string =>
  low === high
    ? `${noteName(low, writing)} alone`
    : `${noteName(low, writing)} to ${noteName(high, writing)}`;

/** «eleven singers», «one soprano». */
const people = (count: number, { one, many }: PartName): string => counted(count, one, many);

/** «two semitones off the top and one off the bottom», or nothing. */
export function trimInWords({ top, bottom }: Trim): string {
  const cuts = [
    ...(top > 0 ? [`${semitonesInWords(top)} off the top`] : []),
    ...(bottom > 0 ? [`${semitonesInWords(bottom)} off the bottom`] : []),
  ];
  return listInWords(cuts);
}

/** What a condition does to everyone: «after a working day: each top a semitone lower». */
export function conditionInWords(condition: Condition, trim: Trim): string {
  if (condition === 'rested') return '';
  const cuts = [
    ...(trim.top > 0 ? [`each top ${semitonesInWords(trim.top)} lower`] : []),
    ...(trim.bottom > 0 ? [`each low end ${semitonesInWords(trim.bottom)} higher`] : []),
  ];
  return cuts.length > 0 ? `${conditionWords[condition]}: ${listInWords(cuts)}` : '';
}

/** What it changes in a section how its singers are tonight: «as they are tonight, the basses’ band narrows from G2–D4 to A♭2–C4». */
export function statesInWords(
  many: string,
  comfort: PitchRange,
  usual: PitchRange,
  writing: NoteWriting,
): string | undefined {
  const [low, high] = [comfort[0] - usual[0], comfort[1] - usual[1]];
  if (low === 0 && high === 0) return undefined;
  const how = low >= 0 && high <= 0 ? 'narrows' : low <= 0 && high >= 0 ? 'widens' : 'moves';
  return `as they are tonight, the ${many}’ band ${how} from ${rangeInFigures(usual, writing)} to ${rangeInFigures(comfort, writing)}`;
}

/** What absence changes in a section: «two basses away: the basses lose D4», or what they gain. */
export function absenceInWords(
  band: {
    readonly one: string;
    readonly many: string;
    readonly away?: number | undefined;
    readonly comfort: PitchRange;
  },
  everyone: PitchRange,
  writing: NoteWriting,
): string | undefined {
  const { away = 0, comfort, many } = band;
  if (away === 0) return undefined;
  const who = `${people(away, band)} away`;
  const name = (note: number) => noteName(note, writing);
  const span = (from: number, to: number) =>
    from === to ? name(from) : `${name(from)} to ${name(to)}`;
  const changes = [
    ...(comfort[0] > everyone[0] ? [`lose ${span(everyone[0], comfort[0] - 1)}`] : []),
    ...(comfort[1] < everyone[1] ? [`lose ${span(comfort[1] + 1, everyone[1])}`] : []),
    ...(comfort[0] < everyone[0] ? [`gain ${span(comfort[0], everyone[0] - 1)}`] : []),
    ...(comfort[1] > everyone[1] ? [`gain ${span(everyone[1] + 1, comfort[1])}`] : []),
  ];
  return changes.length > 0
    ? `${who}: the ${many} ${listInWords(changes)}`
    : `${who}; their band stays`;
}
