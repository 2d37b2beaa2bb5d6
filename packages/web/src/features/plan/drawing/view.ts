import type { Seconds } from '@wide-fern/core';
import type { TimeView } from '../../../music/lanes/geometry';

/** Nearer than this nothing more is seen. */
const nearest: Seconds = 4;

/** A view that lies inside a plan; one that holds it all shows it all. */
export function within({ from, to }: TimeView, whole: Seconds): TimeView {
  const length = Math.min(Math.max(nearest, to - from), Math.max(1, whole));
  const begin = Math.min(Math.max(0, from), Math.max(0, whole - length));
  return { from: begin, to: begin + length };
}
