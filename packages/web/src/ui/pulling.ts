import { create } from 'zustand';

/** What is pulled by a pointer, or a view by a wheel: on the strip of segments, or elsewhere. */
export type Pulled = 'strip' | 'other' | undefined;

interface Pulling {
  readonly pulled: Pulled;
  /** The segment whose end it is: what lies behind it moves. */
  readonly segment: string | undefined;
}

export const usePulling = create((): Pulling => ({ pulled: undefined, segment: undefined }));

/** So long nothing moves that is pulled no more, though nobody said so: what was pulled may be gone. */
const quiet = 1000;

/** When something moved last. */
let moved = 0;

let over: ReturnType<typeof setTimeout> | undefined;

/** Tells what is pulled, with every movement, and of which segment; or that it was let go. */
export function setPulled(pulled: Pulled, segment?: string): void {
  moved = performance.now();
  clearTimeout(over);
  if (pulled) over = setTimeout(() => setPulled(undefined), quiet);
  const now = usePulling.getState();
  if (now.pulled !== pulled || now.segment !== segment) usePulling.setState({ pulled, segment });
}

/** A hand that moved no more for so long rests (ms). */
const rest = 150;

/**
 * Does something once a hand that pulls rests.
 * @returns to leave it undone
 */
export function onceRested(act: () => void): () => void {
  const asked = performance.now();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const wait = (so: number) => {
    timer = setTimeout(() => {
      const left = Math.max(asked, moved) + rest - performance.now();
      if (left > 1) wait(left);
      else act();
    }, so);
  };
  wait(rest);
  return () => clearTimeout(timer);
}
