import { planEditSchema } from '@wide-fern/contract';
import { segmentOf } from '../document/document';
import { evaluate } from '../evaluate';
import { documentOf } from '../testing/plans';
import { choose } from './edits';
import { factsOf } from './facts';
import { perform, performAll } from './perform';
import { split } from './several';
import { changeKey, changeTime } from './single';

const document = documentOf('pulley');
const pulley = segmentOf(document, 'pulley')!;

describe('a single key', () => {
  it('is changed, and as the rest again with nothing left of it', () => {
    const changed = changeKey(pulley, 2, { way: { sounds: ['mee'] }, pause: { seconds: 10 } });
    expect(changed.inKeys).toEqual({ '2': { way: { sounds: ['mee'] }, pause: { seconds: 10 } } });
    const there = { choices: { ...pulley.choices, ...changed } };
    expect(changeKey(there, 2, { pause: undefined }).inKeys).toEqual({
      '2': { way: { sounds: ['mee'] } },
    });
    expect(
      changeKey(there, 2, { pause: undefined, way: { sounds: [], cue: '' } }).inKeys,
    ).toBeUndefined();
    expect(changeTime(pulley, 1, { dynamic: 'p' }).inTimes).toEqual({ '1': { dynamic: 'p' } });
    expect(changeTime(pulley, 1, {}).inTimes).toBeUndefined();
  });
  it('is one edit: checked, done, told, undone', () => {
    const edit = planEditSchema.parse(
      choose('pulley', changeKey(pulley, 1, { played: 'nothing', pause: { seconds: 15 } })),
    );
    const { document: after, inverse } = perform(document, edit)!;
    expect(factsOf(edit, document, after)).toEqual([
      { code: 'single', name: pulley.exercise.name, unit: 'keys', count: 1 },
    ]);
    const total = (of: typeof document) => evaluate(of, 900).total;
    expect(total(after)).toBeCloseTo(total(document) + 15);
    expect(total(perform(after, inverse)!.document)).toBeCloseTo(total(document));
  });
  it('is refused where its pause is none', () => {
    const edit = (seconds: number) =>
      planEditSchema.safeParse(choose('pulley', changeKey(pulley, 1, { pause: { seconds } })));
    expect(edit(0).error?.issues[0]?.message).toBe('A pause has 1 s at least.');
    expect(edit(301).success).toBe(false);
  });
});

describe('a segment parted after a key', () => {
  it('takes along what is other in its keys, and goes on with the next turn', () => {
    const exercise = {
      ...pulley.exercise,
      passes: {
        over: 'keys' as const,
        each: [{ sounds: ['a'] }, { sounds: ['b'] }, { sounds: ['c'] }],
      },
    };
    const before = performAll({ ...document, segments: [{ ...pulley, exercise }] }, [
      choose('pulley', {
        repetitions: 6,
        inKeys: { '1': { played: 'chord' }, '4': { pause: { seconds: 9 } } },
      }),
    ]);
    const { document: after } = perform(before, split(before, 'pulley', 'rest', 4)!)!;
    const [first, second] = after.segments;
    expect(first!.choices).toMatchObject({ repetitions: 4, inKeys: { '1': { played: 'chord' } } });
    expect(second!.choices).toMatchObject({
      repetitions: 2,
      inKeys: { '0': { pause: { seconds: 9 } } },
    });
    expect(second!.exercise.passes!.each.map(({ sounds }) => sounds![0])).toEqual(['b', 'c', 'a']);
  });
  it('has a key on either side', () => {
    const { repetitions } = pulley.choices;
    expect(split(document, 'pulley', 'rest', 0)).toBeUndefined();
    expect(split(document, 'pulley', 'rest', repetitions)).toBeUndefined();
    expect(split(document, 'pulley', 'rest', repetitions - 1)).toBeDefined();
  });
});
