import { choirScore, type Listening, type Section } from '@wide-fern/core';
import { useMemo } from 'react';
import { useHearing } from '../../../music/hearing/useHearing';
import type { Evaluated } from '@wide-fern/plan';
/** Hearing the chosen segment as it is planned, in its keys and at its tempo. */
export interface SegmentHearing {
  /** False for what has no pitch, and where no key works. */
  readonly canBeHeard: boolean;
  readonly isOn: boolean;
  /** Why nothing is heard, in words. */
  readonly failed: string | undefined;
  readonly toggle: () => void;
}

export function useSegmentHearing(
  evaluated: Evaluated | undefined,
  sections: readonly Section[],
): SegmentHearing {
  const listening = useMemo((): Listening | undefined => {
    if (!evaluated) return undefined;
    const { exercise, choices } = evaluated.segment;
    const score = choirScore(exercise, choices.tempo, sections, evaluated.computed.repetitions);
    if (!score || score.keys.length === 0) return undefined;
    const { countIn, breathBeats, keyChangeBeats } = exercise;
    return { score, countIn, verses: choices.verses, breathBeats, keyChangeBeats };
  }, [evaluated, sections]);
  const tempo = evaluated?.segment.choices.tempo ?? 60;
  const { state, begin, stop } = useHearing(listening, tempo, null);
  const isOn = state.kind === 'playing' || state.kind === 'opening';
  return {
    canBeHeard: listening !== undefined,
    isOn,
    failed: state.kind === 'failed' ? state.message : undefined,
    toggle: () => (isOn ? stop() : void begin()),
  };
}
