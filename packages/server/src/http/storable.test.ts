import fc from 'fast-check';
import { findUnstorable } from './storable';

describe('what can be kept', () => {
  it('is any text of whole characters, however it is nested', () => {
    fc.assert(
      fc.property(fc.jsonValue({ noUnicodeString: false }), (value) => {
        const text = JSON.stringify(value);
        const isWhole = !text.includes('\\u0000') && !/\\ud[89a-f]/i.test(text);
        expect(findUnstorable(value) === undefined).toBe(isWhole);
      }),
    );
  });
  it.each([
    ['a zero character', { singer: { name: 'a\u0000b' } }, ['singer', 'name']],
    ['half a character', ['ok', 'a\ud83d'], ['1']],
    ['a name of one', { place: { 'x\u0000': 1 } }, ['place']],
  ])('is not %s, and it is said where', (_, value, at) => {
    expect(findUnstorable(value)).toEqual({ why: 'signs', at });
  });
  it('is not what is nested without end, and looking for it ends', () => {
    let deep: unknown = 'x';
    for (let i = 0; i < 200_000; i += 1) deep = [deep];
    expect(findUnstorable(deep)).toEqual({ why: 'depth' });
  });
  it('is a whole emoji, and a file as it is', () => {
    expect(findUnstorable({ note: '🌿', file: Buffer.from([0, 216, 0]) })).toBeUndefined();
  });
});
