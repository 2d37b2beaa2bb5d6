import type { Evening } from '@wide-fern/contract';
import type { NoteWriting, PartNeed, Section } from '@wide-fern/core';
import { memo, type PointerEvent, type ReactNode } from 'react';
import { color } from '../../../ui/color';
import { usePulling } from '../../../ui/pulling';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { isTooLong, leftInWords, type Clock } from '@wide-fern/words';
import { EveningBand } from '../../../music/lanes/EveningBand';
import { LaneGround } from '../../../music/lanes/LaneGround';
import { Chain } from './Chain';
import { Column } from './Column';
import { viewClip, type PlanLayout } from './layout';
import { MinuteScale } from '../../../music/lanes/MinuteScale';

/** Layers lie over each other. */
const over = { position: 'absolute', top: 0, left: 0 } as const;

interface Upright {
  readonly name: string;
  readonly at: number;
  readonly stroke: string;
  readonly strokeWidth?: number;
  readonly strokeDasharray?: string;
  readonly strokeOpacity?: number;
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
      : [{ name: 'moment', at: axis.x(moment), stroke: color('fern'), strokeOpacity: 0.8 }]),
  ];
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
  const growing = usePulling(({ segment }) => segment);
  const { sections, needs } = plan.document.tonight;
  const follow = ({ clientX, currentTarget, pointerType }: PointerEvent<HTMLElement>) => {
    if (pointerType !== 'mouse') return;
    const x = clientX - currentTarget.getBoundingClientRect().left;
    onMoment(x >= axis.left && x <= axis.right ? axis.at(x) : undefined);
  };
  const measures = { width: layout.width, height: layout.height };
  const seen = Math.max(0, axis.right - axis.left);
  return (
    <div
      role="img"
      aria-label={`The range weave: what each part sings when. ${leftInWords(plan)}.`}
      onPointerMove={follow}
      onPointerLeave={() => onMoment(undefined)}
      style={{ ...measures, position: 'relative', touchAction: 'pan-y' }}
    >
      <Grounds {...{ layout, sections, needs, parts, writing }} />
      <svg width={layout.width} height={layout.weaveTop} style={over}>
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
      </svg>
      {/* Each segment is a drawing of its own: what did not change is not even painted anew. */}
      <div
        style={{
          ...{ position: 'absolute', top: 0, left: axis.left, width: seen, height: layout.height },
          ...{ overflow: 'clip', pointerEvents: 'none' },
        }}
      >
        <Chain segments={plan.segments} axis={axis} growing={growing}>
          {(evaluated, own) => (
            <Column
              {...{ evaluated, own, layout, sections, parts, onChoose }}
              isChosen={evaluated.segment.id === chosen}
            />
          )}
        </Chain>
      </div>
      <svg {...measures} style={{ ...over, pointerEvents: 'none' }}>
        <clipPath id={viewClip}>
          <rect x={axis.left} y={0} width={seen} height={layout.height} />
        </clipPath>
        {children}
        {uprights(plan, layout, moment)
          .filter(({ at }) => at >= axis.left && at <= axis.right)
          .map(({ name, at, ...drawn }) => (
            <line key={name} x1={at} x2={at} y1={layout.weaveTop} y2={layout.height} {...drawn} />
          ))}
      </svg>
    </div>
  );
}

/** Everything in the lanes that does not depend on what is sung. */
const Grounds = memo(
  ({
    layout,
    sections,
    needs,
    parts,
    writing,
  }: {
    readonly layout: PlanLayout;
    readonly sections: readonly Section[];
    readonly needs: readonly PartNeed[];
    readonly parts: readonly string[];
    readonly writing: NoteWriting;
  }) => (
    <svg width={layout.width} height={layout.height} style={over}>
      {parts.map((part, i) => {
        const place = sections.findIndex(({ id }) => id === part);
        return (
          <LaneGround
            key={part}
            band={sections[place]!}
            lane={layout.lanes[i]!}
            axis={layout.axis}
            need={needs.find((one) => one.part === part)}
            labelX={layout.margin}
            {...{ place, writing }}
          />
        );
      })}
    </svg>
  ),
);
