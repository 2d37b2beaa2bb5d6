import { mixedChoir } from '../voices/parts';
import { usualSections, type Section } from '../voices/section';
import { sectionLightTop } from '../voices/lightRegister';
import type { Anchor } from '../exercise';
import type { PartNeed } from '../evening/needs';
import { computeSegment } from './segment';
import type { SegmentChoices } from './planned';

const sections = usualSections(mixedChoir);
const need = (part: string, lowest: number, highest: number): PartNeed => ({
  ...{ part, lowest, highest, lowestIn: 'Lanterns', highestIn: 'Lanterns' },
});
const choices: SegmentChoices = {
  ...{ talk: 0, demonstrate: 'no', tempo: 60, repetitions: 5, verses: 1 },
  ...{ shape: 'up', step: 1, start: null },
};
const keysOf = (
  anchor: Anchor,
  highest: number,
  {
    needs = [],
    voices = sections,
    changed = {},
  }: {
    readonly needs?: readonly PartNeed[];
    readonly voices?: readonly Section[];
    readonly changed?: Partial<SegmentChoices>;
  } = {},
) => {
  const notes = [0, highest].map((offset) => ({ offset, beats: 1 }));
  const computed = computeSegment(
    {
      id: 'x',
      exercise: {
        ...{ phase: 'onset', anchor, countIn: 0, breathBeats: 0, keyChangeBeats: 0 },
        music: { kind: 'pattern', mode: 'major', notes },
      },
      choices: { ...choices, ...changed },
    },
    { sections: voices, needs },
  );
  const { keys, repetitions } = computed;
  if (keys.kind !== 'ladder' || !keys.sung) throw new Error('There should be a ladder.');
  const sung = repetitions.flatMap(({ parts }) =>
    parts.flatMap((one) => (one.does === 'sing' ? [{ ...one.fit, part: one.part }] : [])),
  );
  const of = (part: string) => sung.filter((one) => one.part === part);
  return { problem: keys.problem, ladder: keys.sung, of };
};

describe('where an exercise lives on the voice', () => {
  it('speech keeps every part in the zone where it speaks, in its usual octave', () => {
    const { of, problem } = keysOf('speech', 0, { changed: { repetitions: 3 } });
    for (const { id, octave } of sections) {
      expect(of(id)).toHaveLength(3);
      for (const { low, high, state } of of(id)) {
        expect([low >= 57 + octave, high <= 62 + octave, state]).toEqual([
          true,
          true,
          'comfortable',
        ]);
      }
    }
    expect(problem.pattern.octaveMoves).toEqual([0]);
  });
  it('low goes down to the low end that every part that can should reach', () => {
    const changed = { shape: 'down', repetitions: 7 } as const;
    // Basses bind: their low G2 is the tonic G3 of the women.
    const { ladder, problem } = keysOf('low', 7, { changed });
    expect(problem.goalBottomTonic).toBe(55);
    expect(problem.windows).toMatchObject({ S: [62, 70], B: [43, 52] });
    // With all four the others' ease weighs against it; altos and basses alone go there.
    expect(Math.min(...ladder.tonics)).toBeLessThanOrEqual(57);
    const voices = sections.filter(({ id }) => 'AB'.includes(id));
    expect(Math.min(...keysOf('low', 7, { changed, voices }).ladder.tonics)).toBe(55);
    // What the music needs, where it does not lie below the comfort.
    const needs = [need('S', 64, 70), need('A', 60, 70), need('T', 52, 60), need('B', 40, 55)];
    expect(keysOf('low', 7, { changed, needs }).problem.goalBottomTonic).toBe(55);
    const higher = needs.map((one) => ({ ...one, lowest: one.part === 'B' ? 48 : one.lowest }));
    expect(keysOf('low', 7, { changed, needs: higher }).problem.goalBottomTonic).toBe(60);
  });
  it('top climbs to what tonight’s music needs, also in early phases and into the piece', () => {
    const needs = [need('S', 62, 77), need('T', 50, 65)];
    const voices = sections.filter(({ id }) => 'ST'.includes(id));
    const { problem, ladder } = keysOf('top', 7, { needs, voices });
    expect(problem.goalTonic).toBe(70);
    expect(Math.max(...ladder.tonics)).toBe(70);
    expect(keysOf('middle', 7, { needs }).problem.goalTonic).toBeUndefined();
  });
  it('light has men sing at the women’s pitch, in the register that was checked', () => {
    const { of, problem } = keysOf('light', 7, { changed: { repetitions: 2 } });
    const [, , tenors, basses] = problem.sections;
    expect(tenors).toMatchObject({ octave: 0, comfort: [62, 72], reach: [60, 74] });
    expect(basses).toMatchObject({ octave: 0, comfort: [59, 69], reach: [57, 71] });
    expect(of('T').map(({ low }) => low)).toEqual(of('S').map(({ low }) => low));
    const voices = sections.map((one) =>
      one.id === 'T' ? { ...one, light: { top: 76, asked: 4 } } : one,
    );
    expect(keysOf('light', 7, { voices }).problem.sections[2]).toMatchObject({
      comfort: [62, 76],
    });
  });
});

describe('a section’s light register', () => {
  it('is the highest note that the wanted share of those asked still sing', () => {
    expect(sectionLightTop([70, null, 72, 74, 75, undefined], 0.75)).toEqual({ top: 72, asked: 4 });
    expect(sectionLightTop([70, 72, 74, 75], 1)).toEqual({ top: 70, asked: 4 });
    expect(sectionLightTop([null, undefined], 0.85)).toBeUndefined();
  });
});
