import type { PieceAnalysis } from '@wide-fern/core';
import { color, hueOf } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { heightOf, strip, type StripScale } from './geometry';

/** A lane for each part: how hard its bars are, and where they leave its comfort. */
export function StripLanes({
  analysis,
  scale: { columns, x, step, top },
}: {
  readonly analysis: PieceAnalysis;
  readonly scale: StripScale;
}) {
  return (
    <>
      {analysis.parts.map((part, row) => {
        const floor = top + (row + 1) * strip.lane - 2;
        const hue = hueOf(part.part, row);
        return (
          <g key={part.part}>
            <SvgText
              x={strip.gutter - 10}
              y={floor - 4}
              textAnchor="end"
              hue={hue}
              size={15}
              weight={700}
            >
              {part.part}
            </SvgText>
            {columns.map(({ from, places }, i) => {
              const hardest = places
                .map((place) => part.difficulty[place]!)
                .reduce((a, b) => (b.points > a.points ? b : a));
              const height = heightOf(hardest.points);
              if (height < 0.4) return null;
              const isOutside = hardest.above || hardest.below;
              const middle = x(i) + step / 2;
              const y = floor - height;
              return (
                <g key={from}>
                  <rect
                    x={x(i) + 0.75}
                    y={y}
                    width={Math.max(1, step - 1.5)}
                    height={height}
                    fill={hue}
                    opacity={isOutside ? 1 : 0.78}
                  />
                  {isOutside && (
                    <path
                      d={
                        hardest.above
                          ? `M ${middle - 4} ${y - 2} L ${middle + 4} ${y - 2} L ${middle} ${y - 9} Z`
                          : `M ${middle - 4} ${y - 9} L ${middle + 4} ${y - 9} L ${middle} ${y - 2} Z`
                      }
                      fill={color('sheet')}
                      stroke={hue}
                      strokeWidth={1.2}
                    />
                  )}
                </g>
              );
            })}
          </g>
        );
      })}
    </>
  );
}
