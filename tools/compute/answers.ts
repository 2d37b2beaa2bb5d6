import {
  breathTimeSchema,
  comfortProblemSchema,
  ladderProblemSchema,
  patternTimeSchema,
  type z,
} from '@wide-fern/contract';
import {
  bestLadder,
  breathSeconds,
  infeasibleInWords,
  patternSeconds,
  reasonsInWords,
  sectionComfort,
  type LadderProblem,
  type SingerRange,
} from '@wide-fern/core';

/** The answer to one problem; it may throw with a message for the person who sent it. */
type Answer = (problem: unknown) => unknown;

function toProblem(input: z.infer<typeof ladderProblemSchema>): LadderProblem {
  const { parts, exercise, shape, keys, step, fraction, preferredStart, goalTonic } = input;
  const { lowest, highest, strict, octaveMoves, mayRest } = exercise;
  return {
    sections: parts,
    pattern: {
      lowest,
      highest,
      ...(strict === undefined ? {} : { strict }),
      ...(octaveMoves === undefined ? {} : { octaveMoves }),
      ...(mayRest === undefined ? {} : { mayRest }),
    },
    shape,
    keys,
    step,
    fraction,
    ...(preferredStart === undefined ? {} : { preferredStart }),
    ...(goalTonic === undefined ? {} : { goalTonic }),
  };
}

const ladder: Answer = (input) => {
  const problem = toProblem(ladderProblemSchema.parse(input));
  const found = bestLadder(problem);
  if (found.kind === 'infeasible') {
    const { part, end } = found;
    return { infeasible: { part, end, message: infeasibleInWords(found, problem) } };
  }
  const { start, cost, tonics, paths } = found;
  return {
    start,
    cost,
    tonics,
    parts: Object.fromEntries(paths.map(({ id, moves }) => [id, moves])),
    reasons: reasonsInWords(found, problem),
  };
};

const comfort: Answer = (input) => {
  const { singers, q } = comfortProblemSchema.parse(input);
  const sections = new Map<string, SingerRange[]>();
  for (const singer of singers) {
    sections.set(singer.part, [...(sections.get(singer.part) ?? []), singer]);
  }
  return {
    parts: Object.fromEntries([...sections].map(([id, all]) => [id, sectionComfort(all, q)])),
  };
};

const time: Answer = (input) => {
  const isBreath = typeof input === 'object' && input !== null && 'rounds' in input;
  return {
    seconds: isBreath
      ? breathSeconds(breathTimeSchema.parse(input))
      : patternSeconds(patternTimeSchema.parse(input)),
  };
};

/** What the command line can be asked, by its word. */
export const answers: Readonly<Record<string, Answer>> = { ladder, comfort, time };
