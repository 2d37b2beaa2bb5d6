import type { Plan, SavePlan } from '@wide-fern/contract';
import { ApiError } from '../call/call';
import { takeOut } from '@wide-fern/plan';
import { choose, performAll } from '@wide-fern/plan';
import { documentOf, planOf } from '@wide-fern/plan/testing';
import { startAutosave, type SavingWorld } from './autosave';
import { createPlanStore } from './planStore';

const document = documentOf('coat-off', 'narrow-hum', 'pulley');
const conflict = () => new ApiError(409, 'changed_meanwhile', 'Changed.');

/** A world whose time passes when told, and whose server answers as told. */
function world() {
  const sent: SavePlan[] = [];
  const kept: boolean[] = [];
  const due: { ms: number; action: () => void; off: boolean }[] = [];
  const answers: (Plan | Error)[] = [];
  let now: Plan | null = null;
  const it: SavingWorld = {
    save: (body) => {
      sent.push(body);
      const answer = answers.shift();
      if (answer instanceof Error) return Promise.reject(answer);
      return Promise.resolve(answer ?? planOf(body.document, body.version + 1));
    },
    current: () => Promise.resolve(now),
    keep: (unsaved) => kept.push(unsaved),
    later: (ms, action) => {
      const timer = { ms, action, off: false };
      due.push(timer);
      return () => {
        timer.off = true;
      };
    },
  };
  /** Lets what is due happen, and everything that follows from it at once. */
  const pass = async () => {
    const timer = due.splice(0).filter(({ off }) => !off);
    for (const { action } of timer) action();
    for (let i = 0; i < 8; i += 1) await Promise.resolve();
    return timer.map(({ ms }) => ms);
  };
  return { it, sent, kept, answers, pass, serverHas: (plan: Plan | null) => (now = plan) };
}

