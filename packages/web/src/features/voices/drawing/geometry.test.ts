import { countAtEachNote } from '@wide-fern/core';
import { curvePath, isBlack, namedNotes, notesOf, pitchAxis } from './geometry';

describe('a pitch axis', () => {
  const axis = pitchAxis([[59, 81]], { left: 200, right: 860 });
  it('has equal columns for at least thirty notes, and shows every range', () => {
    expect(notesOf(axis)).toHaveLength(30);
    expect(axis.lowest).toBeLessThan(59);
    expect(axis.highest).toBeGreaterThan(81);
    expect(axis.step).toBe(22);
    expect(pitchAxis([[30, 90]], { left: 0, right: 63 }).step).toBe(1);
  });
  it('finds the note at a place, and holds what lies beside it', () => {
    for (const note of notesOf(axis)) {
      expect(axis.note(axis.x(note))).toBe(note);
      expect(axis.note(axis.middle(note))).toBe(note);
    }
    expect(axis.note(-50)).toBe(axis.lowest);
    expect(axis.note(5000)).toBe(axis.highest);
  });
  it('names notes where they do not meet the names of the band', () => {
    const named = namedNotes(axis, [60, 77]);
    expect(named).not.toContain(60);
    expect(named).toContain(72);
    expect(named.every((note) => !isBlack(note))).toBe(true);
  });
});

describe('a share curve', () => {
  it('steps at every note between nobody and everyone', () => {
    const axis = pitchAxis([[0, 29]], { left: 0, right: 320 });
    const counts = countAtEachNote([
      [10, 11],
      [11, 12],
    ]);
    expect(axis.step).toBe(10);
    expect(curvePath(counts, 2, axis, { top: 0, bottom: 100 })).toBe(
      'M 110.0 100 V 50.0 H 120.0 V 0.0 H 130.0 V 50.0 H 140.0 V 100 Z',
    );
  });
});
