import { choirScore, type Score, type ScoreSection } from '../notation';
import type { Repetition } from '../fit/sounding';
import type { PlannedExercise, SegmentChoices } from './planned';

/** An exercise as it is written out in a segment, with what was chosen for its single keys and times. */
export const writtenIn = <E extends PlannedExercise>({
  exercise,
  choices: { inKeys, inTimes, linesInTurn, verses },
}: {
  readonly exercise: E;
  readonly choices: Pick<SegmentChoices, 'inKeys' | 'inTimes' | 'linesInTurn' | 'verses'>;
}) => ({ ...exercise, inKeys, inTimes, linesInTurn, verses });

/**
 * The score of a segment as it is sung in a plan; undefined for what has no pitch.
 * @param repetitions the keys, as the segment was computed
 */
export const segmentScore = (
  segment: {
    readonly exercise: PlannedExercise & { readonly name: string };
    readonly choices: SegmentChoices;
  },
  sections: readonly ScoreSection[],
  repetitions: readonly Repetition[],
): Score | undefined =>
  choirScore(writtenIn(segment), segment.choices.tempo, sections, repetitions);
