import type { Ranges } from '@wide-fern/contract';
import { type Section, noteName, own, type NoteWriting } from '@wide-fern/core';
import { color, hueOf } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';

export const laneWidth = 34;
const height = 46;
const air = 3;

/** What each part of a piece sings, a stem over its band; a wedge where it leaves the comfort. */
export function RangeStems({
  ranges,
  transpose,
  sections,
  writing,
}: {
  readonly ranges: Ranges;
  readonly transpose: number;
  readonly sections: readonly Section[];
  readonly writing: NoteWriting;
}) {
  const asked = sections.map((band, place) => {
    const range = own(ranges, band.id);
    return { band, place, low: range && range[0] + transpose, high: range && range[1] + transpose };
  });
  const words = asked
    .flatMap(({ band, low, high }) => {
      if (low === undefined || high === undefined) return [];
      const above = high > band.comfort[1] ? ', above tonight' : '';
      const below = low < band.comfort[0] ? ', below tonight' : '';
      return [
        `${band.many} ${noteName(low, writing)} to ${noteName(high, writing)}${above}${below}`,
      ];
    })
    .join('; ');
  return (
    <svg
      width={laneWidth * sections.length}
      height={height}
      role="img"
      aria-label={words || 'No part’s notes are known'}
      style={{ display: 'block', flexShrink: 0 }}
    >
      {asked.map(({ band, place, low, high }) => {
        const [bottom, top] = band.comfort;
        const from = Math.min(bottom, low ?? bottom) - air;
        const to = Math.max(top, high ?? top) + air;
        const y = (midi: number) => 2 + ((to - midi) / (to - from)) * (height - 4);
        const left = place * laneWidth;
        // A letter with its number needs more room before the stem.
        const shift = band.id.length > 1 ? 5 : 0;
        const middle = left + 20 + shift;
        const hue = hueOf(band.id, place);
        return (
          <g key={band.id}>
            <SvgText x={left + 2} y={12} hue={hue} weight={700}>
              {band.id}
            </SvgText>
            <rect
              x={left + 12 + shift}
              y={y(top)}
              width={16}
              height={y(bottom) - y(top)}
              fill={hue}
              opacity={0.12}
            />
            {low !== undefined && high !== undefined && (
              <>
                <line
                  x1={middle}
                  x2={middle}
                  y1={y(Math.min(high, top))}
                  y2={y(Math.max(low, bottom))}
                  stroke={hue}
                  strokeWidth={3}
                />
                {high > top && (
                  <path
                    d={`M ${middle - 4} ${y(top)} L ${middle + 4} ${y(top)} L ${middle} ${Math.min(y(high), y(top) - 6)} Z`}
                    fill={color('sheet')}
                    stroke={hue}
                  />
                )}
                {low < bottom && (
                  <path
                    d={`M ${middle - 4} ${y(bottom)} L ${middle + 4} ${y(bottom)} L ${middle} ${Math.max(y(low), y(bottom) + 6)} Z`}
                    fill={color('sheet')}
                    stroke={hue}
                  />
                )}
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
}
