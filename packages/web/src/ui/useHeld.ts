import { useEffect, useState } from 'react';
import { onceRested } from './pulling';

/** A value, and while something is pulled the one it had before. */
export function useHeld<T>(value: T, isPulled: boolean): T {
  const [held, setHeld] = useState(value);
  if (!isPulled && held !== value) setHeld(value);
  return isPulled ? held : value;
}

/** A value, and while something is pulled the one it had when the hand rested last. */
export function useRested<T>(value: T, isPulled: boolean): T {
  const [held, setHeld] = useState(value);
  if (!isPulled && held !== value) setHeld(value);
  useEffect(() => {
    if (!isPulled) return undefined;
    return onceRested(() => setHeld(value));
  }, [value, isPulled]);
  return isPulled ? held : value;
}
