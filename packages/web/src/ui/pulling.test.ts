import { jest } from '@jest/globals';
import { onceRested, setPulled, usePulling } from './pulling';

const pulled = () => usePulling.getState().pulled;

describe('something that is pulled', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    setPulled(undefined);
  });
  afterEach(() => {
    jest.useRealTimers();
  });

  it('is pulled until it is let go, and told only when that changes', () => {
    const told = jest.fn();
    const end = usePulling.subscribe(told);
    setPulled('strip', 'pulley');
    setPulled('strip', 'pulley');
    expect(usePulling.getState()).toEqual({ pulled: 'strip', segment: 'pulley' });
    setPulled(undefined);
    expect(usePulling.getState()).toEqual({ pulled: undefined, segment: undefined });
    expect(told).toHaveBeenCalledTimes(2);
    end();
  });

  it('is pulled as long as it moves, and no more when what was pulled is gone', () => {
    setPulled('strip');
    jest.advanceTimersByTime(900);
    setPulled('strip');
    jest.advanceTimersByTime(900);
    expect(pulled()).toBe('strip');
    jest.advanceTimersByTime(200);
    expect(pulled()).toBeUndefined();
  });

  it('rests only when the hand does, however long ago it changed anything', () => {
    const act = jest.fn();
    setPulled('strip');
    onceRested(act);
    for (let moved = 0; moved < 10; moved += 1) {
      jest.advanceTimersByTime(100);
      setPulled('strip');
    }
    expect(act).not.toHaveBeenCalled();
    jest.advanceTimersByTime(151);
    expect(act).toHaveBeenCalledTimes(1);
    jest.advanceTimersByTime(1000);
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('and nothing is done then that is not wanted any more', () => {
    const act = jest.fn();
    setPulled('strip');
    onceRested(act)();
    jest.advanceTimersByTime(1000);
    expect(act).not.toHaveBeenCalled();
  });
});
