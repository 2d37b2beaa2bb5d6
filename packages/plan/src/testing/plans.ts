import { exercises } from '@wide-fern/catalogue';
import { planSchemaVersion, type Plan, type PlanDocument } from '@wide-fern/contract';
import { type Tonight, mixedChoir, usualSections } from '@wide-fern/core';
/** A mixed choir's usual sections, with a high F asked of the sopranos. */
export const tonight: Tonight = {
  sections: usualSections(mixedChoir).map((section) => ({ ...section, singers: 8 })),
  needs: [
    { part: 'S', highest: 77, highestIn: 'Lanterns', lowest: 62, lowestIn: 'Lanterns' },
    { part: 'A', highest: 70, highestIn: 'Lanterns', lowest: 57, lowestIn: 'Lanterns' },
  ],
};

/** A document of built-in exercises; a segment's id is its exercise's. */
export const documentOf = (...ids: readonly string[]): PlanDocument => ({
  schema: planSchemaVersion,
  tonight,
  segments: ids.map((id) => {
    const exercise = exercises.find((one) => one.id === id)!;
    return { id, exercise, choices: { ...exercise.usual, start: null } };
  }),
});

export const planOf = (document: PlanDocument, version = 1): Plan => ({
  id: '00000000-0000-4000-8000-000000000000',
  version,
  savedAt: '2026-12-01T19:12:00.000Z',
  savedBy: 'Joss Whitlam',
  document,
});

export const idsOf = (document: PlanDocument): string[] => document.segments.map(({ id }) => id);
