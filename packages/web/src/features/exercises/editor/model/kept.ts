import { byShape, keptOnDevice } from '@wide-fern/client';
import { emptyDraft, type ExerciseDraft } from './draft';

const drafts = keptOnDevice<ExerciseDraft>('making', byShape(emptyDraft));

/** The draft this person left behind on this device; undefined when there is none. */
export const readKept = (account: string, choir: string, from: string): ExerciseDraft | undefined =>
  drafts.read(account, choir, from);

/** Keeps a draft until it is stored or thrown away, so that a closed tab loses nothing. */
export const keepDraft = (
  account: string,
  choir: string,
  from: string,
  draft: ExerciseDraft | undefined,
): void => void drafts.keep([account, choir, from], draft);
