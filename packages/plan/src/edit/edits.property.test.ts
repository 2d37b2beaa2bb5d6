import fc from 'fast-check';
import type { Choices, PlanDocument, PlanEdit, SingleEdit } from '@wide-fern/contract';
import { segmentOf } from '../document/document';
import { sameDocument } from '../document/same';
import { documentOf, tonight } from '../testing/plans';
import { editsBetween, merge } from './between';
import { performAll, perform } from './perform';

const ids = ['coat-off', 'long-s', 'narrow-hum', 'embers', 'pulley', 'ebb-tide'] as const;
const whole = documentOf(...ids);
const fresh = ['new-1', 'new-2', 'new-3'];
const lower = {
  ...tonight,
  sections: tonight.sections.map((one) => ({
    ...one,
    comfort: [one.comfort[0], one.comfort[1] - 1] as const,
  })),
};

const id = fc.constantFrom(...ids);
const after = fc.constantFrom(null, ...ids, ...fresh);
const choices: fc.Arbitrary<Partial<Choices>> = fc.oneof(
  fc.integer({ min: 40, max: 44 }).map((tempo) => ({ tempo })),
  fc.integer({ min: 1, max: 3 }).map((repetitions) => ({ repetitions })),
  fc.constantFrom(null, 60, 62).map((start) => ({ start })),
  // Choices that need not be made: what was not chosen is not chosen again when it is undone.
  fc.integer({ min: 0, max: 3 }).map((coach) => ({ coach })),
  fc.boolean().map((pinned) => ({ pinned })),
  fc.constantFrom('rest' as const, 'never' as const).map((tooHigh) => ({ tooHigh })),
  fc.constantFrom({ seconds: 5, every: 2 }, { seconds: 9, every: 3 }).map((reset) => ({ reset })),
  fc
    .constantFrom({}, { S: { '1': 'rest' as const } }, { B: { '0': -24 } })
    .map((told) => ({ told })),
);
const adding = (names: readonly string[]): fc.Arbitrary<SingleEdit> =>
  fc.tuple(fc.constantFrom(...names), id, after).map(([name, like, behind]) => ({
    kind: 'add',
    segment: { ...segmentOf(whole, like)!, id: name },
    after: behind,
  }));
const single = (names: readonly string[]): fc.Arbitrary<SingleEdit> =>
  fc.oneof(
    adding(names),
    id.map((one): SingleEdit => ({ kind: 'take-out', id: one })),
    fc
      .tuple(id, after)
      .map(([one, behind]): SingleEdit => ({ kind: 'move', id: one, after: behind })),
    fc
      .tuple(id, choices)
      .map(([one, chosen]): SingleEdit => ({ kind: 'choose', id: one, choices: chosen })),
  );
const editing = (names: readonly string[]): fc.Arbitrary<PlanEdit> =>
  fc.oneof(
    single(names),
    fc
      .array(single(names), { minLength: 1, maxLength: 4 })
      .map((all): PlanEdit => ({ kind: 'together', edits: all })),
    fc.constant<PlanEdit>({ kind: 'tonight', tonight: lower, starts: { pulley: 61 } }),
  );
const edits = (names: readonly string[] = fresh, most = 10) =>
  fc.array(editing(names), { maxLength: most });
const order = ({ segments }: PlanDocument) => segments.map((segment) => segment.id);

