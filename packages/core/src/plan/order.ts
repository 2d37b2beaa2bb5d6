import { phases, type Phase } from '../exercise/vocabulary';

/** Where an exercise of a phase belongs among others in their order: behind the last of its own or an earlier phase. */
export function placeInOrder(order: readonly Phase[], phase: Phase): number {
  const rank = phases.indexOf(phase);
  return order.findLastIndex((other) => phases.indexOf(other) <= rank) + 1;
}