describe('autosave', () => {
  it('saves a moment after the last change, once', async () => {
    const { it: outside, sent, kept, pass } = world();
    const store = createPlanStore(planOf(document), document);
    startAutosave(store, outside);
    store.getState().edit(takeOut('pulley'));
    store.getState().edit(takeOut('narrow-hum'));
    expect(store.getState().saving.kind).toBe('changed');
    expect(kept).toEqual([true, true]);
    await pass();
    expect(sent).toHaveLength(1);
    expect(sent[0]).toMatchObject({ version: 1 });
    expect(store.getState()).toMatchObject({ version: 2, saving: { kind: 'saved' } });
    expect(kept.at(-1)).toBe(false);
    expect(await pass()).toEqual([]);
  });

  it('has nothing to save when a change was undone, and says that it is saved', async () => {
    const { it: outside, sent, kept, pass } = world();
    const store = createPlanStore(planOf(document), document);
    startAutosave(store, outside);
    const at = planOf(document).savedAt;
    store.getState().edit(takeOut('pulley'));
    store.getState().undo();
    expect(store.getState().saving).toEqual({ kind: 'saved', at });
    store.getState().redo();
    await pass();
    expect(sent).toHaveLength(1);
    // Undone and done again: what the server has is what is here.
    store.getState().undo();
    expect(store.getState().saving.kind).toBe('changed');
    store.getState().redo();
    expect(store.getState().saving.kind).toBe('saved');
    expect(await pass()).toEqual([]);
    expect(kept.at(-1)).toBe(false);
  });

  it('saves again what changed while it was saving', async () => {
    const { it: outside, sent, pass } = world();
    const store = createPlanStore(planOf(document), document);
    const { saveNow } = startAutosave(store, outside);
    store.getState().edit(takeOut('pulley'));
    const saving = saveNow();
    store.getState().edit(takeOut('narrow-hum'));
    await saving;
    expect(store.getState().saving.kind).toBe('changed');
    await pass();
    expect(sent.map(({ version, document: { segments } }) => [version, segments.length])).toEqual([
      [1, 2],
      [2, 1],
    ]);
  });

  it('tries again, more and more slowly, while the server is away', async () => {
    const { it: outside, answers, pass } = world();
    const store = createPlanStore(planOf(document), document);
    startAutosave(store, outside);
    answers.push(
      new ApiError(0, 'unreachable', ''),
      new ApiError(503, 'database_away', ''),
      new ApiError(500, 'unexpected', ''),
    );
    store.getState().edit(takeOut('pulley'));
    const waits = [await pass(), await pass(), await pass()];
    expect(store.getState().saving.kind).toBe('waiting');
    waits.push(await pass());
    expect(waits.flat()).toEqual([600, 2000, 4000, 8000]);
    expect(store.getState().saving.kind).toBe('saved');
  });

  it('stops when the server breaks on it twice, says so, keeps it, and tries once with the next change', async () => {
    const { it: outside, answers, pass, kept, sent } = world();
    const store = createPlanStore(planOf(document), document);
    startAutosave(store, outside);
    const fault = () => new ApiError(500, 'unexpected', 'Something went wrong (abc).');
    answers.push(fault(), fault());
    store.getState().edit(takeOut('pulley'));
    await pass();
    expect(store.getState().saving.kind).toBe('waiting');
    await pass();
    expect(store.getState().saving).toEqual({
      kind: 'refused',
      message: 'Something went wrong (abc).',
    });
    expect(await pass()).toEqual([]);
    expect([sent.length, kept.at(-1)]).toEqual([2, true]);
    store.getState().edit(takeOut('narrow-hum'));
    await pass();
    expect(store.getState().saving.kind).toBe('saved');
  });

  it('says what the server refuses, and that someone is signed out, without trying on', async () => {
    for (const [error, kind] of [
      [new ApiError(400, 'invalid', 'Too many.'), 'refused'],
      [new ApiError(401, 'sign_in_first', ''), 'signed-out'],
    ] as const) {
      const { it: outside, answers, pass, kept } = world();
      const store = createPlanStore(planOf(document), document);
      startAutosave(store, outside);
      answers.push(error);
      store.getState().edit(takeOut('pulley'));
      await pass();
      expect(store.getState().saving.kind).toBe(kind);
      expect(await pass()).toEqual([]);
      expect(kept.at(-1)).toBe(true);
    }
  });

  it('stops at a clash until it is settled', async () => {
    const { it: outside, answers, sent, pass, serverHas } = world();
    const store = createPlanStore(planOf(document), document);
    startAutosave(store, outside);
    // They chose a tempo for the very segment that is taken out here.
    const theirs = planOf(performAll(document, [choose('pulley', { tempo: 60 })]), 2);
    answers.push(conflict());
    serverHas(theirs);
    store.getState().edit(takeOut('pulley'));
    await pass();
    expect(store.getState().saving).toEqual({ kind: 'clash', theirs });
    store.getState().edit(takeOut('narrow-hum'));
    await pass();
    expect(sent).toHaveLength(1);
    store.getState().settle('mine');
    await pass();
    expect(sent[1]).toMatchObject({ version: 2 });
    expect(sent[1]?.document.segments).toHaveLength(1);
  });

  it('puts together what two windows changed in different places, and saves that', async () => {
    const { it: outside, answers, sent, pass, serverHas } = world();
    const store = createPlanStore(planOf(document), document);
    startAutosave(store, outside);
    answers.push(conflict());
    serverHas(planOf(performAll(document, [choose('narrow-hum', { tempo: 61 })]), 4));
    store.getState().edit(takeOut('pulley'));
    await pass();
    await pass();
    expect(store.getState()).toMatchObject({ version: 5, saving: { kind: 'saved' } });
    expect(sent[1]).toMatchObject({ version: 4, edits: [{ code: 'taken-out', name: 'Pulley' }] });
    const both = sent[1]!.document.segments;
    expect(both.map(({ id, choices }) => [id, choices.tempo])).toEqual([
      ['coat-off', document.segments[0]!.choices.tempo],
      ['narrow-hum', 61],
    ]);
    // One's own edit is still an undo away; theirs stays.
    store.getState().undo();
    expect(store.getState().document.segments.map(({ id }) => id)).toContain('pulley');
    expect(store.getState().document.segments[1]!.choices.tempo).toBe(61);
  });

  it('tells what was done, each thing once', async () => {
    const { it: outside, sent, pass } = world();
    const store = createPlanStore(planOf(document), document);
    const { saveNow } = startAutosave(store, outside);
    for (const tempo of [90, 92]) store.getState().edit(choose('pulley', { tempo }), 'tempo');
    const saving = saveNow();
    store.getState().edit(takeOut('narrow-hum'));
    await saving;
    await pass();
    expect(sent.map(({ edits }) => edits)).toEqual([
      [{ code: 'chosen', name: 'Pulley', field: 'tempo', value: 92 }],
      [{ code: 'taken-out', name: 'Narrow hum' }],
    ]);
    expect(store.getState().unsaved).toEqual([]);
  });

  it('takes its own save whose answer was lost for what it is', async () => {
    const { it: outside, answers, pass, serverHas } = world();
    const store = createPlanStore(planOf(document), document);
    startAutosave(store, outside);
    store.getState().edit(takeOut('pulley'));
    answers.push(conflict());
    // The database hands keys back in another order.
    const { segments, tonight, schema } = store.getState().document;
    serverHas(planOf({ segments, tonight, schema }, 2));
    await pass();
    expect(store.getState()).toMatchObject({ version: 2, saving: { kind: 'saved' } });
  });

  it('saves nothing after it was stopped', async () => {
    const { it: outside, sent, pass } = world();
    const store = createPlanStore(planOf(document), document);
    const { stop } = startAutosave(store, outside);
    store.getState().edit(takeOut('pulley'));
    stop();
    store.getState().edit(takeOut('narrow-hum'));
    await pass();
    expect(sent).toEqual([]);
  });
});
