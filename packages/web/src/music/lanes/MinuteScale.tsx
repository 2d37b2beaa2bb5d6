import { memo } from 'react';
import { color } from '../../ui/color';
import type { Clock } from '@wide-fern/words';
import { figuredTimes, type TimeAxis } from './geometry';
import { SvgText } from '../../ui/SvgText';

/** The warm-up's clock: a tick each minute, figures where there is room, and where the plan ends. */
export function MinuteScale({
  axis,
  y,
  start,
  clock,
  ends,
  moment,
}: {
  readonly axis: TimeAxis;
  /** The figures' baseline; ticks hang below it. */
  readonly y: number;
  readonly start: number;
  readonly clock: Clock;
  readonly ends: number | undefined;
  readonly moment?: number | undefined;
}) {
  const endX =
    ends === undefined || ends > axis.view.to || ends < axis.view.from ? undefined : axis.x(ends);
  const { view } = axis;
  const markedX = moment === undefined ? (endX ?? -Infinity) : axis.x(moment);
  const figures = figuredTimes(view, axis.right - axis.left, 90);
  return (
    <g>
      <Ticks axis={axis} y={y} />
      {figures.map((time) => {
        const x = axis.x(time);
        if (Math.abs(x - markedX) < 86) return null;
        const anchor = x - axis.left < 20 ? 'start' : axis.right - x < 20 ? 'end' : 'middle';
        return (
          <SvgText key={time} x={x} y={y} textAnchor={anchor}>
            {clock.drawn[time % 60 === 0 ? 'minute' : 'second'](start + time * 1000)}
          </SvgText>
        );
      })}
      {moment !== undefined ? (
        <SvgText x={axis.x(moment)} y={y} textAnchor="middle" ink="fern" weight={650}>
          {clock.drawn.second(start + Math.round(moment) * 1000)}
        </SvgText>
      ) : (
        endX !== undefined && (
          <SvgText
            x={endX}
            y={y}
            textAnchor={axis.right - endX < 44 ? 'end' : endX - axis.left < 44 ? 'start' : 'middle'}
            ink="ink"
            weight={650}
          >
            ends {clock.drawn.second(start + Math.round(ends!) * 1000)}
          </SvgText>
        )
      )}
    </g>
  );
}

/** A tick each minute. */
const Ticks = memo(({ axis, y }: { readonly axis: TimeAxis; readonly y: number }) => {
  const first = Math.ceil(axis.view.from / 60);
  const minutes = Array.from(
    { length: Math.max(0, Math.floor(axis.view.to / 60) - first + 1) },
    (_, i) => first + i,
  );
  return minutes.map((minute) => (
    <line
      key={minute}
      x1={axis.x(minute * 60)}
      x2={axis.x(minute * 60)}
      y1={y + 3}
      y2={y + 7}
      stroke={color('line')}
    />
  ));
});
