import fc from 'fast-check';
import { firstNotes, partLines, type LineEvent, type Music, type PatternEvent } from '../exercise';
import { choirScore } from '../notation';
import { programme } from '../playing/programme';
import { mixedChoir, usualSections } from '../voices';
import type { PlannedExercise, SegmentChoices } from './planned';
import { computeSegment } from './segment';

const sections = usualSections(mixedChoir);
const line: fc.Arbitrary<readonly PatternEvent[]> = fc
  .tuple(...Array.from({ length: 4 }, () => fc.integer({ min: -3, max: 6 })))
  .map((offsets) => offsets.map((offset) => ({ offset, beats: 1 })));
const music: fc.Arbitrary<Music> = fc.oneof(
  fc
    .array(line, { minLength: 2, maxLength: 4 })
    .map((lines): Music => ({ kind: 'lines', mode: 'major', lines })),
  fc
    .record({ notes: line, entries: fc.integer({ min: 2, max: 5 }) })
    .map((one): Music => ({ kind: 'round', mode: 'major', apart: 2, ...one })),
  fc
    .record({
      notes: line,
      holders: fc.constantFrom<('lowest' | 'lower half' | 'upper half')[]>(
        ...(['lowest', 'lower half', 'upper half'] as const),
      ),
    })
    .map(({ notes, holders }): Music => ({
      ...{ kind: 'drone', mode: 'major', held: 0, syllable: 'noo', holders },
      over: { kind: 'line', notes },
    })),
);
const segmentOf = (of: Music, verses: number, linesInTurn: boolean) => {
  const exercise: PlannedExercise & { name: string } = {
    ...{ name: 'Turn about', phase: 'listening', anchor: 'middle', music: of },
    ...{ countIn: 4, breathBeats: 2, keyChangeBeats: 2 },
  };
  const choices: SegmentChoices = {
    ...{ talk: 0, demonstrate: 'no', tempo: 60, repetitions: 3, verses, shape: 'up', step: 1 },
    ...{ start: null, linesInTurn },
  };
  const computed = computeSegment({ id: 'one', exercise, choices }, { sections, needs: [] });
  const written = { ...exercise, linesInTurn, verses };
  return { exercise, computed, score: choirScore(written, 60, sections, computed.repetitions)! };
};
const midis = (events: readonly LineEvent[]) => events.flatMap(({ midi }) => midi ?? []);

describe('lines in turn', () => {
  it('are within what is said of each part, at every turn', () => {
    fc.assert(
      fc.property(music, fc.integer({ min: 1, max: 4 }), (of, verses) => {
        const { computed } = segmentOf(of, verses, true);
        for (const { parts } of computed.repetitions) {
          for (let turn = 0; turn < verses; turn += 1) {
            partLines(of, parts, turn).forEach(({ events }, place) => {
              const sounding = parts[place]!;
              if (sounding.does !== 'sing') expect(midis(events)).toEqual([]);
              else {
                expect(Math.min(...midis(events))).toBeGreaterThanOrEqual(sounding.fit.low);
                expect(Math.max(...midis(events))).toBeLessThanOrEqual(sounding.fit.high);
              }
            });
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('are written and heard one time after the other, as long as before', () => {
    fc.assert(
      fc.property(music, fc.integer({ min: 2, max: 4 }), (of, verses) => {
        const { exercise, computed, score } = segmentOf(of, verses, true);
        const plain = segmentOf(of, verses, false);
        score.keys.forEach((key, i) => {
          const { parts } = computed.repetitions[i]!;
          const turns = Array.from({ length: verses }, (_, turn) => partLines(of, parts, turn));
          key.lines.forEach(({ events }, place) => {
            expect(midis(events)).toEqual(turns.flatMap((lines) => midis(lines[place]!.events)));
          });
        });
        const listening = { ...exercise, verses };
        const heard = programme({ ...listening, score });
        if (score.keys.length === plain.score.keys.length) {
          const before = programme({ ...listening, score: plain.score });
          expect(heard.seconds).toBeCloseTo(before.seconds, 9);
        }
        for (const { id } of score.parts) {
          const lines = score.keys.flatMap((key) => key.lines.filter(({ part }) => part === id));
          const notes = heard.sounded.filter(({ voice }) => voice === id);
          expect(notes.map(({ midi }) => midi)).toEqual(
            lines.flatMap(({ events }) => midis(events)),
          );
        }
      }),
      { numRuns: 40 },
    );
  });

  it('give each part the first note of its turn, and need the room of all of them', () => {
    const of: Music = {
      ...{ kind: 'lines', mode: 'major' },
      lines: [[{ offset: 7, beats: 4 }], [{ offset: 0, beats: 4 }]],
    };
    const { computed } = segmentOf(of, 2, true);
    const { tonic, parts } = computed.repetitions[0]!;
    const away = (turn: number) =>
      Object.values(firstNotes(of, parts, turn)).map((note) => (Number(note) - tonic! + 24) % 12);
    expect(away(0)).toEqual([7, 7, 0, 0]);
    expect(away(1)).toEqual([0, 0, 7, 7]);
    const width = (sounding = parts[0]!) =>
      sounding.does === 'sing' ? sounding.fit.high - sounding.fit.low : undefined;
    expect(width()).toBe(7);
    expect(width(segmentOf(of, 2, false).computed.repetitions[0]!.parts[0])).toBe(0);
  });
});
