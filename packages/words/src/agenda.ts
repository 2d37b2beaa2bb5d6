import {
  noteName,
  own,
  type EveningAdvice,
  type NoteWriting,
  type PitchRange,
  type PlaceNeed,
  type Section,
} from '@wide-fern/core';
import { choiceInWords, listInWords } from './counting';

/** What exercises can need of a place. */
export const placeNeedWords: Readonly<Record<PlaceNeed, string>> = {
  standing: 'standing',
  floor: 'the floor',
  noise: 'noise',
  prop: 'things to hold',
  mirror: 'a mirror',
};

const forbidden: Readonly<Record<PlaceNeed, string>> = {
  standing: 'everyone sits',
  floor: 'nothing on the floor',
  noise: 'nothing loud',
  prop: 'nothing to hold',
  mirror: 'no mirror',
};

/** «everyone sits and nothing loud», «everything is possible». */
export const forbiddenInWords = (forbids: readonly PlaceNeed[]): string =>
  forbids.length === 0
    ? 'everything is possible there'
    : listInWords(forbids.map((need) => forbidden[need]));

/** «Needs noise, which the place does not allow.»; undefined where everything it needs is possible. */
export function notPossibleInWords(
  needs: readonly PlaceNeed[],
  forbids: readonly PlaceNeed[],
): string | undefined {
  const missing = needs.filter((need) => forbids.includes(need));
  if (missing.length === 0) return undefined;
  return `Needs ${listInWords(missing.map((need) => placeNeedWords[need]))}, which the place does not allow.`;
}

/** What the pieces of an evening ask of a part, in a sentence: where it leaves what is easy tonight. */
export function askedInWords(
  { id, many, comfort }: Pick<Section, 'id' | 'many' | 'comfort'>,
  pieces: readonly {
    readonly title: string;
    readonly ranges: Readonly<Record<string, PitchRange>>;
  }[],
  writing: NoteWriting,
): string {
  const left = pieces.flatMap(({ title, ranges }) => {
    const range = own(ranges, id);
    if (!range) return [];
    const ends = [
      ...(range[1] > comfort[1] ? [`up to ${noteName(range[1], writing)}`] : []),
      ...(range[0] < comfort[0] ? [`down to ${noteName(range[0], writing)}`] : []),
    ];
    return ends.length > 0 ? [`${choiceInWords(ends).replace(' or ', ' and ')} in “${title}”`] : [];
  });
  return left.length > 0
    ? `${many} go beyond what is easy: ${listInWords(left)}.`
    : `${many} stay where it is easy.`;
}

/** What would spare the voices, and its one act: «“Lanterns” is sung before anybody has warmed up.» */
export function adviceInWords(
  advice: EveningAdvice,
  {
    title,
    many,
    times,
  }: {
    readonly title: (item: string) => string;
    readonly many: (part: string) => string;
    /** «19:45 to 20:50», of the items from one to another. */
    readonly times: (from: string, to: string) => string;
  },
): { readonly why: string; readonly act: string } {
  const name = `“${title(advice.item)}”`;
  switch (advice.code) {
    case 'warm-up-before':
      return {
        why: `${name} is sung before anybody has warmed up.`,
        act: 'put a short warm-up before it',
      };
    case 'break-after':
      return {
        why: `${times(advice.from, advice.to)} is sung without a rest.`,
        act: `put a break of ten minutes after ${name}`,
      };
    case 'earlier':
      return {
        why: `${name} takes ${many(advice.part)} furthest beyond what is easy, and comes after ${advice.minutes} minutes of singing.`,
        act: `sing it before “${title(advice.before)}”`,
      };
  }
}
