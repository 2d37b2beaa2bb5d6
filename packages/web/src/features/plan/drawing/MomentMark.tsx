import { Box } from '@chakra-ui/react';
import type { NoteWriting } from '@wide-fern/core';
import { momentAt, momentsOf, type EvaluatedPlan } from '@wide-fern/plan';
import { momentOfPlanInWords, type Clock } from '@wide-fern/words';
import { useMemo, type KeyboardEvent } from 'react';
import type { PlanLayout } from './layout';

/**
 * The moment that is pointed at, in words above the lanes. By keyboard it goes from key to key; whoever
 * hears the page hears the same words.
 */
export function MomentMark({
  plan,
  layout: { axis, minutes, fanBottom },
  start,
  clock,
  writing,
  moment,
  onMoment,
}: {
  readonly plan: EvaluatedPlan;
  readonly layout: PlanLayout;
  readonly start: number;
  readonly clock: Clock;
  readonly writing: NoteWriting;
  readonly moment: number | undefined;
  readonly onMoment: (moment: number | undefined) => void;
}) {
  const stops = useMemo(() => momentsOf(plan), [plan]);
  const at = moment ?? 0;
  const inWords = (seconds: number) =>
    `${clock.drawn.second(start + Math.round(seconds) * 1000)}, ${momentOfPlanInWords(
      momentAt(plan, seconds),
      plan.document.tonight,
      writing,
    )}`;
  const words = inWords(at);
  const go = (event: KeyboardEvent) => {
    const to = {
      ArrowRight: stops.find((one) => one > at + 1e-6),
      ArrowLeft: stops.findLast((one) => one < at - 1e-6),
      Home: stops[0],
      End: stops.at(-1),
    }[event.key];
    if (event.key === 'Escape') onMoment(undefined);
    if (to === undefined || event.shiftKey) return;
    event.preventDefault();
    event.stopPropagation();
    onMoment(to);
  };
  const x = axis.x(at);
  return (
    <>
      <div
        role="slider"
        tabIndex={stops.length > 0 ? 0 : -1}
        aria-label="Moment of the warm-up"
        aria-valuemin={0}
        aria-valuemax={Math.round(plan.total)}
        aria-valuenow={Math.round(at)}
        aria-valuetext={words}
        style={{
          ...{ position: 'absolute', left: axis.left, top: minutes - 13, height: 18 },
          width: Math.max(0, axis.right - axis.left),
          // What lies beneath is pointed at, not this.
          pointerEvents: 'none',
        }}
        onKeyDown={go}
        onFocus={() => onMoment(moment ?? stops[0])}
        onBlur={() => onMoment(undefined)}
      />
      {moment !== undefined && (
        <Box
          aria-hidden="true"
          data-moment
          position="absolute"
          top={`${fanBottom - 19}px`}
          // Its words stay inside the page: at the left edge they begin at the line, at the right they end there.
          style={{
            left: x,
            transform: `translateX(${(-100 * (x - axis.left)) / Math.max(1, axis.right - axis.left)}%)`,
          }}
          px="8px"
          bg="sheet"
          borderWidth="1px"
          fontSize="12px"
          lineHeight="17px"
          whiteSpace="nowrap"
          pointerEvents="none"
        >
          {words}
        </Box>
      )}
    </>
  );
}
