import { exercises } from '@wide-fern/catalogue';
import { mostSegments, planEditSchema, type Choices, type PlanEdit } from '@wide-fern/contract';
import { segmentOf } from '../document/document';
import { sameDocument } from '../document/same';
import { evaluate } from '../evaluate';
import { documentOf, idsOf } from '../testing/plans';
import { choose } from './edits';
import { factsOf } from './facts';
import { perform, performAll } from './perform';
import {
  bringIn,
  canBeSplit,
  insteadOf,
  moveSeveral,
  onceMore,
  pinSeveral,
  split,
  takeOutSeveral,
} from './several';

const document = documentOf('coat-off', 'long-s', 'narrow-hum', 'pulley', 'ebb-tide');
const exercise = (id: string) => exercises.find((one) => one.id === id)!;
/** What an edit makes, after it was checked as the server would and undone once. */
function done(edit: PlanEdit | undefined, before = document) {
  const performed = perform(before, planEditSchema.parse(edit))!;
  expect(sameDocument(perform(performed.document, performed.inverse)!.document, before)).toBe(true);
  return performed.document;
}
const order = (edit: PlanEdit | undefined) => idsOf(done(edit));

describe('another exercise instead', () => {
  it('stands where the old one stood, and is told as one edit', () => {
    const edit = insteadOf(document, 'narrow-hum', exercise('embers'), 'new');
    const after = done(edit);
    expect(idsOf(after)).toEqual(['coat-off', 'long-s', 'new', 'pulley', 'ebb-tide']);
    expect(segmentOf(after, 'new')!.exercise.name).toBe('Embers');
    expect(factsOf(edit!, document, after)).toEqual([
      { code: 'instead', name: 'Embers', was: 'Narrow hum' },
    ]);
  });
  it('is nothing where there is nothing to replace', () => {
    expect(insteadOf(document, 'gone', exercise('embers'), 'new')).toBeUndefined();
  });
});

describe('a segment once more', () => {
  it('stands right behind, just as it was chosen', () => {
    const changed = performAll(document, [choose('pulley', { tempo: 90 })]);
    const after = done(onceMore(changed, 'pulley', 'again'), changed);
    expect(idsOf(after).slice(3, 5)).toEqual(['pulley', 'again']);
    expect(segmentOf(after, 'again')!.choices.tempo).toBe(90);
  });
});

describe('a segment made two', () => {
  const tonicsOf = (plan: typeof document, ids: readonly string[]) =>
    evaluate(plan, 900)
      .segments.filter(({ segment }) => ids.includes(segment.id))
      .flatMap(({ computed: { keys } }) => (keys.kind === 'none' ? [] : (keys.sung?.tonics ?? [])));
  const with_ = (choices: Partial<Choices>) =>
    performAll(documentOf('pulley'), [choose('pulley', choices)]);

  it.each([{ shape: 'up' }, { shape: 'down' }, { shape: 'up', repetitions: 5, step: 2 }] as const)(
    'sings the same keys, one half behind the other: %j',
    (choices) => {
      const before = with_(choices);
      const after = done(split(before, 'pulley', 'rest'), before);
      expect(idsOf(after)).toEqual(['pulley', 'rest']);
      expect(tonicsOf(after, ['pulley', 'rest'])).toEqual(tonicsOf(before, ['pulley']));
    },
  );

  it('explains itself once, and takes what was told by hand along', () => {
    const told = { S: { '0': 'rest' as const, '5': 'rest' as const } };
    const before = with_({ repetitions: 6, told, after: 10, demonstrate: 'once' });
    const after = done(split(before, 'pulley', 'rest'), before);
    const [first, second] = after.segments.map(({ choices }) => choices);
    expect(first!.told).toEqual({ S: { '0': 'rest' } });
    expect(second!.told).toEqual({ S: { '2': 'rest' } });
    expect(first!.after).toBeUndefined();
    expect(second).toMatchObject({ talk: 0, demonstrate: 'no', after: 10 });
  });

  it('is left whole where the halves would be something else', () => {
    const one = (choices: Partial<Choices>, id = 'pulley') =>
      canBeSplit(performAll(documentOf(id), [choose(id, choices)]).segments[0]!);
    expect(one({})).toBe(true);
    expect(one({ repetitions: 1 })).toBe(false);
    expect(one({ shape: 'up-and-back' })).toBe(false);
    expect(one({ bySteps: true })).toBe(false);
    expect(one({ tempoStep: 4 })).toBe(false);
    expect(split(with_({ shape: 'outward' }), 'pulley', 'rest')).toBeUndefined();
    // Rounds that grow begin anew.
    const growing = exercises.find(
      ({ music }) => music.kind === 'breath' && music.increment.out > 0,
    )!;
    expect(one({ repetitions: 4 }, growing.id)).toBe(false);
  });
});

