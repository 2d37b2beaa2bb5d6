import type { PlanActions } from '../model/acts';

/** What the bench can do to its segment. */
export type BenchActions = Pick<PlanActions, 'choose' | 'moveBy' | 'leaveOut'>;
