import type { Exercise, PlanDocument } from '@wide-fern/contract';
import { arrangements, usualShare, type ChoirPart } from '@wide-fern/core';
import { readDocument } from '../document/upcast';
import { withoutPersons } from './withoutPersons';

/** What a file with a plan begins with. */
const format = 'wide-fern warm-up';

/** Who stands in for sections that would tell of persons: the parts of every usual set, by their ids. */
const usualParts: readonly ChoirPart[] = arrangements.flatMap(({ parts }) => parts);

/**
 * A plan as a JSON file, with all its exercises, for another installation or for another time. No person is
 * in it: where fewer than three sing, what the part usually sings stands there.
 */
export const writePlanFile = (name: string, document: PlanDocument): string => {
  const told = withoutPersons(document, usualParts, { share: usualShare });
  return `${JSON.stringify({ format, name, document: told }, null, 2)}\n`;
};

/** The exercises of a plan that are not among those that are known, each once: they are brought along. */
export function broughtAlong(
  { segments }: Pick<PlanDocument, 'segments'>,
  isKnown: (id: string) => boolean,
): Exercise[] {
  const found = new Map<string, Exercise>();
  for (const { exercise } of segments) {
    if (!isKnown(exercise.id)) found.set(exercise.id, exercise);
  }
  return [...found.values()];
}

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
