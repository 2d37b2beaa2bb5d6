import { mixedChoir, usualSections, type ChoirPart } from '../voices';
import { keyChange } from './change';
import type { PlannedSegment } from './planned';

const segment: PlannedSegment = {
  id: 's',
  exercise: {
    phase: 'range',
    anchor: 'middle',
    music: {
      kind: 'pattern',
      mode: 'major',
      notes: [
        { offset: 0, beats: 1 },
        { offset: 7, beats: 1 },
      ],
    },
    countIn: 0,
    breathBeats: 1,
    keyChangeBeats: 1,
  },
  choices: {
    talk: 0,
    demonstrate: 'no',
    tempo: 60,
    repetitions: 5,
    verses: 1,
    shape: 'up',
    step: 1,
    start: 62,
  },
};
const setting = (parts: readonly ChoirPart[]) => ({ sections: usualSections(parts), needs: [] });
const basses = (comfort: readonly [number, number]) =>
  mixedChoir.map((part) => (part.id === 'B' ? { ...part, comfort } : part));

describe('keyChange', () => {
  it('finds nothing to say when the sections are the same', () => {
    const same = keyChange(segment, setting(mixedChoir), setting(mixedChoir));
    expect(same).toMatchObject({ misfits: [], differs: false });
  });
  it('names the keys that leave a comfort which has become narrower', () => {
    // Basses sing D3–A3 up to F♯3–C♯4; with B3 as their new top the last two keys leave it.
    const change = keyChange(segment, setting(mixedChoir), setting(basses([43, 59])));
    expect(change.misfits).toEqual([
      { part: 'B', tonic: 65, state: 'edge', note: 60 },
      { part: 'B', tonic: 66, state: 'edge', note: 61 },
    ]);
  });
  it('says that the ladder is another one when the best start moves', () => {
    const free = { ...segment, choices: { ...segment.choices, start: null } };
    const change = keyChange(free, setting(mixedChoir), setting(basses([43, 57])));
    expect(change.differs).toBe(true);
    expect(change.now.repetitions[0]?.tonic).toBeLessThan(62);
  });
  it('does not complain of what was no better before', () => {
    const narrow = setting(basses([43, 59]));
    expect(keyChange(segment, narrow, setting(mixedChoir)).misfits).toEqual([]);
    expect(keyChange(segment, narrow, narrow).misfits).toEqual([]);
  });
});
