import {
  allInWords,
  conditionWords,
  countInWords,
  listInWords,
  stateWords,
  rangeInWords,
  trimInWords,
} from '@wide-fern/words';
import { type NoteWriting, type Condition, type Trim } from '@wide-fern/core';
import type { Row, SectionView } from './section';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The one sentence of the view: what a section can sing, and for how many of it that holds. */
export function sectionSentence(
  { part, section: band, picture, rows }: SectionView,
  when: string,
  writing: NoteWriting,
): string {
  const name = capital(part.many);
  const opening = when === '' ? name : `${name} ${when}`;
  const range = rangeInWords(band.comfort, writing);
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
      ? allInWords(singers, part.one)
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

/** How a singer is tonight and what that does: «Returning, so two semitones off the top … : E♭4 to D5.» */
export function tonightInWords(
  row: Row,
  trim: Trim,
  condition: Condition,
  writing: NoteWriting,
): string {
  const { range, states, away, checkedToday } = row;
  if (away) return 'Away: not counted tonight.';
  if (!range) return 'No range is known yet, so the section’s band does without.';
  const here = rangeInWords(range.comfort, writing);
  if (checkedToday) return `Checked today, so as it was found: ${here}.`;
  const cuts = trimInWords(trim);
  if (cuts === '') return `Easy tonight: ${here}.`;
  const why = [
    ...states.map((state) => stateWords[state]),
    ...(condition === 'rested' ? [] : [conditionWords[condition]]),
  ];
  return `${capital(listInWords(why))}, so ${cuts}: ${here}.`;
}
