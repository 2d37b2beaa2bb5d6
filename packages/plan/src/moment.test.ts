import { evaluate } from './evaluate';
import { momentAt, momentsOf } from './moment';
import { documentOf } from './testing/plans';

const plan = evaluate(documentOf('coat-off', 'slate-steps', 'pulley'), 900);
const [, steps] = plan.segments;

describe('a moment of a plan', () => {
  it('is talk first, then key by key, and says which parts are not at ease', () => {
    const { placed, repetitions } = steps!.computed;
    expect(momentAt(plan, placed.from)).toMatchObject({ kind: 'talk', place: 0, parts: [] });
    repetitions.forEach((one, place) => {
      const found = momentAt(plan, placed.from + one.at);
      if (found.kind !== 'sung') throw new Error('Nothing is sung.');
      expect([found.place, found.of, found.tonic]).toEqual([place, repetitions.length, one.tonic]);
      const resting = one.parts.flatMap((each) => (each.does === 'rest' ? [each.part] : []));
      expect(found.parts.filter(({ does }) => does === 'rest').map(({ part }) => part)).toEqual(
        resting,
      );
      const uneasy = one.parts.filter(
        (each) => each.does === 'sing' && each.fit.state !== 'comfortable',
      );
      expect(found.parts).toHaveLength(resting.length + uneasy.length);
    });
    // Between two keys it is still the one before.
    const middle = placed.from + repetitions[1]!.at - 0.01;
    expect(momentAt(plan, middle)).toMatchObject({ kind: 'sung', place: 0 });
  });
  it('is nothing after the end', () => {
    expect(momentAt(plan, plan.total + 1)).toEqual({ kind: 'nothing', at: plan.total + 1 });
  });
  it('is worth stopping at where a segment or a key begins', () => {
    const all = momentsOf(plan);
    expect(all).toEqual([...all].sort((a, b) => a - b));
    for (const { computed } of plan.segments) {
      expect(all).toContain(computed.placed.from);
      for (const { at } of computed.repetitions) expect(all).toContain(computed.placed.from + at);
    }
  });
});
