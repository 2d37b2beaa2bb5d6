import type { Evening } from '@wide-fern/contract';
import type { AccidentalPreference } from '@wide-fern/core';
import { useState, type PointerEvent } from 'react';
import { color } from '../../../ui/color';
import type { Evaluated, EvaluatedPlan } from '@wide-fern/plan';
import { isTooLong, leftInWords, type Clock } from '@wide-fern/words';
import { EveningBand } from '../../../music/lanes/EveningBand';
import { GutterLine } from '../../../music/lanes/GutterLine';
import { LaneShape } from '../../../music/lanes/LaneShape';
import type { PlanLayout } from './layout';
import { MinuteScale } from '../../../music/lanes/MinuteScale';

/** The notes of a chord joined through the lanes. */
function ChordLines({
  evaluated: { segment, computed },
  layout,
  parts,
}: {
  readonly evaluated: Evaluated;
  readonly layout: PlanLayout;
  readonly parts: readonly string[];
}) {
  if (segment.exercise.music.kind !== 'chord' || parts.length < 2) return null;
  return computed.repetitions.map(({ at, seconds, parts: sounding }) => {
    const x = layout.axis.x(computed.placed.from + at + seconds / 2);
    const ys = sounding.flatMap((one) => {
      const lane = layout.lanes[parts.indexOf(one.part)];
      return one.does === 'sing' && lane ? [lane.y(one.tonic)] : [];
    });
    if (ys.length < 2) return null;
    return (
      <line
        key={at}
        x1={x}
        x2={x}
        y1={Math.min(...ys)}
        y2={Math.max(...ys)}
        stroke={color('inkSoft')}
        opacity={0.75}
      />
    );
  });
}

/** The evening, the warm-up's clock and the range weave: everything that happens when, on one axis. */
export function Weave({
  plan,
  layout,
  parts,
  evening,
  item,
  start,
  clock,
  chosen,
  accidentals,
  onChoose,
}: {
  readonly plan: EvaluatedPlan;
  readonly layout: PlanLayout;
  /** The parts drawn, from the highest; all, or one on a narrow page. */
  readonly parts: readonly string[];
  readonly evening: Evening;
  readonly item: string;
  readonly start: number;
  readonly clock: Clock;
  readonly chosen: string | null;
  readonly accidentals: AccidentalPreference;
  readonly onChoose: (segment: string) => void;
}) {
  const [moment, setMoment] = useState<number>();
  const { axis } = layout;
  const { sections, needs } = plan.document.tonight;
  const shown = sections.filter(({ id }) => parts.includes(id));
  const follow = ({ clientX, currentTarget, pointerType }: PointerEvent<SVGSVGElement>) => {
    if (pointerType !== 'mouse') return;
    const x = clientX - currentTarget.getBoundingClientRect().left;
    setMoment(x >= axis.left && x <= axis.right ? axis.at(x) : undefined);
  };
  const end = axis.x(plan.total);
  const over = isTooLong(plan);
  return (
    <svg
      width={layout.width}
      height={layout.height}
      role="img"
      aria-label={`The range weave: what each part sings when. ${leftInWords(plan)}.`}
      onPointerMove={follow}
      onPointerLeave={() => setMoment(undefined)}
      style={{ display: 'block', touchAction: 'pan-y' }}
    >
      <EveningBand
        evening={evening}
        item={item}
        filledTo={plan.total}
        clock={clock}
        left={axis.left}
        right={axis.right}
        clockY={layout.eveningClock}
        top={layout.evening.top}
        bottom={layout.evening.bottom}
        fan={{ left: axis.left, right: axis.x(plan.allotted), bottom: layout.fanBottom }}
        moment={moment}
        label={{ x: layout.margin, text: axis.left > 80 ? 'Evening' : '' }}
      />
      <MinuteScale
        axis={axis}
        y={layout.minutes}
        start={start}
        clock={clock}
        ends={plan.segments.length > 0 ? plan.total : undefined}
        moment={moment}
      />
      {shown.map((band, i) => (
        <LaneShape
          key={band.id}
          band={band}
          place={sections.indexOf(band)}
          lane={layout.lanes[i]!}
          axis={axis}
          segments={plan.segments}
          need={needs.find(({ part }) => part === band.id)}
          accidentals={accidentals}
          labelX={layout.margin}
        />
      ))}
      {plan.segments.map((evaluated) => {
        const { segment, computed } = evaluated;
        const from = axis.x(computed.placed.from);
        const to = axis.x(computed.placed.to);
        const isChosen = segment.id === chosen;
        return (
          <g key={segment.id}>
            <line x1={to} x2={to} y1={layout.weaveTop} y2={layout.height} stroke={color('line')} />
            <GutterLine evaluated={evaluated} axis={axis} y={layout.middle} />
            <ChordLines evaluated={evaluated} layout={layout} parts={parts} />
            <rect
              x={from}
              y={layout.weaveTop}
              width={Math.max(0, to - from)}
              height={layout.height - layout.weaveTop}
              fill={isChosen ? color('fern') : 'transparent'}
              opacity={isChosen ? 0.06 : 1}
              onClick={() => onChoose(segment.id)}
              style={{ cursor: 'pointer' }}
            />
            {isChosen && (
              <path
                d={`M${from} ${layout.height} V${layout.weaveTop} M${to} ${layout.weaveTop} V${layout.height}`}
                stroke={color('fern')}
                strokeWidth={1.5}
                fill="none"
              />
            )}
          </g>
        );
      })}
      {[axis.left, axis.right].map((x) => (
        <line
          key={x}
          x1={x}
          x2={x}
          y1={layout.weaveTop}
          y2={layout.height}
          stroke={color('line')}
        />
      ))}
      {plan.segments.length > 0 && (
        <line
          x1={end}
          x2={end}
          y1={layout.weaveTop}
          y2={layout.height}
          stroke={color(over ? 'brick' : 'fern')}
          strokeWidth={2}
        />
      )}
      {over && (
        <line
          x1={axis.x(plan.allotted)}
          x2={axis.x(plan.allotted)}
          y1={layout.weaveTop}
          y2={layout.height}
          stroke={color('brick')}
          strokeDasharray="4 3"
        />
      )}
      {moment !== undefined && (
        <line
          x1={axis.x(moment)}
          x2={axis.x(moment)}
          y1={layout.weaveTop}
          y2={layout.height}
          stroke={color('fern')}
          opacity={0.8}
          pointerEvents="none"
        />
      )}
    </svg>
  );
}
