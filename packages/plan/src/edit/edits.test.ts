import { exercises } from '@wide-fern/catalogue';
import {
  mostSegments,
  planEditSchema,
  type PlanDocument,
  type PlanEdit,
} from '@wide-fern/contract';
import { documentOf, idsOf } from '../testing/plans';
import { addExercise, choose, moveTo, takeOut } from './edits';
import { factsOf } from './facts';
import { perform, performAll } from './perform';

const exercise = (id: string) => exercises.find((one) => one.id === id)!;

describe('edits', () => {
  const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'ebb-tide');
  const after = (...edits: readonly PlanEdit[]): PlanDocument => performAll(document, edits);

  it('add an exercise where its phase belongs, as usual and with the best start', () => {
    const added = after(addExercise(document, exercise('embers'), 'new'));
    expect(idsOf(added)).toEqual(['coat-off', 'narrow-hum', 'new', 'pulley', 'ebb-tide']);
    expect(added.segments[2]?.choices).toEqual({ ...exercise('embers').usual, start: null });
    const empty = documentOf();
    const first = addExercise(empty, exercise('coat-off'), 'x');
    expect(idsOf(performAll(empty, [first]))).toEqual(['x']);
  });

  it('leave a full plan as it is', () => {
    const full = {
      ...document,
      segments: Array.from({ length: mostSegments }, (_, i) => ({
        ...document.segments[0]!,
        id: String(i),
      })),
    };
    expect(perform(full, addExercise(full, exercise('embers'), 'new'))).toBeUndefined();
  });

  it('move a segment, no further than the ends', () => {
    const moved = (id: string, to: number) => idsOf(after(moveTo(document, id, to)));
    expect(moved('pulley', 0)[0]).toBe('pulley');
    expect(moved('coat-off', 2)).toEqual(['narrow-hum', 'pulley', 'coat-off', 'ebb-tide']);
    expect(moved('coat-off', 99).at(-1)).toBe('coat-off');
    expect(perform(document, moveTo(document, 'coat-off', -3))).toBeUndefined();
    expect(perform(document, moveTo(document, 'unknown', 1))).toBeUndefined();
  });

  it('take a segment out', () => {
    expect(idsOf(after(takeOut('pulley')))).not.toContain('pulley');
    expect(perform(document, takeOut('unknown'))).toBeUndefined();
  });

  it('change what is chosen, within its limits, and nothing else', () => {
    const changed = after(choose('pulley', { tempo: 999, repetitions: 0 }));
    expect(changed.segments[2]?.choices).toMatchObject({ tempo: 240, repetitions: 1 });
    expect(changed.segments[1]).toBe(document.segments[1]);
    const same = choose('pulley', { tempo: exercise('pulley').usual.tempo });
    expect(perform(document, same)).toBeUndefined();
  });

  it('go behind the last when what they should follow is not there', () => {
    expect(idsOf(after({ kind: 'move', id: 'coat-off', after: 'gone' })).at(-1)).toBe('coat-off');
  });

  it('say what they did', () => {
    const facts = (edit: PlanEdit) => factsOf(edit, document, performAll(document, [edit]));
    expect(facts(takeOut('pulley'))).toEqual([{ code: 'taken-out', name: 'Pulley' }]);
    expect(facts(moveTo(document, 'coat-off', 2))).toEqual([
      { code: 'moved', name: 'Coat off', place: 3, of: 4 },
    ]);
    expect(facts(choose('pulley', { tempo: 90, verses: 2 }))).toEqual([
      { code: 'chosen', name: 'Pulley', field: 'tempo', value: 90 },
      { code: 'chosen', name: 'Pulley', field: 'verses', value: 2 },
    ]);
    expect(facts(addExercise(document, exercise('embers'), 'new'))).toEqual([
      { code: 'added', name: 'Embers', place: 3 },
    ]);
  });

  it('are data: written out and read back they do the same', () => {
    for (const edit of [
      takeOut('pulley'),
      moveTo(document, 'coat-off', 2),
      choose('pulley', { tempo: 90, start: null }),
      addExercise(document, exercise('embers'), 'new'),
    ]) {
      const read = planEditSchema.parse(JSON.parse(JSON.stringify(edit)));
      expect(performAll(document, [read])).toEqual(performAll(document, [edit]));
    }
  });
});
