import type { PlanActs } from '@wide-fern/client';

/** What the bench can do to its segment. */
export type BenchActions = Pick<
  PlanActs,
  | 'choose'
  | 'startOn'
  | 'keysBy'
  | 'moveBy'
  | 'tellPart'
  | 'untell'
  | 'takeOut'
  | 'pin'
  | 'onceMore'
  | 'split'
  | 'resize'
> & {
  /** Shows what could stand in its place. */
  readonly instead: () => void;
  /** Parts it after so many keys, and shows what could be put between. */
  readonly elseAfter: (keys: number) => void;
};
