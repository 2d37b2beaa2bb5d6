import type { Semitones } from '../units';
import type { Leading, TooHighOrder } from './leading';
import type { PlannedExercise, SegmentChoices } from './planned';

type KeyRules = NonNullable<PlannedExercise['keys']>;

/** What a part may do instead of straining (docs/model.md, section 10). */
const ruleFor: Readonly<Record<TooHighOrder, KeyRules>> = {
  rest: { strict: true, octaveMoves: [0], mayRest: true },
  octave: { mayRest: false },
  never: { strict: true, octaveMoves: [0], mayRest: false },
};

const usualMoves: readonly Semitones[] = [0, -12, 12];

/** An exercise as it is led in a segment: the very same where nothing else was chosen. */
export function asLed<E extends PlannedExercise>(
  exercise: E,
  { voices, lowVoices, tooHigh }: Pick<SegmentChoices, keyof Leading>,
): E {
  if (!voices && !lowVoices && !tooHigh) return exercise;
  const { groups, ...own } = exercise.keys ?? {};
  const ruled: KeyRules = { ...own, ...(tooHigh ? ruleFor[tooHigh] : {}) };
  const moves = ruled.octaveMoves ?? (exercise.anchor === 'speech' ? [0] : usualMoves);
  const apart = voices === undefined ? groups : voices === 'all' ? undefined : voices;
  return {
    ...exercise,
    anchor: lowVoices === 'light' && exercise.anchor === 'middle' ? 'light' : exercise.anchor,
    keys: {
      ...ruled,
      ...(lowVoices === 'below' ? { octaveMoves: moves.filter((move) => move <= 0) } : {}),
      ...(apart ? { groups: apart } : {}),
    },
  };
}
