import type { Evening, PlanDocument } from '@wide-fern/contract';
import { evaluate, itemTime } from '@wide-fern/plan';
import { clockIn } from '@wide-fern/words';
import { useMemo } from 'react';
import { useHere } from '../../../here/session';
import { useLikely } from '../../../here/useLikely';
import { usePulling } from '../../../ui/pulling';
import { useHeld } from '../../../ui/useHeld';
import { usePageHeight } from '../../../ui/useSize';
import type { TimeView } from '../../../music/lanes/geometry';
import { planLayout } from '../drawing/layout';

/** Below this width one band is shown at a time. */
const narrowBelow = 700;

/**
 * A plan computed, and laid out for a page of this width.
 * @param part which part a narrow page shows
 */
export function usePlanDrawing({
  evening,
  item,
  document,
  part,
  width,
  view,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  readonly part: number;
  readonly width: number;
  /** What is looked at from near; the whole plan where nothing is. */
  readonly view?: TimeView | undefined;
}) {
  const { timeZone, clock: kind } = useHere().choir;
  const pageHeight = usePageHeight();
  const { start, allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const likely = useLikely();
  const plan = useMemo(() => likely(evaluate(document, allotted)), [document, allotted, likely]);
  const clock = useMemo(() => clockIn(timeZone, kind), [timeZone, kind]);

  const narrow = width < narrowBelow;
  const { sections } = document.tonight;
  const parts = useMemo(
    () =>
      narrow ? [sections[Math.min(part, sections.length - 1)]!.id] : sections.map(({ id }) => id),
    [narrow, part, sections],
  );
  // While something is pulled the axis goes as far as before: what is pulled stays under the hand, and
  // nothing is drawn anew but what changes.
  const isPulled = usePulling().pulled !== undefined;
  const seconds = useHeld(Math.max(allotted, plan.total), isPulled);
  const layout = useMemo(() => {
    const reaches = sections.filter(({ id }) => parts.includes(id)).map(({ reach }) => reach);
    return planLayout({ width, pageHeight, narrow, view, seconds, reaches });
  }, [width, pageHeight, narrow, view, seconds, sections, parts]);

  return { start, allotted, plan, clock, narrow, sections, parts, layout };
}
