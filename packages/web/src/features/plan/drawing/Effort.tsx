import type { PlanLoad } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import type { TimeAxis } from '../../../music/lanes/geometry';
import { color } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { viewClip } from './layout';

const nothing: PlanLoad = { segments: [], peak: undefined, warnings: [] };
/** A level of effort, in px. */
const level = 3.8;

/** How hard it is from segment to segment: a stepped line with its peak named, and what should be looked at. */
export function Effort({
  plan,
  load,
  axis,
  top,
  bottom,
  labelX,
}: {
  readonly plan: EvaluatedPlan;
  /** Not there yet while what works it out is fetched. */
  readonly load: PlanLoad | undefined;
  readonly axis: TimeAxis;
  readonly top: number;
  readonly bottom: number;
  readonly labelX: number;
}) {
  const { segments, peak, warnings } = load ?? nothing;
  const y = (effort: number) => bottom - effort * level;
  const path = segments
    .map(({ from, to, effort }, i) => {
      const begin = i === 0 ? `M${axis.x(from)} ${bottom} V` : 'V';
      return `${begin}${y(effort)} H${axis.x(to)}`;
    })
    .join(' ');
  const name = plan.segments.find(({ segment }) => segment.id === peak?.id)?.segment.exercise.name;
  const peakX = peak ? (axis.x(peak.from) + axis.x(peak.to)) / 2 : 0;
  const room = Math.min(peakX - axis.left, axis.right - peakX);
  return (
    <g>
      <SvgText x={labelX} y={bottom - 2}>
        {axis.left > 80 ? 'Effort' : ''}
      </SvgText>
      <line x1={axis.left} x2={axis.right} y1={bottom} y2={bottom} stroke={color('line')} />
      <g clipPath={`url(#${viewClip})`}>
        {path && <path d={`${path} V${bottom}`} fill={color('sunk')} stroke={color('inkSoft')} />}
      </g>
      {peak && name && room > 0 && (
        <SvgText
          x={room < 70 ? (peakX < (axis.left + axis.right) / 2 ? axis.left : axis.right) : peakX}
          y={top + 8}
          size={11}
          textAnchor={
            room >= 70 ? 'middle' : peakX < (axis.left + axis.right) / 2 ? 'start' : 'end'
          }
        >
          {`${name}, ${peak.effort} of 5`}
        </SvgText>
      )}
      {warnings.map(({ code, segment }) => {
        const one = segments.find(({ id }) => id === segment);
        const x = one ? axis.x(one.from) + 7 : 0;
        if (!one || x < axis.left || x > axis.right) return null;
        const at = bottom - 5;
        return (
          <path
            key={`${code} ${segment}`}
            d={`M${x} ${at - 4.5} l4.5 4.5 l-4.5 4.5 l-4.5 -4.5 Z`}
            fill={color('spore')}
          />
        );
      })}
    </g>
  );
}
