import { jest } from '@jest/globals';
import { setPulled, usePulling } from './pulling';

const isPulled = () => usePulling.getState().isPulled;

describe('something that is pulled', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    setPulled(false);
  });
  afterEach(() => {
    jest.useRealTimers();
  });

  it('is pulled until it is let go, and told only when that changes', () => {
    const told = jest.fn();
    const end = usePulling.subscribe(told);
    setPulled(true);
    setPulled(true);
    expect(isPulled()).toBe(true);
    setPulled(false);
    expect(isPulled()).toBe(false);
    expect(told).toHaveBeenCalledTimes(2);
    end();
  });

  it('is pulled as long as it moves, and no more when what was pulled is gone', () => {
    setPulled(true);
    jest.advanceTimersByTime(900);
    setPulled(true);
    jest.advanceTimersByTime(900);
    expect(isPulled()).toBe(true);
    jest.advanceTimersByTime(200);
    expect(isPulled()).toBe(false);
  });
});
