import { fullInWords, roomInWords, roomLeftInWords } from './index';

describe('what a choir keeps', () => {
  it('is said in figures of its kind', () => {
    expect(roomInWords({ of: 'files', here: 4_200_000, most: 500_000_000 })).toBe(
      '4 MB of scores, of 500 MB',
    );
    expect(roomInWords({ of: 'singers', here: 1, most: 2000 })).toBe('1 singer, of 2,000');
  });
  it('is a matter only when little room is left', () => {
    expect(roomLeftInWords({ of: 'evenings', here: 2699, most: 3000 })).toBeUndefined();
    expect(roomLeftInWords({ of: 'evenings', here: 2700, most: 3000 })).toBe(
      '2,700 evenings of at most 3,000 are here: there is little room left.',
    );
  });
  it('that is full says what to do; nobody is thrown away', () => {
    expect(fullInWords({ of: 'pieces', here: 2000, most: 2000 })).toBe(
      'A choir keeps at most 2,000 pieces; 2,000 are here. Throw some away first.',
    );
    expect(fullInWords({ of: 'singers', here: 2000, most: 2000 })).toContain('off the roster');
  });
});
