import {
  breathTimeSchema,
  comfortProblemSchema,
  ladderProblemSchema,
  patternTimeSchema,
} from './compute';

const part = { id: 'S', comfort: [62, 79], reach: [59, 81], octave: 0 };
const ladder = {
  parts: [part],
  exercise: { lowest: 0, highest: 7 },
  shape: 'up',
  keys: 5,
  step: 1,
  fraction: 0.7,
};
const refused = (schema: { safeParse: (input: unknown) => { success: boolean } }, input: unknown) =>
  !schema.safeParse(input).success;

describe('problems of the command line', () => {
  it('are ladders with parts, a pattern and a way to move', () => {
    expect(ladderProblemSchema.safeParse(ladder).success).toBe(true);
    for (const wrong of [
      { parts: [] },
      { parts: [part, part] },
      { parts: [{ ...part, comfort: [79, 62] }] },
      { parts: [{ ...part, reach: [63, 81] }] },
      { exercise: { lowest: 7, highest: 0 } },
      { exercise: { lowest: 0, highest: 7, octaveMoves: [] } },
      { exercise: { lowest: 0.5, highest: 7 } },
      { shape: 'sideways' },
      { keys: 0 },
      { keys: 2.5 },
      { step: 0 },
      { fraction: 0 },
      { fraction: 1.1 },
      { goalTonic: 'C' },
    ]) {
      expect([wrong, refused(ladderProblemSchema, { ...ladder, ...wrong })]).toEqual([wrong, true]);
    }
  });

  it('are sections with a share between nobody and all', () => {
    const singer = { part: 'S', comfort: [60, 72], reach: [58, 74] };
    expect(refused(comfortProblemSchema, { singers: [singer], q: 1 })).toBe(false);
    expect(refused(comfortProblemSchema, { singers: [], q: 0.85 })).toBe(false);
    expect(refused(comfortProblemSchema, { singers: [singer], q: 0 })).toBe(true);
    const inside = { ...singer, reach: [61, 74] };
    expect(refused(comfortProblemSchema, { singers: [inside], q: 0.85 })).toBe(true);
  });

  it('are times at a tempo, of a pattern or of breaths', () => {
    const still = { in: 0, hold: 0, out: 0, rest: 0 };
    const breath = { rounds: 3, in: 4, hold: 0, out: 8, rest: 2, increment: still, tempo: 60 };
    expect(refused(breathTimeSchema, breath)).toBe(false);
    expect(refused(breathTimeSchema, { ...breath, tempo: 0 })).toBe(true);
    expect(refused(breathTimeSchema, { ...breath, increment: { in: 1 } })).toBe(true);
    const pattern = {
      talk: 0,
      demonstrate: false,
      countIn: 0,
      keys: 1,
      verses: 1,
      patternBeats: 4,
      breathBeats: 0,
      keyChangeBeats: 0,
      tempo: 90,
    };
    expect(refused(patternTimeSchema, pattern)).toBe(false);
    expect(refused(patternTimeSchema, { ...pattern, verses: 0 })).toBe(true);
    expect(refused(patternTimeSchema, { ...pattern, talk: -1 })).toBe(true);
  });
});
