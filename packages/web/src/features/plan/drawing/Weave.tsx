import type { Evening } from '@wide-fern/contract';
import type { NoteWriting } from '@wide-fern/core';
import type { PointerEvent, ReactNode } from 'react';
import { color } from '../../../ui/color';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { isTooLong, leftInWords, type Clock } from '@wide-fern/words';
import { Chain } from '../../../music/lanes/Chain';
import { EveningBand } from '../../../music/lanes/EveningBand';
import { LaneShape } from '../../../music/lanes/LaneShape';
import { viewClip, type PlanLayout } from './layout';
import { MinuteScale } from '../../../music/lanes/MinuteScale';

interface Upright {
  readonly name: string;
  readonly at: number;
  readonly stroke: string;
  readonly strokeWidth?: number;
  readonly strokeDasharray?: string;
  readonly opacity?: number;
}

/** The lines through all lanes: the edges, where the plan ends, where it should, and the moment pointed at. */
function uprights(
  plan: EvaluatedPlan,
  { axis }: PlanLayout,
  moment: number | undefined,
): Upright[] {
  const { segments, total, allotted } = plan;
  const isOver = isTooLong(plan);
  return [
    { name: 'left', at: axis.left, stroke: color('line') },
    { name: 'right', at: axis.right, stroke: color('line') },
    ...(segments.length > 0
      ? [
          {
            name: 'end',
            at: axis.x(total),
            stroke: color(isOver ? 'brick' : 'fern'),
            strokeWidth: 2,
          },
        ]
      : []),
    ...(isOver
      ? [{ name: 'allotted', at: axis.x(allotted), stroke: color('brick'), strokeDasharray: '4 3' }]
      : []),
    ...(moment === undefined
      ? []
      : [{ name: 'moment', at: axis.x(moment), stroke: color('fern'), opacity: 0.8 }]),
  ];
}

/** The time of one segment through all lanes; choosing it is clicking anywhere in it. */
function Column({
  width,
  layout,
  isChosen,
  onChoose,
}: {
  readonly width: number;
  readonly layout: PlanLayout;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}) {
  const { weaveTop, height } = layout;
  return (
    <>
      <line x1={width} x2={width} y1={weaveTop} y2={height} stroke={color('line')} />
      <rect
        y={weaveTop}
        width={Math.max(0, width)}
        height={height - weaveTop}
        fill={isChosen ? color('fern') : 'transparent'}
        opacity={isChosen ? 0.06 : 1}
        onClick={onChoose}
        style={{ cursor: 'pointer' }}
      />
      {isChosen && (
        <path
          d={`M0 ${height} V${weaveTop} M${width} ${weaveTop} V${height}`}
          stroke={color('fern')}
          strokeWidth={1.5}
          fill="none"
        />
      )}
    </>
  );
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
  writing,
  moment,
  onMoment,
  onChoose,
  children,
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
  readonly writing: NoteWriting;
  /** What is pointed at, in seconds from the start. */
  readonly moment: number | undefined;
  readonly onMoment: (moment: number | undefined) => void;
  readonly onChoose: (segment: string) => void;
  /** What is drawn over the lanes once it is there. */
  readonly children: ReactNode;
}) {
  const { axis } = layout;
  const { sections, needs } = plan.document.tonight;
  const shown = sections.filter(({ id }) => parts.includes(id));
  const follow = ({ clientX, currentTarget, pointerType }: PointerEvent<SVGSVGElement>) => {
    if (pointerType !== 'mouse') return;
    const x = clientX - currentTarget.getBoundingClientRect().left;
    onMoment(x >= axis.left && x <= axis.right ? axis.at(x) : undefined);
  };
  return (
    <svg
      width={layout.width}
      height={layout.height}
      role="img"
      aria-label={`The range weave: what each part sings when. ${leftInWords(plan)}.`}
      onPointerMove={follow}
      onPointerLeave={() => onMoment(undefined)}
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
        fan={{
          left: Math.max(axis.left, axis.x(0)),
          right: Math.min(axis.right, axis.x(plan.allotted)),
          bottom: layout.fanBottom,
          view: axis.view,
        }}
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
      <clipPath id={viewClip}>
        <rect
          x={axis.left}
          y={0}
          width={Math.max(0, axis.right - axis.left)}
          height={layout.height}
        />
      </clipPath>
      {shown.map((band, i) => (
        <LaneShape
          key={band.id}
          band={band}
          place={sections.indexOf(band)}
          lane={layout.lanes[i]!}
          axis={axis}
          segments={plan.segments}
          need={needs.find(({ part }) => part === band.id)}
          writing={writing}
          labelX={layout.margin}
          clip={`url(#${viewClip})`}
        />
      ))}
      <g clipPath={`url(#${viewClip})`}>
        <Chain segments={plan.segments} axis={axis}>
          {(evaluated, own) => (
            <Column
              width={own.x(evaluated.computed.placed.to)}
              layout={layout}
              isChosen={evaluated.segment.id === chosen}
              onChoose={() => onChoose(evaluated.segment.id)}
            />
          )}
        </Chain>
      </g>
      {children}
      {uprights(plan, layout, moment)
        .filter(({ at }) => at >= axis.left && at <= axis.right)
        .map(({ name, at, ...drawn }) => (
          <line
            key={name}
            x1={at}
            x2={at}
            y1={layout.weaveTop}
            y2={layout.height}
            pointerEvents="none"
            {...drawn}
          />
        ))}
    </svg>
  );
}
