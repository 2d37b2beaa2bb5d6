/** What the ladder charges, in whole points, so that results are exact (docs/model.md, section 5). */
export const ladderCosts = {
  /** Each semitone outside the stage's window. */
  outsideWindow: 1,
  /** Each semitone below the comfort. */
  belowComfort: 2,
  /** Each semitone above the comfort. */
  aboveComfort: 4,
  /** A key sung in another octave than usual. */
  awayFromUsual: 3,
  /** A key in which the part rests. */
  rest: 6,
  /** A change of octave, or of resting, from one key to the next. */
  change: 2,
  /** Each semitone between the start and the preferred one. */
  startMoved: 1,
  /** Each semitone by which the highest tonic misses the goal. */
  goalMissed: 3,
  /** Each semitone by which the lowest tonic stays above the goal below. */
  bottomGoalMissed: 3,
} as const;
