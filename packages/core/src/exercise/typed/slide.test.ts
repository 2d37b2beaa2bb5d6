import fc from 'fast-check';
import { modeNames } from '../../pitch';
import { readSlide, writeSlide } from './index';

describe('a typed slide', () => {
  it('begins somewhere and says in how many beats it gets where; none is a leap', () => {
    expect(readSlide('1 1:1 8:0 5:1/2', 'major')).toEqual({
      kind: 'slide',
      points: [
        { offset: 0, beats: 0 },
        { offset: 0, beats: 1 },
        { offset: 12, beats: 0 },
        { offset: 7, beats: 0.5 },
      ],
    });
  });
  it.each([
    ['', 0],
    ['1', 0],
    ['1:2 5:3', 0],
    ['1 5', 2],
    ['1 r:2', 2],
    ['1 5:x', 2],
    ['1 5:1/0', 2],
    ['1 5(a):2', 2],
    ['1 5:0', 0],
    ['1 q:2', 2],
  ])('says where “%s” stops', (text, at) => {
    const read = readSlide(text, 'major');
    expect(read.kind === 'problem' && read.at).toBe(at);
  });
  it('reads back as the same, in every mode', () => {
    const beats = fc.integer({ min: 0, max: 40 }).map((n) => n / 8);
    const point = fc.record({ offset: fc.integer({ min: -24, max: 24 }), beats });
    const points = fc
      .tuple(fc.integer({ min: -24, max: 24 }), fc.array(point, { minLength: 1, maxLength: 10 }))
      .filter(([, rest]) => rest.some((one) => one.beats > 0))
      .map(([offset, rest]) => [{ offset, beats: 0 }, ...rest]);
    fc.assert(
      fc.property(points, fc.constantFrom(...modeNames), (all, mode) => {
        expect(readSlide(writeSlide(all, mode), mode)).toEqual({ kind: 'slide', points: all });
      }),
    );
  });
});
