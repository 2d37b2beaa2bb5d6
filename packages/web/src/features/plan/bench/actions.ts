import type { Choices } from '@wide-fern/contract';

/** What the bench can do to its segment. */
export interface BenchActions {
  readonly choose: (changed: Partial<Choices>, label: string) => void;
  readonly moveBy: (places: number) => void;
  readonly leaveOut: () => void;
}
