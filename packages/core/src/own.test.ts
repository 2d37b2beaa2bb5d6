import fc from 'fast-check';
import { askedOf } from './evening/needs';
import { patternOf } from './ladder/problem';
import { own } from './own';

const inherited = ['toString', 'constructor', 'valueOf', 'hasOwnProperty', '__proto__'];

describe('a name that somebody chose', () => {
  it('finds what stands under it, and nothing that every object has', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.string({ minLength: 1, maxLength: 8 }), fc.nat()),
        fc.constantFrom(...inherited, 'S'),
        (record, name) => {
          const found = Object.entries(record).find(([key]) => key === name)?.[1];
          expect(own(record, name)).toBe(found);
        },
      ),
    );
    expect(own(undefined, 'S')).toBeUndefined();
  });
  it.each(inherited)(
    '«%s» is a part like any other: it has what it was given and nothing else',
    (part) => {
      const asked = { title: 'Slate', ranges: { S: [62, 77] as const }, byBar: undefined };
      expect(askedOf(asked as never, part)).toBeUndefined();
      const byBar = { numbers: [1], parts: { S: [[62, 77] as const] } };
      expect(askedOf({ ...asked, byBar }, part)).toBeUndefined();
      const pattern = { low: 0, high: 7 } as never;
      expect(patternOf({ pattern, own: {} }, part)).toBe(pattern);
    },
  );
});
