/** Where a browser does not say when it has nothing to do, so long is waited (ms). */
const pause = 300;

/**
 * Does something once the page has nothing else to do.
 * @returns to leave it undone
 */
export function whenIdle(act: () => void): () => void {
  if (typeof requestIdleCallback === 'function') {
    const asked = requestIdleCallback(act);
    return () => cancelIdleCallback(asked);
  }
  const waiting = setTimeout(act, pause);
  return () => clearTimeout(waiting);
}
