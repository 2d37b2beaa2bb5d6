import { mixedChoir, needsTonight, sectionComfort } from '@wide-fern/core';
import { exercises } from '..';
import { demoChoir, demoEvenings, demoPieces, demoSingers } from '.';

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
