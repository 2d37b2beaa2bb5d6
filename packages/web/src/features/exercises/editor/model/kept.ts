import { emptyDraft, type ExerciseDraft } from './draft';

const keyOf = (account: string, choir: string, from: string): string =>
  `wide-fern:making:${account}:${choir}:${from}`;

/** The draft this person left behind on this device; undefined when there is none or it is damaged. */
export function readKept(account: string, choir: string, from: string): ExerciseDraft | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(account, choir, from)) ?? 'null') as unknown;
    if (typeof kept !== 'object' || kept === null) return undefined;
    // What a newer form asks for and an older one did not keep begins as usual.
    const draft = { ...emptyDraft, ...(kept as Partial<ExerciseDraft>) };
    const sound = Object.entries(emptyDraft).every(([name, value]) => {
      const now = draft[name as keyof ExerciseDraft];
      return value === undefined || value === null || typeof now === typeof value;
    });
    return sound ? draft : undefined;
  } catch {
    return undefined;
  }
}

/** Keeps a draft until it is stored or thrown away, so that a closed tab loses nothing. */
export function keepDraft(
  account: string,
  choir: string,
  from: string,
  draft: ExerciseDraft | undefined,
): void {
  try {
    if (draft) localStorage.setItem(keyOf(account, choir, from), JSON.stringify(draft));
    else localStorage.removeItem(keyOf(account, choir, from));
  } catch {
    // A full device: the draft is still in the page.
  }
}
