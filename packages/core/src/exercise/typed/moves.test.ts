import fc from 'fast-check';
import type { Movement } from '../../timing';
import { readMovement, writeMovement } from './moves';

describe('a movement as it is typed', () => {
  it('is its text, or its text and figures in brackets', () => {
    expect(readMovement('Let the arms hang.', 8)).toEqual({
      kind: 'movement',
      movement: { text: 'Let the arms hang.', sides: 1, times: 1, seconds: 8, held: 0 },
    });
    expect(readMovement('Lean an ear over. [both sides, 3 times, 4 s, held 2.5 s]', 8)).toEqual({
      kind: 'movement',
      movement: { text: 'Lean an ear over.', sides: 2, times: 3, seconds: 4, held: 2.5 },
    });
  });
  it('says what it does not understand', () => {
    expect(readMovement('Shake. [thrice]', 8)).toEqual({ kind: 'problem', word: 'thrice' });
  });
  it('is read back as it was written', () => {
    const movement: fc.Arbitrary<Movement> = fc.record({
      text: fc.constantFrom('Nod.', 'Roll the shoulders, slowly', 'Left [hand]s up.'),
      sides: fc.constantFrom(1, 2),
      times: fc.integer({ min: 1, max: 60 }),
      seconds: fc.integer({ min: 1, max: 600 }),
      held: fc.constantFrom(0, 1.5, 12),
    });
    fc.assert(
      fc.property(movement, fc.integer({ min: 1, max: 20 }), (one, usual) => {
        const read = readMovement(writeMovement(one, usual), usual);
        expect(read).toEqual({ kind: 'movement', movement: one });
      }),
    );
  });
});
