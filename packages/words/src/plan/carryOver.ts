import type { SectionsChange } from '@wide-fern/plan';
import type { Segment } from '@wide-fern/contract';
import {
  type Tonight,
  noteName,
  tonicName,
  type NoteWriting,
  type Misfit,
  type Section,
} from '@wide-fern/core';
import { capitalise, countInWords, formFor, listInWords } from '../counting';

import { keyPath, wordingFor } from './words';

const same = (a: readonly [number, number], b: readonly [number, number]): boolean =>
  a[0] === b[0] && a[1] === b[1];
const figures = ([low, high]: readonly [number, number], writing: NoteWriting) =>
  `${noteName(low, writing)}–${noteName(high, writing)}`;

/** «The basses sing G2–C4 now, G2–D4 when this plan was made.» */
export function bandChangeInWords(
  { before, now }: SectionsChange['sections'][number],
  writing: NoteWriting,
): string {
  const here = figures(now.comfort, writing);
  if (!before) return `The ${now.many} are new: ${here}.`;
  if (same(before.comfort, now.comfort)) {
    return `The ${now.many} reach ${figures(now.reach, writing)} now, ${figures(before.reach, writing)} when this plan was made.`;
  }
  return `The ${now.many} sing ${here} easily now, ${figures(before.comfort, writing)} when this plan was made.`;
}

/** What has changed, and how many segments that touches. */
export function sectionsChangeInWords(
  { sections, segments }: SectionsChange,
  writing: NoteWriting,
): string {
  const what =
    sections.length === 0
      ? 'What is sung on this evening has changed.'
      : sections.map((band) => bandChangeInWords(band, writing)).join(' ');
  const misfits = segments.filter(({ change }) => change.misfits.length > 0).length;
  const count = misfits || segments.length;
  if (count === 0) return `${what} Every key stays as it is.`;
  const fate = misfits
    ? formFor(count, 'no longer fits', 'no longer fit')
    : 'would have other keys';
  const who = `${countInWords(count)} ${formFor(count, 'segment', 'segments')}`;
  return `${what} ${capitalise(who)} ${fate}.`;
}

/** «basses beyond their comfort in F and G», worst first, one phrase a part. */
function misfitsInWords(
  misfits: readonly Misfit[],
  segment: Segment,
  sections: readonly Section[],
  writing: NoteWriting,
): string {
  const wording = wordingFor(sections, segment, writing);
  const parts = [...new Set(misfits.map(({ part }) => part))];
  return listInWords(
    parts.map((part) => {
      const own = misfits.filter((one) => one.part === part);
      const keys = [...new Set(own.map(({ tonic }) => tonicName(tonic, wording.mode, writing)))];
      const isOut = own.some(({ state }) => state === 'out');
      const where = keys.length > 3 ? `${countInWords(keys.length)} keys` : listInWords(keys);
      return `${wording.parts?.(part).many ?? part} ${isOut ? 'out of reach' : 'beyond their comfort'} in ${where}`;
    }),
  );
}

/** «Slate steps: basses beyond their comfort in F and G. It would be A♭ → E.» */
export function segmentChangeInWords(
  { segment, change }: SectionsChange['segments'][number],
  tonight: Tonight,
  writing: NoteWriting,
): string {
  const { sections } = tonight;
  const misfits = misfitsInWords(change.misfits, segment, sections, writing);
  const path = keyPath(change.now.keys, wordingFor(sections, segment, writing));
  const offer = path === 'no key works' ? 'No key works any more' : `It would be ${path}`;
  return `${segment.exercise.name}: ${misfits === '' ? '' : `${misfits}. `}${offer}.`;
}
