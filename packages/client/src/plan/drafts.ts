import { planDocumentSchema, type PlanDocument } from '@wide-fern/contract';
import type { PlanPlace } from '../queries';

/**
 * Changes that the server has not acknowledged, kept on this device so that a closed tab, a dead
 * server or an ended session loses nothing. One draft for each plan and window.
 */
export interface Draft {
  /** The server's version the changes started from. */
  readonly version: number;
  readonly document: PlanDocument;
  readonly changedAt: string;
  readonly account: string;
}

/** A draft and the key it lies under. */
export interface FoundDraft extends Draft {
  readonly key: string;
}

const prefix = 'wide-fern:draft';
const keyOf = ({ choir, evening, item }: PlanPlace, window: string): string =>
  [prefix, choir, evening, item, window].join(':');

/** Keeps a draft. A full device is no reason to stop working: the change is still in the page and on its way. */
export function keepDraft(place: PlanPlace, window: string, draft: Draft): void {
  try {
    localStorage.setItem(keyOf(place, window), JSON.stringify(draft));
  } catch {
    // Quota or private mode.
  }
}

export const dropDraft = (key: string): void => localStorage.removeItem(key);
export const dropOwnDraft = (place: PlanPlace, window: string): void =>
  dropDraft(keyOf(place, window));

function readDraft(key: string): FoundDraft | undefined {
  try {
    const draft = JSON.parse(localStorage.getItem(key) ?? '') as Draft;
    const document = planDocumentSchema.parse(draft.document);
    return { ...draft, document, key };
  } catch {
    return undefined;
  }
}

/** The newest draft of a plan that this person left behind: this window's own, or one of a window that is closed. */
export function findDraft(
  place: PlanPlace,
  account: string,
  isOpen: (window: string) => boolean,
): FoundDraft | undefined {
  const start = keyOf(place, '');
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(start) && !isOpen(key.slice(start.length)))
    .flatMap((key) => readDraft(key) ?? [])
    .filter((draft) => draft.account === account)
    .sort((a, b) => b.changedAt.localeCompare(a.changedAt))[0];
}
