import { readFile } from 'node:fs/promises';
import {
  breathTimeSchema,
  chordProblemSchema,
  comfortProblemSchema,
  ladderProblemSchema,
  loadProblemSchema,
  notesProblemSchema,
  patternTimeSchema,
  plannerProblemSchema,
  scoreProblemSchema,
  suggestPartSchema,
  sureProblemSchema,
  type z,
} from '@wide-fern/contract';
import {
  bestLadder,
  breathSeconds,
  build,
  doseOf,
  endSureness,
  performanceOrder,
  pieceStatistics,
  guessParts,
  partsOfScore,
  patternSeconds,
  possibleParts,
  scoreOf,
  sectionComfort,
  sectionSureness,
  sungNotes,
  sungPart,
  tonicName,
  usualTimeLimit,
  voiceChords,
  type LadderProblem,
  type SingerRange,
} from '@wide-fern/core';
import { infeasibleInWords, reasonsInWords } from '@wide-fern/words';
import { readScore } from '@wide-fern/interchange';
import { highsSolver } from '@wide-fern/solver';
import { listenTo, readWav } from '@wide-fern/sound';

/** The answer to one problem; it may throw with a message for the person who sent it. */
type Answer = (problem: unknown) => unknown;

/** What is there of an object: a field that is undefined is left out. */
const said = <T extends object>(fields: T) =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Said<T>;
type Said<T> = { [K in keyof T]: Exclude<T[K], undefined> };

function toProblem(input: z.infer<typeof ladderProblemSchema>): LadderProblem {
  const { parts, exercise, fixed, ...rest } = input;
  const windows = parts.flatMap(({ id, window }) => (window ? [[id, window] as const] : []));
  for (const [part, keys] of Object.entries(fixed ?? {})) {
    if (!parts.some(({ id }) => id === part)) throw new Error(`fixed: there is no part ${part}.`);
    const late = Object.keys(keys).find((key) => Number(key) >= rest.keys);
    if (late !== undefined) throw new Error(`fixed: there is no key ${late} for ${part}.`);
  }
  return {
    ...said({ ...rest, fixed }),
    sections: parts,
    pattern: said(exercise),
    ...(windows.length > 0 ? { windows: Object.fromEntries(windows) } : {}),
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

const chord: Answer = (input) => {
  const { parts, tones, roots, fraction, distinct } = chordProblemSchema.parse(input);
  const sections = parts.map((part) => ({ ...part, octave: 0 }));
  const found = voiceChords({ sections, tones, fraction, distinct }, roots);
  if (found.kind === 'no-voicing') {
    const { root, part } = found;
    const why =
      part === undefined
        ? 'no voicing has every tone, every part in its reach and no parts crossed'
        : `the part ${part} reaches no note of the chord`;
    return { infeasible: { root, message: `On ${tonicName(root)} ${why}.` } };
  }
  const named = (notes: readonly number[]) =>
    Object.fromEntries(parts.map(({ id }, part) => [id, notes[part]]));
  return { voicings: found.voicings.map(named), cost: found.cost };
};

const notes: Answer = (input) => {
  const { notes: written, sharps, ...where } = notesProblemSchema.parse(input);
  return {
    notes: sungNotes(written, { ...where, accidentals: sharps ? 'sharps' : 'flats' }),
  };
};

const suggestPart: Answer = (input) => {
  const { comfort: own, parts } = suggestPartSchema.parse(input);
  const possible = possibleParts(own, parts);
  return {
    suggested: possible[0].part,
    possible: possible.map(({ part, score }) => ({ part, score })),
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

const solver = highsSolver();

const plan: Answer = async (input) => {
  const built = await build(plannerProblemSchema.parse(input), { solver });
  switch (built.kind) {
    case 'plans':
      return { plans: built.plans };
    case 'conflict':
      return { conflict: built.conflict };
    default:
      throw new Error(
        `Within ${usualTimeLimit} s it was not found out whether there is a plan. Ask for less at once.`,
      );
  }
};

const score: Answer = (input) => {
  const { problem, selection } = scoreProblemSchema.parse(input);
  return scoreOf(problem, selection);
};

const load: Answer = (input) => {
  const { lower, notes: sung } = loadProblemSchema.parse(input);
  return doseOf(sung, lower);
};

const sure: Answer = (input) => {
  const asked = sureProblemSchema.parse(input);
  return 'singers' in asked
    ? sectionSureness(asked.singers, asked.span, asked.wanted)
    : endSureness(asked.segments, asked.seconds);
};

/** What the command line can be asked, by its word. */
export const answers: Readonly<Record<string, Answer>> = {
  ladder,
  chord,
  comfort,
  notes,
  'suggest-part': suggestPart,
  time,
  plan,
  score,
  load,
  sure,
};

/** The answer to a question about a file. */
type FileAnswer = (path: string) => Promise<unknown>;

const rounded = (value: number, places: number): number => Number(value.toFixed(places));

async function bytesOf(path: string): Promise<Uint8Array> {
  return readFile(path).catch(() => {
    throw new Error(`There is no file ${path} that could be read.`);
  });
}

const pitch: FileAnswer = async (path) => {
  const frames = listenTo(readWav(await bytesOf(path))).map(
    ({ seconds, hertz, midi, cents, clarity }) => ({
      seconds: rounded(seconds, 4),
      hertz: hertz === null ? null : rounded(hertz, 3),
      midi,
      cents,
      clarity: rounded(clarity, 4),
    }),
  );
  return { frames };
};

/** Figures are told to a millionth: what is finer is only how computers add. */
const exact = (value: number): number => rounded(value, 6);

const piece: FileAnswer = async (path) => {
  const score = readScore(new Uint8Array(await bytesOf(path)));
  const course = performanceOrder(score);
  const guessed = guessParts(score).map(({ line, ...one }) => ({ ...one, line: line.id }));
  const names = [...new Set(guessed.flatMap(({ parts }) => parts))];
  const parts = partsOfScore(score, guessed, names).flatMap((music) => {
    const found = pieceStatistics(sungPart(music, course), score, course);
    if (!found) return [];
    const { part, lowest, highest, lowestBar, highestBar, histogram } = found;
    const { longestPhrase, fastestRun, widestLeap, middle } = found;
    return [
      [
        part,
        {
          lowest,
          highest,
          lowestBar,
          highestBar,
          histogram: Object.fromEntries(
            Object.entries(histogram).map(([midi, seconds]) => [midi, exact(seconds)]),
          ),
          middle,
          longestPhraseSeconds: exact(longestPhrase.seconds),
          fastestRunNotesPerSecond: exact(fastestRun.notesPerSecond),
          widestLeap: widestLeap.semitones,
        },
      ] as const,
    ];
  });
  return {
    parts: Object.fromEntries(parts),
    bars: score.bars.filter(({ counted }) => counted).length,
    seconds: exact(course.seconds),
    warnings: score.warnings.map(({ bar, where, what }) =>
      [bar === null ? '' : `bar ${bar}`, where, what].filter((word) => word !== '').join(': '),
    ),
  };
};

/** What can be asked about a file, by its word. */
export const fileAnswers: Readonly<Record<string, FileAnswer>> = { piece, pitch };
