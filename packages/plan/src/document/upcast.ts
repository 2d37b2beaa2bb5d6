import {
  planDocumentSchema,
  planSchemaVersion,
  upcastChoices,
  upcastExercise,
  type PlanDocument,
} from '@wide-fern/contract';

type Stored = Readonly<Record<string, unknown>>;
/** Brings a document of one schema to the next. */
type Upcaster = (stored: Stored) => Stored;

const isRecord = (value: unknown): value is Stored =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A document whose segments' exercises and choices are brought up to what they are now. */
function eachSegment(stored: Stored, schema: number): Stored {
  const segments = Array.isArray(stored.segments) ? (stored.segments as unknown[]) : [];
  return {
    ...stored,
    schema,
    segments: segments.map((segment) =>
      isRecord(segment)
        ? {
            ...segment,
            exercise: upcastExercise(segment.exercise),
            choices: upcastChoices(segment.choices),
          }
        : segment,
    ),
  };
}

/** By the schema they begin from. */
const upcasters: Readonly<Record<number, Upcaster>> = {
  // Sections were called bands.
  1: (stored) => {
    const { bands, ...tonight } = isRecord(stored.tonight) ? stored.tonight : {};
    return { ...stored, schema: 2, tonight: { ...tonight, sections: bands } };
  },
  // Exercises had no anchor, moves were sentences, and a demonstration was there or not.
  2: (stored) => eachSegment(stored, 3),
  // Only vowels changed from pass to pass.
  3: (stored) => eachSegment(stored, 4),
};

/** Documents of these schemas were ever stored; each has a sample that the tests read. */
export const everStored: readonly number[] = [
  ...Object.keys(upcasters).map(Number),
  planSchemaVersion,
];

/** A document as it was read, or why it cannot be: it is of a schema that is not known, or damaged. */
export type ReadDocument =
  | { readonly kind: 'document'; readonly document: PlanDocument }
  | { readonly kind: 'newer'; readonly schema: number }
  | { readonly kind: 'damaged' };

/** Reads a document of any schema that was ever stored, and brings it up to the present one. */
export function readDocument(stored: unknown): ReadDocument {
  let now = stored;
  while (isRecord(now) && now.schema !== planSchemaVersion) {
    const { schema } = now;
    if (typeof schema !== 'number') return { kind: 'damaged' };
    const upcast = upcasters[schema];
    if (!upcast)
      return schema > planSchemaVersion ? { kind: 'newer', schema } : { kind: 'damaged' };
    now = upcast(now);
  }
  const read = planDocumentSchema.safeParse(now);
  return read.success ? { kind: 'document', document: read.data } : { kind: 'damaged' };
}

/**
 * The same for what the server stored itself, checked when it came in: brought up to the present
 * schema without checking every note anew.
 * @throws RangeError for a schema that is not known.
 */
export function upcastStored(stored: { readonly schema: number }): PlanDocument {
  let now: Stored = { ...stored };
  while (now.schema !== planSchemaVersion) {
    const upcast = upcasters[now.schema as number];
    if (!upcast) throw new RangeError(`A plan of schema ${String(now.schema)} is not known.`);
    now = upcast(now);
  }
  return now as PlanDocument;
}
