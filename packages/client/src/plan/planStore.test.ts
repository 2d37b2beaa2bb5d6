import { choose, performAll, takeOut } from '@wide-fern/plan';
import { documentOf, idsOf, planOf } from '@wide-fern/plan/testing';
import { chosenTogether, createPlanStore } from './planStore';

const document = documentOf('coat-off', 'narrow-hum', 'pulley');
const open = () => createPlanStore(planOf(document), documentOf());

describe('a plan’s store', () => {
  it('knows that nothing is unsaved once everything was undone', () => {
    const store = open();
    store.getState().edit(choose('pulley', { tempo: 90 }));
    store.getState().edit(takeOut('coat-off'));
    store.getState().undo();
    store.getState().undo();
    expect(store.getState().document).toBe(store.getState().acknowledged);
  });

  it('passes over steps that what others did has made impossible', () => {
    const store = open();
    const { edit, adopt, undo } = store.getState();
    edit(choose('narrow-hum', { tempo: 90 }));
    edit(choose('pulley', { tempo: 91 }));
    const { document: mine } = store.getState();
    store.getState().stored(mine, planOf(mine, 2));
    const without = performAll(mine, [takeOut('pulley')]);
    adopt(planOf(without, 3));
    // What they took out is an undo away.
    undo();
    expect(idsOf(store.getState().document)).toContain('pulley');
    store.getState().redo();
    undo();
    undo();
    undo();
    expect(store.getState().document.segments[1]?.choices.tempo).not.toBe(90);
  });

  it('begins with what the server has, or empty', () => {
    expect(open().getState()).toMatchObject({ version: 1, chosen: 'coat-off', past: [] });
    expect(createPlanStore(null, documentOf()).getState()).toMatchObject({
      version: 0,
      chosen: null,
    });
  });

  it('undoes and redoes, and forgets what was undone after a new edit', () => {
    const store = open();
    const { edit, undo, redo } = store.getState();
    edit(takeOut('pulley'));
    edit(takeOut('narrow-hum'));
    undo();
    expect(idsOf(store.getState().document)).toEqual(['coat-off', 'narrow-hum']);
    redo();
    expect(idsOf(store.getState().document)).toEqual(['coat-off']);
    undo();
    undo();
    undo();
    expect(store.getState().document).toEqual(document);
    edit(takeOut('coat-off'));
    redo();
    expect(idsOf(store.getState().document)).toEqual(['narrow-hum', 'pulley']);
  });

  it('undoes a row of equal edits as one', () => {
    const store = open();
    const { edit, undo } = store.getState();
    for (const tempo of [90, 92, 94]) edit(choose('pulley', { tempo }), 'pulley tempo');
    edit(choose('pulley', { verses: 2 }), 'pulley verses');
    undo();
    expect(store.getState().document.segments[2]?.choices).toMatchObject({ tempo: 94, verses: 1 });
    undo();
    expect(store.getState().document).toEqual(document);
  });

  it('keeps something chosen when the chosen segment goes', () => {
    const store = open();
    store.getState().choose('narrow-hum');
    store.getState().edit(takeOut('narrow-hum'));
    expect(store.getState().chosen).toBe('pulley');
    store.getState().edit(takeOut('pulley'));
    store.getState().edit(takeOut('coat-off'));
    expect(store.getState().chosen).toBeNull();
  });

  it.each(['mine', 'theirs'] as const)(
    'settles a clash for %s, the other an undo away',
    (which) => {
      const store = open();
      const theirs = planOf(documentOf('ebb-tide'), 5);
      store.getState().edit(takeOut('pulley'));
      const mine = store.getState().document;
      store.getState().setSaving({ kind: 'clash', theirs });
      store.getState().settle(which);
      const kept = which === 'mine' ? mine : theirs.document;
      const other = which === 'mine' ? theirs.document : mine;
      expect(store.getState()).toMatchObject({ version: 5, document: kept });
      expect(store.getState().saving.kind).toBe(which === 'mine' ? 'changed' : 'saved');
      store.getState().undo();
      expect(store.getState().document).toBe(other);
    },
  );

  it('goes back many steps at once and on again, and knows each by what it did', () => {
    const store = open();
    const { edit, goBack } = store.getState();
    edit(choose('narrow-hum', { tempo: 90 }));
    edit(takeOut('coat-off'));
    edit(choose('pulley', { tempo: 91 }));
    const { document: done, past } = store.getState();
    expect(past.map(({ facts }) => facts[0]!.code)).toEqual(['chosen', 'taken-out', 'chosen']);
    goBack(-2);
    expect(idsOf(store.getState().document)).toEqual(['coat-off', 'narrow-hum', 'pulley']);
    expect(store.getState().document.segments[1]!.choices.tempo).toBe(90);
    expect(store.getState().future.map(({ facts }) => facts[0]!.code)).toEqual([
      'taken-out',
      'chosen',
    ]);
    goBack(2);
    expect(store.getState().document).toEqual(done);
    expect(store.getState().past.map(({ facts }) => facts[0]!.code)).toEqual([
      'chosen',
      'taken-out',
      'chosen',
    ]);
  });

  it('keeps some chosen beside the chosen one, until only one is meant', () => {
    const store = open();
    const { choose: pick, keepChosen, chooseOnlyOne } = store.getState();
    keepChosen();
    pick('pulley');
    expect(chosenTogether(store.getState())).toEqual(['coat-off', 'pulley']);
    pick('coat-off');
    keepChosen();
    expect(chosenTogether(store.getState())).toEqual(['coat-off']);
    pick('narrow-hum', 'beside');
    expect(chosenTogether(store.getState())).toEqual(['coat-off', 'narrow-hum']);
    // What is gone is not chosen any more.
    store.getState().edit(takeOut('coat-off'));
    expect(chosenTogether(store.getState())).toEqual(['narrow-hum']);
    chooseOnlyOne();
    expect(store.getState().also).toEqual([]);
  });

  it('does not bring back on undo what was taken back since the server last heard', () => {
    const store = open();
    const { edit } = store.getState();
    edit(choose('pulley', { reset: { seconds: 10, every: 4 } }));
    const { document: told } = store.getState();
    store.getState().stored(told, planOf(told, 2));
    edit(choose('pulley', { reset: undefined }));
    edit(choose('pulley', { coach: 5 }));
    store.getState().undo();
    const { document: now, acknowledged } = store.getState();
    expect(now.segments[2]!.choices).toEqual(document.segments[2]!.choices);
    expect(now).not.toBe(acknowledged);
  });
});