describe('edits, whatever their row', () => {
  it('never lose or double a segment that was not meant', () => {
    fc.assert(
      fc.property(edits(), (all) => {
        let document = whole;
        const expected = new Set<string>(ids);
        for (const edit of all) {
          document = performAll(document, [edit]);
          for (const one of edit.kind === 'together' ? edit.edits : [edit]) {
            if (one.kind === 'take-out') expected.delete(one.id);
            if (one.kind === 'add') expected.add(one.segment.id);
          }
          expect(new Set(order(document))).toEqual(expected);
          expect(order(document)).toHaveLength(expected.size);
        }
      }),
    );
  });

  it('are undone one by one to where they began, and done again to where they led', () => {
    fc.assert(
      fc.property(edits(), (all) => {
        const undoing: PlanEdit[] = [];
        let document = whole;
        for (const edit of all) {
          const performed = perform(document, edit);
          if (!performed) continue;
          undoing.unshift(performed.inverse);
          document = performed.document;
        }
        const before = performAll(document, undoing);
        expect(before).toEqual(whole);
        expect(performAll(before, all)).toEqual(document);
      }),
    );
  });

  it('that are found between two documents lead from one to the other', () => {
    fc.assert(
      fc.property(edits(), edits(), (one, other) => {
        const from = performAll(whole, one);
        const to = performAll(whole, other);
        const found = editsBetween(from, to);
        // The same new id for another exercise cannot be an edit.
        fc.pre(found !== undefined);
        expect(sameDocument(performAll(from, found), to)).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
});

/** What a value becomes when it was `was` and two changed it: the one that differs; undefined when both do. */
function both<T>(was: T, mine: T, theirs: T): { now: T } | undefined {
  const [a, b, c] = [was, mine, theirs].map((one) => JSON.stringify(one));
  if (a === b) return { now: theirs };
  if (a === c || b === c) return { now: mine };
  return undefined;
}

describe('two versions put together', () => {
  it('have what each changed, field by field, or are a clash', () => {
    let merged = 0;
    fc.assert(
      fc.property(edits(['new-1'], 4), edits(['new-2'], 4), (one, other) => {
        const mine = performAll(whole, one);
        const theirs = performAll(whole, other);
        const found = merge(whole, mine, theirs);
        if (found.kind === 'clash') return;
        merged += 1;
        const { document } = found;
        expect(performAll(theirs, found.edits)).toEqual(document);
        expect(document.tonight).toEqual(both(whole.tonight, mine.tonight, theirs.tonight)!.now);
        for (const name of [...ids, 'new-1', 'new-2']) {
          const [a, b, c, now] = [whole, mine, theirs, document].map((it) => segmentOf(it, name));
          if (a && (!b || !c)) {
            // Taken out by one: the other had not touched it.
            expect(now).toBeUndefined();
            expect((b ?? c ?? a).choices).toEqual(a.choices);
            continue;
          }
          if (!a) {
            expect(now).toEqual(b ?? c);
            continue;
          }
          for (const field of Object.keys(a.choices) as (keyof Choices)[]) {
            const expected = both(a.choices[field], b!.choices[field], c!.choices[field]);
            expect([name, field, now!.choices[field]]).toEqual([name, field, expected!.now]);
          }
        }
      }),
      { numRuns: 400 },
    );
    expect(merged).toBeGreaterThan(40);
  });

  it('are a clash when both changed the same choice, and when one took out what the other changed', () => {
    const tempo = (id: string, value: number): PlanEdit => ({
      kind: 'choose',
      id,
      choices: { tempo: value },
    });
    const out: PlanEdit = { kind: 'take-out', id: 'pulley' };
    const put = (mine: PlanEdit, theirs: PlanEdit) =>
      merge(whole, performAll(whole, [mine]), performAll(whole, [theirs])).kind;
    expect(put(tempo('pulley', 60), tempo('pulley', 70))).toBe('clash');
    expect(put(out, tempo('pulley', 70))).toBe('clash');
    expect(put(tempo('pulley', 70), out)).toBe('clash');
    expect(put(tempo('pulley', 60), tempo('embers', 70))).toBe('merged');
    expect(put(tempo('pulley', 60), { kind: 'choose', id: 'pulley', choices: { verses: 3 } })).toBe(
      'merged',
    );
    expect(put(out, out)).toBe('merged');
    expect(put(out, { kind: 'move', id: 'embers', after: 'pulley' })).toBe('clash');
  });

  it('say so when a segment holds another exercise under the same id', () => {
    const other = {
      ...whole,
      segments: [{ ...whole.segments[0]!, exercise: whole.segments[1]!.exercise }],
    };
    expect(merge(whole, whole, other).kind).toBe('clash');
    expect(editsBetween(whole, other)).toBeUndefined();
  });
});
