import { unsureInWords } from './sure';

describe('how sure it is that enough are at ease', () => {
  it('is said above one evening in five, in tenths', () => {
    expect(unsureInWords(0.2)).toBeUndefined();
    expect(unsureInWords(0.21)).toBe('on two evenings in ten, too few are at ease here');
    expect(unsureInWords(0.66)).toBe('on seven evenings in ten, too few are at ease here');
    expect(unsureInWords(0.97)).toBe('nearly always too few are at ease here');
  });
});
