/** The median of some figures. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Runs something some times to warm it up, then measures it; answers with the median in milliseconds. */
export function medianTime(runs: number, action: () => unknown): number {
  for (let i = 0; i < runs; i += 1) action();
  return median(
    Array.from({ length: runs }, () => {
      const began = performance.now();
      action();
      return performance.now() - began;
    }),
  );
}

/** The value that 95 of 100 do not exceed. */
export const p95 = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? 0;
