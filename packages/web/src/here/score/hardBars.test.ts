import { demoScores } from '@wide-fern/catalogue/demo';
import type { Piece } from '@wide-fern/contract';
import {
  computeSegment,
  excerpt,
  mixedChoir,
  partLines,
  partsOfScore,
  usualSections,
  type Mapping,
} from '@wide-fern/core';
import { segmentOfBars, stretchesOf } from './hardBars';

const { score } = demoScores.lanterns;
const sections = usualSections(mixedChoir);
const mapping: Mapping[] = score.staves.map(({ id }, i) => ({
  line: `${id}/all`,
  parts: [sections[i]!.id],
}));
const musicOf = (part: string) => partsOfScore(score, mapping, [part])[0]!;

/** Bars of the demo's first piece as the page makes them, for some of its parts. */
function barsOf(
  from: number,
  to: number,
  parts: readonly string[],
  transpose = 0,
  title = 'Lanterns over Slate',
) {
  const singing = sections.filter(({ id }) => parts.includes(id));
  const found = excerpt(score, {
    ...{ from, to, form: 'parts', asWritten: true, words: { kind: 'own' } },
    parts: singing.map(({ id, octave }) => ({ music: musicOf(id), octave })),
  })!;
  const piece = { title: title.slice(0, 120), transpose } as Piece['piece'];
  const marks = [{ fromBar: from, toBar: to, skill: 'tuning' }] as unknown as Piece['marks'];
  const segment = segmentOfBars(
    found,
    { id: '00000000-0000-4000-8000-000000000001', piece, marks },
    { from: from + 1, to: to + 1 },
    singing,
  );
  return { segment, singing };
}

/** What is written for a part in some bars. */
const written = (part: string, from: number, to: number) =>
  musicOf(part)
    .lines.flat()
    .filter(({ bar }) => bar >= from && bar <= to)
    .map(({ midi }) => midi);

describe('hard bars at home', () => {
  it('are sung once, each part at the very notes that are printed for it', () => {
    const parts = sections.map(({ id }) => id);
    let heard = 0;
    for (const [from, to] of [
      [0, 3],
      [8, 11],
      [14, 15],
    ] as const) {
      const here = parts.filter((part) => written(part, from, to).length > 0);
      const { segment, singing } = barsOf(from, to, here);
      const { repetitions } = computeSegment(segment!, { sections: singing, needs: [] });
      expect(repetitions).toHaveLength(1);
      for (const { part, events } of partLines(segment!.exercise.music, repetitions[0]!.parts)) {
        const sung = events.flatMap(({ midi }) => midi ?? []);
        expect([part, sung]).toEqual([part, written(part, from, to)]);
        heard += sung.length;
      }
    }
    expect(heard).toBeGreaterThan(20);
  });

  it('lie where the choir sings the piece, and say which bars they are and what for', () => {
    const { segment, singing } = barsOf(0, 1, ['S', 'B'], -2);
    const { repetitions } = computeSegment(segment!, { sections: singing, needs: [] });
    const [soprano] = partLines(segment!.exercise.music, repetitions[0]!.parts);
    expect(soprano!.events.flatMap(({ midi }) => midi ?? [])).toEqual(
      written('S', 0, 1).map((midi) => midi - 2),
    );
    expect(segment!.exercise).toMatchObject({
      name: 'Lanterns over Slate, bars 1 to 2',
      purpose: 'This is bars 1 to 2, for tuning.',
      source: { parts: ['S', 'B'], fromBar: 1, toBar: 2 },
    });
  });

  it('keep their numbers however long the title is', () => {
    const { segment } = barsOf(
      0,
      1,
      ['S', 'B'],
      0,
      'A very long title of a piece that goes on and on. '.repeat(2),
    );
    expect(segment!.exercise.name).toMatch(/^A very long title .*, bars 1 to 2$/);
    expect(segment!.exercise.name.length).toBeLessThanOrEqual(60);
  });

  it('are joined where marks overlap, in the order of the score', () => {
    const mark = (fromBar: number, toBar: number) => ({ fromBar, toBar });
    expect(stretchesOf([mark(12, 15), mark(3, 3), mark(14, 20), mark(21, 22)])).toEqual([
      { from: 3, to: 3 },
      { from: 12, to: 20 },
      { from: 21, to: 22 },
    ]);
  });
});
