import { exercises } from '@wide-fern/catalogue';
import type { Instead } from '@wide-fern/plan';
import { insteadInWords } from './instead';

const one: Instead = {
  ...{ exercise: exercises[0]!, likeness: 'similar', isNew: false },
  ...{ longer: 0, strain: 0, served: 0, gains: [], loses: [] },
};
const words = (changed: Partial<Instead>) => insteadInWords({ ...one, ...changed });

describe('what another exercise would change, in words', () => {
  it('says the time, how it lies and what it works on', () => {
    expect(words({})).toBe('as long');
    expect(words({ longer: 20, strain: -1 })).toBe('0:20 longer; lies better');
    expect(words({ longer: -75, strain: 2 })).toBe('1:15 shorter; lies less well');
    expect(words({ gains: ['tuning', 'blend'], loses: ['legato'] })).toBe(
      'as long; works on tuning and blend too, not on legato',
    );
    expect(words({ loses: ['legato'] })).toBe('as long; no longer works on legato');
    expect(words({ served: -2 })).toBe('as long; less of what is wished for');
    expect(words({ served: 1, gains: ['tuning'] })).toBe('as long; works on tuning too');
  });
});
