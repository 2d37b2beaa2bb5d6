import type { Exercise } from '@wide-fern/contract';

/** More neighbours than this help nobody to choose. */
const most = 4;

/** How hard an exercise is: first what it takes to understand it, then what it asks of the voice. */
const hardness = ({ difficulty, effort }: Exercise): number => 10 * difficulty + effort;

/** Whether two are near enough that one is the easier way to the other: a family, or one stands in for the other. */
const areNear = (a: Exercise, b: Exercise): boolean =>
  (a.family !== undefined && a.family.id === b.family?.id && a.phase === b.phase) ||
  a.substitutes.some(({ exercise }) => exercise === b.id) ||
  b.substitutes.some(({ exercise }) => exercise === a.id);

/** The exercises, each with its easier and harder neighbours, the nearest in hardness first. */
export function linked(all: readonly Exercise[]): Exercise[] {
  return all.map((one) => {
    const near = all.filter((other) => other.id !== one.id && areNear(one, other));
    const by = (sign: 1 | -1) =>
      near
        .filter((other) => sign * (hardness(other) - hardness(one)) > 0)
        .sort((a, b) => sign * (hardness(a) - hardness(b)))
        .slice(0, most)
        .map(({ id }) => id);
    const [easier, harder] = [by(-1), by(1)];
    return {
      ...one,
      ...(easier.length > 0 ? { easier } : {}),
      ...(harder.length > 0 ? { harder } : {}),
    };
  });
}
