import { recommendedWarmUp } from './occasion';

describe('the recommended length of a warm-up', () => {
  it('follows the occasion', () => {
    expect(recommendedWarmUp('evening after work', 120).minutes).toEqual([10, 15]);
    expect(recommendedWarmUp('morning', 120).minutes).toEqual([15, 20]);
    expect(recommendedWarmUp('after a break', 120).minutes).toEqual([5, 8]);
  });
  it('takes a fifth of a short evening at most, and says so', () => {
    expect(recommendedWarmUp('morning', 60)).toEqual({
      occasion: 'morning',
      minutes: [12, 12],
      short: true,
    });
    expect(recommendedWarmUp('morning', 5).minutes).toEqual([3, 3]);
  });
});
