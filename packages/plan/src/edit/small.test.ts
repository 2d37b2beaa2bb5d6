import fc from 'fast-check';
import {
  mostChanges,
  planDocumentSchema,
  smallEditSchema,
  type Choices,
  type PlanDocument,
  type PlanEdit,
} from '@wide-fern/contract';
import { sameDocument } from '../document/same';
import { documentOf, tonight } from '../testing/plans';
import { choose, moveTo, takeOut } from './edits';
import { performAll } from './perform';
import { smallEditsBetween, withStored } from './small';

const ids = ['coat-off', 'long-s', 'narrow-hum', 'embers', 'pulley', 'ebb-tide'] as const;
const whole = documentOf(...ids);

/** As it comes back from whoever was sent it. */
const sent = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

const id = fc.constantFrom(...ids);
const chosen: fc.Arbitrary<Parameters<typeof choose>[1]> = fc.oneof(
  fc.integer({ min: 10, max: 300 }).map((tempo) => ({ tempo })),
  fc.integer({ min: 0, max: 30 }).map((repetitions) => ({ repetitions })),
  fc.constantFrom(null, 55, 62).map((start) => ({ start })),
  fc.constantFrom(true, false, undefined).map((pinned) => ({ pinned })),
  fc
    .constantFrom<Choices['told']>(undefined, {}, { S: { '1': 'rest' } }, { B: { '0': -24 } })
    .map((told) => ({ told })),
  fc
    .constantFrom<Choices['inKeys']>(undefined, { '2': { pause: { seconds: 5 } } })
    .map((inKeys) => ({ inKeys })),
);
const small: fc.Arbitrary<(now: PlanDocument) => PlanEdit> = fc.oneof(
  fc.tuple(id, chosen).map(
    ([one, choices]) =>
      () =>
        choose(one, choices),
  ),
  fc.tuple(id, fc.nat(ids.length)).map(
    ([one, place]) =>
      (now: PlanDocument) =>
        moveTo(now, one, place),
  ),
);
const afterAll = (edits: readonly ((now: PlanDocument) => PlanEdit)[], from = whole) =>
  edits.reduce((now, make) => performAll(now, [make(now)]), from);

describe('small edits', () => {
  it('lead from one document to the other, as valid ones, whatever was chosen and moved', () => {
    fc.assert(
      fc.property(fc.array(small, { maxLength: 8 }), fc.array(small, { maxLength: 12 }), (a, b) => {
        const from = afterAll(a);
        const to = afterAll(b, from);
        const edits = smallEditsBetween(from, to);
        if (sameDocument(from, to)) {
          expect(edits).toBeUndefined();
          return;
        }
        expect(edits).toBeDefined();
        const read = edits!.map((edit) => smallEditSchema.parse(sent(edit)));
        const there = withStored(sent(from), read);
        expect(sameDocument(there, to)).toBe(true);
        expect(planDocumentSchema.safeParse(there).success).toBe(true);
      }),
    );
  });
  it('add up, one save after the other', () => {
    fc.assert(
      fc.property(fc.array(small, { maxLength: 10 }), (all) => {
        let now = whole;
        const stored = all.flatMap((make) => {
          const next = performAll(now, [make(now)]);
          const edits = smallEditsBetween(now, next) ?? [];
          now = next;
          return sent(edits);
        });
        expect(sameDocument(withStored(sent(whole), stored), now)).toBe(true);
      }),
    );
  });
  it('are none where a segment came or went, or tonight changed', () => {
    expect(smallEditsBetween(whole, performAll(whole, [takeOut('embers')]))).toBeUndefined();
    expect(smallEditsBetween(performAll(whole, [takeOut('embers')]), whole)).toBeUndefined();
    const away = { ...tonight, needs: [] };
    expect(smallEditsBetween(whole, { ...whole, tonight: away })).toBeUndefined();
    const other = { ...whole.segments[0]!, exercise: whole.segments[1]!.exercise };
    const replaced = { ...whole, segments: [other, ...whole.segments.slice(1)] };
    expect(smallEditsBetween(whole, replaced)).toBeUndefined();
  });
  it('are few for what a hand does: one key more is one choice', () => {
    const more = performAll(whole, [choose('pulley', { repetitions: 9 })]);
    const edits = smallEditsBetween(whole, more);
    expect(edits).toEqual([{ kind: 'choose', id: 'pulley', choices: { repetitions: 9 } }]);
    expect(mostChanges).toBeGreaterThanOrEqual(2 * whole.segments.length);
  });
  it('of a shape from before are understood', () => {
    const old = { kind: 'choose', id: 'pulley', choices: { demonstrate: true } };
    const there = withStored(whole, [old as never]);
    expect(there.segments.find(({ id: one }) => one === 'pulley')!.choices.demonstrate).toBe(
      'once',
    );
  });
});