describe('several at once', () => {
  const ids = (...some: string[]) => new Set(some);
  it('move together, as they stand to each other', () => {
    expect(order(moveSeveral(document, ids('narrow-hum', 'pulley'), -1))).toEqual([
      'coat-off',
      'narrow-hum',
      'pulley',
      'long-s',
      'ebb-tide',
    ]);
    expect(order(moveSeveral(document, ids('long-s', 'pulley'), 1))).toEqual([
      'coat-off',
      'narrow-hum',
      'long-s',
      'ebb-tide',
      'pulley',
    ]);
  });
  it('do not overtake each other at the ends', () => {
    expect(moveSeveral(document, ids('coat-off', 'long-s'), -1)).toBeUndefined();
    expect(order(moveSeveral(document, ids('coat-off', 'narrow-hum'), -1))).toEqual([
      'coat-off',
      'narrow-hum',
      'long-s',
      'pulley',
      'ebb-tide',
    ]);
  });
  it('are left out, and stay as they are', () => {
    expect(order(takeOutSeveral(document, ids('coat-off', 'pulley')))).toEqual([
      'long-s',
      'narrow-hum',
      'ebb-tide',
    ]);
    const pinned = done(pinSeveral(document, ids('long-s', 'pulley'), true));
    const stays = pinned.segments.filter(({ choices }) => choices.pinned).map(({ id }) => id);
    expect(stays).toEqual(['long-s', 'pulley']);
    const again = done(pinSeveral(pinned, ids('long-s', 'pulley'), false), pinned);
    expect(sameDocument(again, document)).toBe(true);
  });
});

describe('segments of another plan', () => {
  const other = performAll(documentOf('slate-steps', 'pulley'), [
    choose('pulley', { tempo: 84, told: { A: { 1: 'rest' } } }),
  ]);
  let n = 0;
  const newId = () => `new${(n += 1)}`;

  it('stand at the end in their order, as they were, under ids of their own', () => {
    const after = done(bringIn(document, other.segments, newId));
    expect(idsOf(after).slice(0, 5)).toEqual(idsOf(document));
    const came = after.segments.slice(5);
    expect(came.map(({ exercise: { id }, choices }) => [id, choices])).toEqual(
      other.segments.map(({ exercise: { id }, choices }) => [id, choices]),
    );
    expect(new Set(idsOf(after)).size).toBe(7);
    const empty = { ...document, segments: [] };
    expect(done(bringIn(empty, other.segments, newId), empty).segments).toHaveLength(2);
  });

  it('are not there twice under the same ids: only what is missing comes', () => {
    const named = ({ id }: { id: string }) => `there-${id}`;
    const first = done(bringIn(document, other.segments.slice(0, 1), named));
    const both = bringIn(first, other.segments, named);
    expect(both).toMatchObject({
      kind: 'together',
      edits: [{ kind: 'add', after: idsOf(first).at(-1) }],
    });
    expect(bringIn(done(both, first), other.segments, named)).toEqual({
      kind: 'together',
      edits: [],
    });
  });

  it('come all or none', () => {
    const room = mostSegments - 1;
    const full = {
      ...document,
      segments: Array.from({ length: room }, (_, i) => ({ ...document.segments[0]!, id: `f${i}` })),
    };
    expect(bringIn(full, other.segments, newId)).toBeUndefined();
    expect(bringIn(full, other.segments.slice(0, 1), newId)).toBeDefined();
    expect(bringIn(document, [], newId)).toBeUndefined();
  });
});
