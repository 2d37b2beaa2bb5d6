import { bySchema, keptOnDevice } from '@wide-fern/client';
import { z } from '@wide-fern/contract';
import { noteNamings, rosterColumns, type NoteNaming, type RosterColumn } from '@wide-fern/core';

/** A list that is being read, with what was put right in it. */
export interface ReadList {
  readonly rows: readonly (readonly string[])[];
  readonly headings: boolean;
  readonly columns: readonly (RosterColumn | null)[];
  readonly naming: NoteNaming;
  /** The ways of naming that read the list as well and otherwise; none when it is clear. */
  readonly either: readonly NoteNaming[];
  /** What could not be understood in it, in words. */
  readonly warning: string | null;
}

const schema: z.ZodType<ReadList> = z.object({
  rows: z.array(z.array(z.string())),
  headings: z.boolean(),
  columns: z.array(z.enum(rosterColumns).nullable()),
  naming: z.enum(noteNamings),
  either: z.array(z.enum(noteNamings)).default([]),
  warning: z.string().nullable(),
});

const lists = keptOnDevice('list', bySchema(schema));

/** The list this person left behind on this device, if there is one. */
export const readKept = (account: string, choir: string): ReadList | undefined =>
  lists.read(account, choir);

/** Keeps a list until it is stored or thrown away, so that a closed tab loses nothing. */
export const keepList = (account: string, choir: string, list: ReadList | undefined): void =>
  void lists.keep([account, choir], list);
