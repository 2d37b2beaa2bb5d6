/** Something done at once where it was not done just before, and otherwise once that is so long ago. */
export interface Spaced {
  readonly ask: () => void;
  /** Does at once what was asked and waits. */
  readonly now: () => void;
  /** Forgets what was asked and waits. */
  readonly callOff: () => void;
}

/**
 * Spaces out what may be asked many times a second: asked again and again it is done every so many ms, and
 * once more for what was asked last.
 */
export function spaced(every: number, act: () => void): Spaced {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let last = -Infinity;
  const callOff = () => {
    clearTimeout(timer);
    timer = undefined;
  };
  const perform = () => {
    callOff();
    last = performance.now();
    act();
  };
  return {
    ask: () => {
      const left = last + every - performance.now();
      if (left <= 0) perform();
      else timer ??= setTimeout(perform, left);
    },
    now: () => {
      if (timer !== undefined) perform();
    },
    callOff,
  };
}
