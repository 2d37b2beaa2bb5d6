import type { EntityManager } from '@mikro-orm/postgresql';
import {
  demoJudgements,
  demoJudgings,
  demoMarks,
  demoScores,
  type DemoJudging,
  type DemoPieceKey,
  type DemoScore,
} from '@wide-fern/catalogue/demo';
import { guessParts, readingOfScore } from '@wide-fern/core';
import { compress, writeScoreXml } from '@wide-fern/interchange';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import {
  Piece,
  PieceFile,
  PieceJudgement,
  PieceJudging,
  PieceJudgingCard,
  PieceMark,
} from '../db/entities/pieces';

/** The file a demo piece ships as: MusicXML, compressed where its name says so. */
function demoFile({ file, score }: DemoScore): Buffer {
  const xml = writeScoreXml(score);
  return Buffer.from(file.endsWith('.mxl') ? compress(xml) : new TextEncoder().encode(xml));
}

/** Who judges in the demo, the director first, and on which day. */
interface Judged {
  readonly judges: readonly Account[];
  readonly dateBack: (weeks: number) => string;
}

/** The runs of a piece that several judged, one after the other, also on one evening. */
function addJudgings(
  em: EntityManager,
  piece: Piece,
  judgings: readonly DemoJudging[],
  { judges, dateBack }: Judged,
): void {
  for (const [n, one] of judgings.entries()) {
    const { weeksAgo, group = '', tried = '', skills, cards, agreed } = one;
    const said = ({ scores, target }: NonNullable<typeof agreed>) => ({
      scores: scores.map((score, i) => ({ skill: skills[i]!, score, note: '' })),
      target: target ?? null,
    });
    const judging = em.create(PieceJudging, {
      ...{ piece, by: judges[0]!, judgedOn: dateBack(weeksAgo), who: group, tried },
      ...{ skills: [...skills], closed: agreed !== undefined },
      agreed: agreed ? said(agreed) : null,
      createdAt: new Date(Date.now() - 60_000 * (judgings.length - n)),
    });
    for (const [i, card] of cards.entries()) {
      if (card) em.create(PieceJudgingCard, { judging, by: judges[i]!, ...said(card) });
    }
  }
}

/** Adds the pieces of the demo with their scores, trouble bars and judgements. */
export function addDemoPieces(
  em: EntityManager,
  where: Judged & { readonly choir: Choir; readonly parts: readonly string[] },
): Record<DemoPieceKey, Piece> {
  const { choir, judges, parts, dateBack } = where;
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
        by: judges[0]!,
        judgedOn: dateBack(weeksAgo),
        scores: scores.map(([skill, points, note = '']) => ({ skill, score: points, note })),
        target: target ?? null,
      });
    }
    addJudgings(em, piece, demoJudgings[key], where);
    return piece;
  };
  return {
    lanterns: add('lanterns'),
    coldIron: add('coldIron'),
    heron: add('heron'),
    ferry: add('ferry'),
  };
}
