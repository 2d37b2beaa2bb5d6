import { planDocumentSchema, type PlanDocument } from '@wide-fern/contract';

/** The document with its keys in the schema's order; the database keeps them in its own. */
const canonical = (document: PlanDocument): string =>
  JSON.stringify(planDocumentSchema.parse(document));

/** Whether two documents say the same. */
export const sameDocument = (one: PlanDocument, other: PlanDocument): boolean =>
  one === other || canonical(one) === canonical(other);
