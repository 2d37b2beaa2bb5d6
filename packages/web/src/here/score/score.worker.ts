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
  type PieceAnalysis,
  type PieceSetting,
  type PieceScore,
} from '@wide-fern/core';
import { readScore, UnreadableFile } from '@wide-fern/interchange';
import { hasLarge, keepLarge, readLarge } from '@wide-fern/client/large';
import { expose } from 'comlink';
import { scoreRefused, type ScoreApi } from './messages';

let held: PieceScore | undefined;
/** The kept file that is open, if it is one: what was found in it is remembered on this device. */
let file: string | undefined;

const scoreKey = (of: string): string => `score:${of}`;

/** The open score; one that was read before is fetched from this device when it is first needed. */
async function score(): Promise<PieceScore> {
  if (!held && file !== undefined)
    held = (await readLarge(scoreKey(file))) as PieceScore | undefined;
  if (!held) throw new UnreadableFile('No score has been read yet.');
  return held;
}

const musicsOf = async (mapping: readonly Mapping[], parts: readonly string[], transpose = 0) =>
  partsOfScore(await score(), mapping, parts).map((music) => transposed(music, transpose));

/** What a piece asks, by file and by what it is asked for: computed once on this device. */
async function analysed(setting: PieceSetting): Promise<PieceAnalysis> {
  const key = file === undefined ? undefined : `analysis:${file}:${JSON.stringify(setting)}`;
  const known = key === undefined ? undefined : await readLarge(key);
  if (known) return known as PieceAnalysis;
  const analysis = analysePiece(await score(), setting);
  if (key !== undefined) await keepLarge(key, analysis);
  return analysis;
}

const inWords = (error: unknown): string =>
  error instanceof UnreadableFile || error instanceof RangeError
    ? error.message
    : 'This file cannot be read; it may be damaged. Save it again and try once more.';

/** A way to answer that refuses in words for a person. */
const refusing =
  <A extends readonly unknown[], R>(how: (...asked: A) => Promise<R>) =>
  async (...asked: A): Promise<R> => {
    try {
      return await how(...asked);
    } catch (error) {
      throw Object.assign(new Error(inWords(error)), { name: scoreRefused });
    }
  };

const api: ScoreApi = {
  openKept: async (kept) => {
    if (!(await hasLarge(scoreKey(kept)))) return false;
    file = kept;
    return true;
  },
  open: refusing(async (bytes, onProgress, kept) => {
    let told = 0;
    held = readScore(bytes, (share) => {
      // A page that draws every bar's progress is busy with nothing else.
      if (share - told < 0.05) return;
      told = share;
      onProgress(share * 0.9);
    });
    file = kept;
    if (kept !== undefined) await keepLarge(scoreKey(kept), held);
    return foundIn(held);
  }),
  reading: refusing(async ({ mapping, parts }) => readingOfScore(await score(), mapping, parts)),
  analyse: refusing(analysed),
  bars: refusing(async ({ mapping, sections, places, transpose }) =>
    barsScore(
      await score(),
      await musicsOf(
        mapping,
        sections.map(({ id }) => id),
      ),
      sections,
      places,
      transpose,
    ),
  ),
  excerpt: refusing(async ({ mapping, parts, ...wanted }) => {
    const found = await Promise.all(
      parts.map(async ({ id, octave }) =>
        (await musicsOf(mapping, [id])).map((music) => ({ music, octave })),
      ),
    );
    return excerpt(await score(), { ...wanted, parts: found.flat() }) ?? null;
  }),
  listen: refusing(async ({ mapping, parts, from, count, pace, transpose, countIn }) => {
    const order = performanceOrder(await score(), pace);
    const begins =
      'place' in from ? from.place : order.bars.findIndex(({ bar }) => bar >= from.bar);
    const first = Math.max(0, begins);
    const last = Math.min(order.bars.length, first + count) - 1;
    const programme = pieceProgramme({
      score: await score(),
      parts: await musicsOf(mapping, parts, transpose),
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
  }),
};
expose(api);
