import { segmentSchema, type Piece, type PieceMark, type Segment } from '@wide-fern/contract';
import type { Excerpt, Section } from '@wide-fern/core';
import { barsInWords } from '@wide-fern/words';
import { exerciseOf } from './exercise';
import { openPieceScore } from './openPieceScore';
import { ScoreWorker } from './scoreWorker';

/** Bars of a score from one printed number to another. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Marked bars as stretches, in the order of the score; those that overlap are one. */
export function stretchesOf(marks: readonly Pick<PieceMark, 'fromBar' | 'toBar'>[]): Stretch[] {
  const stretches: Stretch[] = [];
  for (const { fromBar: from, toBar: to } of [...marks].sort((a, b) => a.fromBar - b.fromBar)) {
    const last = stretches[stretches.length - 1];
    if (!last || from > last.to) stretches.push({ from, to });
    else stretches[stretches.length - 1] = { ...last, to: Math.max(last.to, to) };
  }
  return stretches;
}

/** The words of the piece on every note, at its own pace. */
const asPrinted = { form: 'parts', part: '', words: 'own', text: '' } as const;

/** Bars are sung once, and nothing is said before. */
const once = {
  repetitions: 1,
  verses: 1,
  talk: 0,
  shape: 'up',
  step: 1,
  demonstrate: 'no',
} as const;

/**
 * Bars as they are written, as a segment: sung once, at their own pitch and pace, by those who sing there.
 * Undefined where they are too long to be one.
 * @param sections those who sing there
 */
export function segmentOfBars(
  excerpt: Excerpt,
  { id, piece, marks }: Pick<Piece, 'id' | 'piece' | 'marks'>,
  { from, to }: Stretch,
  sections: readonly Section[],
): Segment | undefined {
  const { title, transpose } = piece;
  const tempo = Math.min(240, Math.max(20, Math.round(excerpt.tempo)));
  const where = barsInWords(from, to);
  const name = `${title.slice(0, 58 - where.length)}, ${where}`;
  const made = exerciseOf(
    excerpt,
    { ...asPrinted, tempo, name },
    { piece: id, title, from, to, marks, sections, troubled: undefined, transpose },
  );
  const skills = made.purposes.slice(0, 2).join(' and ');
  const segment: Segment = {
    id: `${id.slice(0, 23)}-${from}-${to}`,
    exercise: {
      ...made,
      figure: 'as it is written',
      purpose: `This is ${where}, for ${skills}.`,
      cue: 'Slowly first, then at its own pace.',
      keys: { octaveMoves: [0], mayRest: false },
      usual: { ...made.usual, ...once, tempo },
    },
    choices: { ...once, tempo, start: excerpt.tonic + transpose },
  };
  return segmentSchema.safeParse(segment).data;
}

/** What was found of an evening's pieces. */
export interface FoundBars {
  readonly bars: readonly Segment[];
  /** Marked places that are too long to be shown, in which nobody sings, or for which there is no room. */
  readonly leftOut: number;
}

/**
 * The marked bars of pieces as they are written. Each score is read in a worker of its own, one after the other.
 * @throws ApiError or ScoreRefused where a score cannot be fetched or read
 */
export async function hardBars(
  choir: string,
  pieces: readonly Piece[],
  sections: readonly Section[],
  most: number,
  signal: AbortSignal,
): Promise<FoundBars> {
  const bars: Segment[] = [];
  let leftOut = 0;
  for (const piece of pieces) {
    const { score } = piece.piece;
    if (!score || piece.marks.length === 0) continue;
    const { mapping, file } = score;
    const worker = new ScoreWorker();
    try {
      await openPieceScore(worker, { choir, piece: piece.id, file }, { signal });
      for (const stretch of stretchesOf(piece.marks)) {
        signal.throwIfAborted();
        const [from, to] = placesIn(score.byBar.numbers, stretch);
        const ask = (form: 'line' | 'parts', of: readonly Section[]) =>
          worker.ask('excerpt', {
            ...{ mapping, from, to, form, asWritten: true, words: { kind: 'own' } },
            parts: of.map(({ id, octave }) => ({ id, octave })),
          });
        const lines = await Promise.all(sections.map((one) => ask('line', [one])));
        const singing = sections.filter((_, i) => lines[i]);
        const excerpt = singing.length > 0 ? await ask('parts', singing) : null;
        const segment = excerpt && segmentOfBars(excerpt, piece, stretch, singing);
        if (segment && bars.length < most) bars.push(segment);
        else leftOut += 1;
      }
    } finally {
      worker.end();
    }
  }
  return { bars, leftOut };
}

/** The places of bars by their printed numbers; the first and the last where a number is none of them. */
function placesIn(numbers: readonly number[], { from, to }: Stretch): [from: number, to: number] {
  const first = numbers.findIndex((number) => number >= from);
  const last = numbers.findLastIndex((number) => number <= to);
  return [Math.max(0, first), Math.max(0, first, last)];
}
