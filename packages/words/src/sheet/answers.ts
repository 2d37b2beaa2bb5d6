import {
  exerciseAnswers,
  type Answer,
  type ExerciseAnswer,
  type SaidAtHome,
} from '@wide-fern/contract';
import { cautions } from '../cautions';
import { capitalise, countInWords, listInWords } from '../counting';

type Range = Extract<SaidAtHome, { kind: 'range' }>;
/** What a singer sent as easy, with who it is. */
export type RangeAnswer = Omit<Answer, 'said'> & { readonly said: Range };

/** What singers sent as easy for them, the latest first. */
export const rangeAnswers = (answers: readonly Answer[]): RangeAnswer[] =>
  answers.flatMap(({ said, ...answer }) => (said.kind === 'range' ? [{ ...answer, said }] : []));

/** What singers said of one exercise. */
export interface SaidOf {
  /** «It helped (four), too high (two).» */
  readonly words: string;
  /** Whether somebody was hurt: it stands before everything else. */
  readonly hurt: boolean;
  /** What it was made of, to be thrown away. */
  readonly ids: readonly string[];
}

/** What singers said of an exercise, without who it was; undefined where nobody said anything. */
export function saidOf(exercise: string, answers: readonly Answer[]): SaidOf | undefined {
  const said = answers.flatMap(({ id, said: one }) =>
    one.kind === 'exercise' && one.exercise === exercise ? [{ id, words: one.words }] : [],
  );
  if (said.length === 0) return undefined;
  const many = (words: ExerciseAnswer) => said.filter((one) => one.words === words).length;
  const inOrder = [...exerciseAnswers].sort((a, b) => many(b) - many(a));
  const counts = inOrder
    .filter((words) => many(words) > 0)
    .map((words) => `${words} (${countInWords(many(words))})`);
  return {
    words: `${capitalise(listInWords(counts))}.`,
    hurt: many('it hurt') > 0,
    ids: said.map(({ id }) => id),
  };
}

/** What is said to whoever was hurt. */
export const hurtWords = `Leave it out, and tell whoever leads your choir. ${cautions.pain}`;
