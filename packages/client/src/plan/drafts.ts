import type { PlanDocument } from '@wide-fern/contract';
import { z } from '@wide-fern/contract';
import { readDocument } from '@wide-fern/plan';
import { keptOnDevice } from '../device/store';
import type { PlanPlace } from '../queries';

/**
 * Changes that the server has not acknowledged, kept on this device so that a closed tab, a dead
 * server or an ended session loses nothing. One for each plan and window.
 */
export interface UnsavedPlan {
  /** The server's version the changes started from. */
  readonly version: number;
  readonly document: PlanDocument;
  /** The document of that version; unknown in what older pages kept. */
  readonly base: PlanDocument | null;
  readonly changedAt: string;
  readonly account: string;
}

const stored = z.object({
  version: z.int().min(0),
  document: z.unknown(),
  base: z.unknown().optional(),
  changedAt: z.string(),
  account: z.string(),
});

function read(value: unknown): UnsavedPlan | undefined {
  const found = stored.safeParse(value);
  if (!found.success) return undefined;
  const document = readDocument(found.data.document);
  if (document.kind !== 'document') return undefined;
  const base = readDocument(found.data.base);
  return {
    ...found.data,
    document: document.document,
    base: base.kind === 'document' ? base.document : null,
  };
}

const drafts = keptOnDevice<UnsavedPlan>('draft', read);
const idsOf = ({ choir, evening, item }: PlanPlace, window: string) => [
  choir,
  evening,
  item,
  window,
];

export const keepDraft = (place: PlanPlace, window: string, draft: UnsavedPlan): void =>
  void drafts.keep(idsOf(place, window), draft);
export const dropDraft = (place: PlanPlace, window: string): void =>
  void drafts.keep(idsOf(place, window), undefined);

/** The newest draft of a plan that this person left behind, and its window: this one, or one that is closed. */
export function findDraft(
  place: PlanPlace,
  account: string,
  isOpen: (window: string) => boolean,
): (UnsavedPlan & { readonly window: string }) | undefined {
  return drafts
    .below(place.choir, place.evening, place.item)
    .map(({ ids, value }) => ({ ...value, window: ids[0] ?? '' }))
    .filter((draft) => !isOpen(draft.window) && draft.account === account)
    .sort((a, b) => b.changedAt.localeCompare(a.changedAt))[0];
}
