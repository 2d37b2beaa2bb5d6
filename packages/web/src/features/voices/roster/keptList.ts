import { z } from '@wide-fern/contract';
import { noteNamings, rosterColumns, type NoteNaming, type RosterColumn } from '@wide-fern/core';

/** A list that is being read, with what was put right in it. */
export interface ReadList {
  readonly rows: readonly (readonly string[])[];
  readonly headings: boolean;
  readonly columns: readonly (RosterColumn | null)[];
  readonly naming: NoteNaming;
  /** What could not be understood in it, in words. */
  readonly warning: string | null;
}

const schema: z.ZodType<ReadList> = z.object({
  rows: z.array(z.array(z.string())),
  headings: z.boolean(),
  columns: z.array(z.enum(rosterColumns).nullable()),
  naming: z.enum(noteNamings),
  warning: z.string().nullable(),
});

const prefix = 'wide-fern:list:';

/** The list this person left behind on this device, if there is one. */
export function readKept(account: string, choir: string): ReadList | undefined {
  try {
    return schema.parse(JSON.parse(localStorage.getItem(`${prefix}${account}:${choir}`) ?? ''));
  } catch {
    return undefined;
  }
}

/** Keeps a list until it is stored or thrown away, so that a closed tab loses nothing. */
export function keepList(account: string, choir: string, list: ReadList | undefined): void {
  try {
    if (list) localStorage.setItem(`${prefix}${account}:${choir}`, JSON.stringify(list));
    else localStorage.removeItem(`${prefix}${account}:${choir}`);
  } catch {
    // A full device: the list is still in the page.
  }
}

/** Forgets every list on this device: it holds names, and whoever signs out leaves none behind. */
export function forgetLists(): void {
  for (const key of Object.keys(localStorage)) {
    if (key.startsWith(prefix)) localStorage.removeItem(key);
  }
}
