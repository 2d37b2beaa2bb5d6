import {
  planDocumentSchema,
  planSchemaVersion,
  type PlanDocument,
  type Segment,
} from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';

/** A plan with nothing in it yet. */
export const emptyDocument = (tonight: Tonight): PlanDocument => ({
  schema: planSchemaVersion,
  tonight,
  segments: [],
});

/** The segment of a plan by its id. */
export const segmentOf = (document: PlanDocument, id: string): Segment | undefined =>
  document.segments.find((segment) => segment.id === id);

/** The document with its keys in the schema's order; the database keeps them in its own. */
const canonical = (document: PlanDocument): string =>
  JSON.stringify(planDocumentSchema.parse(document));

/** Whether two documents say the same. */
export const sameDocument = (one: PlanDocument, other: PlanDocument): boolean =>
  one === other || canonical(one) === canonical(other);
