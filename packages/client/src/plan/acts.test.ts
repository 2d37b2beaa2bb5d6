import { exercises } from '@wide-fern/catalogue';
import type { EditFact } from '@wide-fern/contract';
import type { KeyProposal } from '@wide-fern/plan';
import { documentOf, idsOf, planOf } from '@wide-fern/plan/testing';
import { planActs } from './acts';
import { createPlanStore } from './planStore';

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
});
