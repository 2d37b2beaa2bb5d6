import { nameLines } from './nameLines';

describe('a name in its width', () => {
  it('stands on one line, as large as fits', () => {
    expect(nameLines('Pulley', 200)).toEqual({ size: 15, lines: ['Pulley'] });
    expect(nameLines('Sliding fifths', 125)).toEqual({ size: 13, lines: ['Sliding fifths'] });
  });
  it('else on two of like length', () => {
    expect(nameLines('Sliding fifths', 80).lines).toEqual(['Sliding', 'fifths']);
    expect(nameLines('Long s, short s', 80).lines).toEqual(['Long s,', 'short s']);
  });
  it('or is left out where even that is too wide', () => {
    expect(nameLines('Sliding fifths', 40).lines).toEqual([]);
    expect(nameLines('Pulley', 30).lines).toEqual([]);
  });
});
