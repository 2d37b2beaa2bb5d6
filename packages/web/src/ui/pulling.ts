import { create } from 'zustand';

/** What is pulled by a pointer, or a view by a wheel: on the strip of segments, or elsewhere. */
export type Pulled = 'strip' | 'other' | undefined;

export const usePulling = create((): { readonly pulled: Pulled } => ({ pulled: undefined }));

/** So long nothing moves that is pulled no more, though nobody said so: what was pulled may be gone. */
const quiet = 1000;

let over: ReturnType<typeof setTimeout> | undefined;

/** Tells what is pulled, with every movement; or that it was let go. */
export function setPulled(pulled: Pulled): void {
  clearTimeout(over);
  if (pulled) over = setTimeout(() => usePulling.setState({ pulled: undefined }), quiet);
  if (usePulling.getState().pulled !== pulled) usePulling.setState({ pulled });
}
