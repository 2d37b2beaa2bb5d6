import { readFileSync } from 'node:fs';
import { planSchemaVersion, type PlanDocument } from '@wide-fern/contract';
import { evaluate } from '../evaluate';
import { documentOf } from '../testing/plans';
import { sameDocument } from './same';
import { everStored, readDocument, upcastStored } from './upcast';

/** A document as it was stored under each schema that ever was. */
const sample = (schema: number): { schema: number } =>
  JSON.parse(readFileSync(new URL(`./samples/plan.${schema}.json`, import.meta.url), 'utf8')) as {
    schema: number;
  };

const read = (stored: unknown): PlanDocument => {
  const found = readDocument(stored);
  if (found.kind !== 'document') throw new Error(found.kind);
  return found.document;
};

describe('documents of every schema that was ever stored', () => {
  it('have a sample each, the present one too', () => {
    expect(everStored).toContain(planSchemaVersion);
    expect([...everStored].sort()).toEqual(
      Array.from({ length: planSchemaVersion }, (_, i) => i + 1),
    );
  });
  it.each(everStored)('schema %s is read, and says the same as the present one', (schema) => {
    const now = read(sample(schema));
    expect(now.schema).toBe(planSchemaVersion);
    expect(sameDocument(now, read(sample(planSchemaVersion)))).toBe(true);
    expect(sameDocument(upcastStored(sample(schema)), now)).toBe(true);
    // What was chosen by hand is still there, and every key can be computed.
    expect(now.segments.find(({ exercise }) => exercise.id === 'slate-steps')?.choices.start).toBe(
      61,
    );
    const { segments } = evaluate(now, 900);
    expect(segments.every(({ computed: { keys } }) => keys.kind === 'none' || keys.sung)).toBe(
      true,
    );
  });
});

describe('what cannot be read', () => {
  it('is told apart: newer than this program, or damaged', () => {
    expect(readDocument({ ...documentOf(), schema: planSchemaVersion + 1 })).toEqual({
      kind: 'newer',
      schema: planSchemaVersion + 1,
    });
    for (const damaged of [
      undefined,
      'text',
      [],
      {},
      { schema: 0 },
      { schema: 1 },
      { ...documentOf(), tonight: {} },
      { ...documentOf(), segments: [{ id: 'x' }] },
    ]) {
      expect(readDocument(damaged)).toEqual({ kind: 'damaged' });
    }
    expect(() => upcastStored({ schema: 99 })).toThrow(RangeError);
  });
});
