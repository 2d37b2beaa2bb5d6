import fc from 'fast-check';
import type { LineEvent } from '@wide-fern/core';
import { systemsOf } from './systems';

const line = (...beats: readonly number[]): LineEvent[] =>
  beats.map((one) => ({ midi: 60, beats: one }));
const eventsIn = (systems: ReturnType<typeof systemsOf>, part: number) =>
  systems.flat().flatMap(({ parts }) => parts[part]!.map(({ event }) => event));

describe('rows of bars', () => {
  it('keep a short line in one row', () => {
    expect(systemsOf([line(1, 1, 1)], undefined, 600)).toHaveLength(1);
  });
  it('break a long line without bars where all parts begin something, and close no bar there', () => {
    const long = line(...Array<number>(40).fill(1));
    const systems = systemsOf([long, line(...Array<number>(20).fill(2))], undefined, 600);
    expect(systems.length).toBeGreaterThan(1);
    expect(
      systems
        .flat()
        .map(({ closes }) => closes)
        .filter(Boolean),
    ).toHaveLength(1);
    for (const { parts } of systems.flat()) expect(parts[0]!.length).toBe(parts[1]!.length * 2);
  });
  it('cannot break under one held note, and draw all of it all the same', () => {
    const systems = systemsOf([line(...Array<number>(40).fill(1)), line(40)], undefined, 600);
    expect(systems).toHaveLength(1);
    expect(eventsIn(systems, 0)).toHaveLength(40);
  });
  it('draw every event of every part once, in order, whatever the room', () => {
    const beats = fc.array(
      fc.integer({ min: 1, max: 16 }).map((n) => n / 4),
      { minLength: 1, maxLength: 40 },
    );
    const metre = fc.constantFrom(undefined, { beats: 3, unit: 4 } as const);
    fc.assert(
      fc.property(beats, metre, fc.integer({ min: 150, max: 900 }), (all, time, room) => {
        const drawn = eventsIn(systemsOf([line(...all)], time, room), 0);
        expect([...new Set(drawn)]).toEqual(all.map((_, i) => i));
        expect(drawn).toEqual([...drawn].sort((a, b) => a - b));
      }),
    );
  });
  it('give long syllables their room', () => {
    const words = line(1, 1, 1).map((one) => ({ ...one, syllable: 'something-long' }));
    const [bare, sung] = [line(1, 1, 1), words].map(
      (one) => systemsOf([one], undefined, 9999)[0]![0]!.width,
    );
    expect(sung!).toBeGreaterThan(bare! + 150);
  });
});
