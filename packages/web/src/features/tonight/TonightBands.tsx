import type { Evening } from '@wide-fern/contract';
import type { NoteWriting } from '@wide-fern/core';
import { color } from '../../ui/color';
import { EveningBand } from '../../music/lanes/EveningBand';
import { timeAxis, lanes } from '../../music/lanes/geometry';
import { LaneGround } from '../../music/lanes/LaneGround';
import { SegmentInLane } from '../../music/lanes/SegmentInLane';
import { MinuteScale } from '../../music/lanes/MinuteScale';
import { type EvaluatedPlan, decidingNeed } from '@wide-fern/plan';
import { leftInWords, type Clock } from '@wide-fern/words';
import { SegmentNames } from './SegmentNames';
import { SvgText } from '../../ui/SvgText';

const rows = { clock: 10, evening: 16, eveningEnd: 62, fanEnd: 86, names: 86, lane: 134 } as const;
const laneHeight = 122;

/** The evening to scale, and the warm-up opened beneath it with the part that decides tonight's top. */
export function TonightBands({
  evening,
  item,
  plan,
  start,
  clock,
  width,
  writing,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly plan: EvaluatedPlan;
  readonly start: number;
  readonly clock: Clock;
  readonly width: number;
  readonly writing: NoteWriting;
}) {
  const { sections, needs } = plan.document.tonight;
  const deciding = decidingNeed(plan.document.tonight);
  const band = sections.find(({ id }) => id === deciding?.part) ?? sections[0]!;
  const narrow = width < 700;
  const axis = timeAxis(
    narrow ? 44 : 74,
    width - (narrow ? 44 : 60),
    Math.max(plan.allotted, plan.total),
  );
  const [lane] = lanes([band.reach], { top: rows.lane, height: laneHeight, gutter: 0 });
  const ofLane = { band, place: sections.indexOf(band), lane: lane!, axis };
  const bottom = rows.lane + laneHeight;
  const end = axis.x(plan.total);
  const freeWidth = axis.right - end;
  return (
    <svg
      width={width}
      height={bottom + 24}
      role="img"
      aria-label={`The evening to scale. The warm-up has ${plan.segments.length} segments; ${leftInWords(plan)}.`}
      style={{ display: 'block' }}
    >
      <EveningBand
        evening={evening}
        item={item}
        filledTo={plan.total}
        clock={clock}
        left={axis.left}
        right={axis.right}
        clockY={rows.clock}
        top={rows.evening}
        bottom={rows.eveningEnd}
        fan={{ left: axis.left, right: axis.x(plan.allotted), bottom: rows.fanEnd }}
      />
      <rect
        x={axis.left}
        y={rows.names}
        width={axis.right - axis.left}
        height={rows.lane - rows.names}
        fill={color('sheet')}
      />
      <LaneGround
        {...ofLane}
        need={needs.find(({ part }) => part === band.id)}
        writing={writing}
        labelX={narrow ? 2 : 8}
      />
      {plan.segments.map((evaluated) => (
        <SegmentInLane key={evaluated.segment.id} {...ofLane} evaluated={evaluated} />
      ))}
      {plan.segments.map((evaluated) => (
        <SegmentNames
          key={evaluated.segment.id}
          evaluated={evaluated}
          sections={sections}
          writing={writing}
          axis={axis}
          top={rows.names}
          bottom={bottom}
          middle={(lane!.y(band.comfort[0]) + lane!.y(band.comfort[1])) / 2}
        />
      ))}
      {plan.segments.length > 0 && (
        <line
          x1={end}
          x2={end}
          y1={rows.names}
          y2={bottom}
          stroke={color('fern')}
          strokeWidth={2}
        />
      )}
      {freeWidth > 80 && plan.segments.length > 0 && (
        <SvgText x={end + 10} y={rows.names + 20} size={13} ink="fern" weight={650}>
          {leftInWords(plan)}
        </SvgText>
      )}
      <rect
        x={axis.left}
        y={rows.names}
        width={axis.right - axis.left}
        height={bottom - rows.names}
        fill="none"
        stroke={color('line')}
      />
      <MinuteScale
        axis={axis}
        y={bottom + 16}
        start={start}
        clock={clock}
        ends={plan.segments.length > 0 ? plan.total : undefined}
      />
    </svg>
  );
}
