import type { PlanDocument } from '@wide-fern/contract';
import { programme, segmentScore, type Programme, type Score, type Seconds } from '@wide-fern/core';
import { evaluate } from '@wide-fern/plan';

/** A segment that is sung in keys: its score, what is heard of it, and when it begins in the warm-up. */
export interface SungSegment {
  readonly name: string;
  readonly from: Seconds;
  readonly score: Score;
  readonly heard: Programme;
}

/** What is sung in keys in a warm-up, in its order. */
export function sungSegments(document: PlanDocument, allotted: Seconds): SungSegment[] {
  const { sections } = document.tonight;
  return evaluate(document, allotted).segments.flatMap(({ segment, computed }) => {
    const { exercise, choices } = segment;
    const score = segmentScore(segment, sections, computed.repetitions);
    if (!score || score.keys.length === 0) return [];
    return [
      {
        name: exercise.name,
        from: computed.placed.from + choices.talk,
        score,
        heard: programme({ ...exercise, score, verses: choices.verses }),
      },
    ];
  });
}
