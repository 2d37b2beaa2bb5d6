import {
  plainWords,
  purposesMeant,
  type Asked,
  type Kind,
  type Purpose,
  type SaidCondition,
  type Searchable,
} from '@wide-fern/core';
import { forbiddenInWords } from './agenda';
import { choiceInWords, listInWords } from './counting';
import { kindWords } from './labels';

/** All that is searched of an exercise, ready to be compared. */
export const searchWords = (exercise: {
  readonly name: string;
  readonly figure: string;
  readonly purpose: string;
  readonly cue: string;
  readonly image?: string | undefined;
  readonly family?: { readonly id: string; readonly variant: string } | undefined;
  readonly purposes: readonly Purpose[];
  readonly music: { readonly kind: Kind };
}): string =>
  plainWords(
    [
      exercise.name,
      exercise.figure,
      exercise.purpose,
      exercise.cue,
      exercise.image ?? '',
      exercise.family
        ? `${exercise.family.id.replaceAll('-', ' ')} ${exercise.family.variant}`
        : '',
      exercise.purposes.join(' '),
      kindWords[exercise.music.kind],
    ].join(' '),
  );

/** An exercise as it is looked through. */
export const searched = (
  exercise: Parameters<typeof searchWords>[0] &
    Pick<Searchable, 'phase' | 'effort' | 'difficulty' | 'needs'> & {
      readonly ages?: Searchable['ages'];
    },
): Searchable => {
  const { phase, purposes, effort, difficulty, needs, ages, music } = exercise;
  return {
    title: plainWords(exercise.name),
    words: searchWords(exercise),
    kind: music.kind,
    ...{ phase, purposes, effort, difficulty, needs, ages },
  };
};

const conditionInWords = (condition: SaidCondition): readonly string[] => {
  const { mostEffort, leastEffort, mostDifficulty, leastDifficulty, without, age } = condition;
  return [
    ...(age ? [`fit for ${age}`] : []),
    ...(mostEffort === undefined ? [] : ['little effort']),
    ...(leastEffort === undefined ? [] : ['more effort']),
    ...(mostDifficulty === undefined ? [] : ['easy ones']),
    ...(leastDifficulty === undefined ? [] : ['hard ones']),
    ...(without ? [forbiddenInWords(without)] : []),
  ];
};

/** How the words looked for were understood: «“flat” as tuning or listening; “tired” as little effort»; empty where they are taken as they stand. */
export function understoodInWords(asked: readonly Asked[]): string {
  const said = asked.flatMap((one) => {
    const meant = purposesMeant(one).filter((purpose) => purpose !== one.typed);
    const held = [...new Set(one.conditions.flatMap(conditionInWords))];
    const all = [...(meant.length > 0 ? [choiceInWords(meant)] : []), ...held];
    return all.length > 0 ? [`“${one.typed}” as ${listInWords(all)}`] : [];
  });
  return said.join('; ');
}
