import { create } from 'zustand';

/** Whether something is pulled by a pointer, or a view by a wheel, right now. */
export const usePulling = create(() => ({ isPulled: false }));

/** So long nothing moves that is pulled no more, though nobody said so: what was pulled may be gone. */
const quiet = 1000;

let over: ReturnType<typeof setTimeout> | undefined;

/** Tells that something is pulled, with every movement; or that it was let go. */
export function setPulled(isPulled: boolean): void {
  clearTimeout(over);
  if (isPulled) over = setTimeout(() => usePulling.setState({ isPulled: false }), quiet);
  if (usePulling.getState().isPulled !== isPulled) usePulling.setState({ isPulled });
}
