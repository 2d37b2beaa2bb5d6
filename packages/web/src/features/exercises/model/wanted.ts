import type { Wanted } from '@wide-fern/core';
import { isSaid, wantedParts } from '@wide-fern/words';
import { create } from 'zustand';

interface WantedState {
  readonly wanted: Wanted;
  readonly want: (changed: Wanted) => void;
  readonly wantAll: () => void;
}

/** What is looked for among the exercises; kept while the application is open. */
export const useWanted = create<WantedState>()((set) => ({
  wanted: {},
  want: (changed) => set(({ wanted }) => ({ wanted: { ...wanted, ...changed } })),
  wantAll: () => set({ wanted: {} }),
}));

/** Whether anything is looked for at all. */
export const isNarrowed = (wanted: Wanted): boolean =>
  Boolean(wanted.words) || wantedParts.some((part) => isSaid(part, wanted));
