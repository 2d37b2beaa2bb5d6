import { useEffect, useState } from 'react';
import { onceRested } from './pulling';

/** A value, and while something is pulled the one it had before. */
export function useHeld<T>(value: T, isPulled: boolean): T {
  const [held, setHeld] = useState(value);
  if (!isPulled && held !== value) setHeld(value);
  return isPulled ? held : value;
}

/** A hand that moved no more for so long rests (ms). */
const rest = 150;

/** A value, and while something is pulled the one it had when the hand rested last. */
export function useRested<T>(value: T, isPulled: boolean): T {
  const [held, setHeld] = useState(value);
  if (!isPulled && held !== value) setHeld(value);
  useEffect(() => {
    if (!isPulled) return undefined;
    return onceRested(rest, () => setHeld(value));
  }, [value, isPulled]);
  return isPulled ? held : value;
}
