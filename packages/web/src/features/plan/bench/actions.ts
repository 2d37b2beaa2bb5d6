import type { PlanActions } from '@wide-fern/client';

/** What the bench can do to its segment. */
export type BenchActions = Pick<PlanActions, 'choose' | 'moveBy' | 'leaveOut'>;
