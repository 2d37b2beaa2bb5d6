import type { OptionalChoice, PlanEdit } from '@wide-fern/contract';

type Choosing = Extract<PlanEdit, { kind: 'choose' }>;

/** One edit for two that choose for the same segment, the later over the earlier; undefined for others. */
export function joined(earlier: PlanEdit, later: PlanEdit): Choosing | undefined {
  if (earlier.kind !== 'choose' || later.kind !== 'choose' || earlier.id !== later.id) {
    return undefined;
  }
  const choices = { ...earlier.choices, ...later.choices };
  for (const name of later.without ?? []) delete choices[name];
  const without = [
    ...new Set<OptionalChoice>([
      ...(earlier.without ?? []).filter((name) => later.choices[name] === undefined),
      ...(later.without ?? []),
    ]),
  ];
  return { kind: 'choose', id: earlier.id, choices, ...(without.length > 0 ? { without } : {}) };
}
