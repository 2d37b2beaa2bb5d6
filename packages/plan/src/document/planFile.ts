import type { PlanDocument } from '@wide-fern/contract';
import { readDocument } from './upcast';

/** What a file with a plan begins with. */
const format = 'wide-fern warm-up';

/** A plan as a JSON file: nothing of it is left out, and no person is in it. */
export const writePlanFile = (name: string, document: PlanDocument): string =>
  `${JSON.stringify({ format, name, document }, null, 2)}\n`;

/** What was found in such a file, or in words for a person why nothing is. */
export type ReadPlanFile =
  | { readonly kind: 'plan'; readonly name: string; readonly document: PlanDocument }
  | { readonly kind: 'refused'; readonly why: string };

const refused = (why: string): ReadPlanFile => ({ kind: 'refused', why });

/** Reads such a file, of any version that was ever written. */
export function readPlanFile(text: string): ReadPlanFile {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return refused('This file is no whole JSON: it breaks off or is damaged. Save it again.');
  }
  const file = (data ?? {}) as { format?: unknown; name?: unknown; document?: unknown };
  if (file.format !== format) return refused('This file holds no warm-up of Wide Fern.');
  const read = readDocument(file.document);
  if (read.kind === 'newer') {
    return refused('This warm-up was written by a newer Wide Fern; bring this one up to date.');
  }
  if (read.kind === 'damaged') return refused('The warm-up in this file is damaged.');
  const name = typeof file.name === 'string' && file.name.trim() ? file.name : 'Warm-up';
  return { kind: 'plan', name: name.slice(0, 60), document: read.document };
}
