import { occasions, recommendedWarmUp } from './occasion';

describe('the recommended length of a warm-up', () => {
  it('follows the occasion', () => {
    expect(recommendedWarmUp('evening after work', 120).minutes).toEqual([10, 15]);
    expect(recommendedWarmUp('morning', 120).minutes).toEqual([15, 20]);
    expect(recommendedWarmUp('after a break', 120).minutes).toEqual([5, 8]);
  });
  it('takes a fifth of a short evening at most, and says so', () => {
    const { minutes, reason } = recommendedWarmUp('morning', 60);
    expect(minutes).toEqual([12, 12]);
    expect(reason).toMatch(/a fifth/);
    expect(recommendedWarmUp('morning', 5).minutes).toEqual([3, 3]);
  });
  it('has a reason for each', () => {
    const reasons = occasions.map((one) => recommendedWarmUp(one, 120).reason);
    expect(new Set(reasons).size).toBe(occasions.length);
  });
});
