import { z } from './zod';

/** As many items as a page of a list holds. */
export const pageSize = 500;

/** A page of a list that can grow: its items, and where the next page goes on; null on the last. */
export const pageOf = <T extends z.ZodType>(item: T) =>
  z.object({ items: z.array(item), next: z.string().nullable() });
export interface Page<T> {
  readonly items: readonly T[];
  readonly next: string | null;
}

/** Where a page goes on: what the page before said. */
export const pageQuerySchema = z.object({ after: z.string().max(400).optional() });
