import type { PlanActs } from '@wide-fern/client';
import type { SingleActions } from '../single/KeyByKey';

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
> &
  SingleActions & {
    /** Shows what could stand in its place. */
    readonly instead: () => void;
  };
