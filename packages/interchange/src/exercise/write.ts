import type { AccidentalPreference, Score } from '@wide-fern/core';
import { writeScoreXml } from '../musicxml/writeScoreXml';
import { pieceScoreOf } from './toScore';

/**
 * An exercise as MusicXML 4.0, partwise: every part a staff, every key of its score in turn
 * (docs/interchange.md).
 */
export const writeMusicXml = (score: Score, preference?: AccidentalPreference): string =>
  writeScoreXml(pieceScoreOf(score, preference));
