import type { Exercise, PlanDocument } from '@wide-fern/contract';
import { evaluate, segmentsOf, type EvaluatedPlan, type Proposal } from '@wide-fern/plan';
import { useRef } from 'react';
import { useLikely } from '../../../../here/useLikely';
import type { Row } from './useBuilding';

/** A row with its plan computed. */
export interface DrawnRow {
  readonly row: Row;
  readonly evaluated: EvaluatedPlan;
}

/** A proposal's plan, and by what its likely end was found. */
interface Drawn {
  readonly likely: ReturnType<typeof useLikely>;
  readonly evaluated: EvaluatedPlan;
}

/** The rows computed as plans, each once as long as its proposal stays the same. */
export function useDrawn(
  rows: readonly Row[],
  exercises: ReadonlyMap<string, Exercise>,
  document: PlanDocument,
  seconds: number,
): readonly DrawnRow[] {
  const likely = useLikely();
  const known = useRef(new WeakMap<Proposal, Drawn>());
  return rows.map((row) => {
    const found = known.current.get(row.plan);
    if (found?.likely === likely && found.evaluated.document.tonight === document.tonight) {
      return { row, evaluated: found.evaluated };
    }
    let count = 0;
    const segments = segmentsOf(row.plan, exercises, document.segments, () => {
      count += 1;
      return `proposed-${count}`;
    });
    const evaluated = likely(evaluate({ ...document, segments }, seconds));
    known.current.set(row.plan, { likely, evaluated });
    return { row, evaluated };
  });
}
