import { mindedTonight, remindersFor, type MindedSegment } from './minding';

const plain = {
  ...{ anchor: 'middle', effort: 1, needs: [], steps: [] },
  music: { kind: 'body', moves: [] },
} as const satisfies Partial<MindedSegment>;
const hum: MindedSegment = { ...plain, name: 'Hum', phase: 'onset' };
const climb: MindedSegment = {
  ...plain,
  name: 'Climb',
  phase: 'range',
  effort: 4,
  needs: ['noise'],
};
const straw: MindedSegment = {
  ...{ ...plain, name: 'Straw', phase: 'resonance', needs: ['prop'] },
  held: 'a straw for each',
};
const all = [hum, climb, straw];

describe('what is to be minded tonight', () => {
  it('is what meets who is here, and nothing else', () => {
    expect(mindedTonight(all, { condition: 'rested', states: {} })).toEqual([]);
    expect(
      mindedTonight(all, { condition: 'cold', states: { changing: 2, ill: 1, tired: 3 } }),
    ).toEqual([
      { code: 'changing', singers: 2, segments: ['Climb'] },
      { code: 'unwell', singers: 1, segments: ['Climb'] },
      { code: 'cold', segments: ['Hum'] },
    ]);
    expect(mindedTonight([straw], { condition: 'cold', states: { changing: 2, ill: 1 } })).toEqual(
      [],
    );
  });
});

describe('what is to be remembered before an evening', () => {
  it('is one thing each, where a segment asks for it', () => {
    expect(remindersFor(all, 'evening after work')).toEqual([
      { code: 'bring', days: 1, things: ['a straw for each'], segments: ['Straw'] },
      { code: 'neighbours', days: 2, segments: ['Climb'] },
    ]);
    expect(remindersFor([hum], 'evening after work')).toEqual([]);
    expect(remindersFor([straw, straw], 'before a performance')).toMatchObject([
      { code: 'bring', things: ['a straw for each'] },
      { code: 'rest', days: 1 },
    ]);
  });
});
