/** Holds one score away from the page's own thread: reads it, analyses it, cuts out what is wanted. */
import {
  analysePiece,
  barsScore,
  performanceOrder,
  excerpt,
  foundIn,
  partsOfScore,
  pieceProgramme,
  readingOfScore,
  transposed,
  type Mapping,
  type PieceScore,
} from '@wide-fern/core';
import { readScore, UnreadableFile } from '@wide-fern/interchange';
import type { Asks, FromScoreWorker, ToScoreWorker, Word } from './messages';

let held: PieceScore | undefined;
const score = (): PieceScore => {
  if (!held) throw new UnreadableFile('No score has been read yet.');
  return held;
};
const say = (message: FromScoreWorker) => postMessage(message);

const musicsOf = (mapping: readonly Mapping[], parts: readonly string[], transpose = 0) =>
  partsOfScore(score(), mapping, parts).map((music) => transposed(music, transpose));

const answers: { [W in Word]: (asked: Asks[W]['asked'], id: number) => Asks[W]['answer'] } = {
  open: ({ bytes }, id) => {
    let told = 0;
    held = readScore(bytes, (share) => {
      // A page that draws every bar's progress is busy with nothing else.
      if (share - told < 0.05) return;
      told = share;
      say({ id, kind: 'progress', share: share * 0.9 });
    });
    return foundIn(held);
  },
  reading: ({ mapping, parts }) => readingOfScore(score(), mapping, parts),
  analyse: (setting) => analysePiece(score(), setting),
  bars: ({ mapping, sections, places, transpose }) =>
    barsScore(
      score(),
      musicsOf(
        mapping,
        sections.map(({ id }) => id),
      ),
      sections,
      places,
      transpose,
    ),
  excerpt: ({ mapping, from, to, form, parts, words }) => {
    const found = parts.flatMap(({ id, octave }) =>
      musicsOf(mapping, [id]).map((music) => ({ music, octave })),
    );
    return excerpt(score(), { from, to, form, parts: found, words }) ?? null;
  },
  listen: ({ mapping, parts, from, count, pace, transpose, countIn }) => {
    const order = performanceOrder(score(), pace);
    const begins =
      'place' in from ? from.place : order.bars.findIndex(({ bar }) => bar >= from.bar);
    const first = Math.max(0, begins);
    const last = Math.min(order.bars.length, first + count) - 1;
    const programme = pieceProgramme({
      score: score(),
      parts: musicsOf(mapping, parts, transpose),
      order,
      pace,
      from: first,
      to: last,
      countIn,
    });
    return {
      programme,
      bars: order.bars.slice(first, last + 1).map(({ bar }) => bar),
      next: last + 1 < order.bars.length ? last + 1 : null,
    };
  },
};

const inWords = (error: unknown): string =>
  error instanceof UnreadableFile || error instanceof RangeError
    ? error.message
    : 'This file cannot be read; it may be damaged. Save it again and try once more.';

addEventListener('message', ({ data }: MessageEvent<ToScoreWorker>) => {
  const { id, word, asked } = data;
  try {
    const answer = (answers[word] as (of: unknown, id: number) => unknown)(asked, id);
    say({ id, kind: 'answer', answer });
  } catch (error) {
    say({ id, kind: 'refused', message: inWords(error) });
  }
});
