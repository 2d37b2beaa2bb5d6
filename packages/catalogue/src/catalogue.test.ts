import { exerciseSchema } from '@wide-fern/contract';
import {
  bestLadder,
  isPitched,
  mixedChoir,
  needsTonight,
  phases,
  sectionComfort,
  sharedTonics,
  spanOf,
} from '@wide-fern/core';
import { demoChoir, demoEvenings, demoPieces, demoSingers } from './demo';
import { cautions, exercises } from '.';

describe('the built-in exercises', () => {
  it.each(exercises.map((exercise) => [exercise.id, exercise] as const))(
    '%s keeps the schema',
    (_, exercise) => {
      expect(exerciseSchema.parse(exercise)).toEqual(exercise);
    },
  );
  it('are at least 16, each with an id of its own, over the phases of a starter', () => {
    expect(exercises.length).toBeGreaterThanOrEqual(16);
    expect(new Set(exercises.map(({ id }) => id)).size).toBe(exercises.length);
    const covered = new Set(exercises.map(({ phase }) => phase));
    for (const phase of phases.filter((one) => one !== 'piece')) expect(covered).toContain(phase);
  });
  it('stand in the order of the phases', () => {
    const order = exercises.map(({ phase }) => phases.indexOf(phase));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
  it('name substitutes that exist', () => {
    const ids = new Set(exercises.map(({ id }) => id));
    for (const { substitutes } of exercises) {
      for (const substitute of substitutes) expect(ids).toContain(substitute.exercise);
    }
  });
  it('offer another sound for every trill and hum', () => {
    for (const { id, music, substitutes } of exercises) {
      if (music.kind === 'glide' && music.syllable === 'brr') {
        expect([id, substitutes.length > 0]).toEqual([id, true]);
      }
    }
  });
  it('carry cautions on held breath, on neck work and on strong singing', () => {
    for (const { music, cautions: said, effort, id } of exercises) {
      if (music.kind === 'breath') expect(said).toContain(cautions.lightHead);
      if (music.kind === 'breath' && music.hold > 0) expect(said).toContain(cautions.breathHold);
      if (music.kind === 'body' && /neck|jaw|head lean/.test(music.moves.join(' '))) {
        expect([id, said.length > 0]).toEqual([id, true]);
      }
      if (effort >= 4) expect(said).toContain(cautions.pain);
    }
  });
  it('can all be sung by a mixed choir, with at least three shared keys or a ladder that shares them out', () => {
    for (const { id, music, usual, keys } of exercises) {
      const span = spanOf(music);
      if (!isPitched(music) || !span || music.kind === 'chord') continue;
      const shared = sharedTonics(mixedChoir, span);
      if (shared && shared[1] - shared[0] >= 2) continue;
      const ladder = bestLadder({
        sections: mixedChoir,
        pattern: span,
        shape: usual.shape,
        keys: usual.repetitions,
        step: usual.step,
        fraction: keys?.fraction ?? 1,
      });
      expect([id, ladder.kind]).toEqual([id, 'ladder']);
    }
  });
});

describe('the demo choir', () => {
  it('has 12 sopranos, 10 altos, 6 tenors and 8 basses, whose sections have the usual bands', () => {
    for (const part of mixedChoir) {
      const section = demoSingers.filter((singer) => singer.part === part.id);
      expect(sectionComfort(section)).toEqual({
        comfort: part.comfort,
        reach: part.reach,
        suits: true,
      });
    }
    const count = (id: string) => demoSingers.filter(({ part }) => part === id).length;
    expect(['S', 'A', 'T', 'B'].map(count)).toEqual([12, 10, 6, 8]);
    expect(new Set(demoSingers.map(({ name }) => name)).size).toBe(36);
  });
  it('keeps every singer’s comfort inside the reach', () => {
    for (const { name, comfort, reach } of demoSingers) {
      expect([name, reach[0] <= comfort[0] && comfort[1] <= reach[1]]).toEqual([name, true]);
    }
  });
  it('plans evenings of exercises that exist, in two hours at most', () => {
    const ids = new Set(exercises.map(({ id }) => id));
    for (const { plan, agenda } of demoEvenings) {
      for (const segment of plan ?? []) expect(ids).toContain(segment.exercise);
      expect(agenda.reduce((sum, { minutes }) => sum + minutes, 0)).toBeLessThanOrEqual(120);
    }
    const back = demoEvenings.filter(({ week }) => week < 0);
    expect(back).toHaveLength(6);
    expect(demoEvenings.filter(({ week }) => week === 0)).toHaveLength(1);
    expect(demoChoir.weekday).toBe(2);
  });
  it('asks for a high F of sopranos and tenors', () => {
    const needs = needsTonight(['S', 'T'], Object.values(demoPieces));
    expect(needs.map(({ highest, highestIn }) => [highest, highestIn])).toEqual([
      [77, 'Lanterns over Slate'],
      [65, 'Lanterns over Slate'],
    ]);
  });
});
