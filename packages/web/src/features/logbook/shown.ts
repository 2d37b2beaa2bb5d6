import type { Phase } from '@wide-fern/core';
import type { LogColumn } from '@wide-fern/plan';
import type { Coming } from './useLogbook';

/** What is looked at more closely: one kind of work in one column. */
export interface Opened {
  readonly column: string;
  readonly phase: Phase;
}

/** How a column is shaded: what is still planned, and what had no evening. */
export const classOf = ({ column, evenings }: LogColumn, coming: Coming | undefined): string =>
  coming?.column === column && !isLed({ evenings })
    ? 'coming'
    : evenings.length === 0
      ? 'none'
      : '';
export const isLed = ({ evenings }: Pick<LogColumn, 'evenings'>): boolean =>
  evenings.some(({ led }) => led.length > 0);
