import { useCallback, useEffect, useRef, useState } from 'react';
import { onceRested, usePulling } from '../../../ui/pulling';

const nothing = () => undefined;

/** What was done last, in words for whoever listens; while something is pulled, once the hand rests. */
export function useSaid(): readonly [said: string, say: (words: string) => void] {
  const [said, setSaid] = useState('');
  const callOff = useRef<() => void>(nothing);
  const say = useCallback((words: string) => {
    callOff.current();
    callOff.current = nothing;
    if (usePulling.getState().pulled) callOff.current = onceRested(() => setSaid(words));
    else setSaid(words);
  }, []);
  useEffect(() => () => callOff.current(), []);
  return [said, say];
}
