import type { Section } from '@wide-fern/core';
import { useEffect, useMemo, useState } from 'react';
import { useHearing } from '../../../music/hearing/useHearing';
import { usePulling } from '../../../ui/pulling';
import { useHeld } from '../../../ui/useHeld';
import type { Evaluated } from '@wide-fern/plan';
import type * as listening from './listening';

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
  const [code, setCode] = useState<typeof listening>();
  useEffect(() => {
    let wanted = true;
    // Right behind the page; without it nothing can be heard, and nothing else is missing.
    void import('./listening').then(
      (it) => {
        if (wanted) setCode(it);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, []);
  // Nobody hears what is only being pulled.
  const held = useHeld(evaluated, usePulling().pulled !== undefined);
  const settled = held?.segment.id === evaluated?.segment.id ? held : evaluated;
  const heard = useMemo(
    () => (settled ? code?.listeningOf(settled, sections) : undefined),
    [code, settled, sections],
  );
  const tempo = settled?.segment.choices.tempo ?? 60;
  const { state, begin, stop } = useHearing(heard, tempo, null);
  const isOn = state.kind === 'playing' || state.kind === 'opening';
  return {
    canBeHeard: heard !== undefined,
    isOn,
    failed: state.kind === 'failed' ? state.message : undefined,
    toggle: () => (isOn ? stop() : void begin()),
  };
}
