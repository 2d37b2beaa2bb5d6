import type { EntityManager } from '@mikro-orm/postgresql';
import {
  demoJudgements,
  demoMarks,
  demoScores,
  type DemoPieceKey,
  type DemoScore,
} from '@wide-fern/catalogue/demo';
import { guessParts, readingOfScore } from '@wide-fern/core';
import { compress, writeScoreXml } from '@wide-fern/interchange';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import { Piece, PieceFile, PieceJudgement, PieceMark } from '../db/entities/pieces';

/** The file a demo piece ships as: MusicXML, compressed where its name says so. */
function demoFile({ file, score }: DemoScore): Buffer {
  const xml = writeScoreXml(score);
  return Buffer.from(file.endsWith('.mxl') ? compress(xml) : new TextEncoder().encode(xml));
}

/** Adds the pieces of the demo with their scores, trouble bars and judgements. */
export function addDemoPieces(
  em: EntityManager,
  where: {
    readonly choir: Choir;
    readonly judge: Account;
    readonly parts: readonly string[];
    readonly dateBack: (weeks: number) => string;
  },
): Record<DemoPieceKey, Piece> {
  const { choir, judge, parts, dateBack } = where;
  const add = (key: DemoPieceKey): Piece => {
    const { file: name, score } = demoScores[key];
    const bytes = demoFile(demoScores[key]);
    const mapping = guessParts(score).map(({ line, parts: sung, octaveLower }) => ({
      line: line.id,
      parts: [...sung],
      octaveLower,
    }));
    const { byBar, ranges, seconds } = readingOfScore(score, mapping, parts);
    const file = em.create(PieceFile, { choir, name, size: bytes.length, bytes });
    const piece = em.create(Piece, {
      choir,
      title: score.title,
      composer: score.composer,
      language: score.language,
      ranges,
      file,
      mapping,
      byBar: structuredClone(byBar) as NonNullable<Piece['byBar']>,
      seconds,
    });
    for (const mark of demoMarks[key])
      em.create(PieceMark, { piece, ...mark, parts: [...mark.parts] });
    for (const { weeksAgo, scores, target } of demoJudgements[key]) {
      em.create(PieceJudgement, {
        piece,
        by: judge,
        judgedOn: dateBack(weeksAgo),
        scores: scores.map(([skill, points, note = '']) => ({ skill, score: points, note })),
        target: target ?? null,
      });
    }
    return piece;
  };
  return {
    lanterns: add('lanterns'),
    coldIron: add('coldIron'),
    heron: add('heron'),
    ferry: add('ferry'),
  };
}
