import type { ChoirPart } from '@wide-fern/contract';
import {
  conditionWords,
  countInWords,
  listInWords,
  semitonesInWords,
  stateWords,
} from '@wide-fern/words';
import {
  noteName,
  type AccidentalPreference,
  type Condition,
  type PitchRange,
  type Trim,
} from '@wide-fern/core';
import type { Row, SectionView } from './section';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** «D4–F5». */
export const rangeInFigures = (
  [low, high]: PitchRange,
  accidentals: AccidentalPreference,
): string => `${noteName(low, accidentals)}–${noteName(high, accidentals)}`;

/** «D4 to F5», or «D4 alone». */
export const rangeInWords = ([low, high]: PitchRange, accidentals: AccidentalPreference): string =>
  low === high
    ? `${noteName(low, accidentals)} alone`
    : `${noteName(low, accidentals)} to ${noteName(high, accidentals)}`;

/** «eleven singers», «one soprano». */
const people = (count: number, part: Pick<ChoirPart, 'one' | 'many'>): string =>
  `${countInWords(count)} ${count === 1 ? part.one : part.many}`;

/** The one sentence of the view: what a section can sing, and for how many of it that holds. */
export function sectionSentence(
  { part, section: band, picture, rows }: SectionView,
  when: string,
  accidentals: AccidentalPreference,
): string {
  const name = capital(part.many);
  const opening = when === '' ? name : `${name} ${when}`;
  const range = rangeInWords(band.comfort, accidentals);
  if (rows.length === 0) {
    return `${name}: nobody is on the roster yet. Until then, what ${part.many} usually sing: ${range}.`;
  }
  if (!picture) {
    return rows.every(({ away }) => away)
      ? `${opening}: nobody is here. Keys rest on what ${part.many} usually sing, ${range}.`
      : `${name}: no range is known yet. Until then, what ${part.many} usually sing: ${range}.`;
  }
  const { wanted, singers } = picture;
  if (!band.suits) {
    return `${opening}: no note is easy for ${countInWords(wanted)} of ${countInWords(singers)}. The most agree on ${range}.`;
  }
  if (singers === 1) return `${opening}: ${range}, as the one ${part.one} here sings.`;
  const easy =
    wanted === singers
      ? `all ${countInWords(singers)}`
      : `at least ${countInWords(wanted)} of ${countInWords(singers)}`;
  return `${opening}: ${range}, each note easy for ${easy}.`;
}

/** A singer's state as it stands beside the name. */
export function rowState({ singer, away, states, range }: Row): string {
  if (away) return 'away';
  if (!range) return 'not checked yet';
  if (states.length > 0) return states.map((state) => stateWords[state]).join(', ');
  return singer.also.length > 0 ? `also ${listInWords(singer.also)}` : '';
}

/** «two semitones off the top and one off the bottom», or nothing. */
export function trimInWords({ top, bottom }: Trim): string {
  const cuts = [
    ...(top > 0 ? [`${semitonesInWords(top)} off the top`] : []),
    ...(bottom > 0 ? [`${semitonesInWords(bottom)} off the bottom`] : []),
  ];
  return listInWords(cuts);
}

/** How a singer is tonight and what that does: «Returning, so two semitones off the top … : E♭4 to D5.» */
export function tonightInWords(
  row: Row,
  trim: Trim,
  condition: Condition,
  accidentals: AccidentalPreference,
): string {
  const { range, states, away, checkedToday } = row;
  if (away) return 'Away: not counted tonight.';
  if (!range) return 'No range is known yet, so the section’s band does without.';
  const here = rangeInWords(range.comfort, accidentals);
  if (checkedToday) return `Checked today, so as it was found: ${here}.`;
  const cuts = trimInWords(trim);
  if (cuts === '') return `Easy tonight: ${here}.`;
  const why = [
    ...states.map((state) => stateWords[state]),
    ...(condition === 'rested' ? [] : [conditionWords[condition]]),
  ];
  return `${capital(listInWords(why))}, so ${cuts}: ${here}.`;
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

/** What absence changes in a section: «two basses away: the basses lose D4», or what they gain. */
export function absenceInWords(
  band: {
    readonly one: string;
    readonly many: string;
    readonly away?: number | undefined;
    readonly comfort: PitchRange;
  },
  everyone: PitchRange,
  accidentals: AccidentalPreference,
): string | undefined {
  const { away = 0, comfort, many } = band;
  if (away === 0) return undefined;
  const who = `${people(away, band)} away`;
  const name = (note: number) => noteName(note, accidentals);
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
