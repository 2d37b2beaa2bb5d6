import { documentOf } from '../testing/plans';
import { evaluate } from '../evaluate';
import { givenNow } from './given';

describe('what can be heard of a key', () => {
  const document = documentOf('pulley', 'long-s');
  const [pulley, breath] = evaluate(document, 900).segments;
  const { sections } = document.tonight;

  it('is what stands in the plan, moved as it is sung now', () => {
    const planned = givenNow(pulley!, sections, { key: 2, shift: 0 });
    const lowered = givenNow(pulley!, sections, { key: 2, shift: -1 });
    expect(planned.opening!.tonic).toBe(pulley!.computed.repetitions[2]!.tonic);
    expect(lowered.opening!.tonic).toBe(planned.opening!.tonic - 1);
    const notes = ({ opening }: typeof planned) => opening!.entries.map(({ note }) => note);
    expect(notes(lowered)).toEqual(notes(planned).map((note) => (note === null ? null : note - 1)));
    const sung = ({ score, key }: typeof planned) =>
      score!.keys[key]!.lines.flatMap(({ events }) => events.flatMap(({ midi }) => midi ?? []));
    expect(sung(lowered)).toEqual(sung(planned).map((midi) => midi - 1));
    expect(sung(planned).length).toBeGreaterThan(4);
  });

  it('while it is explained it is the first key; what has none has a beat all the same', () => {
    expect(givenNow(pulley!, sections, { key: null, shift: 0 }).opening!.tonic).toBe(
      pulley!.computed.repetitions[0]!.tonic,
    );
    const { opening, score, tempo } = givenNow(breath!, sections, { key: 0, shift: 0 });
    expect([opening, score]).toEqual([undefined, undefined]);
    expect(tempo).toBe(breath!.segment.choices.tempo);
  });
});
