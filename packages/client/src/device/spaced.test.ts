import { jest } from '@jest/globals';
import { spaced } from './spaced';

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

/** When it was done, in ms from the beginning. */
function watched(every: number) {
  const began = performance.now();
  const done: number[] = [];
  return { done, ...spaced(every, () => done.push(performance.now() - began)) };
}

describe('something spaced out', () => {
  it('is done at once where it was not done just before', () => {
    const { ask, done } = watched(200);
    ask();
    expect(done).toEqual([0]);
    jest.advanceTimersByTime(500);
    ask();
    expect(done).toEqual([0, 500]);
  });

  it('is done every so often while it is asked again and again, and once for what was asked last', () => {
    const { ask, done } = watched(200);
    for (let at = 0; at < 450; at += 10) {
      ask();
      jest.advanceTimersByTime(10);
    }
    expect(done).toEqual([0, 200, 400]);
    jest.advanceTimersByTime(1000);
    expect(done).toEqual([0, 200, 400, 600]);
  });

  it('is done at once where what waits is asked for, and only then', () => {
    const { ask, now, done } = watched(200);
    now();
    expect(done).toEqual([]);
    ask();
    jest.advanceTimersByTime(50);
    ask();
    now();
    expect(done).toEqual([0, 50]);
    jest.advanceTimersByTime(1000);
    expect(done).toEqual([0, 50]);
  });

  it('is not done where it was called off', () => {
    const { ask, callOff, done } = watched(200);
    ask();
    ask();
    callOff();
    jest.advanceTimersByTime(1000);
    expect(done).toEqual([0]);
  });
});
