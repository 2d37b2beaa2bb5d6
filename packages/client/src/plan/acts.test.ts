import { exercises } from '@wide-fern/catalogue';
import type { EditFact } from '@wide-fern/contract';
import type { KeyProposal } from '@wide-fern/plan';
import { documentOf, idsOf, planOf } from '@wide-fern/plan/testing';
import { planActs } from './acts';
import { chosenTogether, createPlanStore } from './planStore';

function open(...ids: readonly string[]) {
  const document = documentOf(...ids);
  const store = createPlanStore(planOf(document), document);
  const said: EditFact[] = [];
  const asked: (KeyProposal | undefined)[] = [];
  const acts = planActs(
    store,
    (fact) => said.push(fact),
    (proposal) => asked.push(proposal),
  );
  store.getState().choose(ids[0]!);
  const segment = (id: string) => store.getState().document.segments.find((one) => one.id === id)!;
  return { store, acts, said, asked, segment };
}

describe('the acts on a plan, one after the other without a drawing between', () => {
  it('move what was chosen the moment before', () => {
    const { store, acts, said } = open('coat-off', 'long-s', 'narrow-hum');
    acts.goBy(1);
    acts.moveBy(1);
    expect(idsOf(store.getState().document)).toEqual(['coat-off', 'narrow-hum', 'long-s']);
    const moved = { code: 'moved', name: 'Long s', place: 3, of: 3 };
    expect(said).toEqual([moved]);
    acts.moveBy(1);
    expect(said).toEqual([moved]);
  });
  it('move the start of what was chosen the moment before, and back to the best', () => {
    const { acts, segment } = open('coat-off', 'narrow-hum');
    acts.startBy(1);
    expect(segment('coat-off').choices.start).toBeNull();
    acts.goBy(1);
    acts.startBy(1);
    const once = segment('narrow-hum').choices.start!;
    acts.startBy(1);
    expect(segment('narrow-hum').choices.start).toBe(once + 1);
    acts.startBy(-2);
    expect(segment('narrow-hum').choices.start).toBeNull();
  });
  it('ask before a part goes beyond its reach, change nothing, and do it when it is wanted', () => {
    const { acts, asked, segment } = open('pulley');
    const before = segment('pulley').choices;
    acts.startOn(90);
    expect(segment('pulley').choices).toEqual(before);
    const proposal = asked.at(-1)!;
    expect(proposal).toMatchObject({ why: 'beyond', choices: { start: 90 } });
    acts.choose(proposal.choices, 'pulley keys');
    expect(segment('pulley').choices.start).toBe(90);
    expect(asked.at(-1)).toBeUndefined();
  });
  it('count keys one by one, leave out, take, and stay at the ends', () => {
    const { store, acts, said, segment } = open('narrow-hum', 'embers');
    acts.keysBy(1);
    acts.keysBy(1);
    expect(segment('narrow-hum').choices.repetitions).toBe(7);
    acts.goBy(-5);
    expect(store.getState().chosen).toBe('narrow-hum');
    acts.takeOut();
    expect(idsOf(store.getState().document)).toEqual(['embers']);
    acts.take(exercises.find(({ id }) => id === 'coat-off')!);
    expect(store.getState().document.segments.map(({ exercise }) => exercise.id)).toEqual([
      'coat-off',
      'embers',
    ]);
    expect(said).toEqual([
      { code: 'taken-out', name: 'Narrow hum' },
      { code: 'added', name: 'Coat off', place: 1 },
    ]);
  });

  it('put another in its place, once more, in two parts, and stay', () => {
    const { store, acts, said, segment } = open('coat-off', 'pulley');
    const now = () => store.getState().document;
    const embers = exercises.find(({ id }) => id === 'embers')!;
    acts.putInstead(embers, false);
    expect(now().segments.map(({ exercise }) => exercise.id)).toEqual(['embers', 'pulley']);
    expect(said.at(-1)).toEqual({ code: 'instead', name: 'Embers', was: 'Coat off' });
    // What came is chosen: it can be worked on at once.
    expect(store.getState().chosen).toBe(now().segments[0]!.id);
    acts.onceMore();
    expect(now().segments.map(({ exercise }) => exercise.id)).toEqual([
      'embers',
      'embers',
      'pulley',
    ]);
    store.getState().undo();
    store.getState().undo();
    expect(idsOf(now())).toEqual(['coat-off', 'pulley']);
    store.getState().choose('pulley');
    const { repetitions } = segment('pulley').choices;
    acts.split();
    const counts = now()
      .segments.slice(1)
      .map(({ choices }) => choices.repetitions);
    expect(counts).toHaveLength(2);
    expect(counts[0]! + counts[1]!).toBe(repetitions);
    acts.pin(true);
    expect(now().segments.at(-1)!.choices.pinned).toBe(true);
  });

  it('do it to all that are chosen, and to one again when only that is meant', () => {
    const { store, acts, segment } = open('coat-off', 'long-s', 'narrow-hum', 'pulley');
    store.getState().choose('long-s');
    store.getState().choose('narrow-hum', 'beside');
    expect(chosenTogether(store.getState())).toEqual(['long-s', 'narrow-hum']);
    acts.moveBy(-1);
    const order = () => idsOf(store.getState().document);
    expect(order()).toEqual(['long-s', 'narrow-hum', 'coat-off', 'pulley']);
    acts.pin(true);
    expect(['long-s', 'narrow-hum', 'pulley'].map((id) => segment(id).choices.pinned)).toEqual([
      true,
      true,
      undefined,
    ]);
    acts.takeOut();
    expect(order()).toEqual(['coat-off', 'pulley']);
    store.getState().undo();
    store.getState().choose('pulley');
    store.getState().chooseOnlyOne();
    acts.takeOut();
    expect(order()).toEqual(['long-s', 'narrow-hum', 'coat-off']);
  });

  it('pull an end as far as it can be sung, and the talk, each in one step of undo', () => {
    const { store, acts, segment, asked } = open('pulley');
    const before = segment('pulley').choices;
    for (const count of [6, 5, 4]) acts.resize('pulley', count);
    expect(segment('pulley').choices.repetitions).toBe(4);
    for (const seconds of [20, 25, 30]) acts.talkFor('pulley', seconds);
    expect(segment('pulley').choices.talk).toBe(30);
    store.getState().undo();
    store.getState().undo();
    expect(segment('pulley').choices).toEqual(before);
    acts.resize('pulley', 24);
    expect(asked.filter((one) => one !== undefined)).toEqual([]);
    acts.resize('gone', 3);
    expect(idsOf(store.getState().document)).toEqual(['pulley']);
  });
});
