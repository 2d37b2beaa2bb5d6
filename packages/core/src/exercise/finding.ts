import { meanings, saidConditions, type SaidCondition, type Meaning } from './meanings';
import type { Kind } from './music';
import type { Age, Phase, PlaceNeed, Purpose } from './vocabulary';

/** Letters as they are compared: without case, without accents. */
export const plainWords = (words: string): string =>
  words
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '');

/** What of an exercise is looked through. */
export interface Searchable {
  readonly phase: Phase;
  readonly purposes: readonly Purpose[];
  readonly kind: Kind;
  readonly effort: number;
  readonly difficulty: number;
  readonly needs: readonly PlaceNeed[];
  readonly ages: readonly Age[] | undefined;
  /** Its name, as it is searched. */
  readonly title: string;
  /** All its words, as they are searched. */
  readonly words: string;
}

/** A word or a saying that was typed, with what it stands for. */
export interface Asked {
  readonly typed: string;
  readonly meanings: readonly Meaning[];
  readonly conditions: readonly SaidCondition[];
}

/** Words that say nothing of what is looked for. */
const empty = new Set(
  'a an the for to of in on at and or with we our us my they their them are is be too very so sing sings singing sung choir singers exercise exercises something anything some when who that is warm-up warmup'.split(
    ' ',
  ),
);

/** From so many letters on the beginning of a word is enough. */
const leastTyped = 4;

const isSaid = (said: string, typed: string): boolean =>
  said === typed ||
  said === typed.replace(/s$/, '') ||
  (typed.length >= leastTyped && said.startsWith(typed) && !said.includes(' '));
const saidIn = <T extends { readonly said: readonly string[] }>(
  all: readonly T[],
  typed: string,
): readonly T[] => all.filter(({ said }) => said.some((one) => isSaid(one, typed)));

/** Sayings of several words, the longest first. */
const sayings = [...new Set([...meanings, ...saidConditions].flatMap(({ said }) => said))]
  .filter((said) => said.includes(' '))
  .sort((a, b) => b.length - a.length);

/** What was typed, word by word and saying by saying; words that say nothing count only alone. */
export function askedFor(words: string): readonly Asked[] {
  let left = ` ${plainWords(words).trim().replace(/\s+/g, ' ')} `;
  const found: string[] = [];
  for (const saying of sayings) {
    if (!left.includes(` ${saying} `)) continue;
    found.push(saying);
    left = left.replace(` ${saying} `, ' ');
  }
  const single = left.split(' ').filter((word) => word !== '');
  const telling = single.filter((word) => !empty.has(word));
  const typed = found.length + telling.length > 0 ? [...found, ...telling] : single;
  return typed.map((one) => ({
    typed: one,
    meanings: saidIn(meanings, one),
    conditions: saidIn(saidConditions, one),
  }));
}

const isMeant = (one: Searchable, { purposes, kinds, phases, words }: Meaning): boolean =>
  (purposes?.some((purpose) => one.purposes.includes(purpose)) ?? false) ||
  (kinds?.includes(one.kind) ?? false) ||
  (phases?.includes(one.phase) ?? false) ||
  (words?.some((word) => one.words.includes(word)) ?? false);

const holds = (one: Searchable, condition: SaidCondition): boolean => {
  const { mostEffort = 5, mostDifficulty = 5, leastEffort = 0, leastDifficulty = 0 } = condition;
  const { without = [], age } = condition;
  return (
    one.effort <= mostEffort &&
    one.effort >= leastEffort &&
    one.difficulty <= mostDifficulty &&
    one.difficulty >= leastDifficulty &&
    !without.some((need) => one.needs.includes(need)) &&
    (!age || !one.ages || one.ages.includes(age))
  );
};

/**
 * Whether an exercise is what was typed: a word nobody has a meaning for stands anywhere in it; one
 * that directors use is what it is for, or begins a word of its name («flat» is no flat tongue). A
 * condition («seated», «tired») has to hold besides.
 */
export const isFound = (one: Searchable, asked: readonly Asked[]): boolean =>
  asked.every(({ typed, meanings: meant, conditions: held }) => {
    if (meant.length === 0 && held.length === 0) return one.words.includes(typed);
    if (!held.every((condition) => holds(one, condition))) return false;
    return (
      meant.length === 0 ||
      ` ${one.title}`.includes(` ${typed}`) ||
      meant.some((meaning) => isMeant(one, meaning))
    );
  });

/** What was understood of the words typed: the purposes they were taken as, in their order. */
export const purposesMeant = ({ meanings: meant }: Asked): readonly Purpose[] => [
  ...new Set(meant.flatMap(({ purposes = [] }) => purposes)),
];
