import type { Band, Need, PlanDocument, Segment, Tonight } from '@wide-fern/contract';
import { conditionWords, countInWords, listInWords } from '@wide-fern/words';
import {
  keyChange,
  noteName,
  tonicName,
  type AccidentalPreference,
  type KeyChange,
  type Misfit,
  type Setting,
} from '@wide-fern/core';
import type { Edit } from './edits';
import { keyPath, wordingFor } from './words';

/** What a plan's keys rest on has changed since it was made: what, and for which segments that matters. */
export interface SectionsChange {
  readonly tonight: Tonight;
  /** The sections whose band is another one now. */
  readonly bands: readonly { readonly before: Band | undefined; readonly now: Band }[];
  /** Segments whose keys no longer fit, or would be others. */
  readonly segments: readonly { readonly segment: Segment; readonly change: KeyChange }[];
}

const settingOf = ({ bands, needs }: Tonight): Setting => ({ sections: bands, needs });

const sameRange = (a: readonly [number, number], b: readonly [number, number]): boolean =>
  a[0] === b[0] && a[1] === b[1];
const sameBand = (a: Band | undefined, b: Band): boolean =>
  a !== undefined &&
  a.octave === b.octave &&
  sameRange(a.comfort, b.comfort) &&
  sameRange(a.reach, b.reach);

/** Part by part: the database keeps no order of a document's words. */
const sameNeed = (a: Need, b: Need): boolean =>
  a.part === b.part &&
  a.highest === b.highest &&
  a.highestIn === b.highestIn &&
  a.lowest === b.lowest &&
  a.lowestIn === b.lowestIn;

/** A segment as it would go on with other sections: a start chosen by hand stays where it still fits. */
function carriedOver(segment: Segment, was: Setting, now: Setting): [Segment, KeyChange] {
  const change = keyChange(segment, was, now);
  const { keys } = change.now;
  const stuck = keys.kind !== 'none' && !keys.sung;
  if (segment.choices.start === null || (!stuck && change.misfits.length === 0)) {
    return [segment, change];
  }
  const free = { ...segment, choices: { ...segment.choices, start: null } };
  return [free, { ...change, now: keyChange(free, was, now).now, differs: true }];
}

/** What has changed between the sections a plan was made for and those of the evening now; undefined when nothing did. */
export function sectionsChange(
  document: PlanDocument,
  tonight: Tonight,
): SectionsChange | undefined {
  const before = document.tonight;
  const bands = tonight.bands.flatMap((now) => {
    const was = before.bands.find(({ id }) => id === now.id);
    return sameBand(was, now) ? [] : [{ before: was, now }];
  });
  const isGone = before.bands.some(({ id }) => tonight.bands.every((band) => band.id !== id));
  const needsDiffer =
    before.needs.length !== tonight.needs.length ||
    !tonight.needs.every((now) => before.needs.some((was) => sameNeed(was, now)));
  if (bands.length === 0 && !isGone && !needsDiffer) return undefined;
  const was = settingOf(before);
  const now = settingOf(tonight);
  const segments = document.segments.flatMap((segment) => {
    const [, change] = carriedOver(segment, was, now);
    return change.differs || change.misfits.length > 0 ? [{ segment, change }] : [];
  });
  return { tonight, bands, segments };
}

/** Takes the evening's sections as they are now; every ladder follows. */
export const takeTonight =
  (tonight: Tonight): Edit =>
  (document) => {
    const was = settingOf(document.tonight);
    const now = settingOf(tonight);
    return {
      ...document,
      tonight,
      segments: document.segments.map((segment) => carriedOver(segment, was, now)[0]),
    };
  };

const figures = ([low, high]: readonly [number, number], accidentals: AccidentalPreference) =>
  `${noteName(low, accidentals)}–${noteName(high, accidentals)}`;

/** «The basses sing G2–C4 now, G2–D4 when this plan was made.» */
export function bandChangeInWords(
  { before, now }: SectionsChange['bands'][number],
  accidentals: AccidentalPreference,
): string {
  const here = figures(now.comfort, accidentals);
  if (!before) return `The ${now.many} are new: ${here}.`;
  if (sameRange(before.comfort, now.comfort)) {
    return `The ${now.many} reach ${figures(now.reach, accidentals)} now, ${figures(before.reach, accidentals)} when this plan was made.`;
  }
  return `The ${now.many} sing ${here} easily now, ${figures(before.comfort, accidentals)} when this plan was made.`;
}

/** «basses beyond their comfort in F and G», worst first, one phrase a part. */
function misfitsInWords(
  misfits: readonly Misfit[],
  segment: Segment,
  bands: readonly Band[],
  accidentals: AccidentalPreference,
): string {
  const wording = wordingFor(bands, segment, accidentals);
  const parts = [...new Set(misfits.map(({ part }) => part))];
  return listInWords(
    parts.map((part) => {
      const own = misfits.filter((one) => one.part === part);
      const keys = [
        ...new Set(own.map(({ tonic }) => tonicName(tonic, wording.mode, accidentals))),
      ];
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
  accidentals: AccidentalPreference,
): string {
  const { bands } = tonight;
  const misfits = misfitsInWords(change.misfits, segment, bands, accidentals);
  const path = keyPath(change.now.keys, wordingFor(bands, segment, accidentals));
  const offer = path === 'no key works' ? 'No key works any more' : `It would be ${path}`;
  return `${segment.exercise.name}: ${misfits === '' ? '' : `${misfits}. `}${offer}.`;
}

/** What a plan was made for: «for 12 S, 10 A, 6 T, 7 B (one away), after a working day». */
export function madeForInWords({ bands, condition = 'rested' }: Tonight): string {
  const known = bands.some(({ singers }) => singers > 0);
  const sections = bands.map(({ id, singers, away = 0 }) =>
    away > 0 ? `${singers} ${id} (${countInWords(away)} away)` : `${singers} ${id}`,
  );
  const who = known ? sections.join(', ') : 'what each part usually sings';
  return `for ${who}${condition === 'rested' ? '' : `, ${conditionWords[condition]}`}`;
}
