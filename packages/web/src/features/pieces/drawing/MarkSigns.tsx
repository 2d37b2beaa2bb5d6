import type { PieceMark } from '@wide-fern/contract';
import { color } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import type { ChosenBars } from '../model/bars';
import { markPlaces, strip, type StripScale } from './geometry';

/** The director's own marks above the bars, as many words as there is room for. */
export function MarkSigns({
  marks,
  scale,
  chosen,
}: {
  readonly marks: readonly PieceMark[];
  readonly scale: StripScale;
  readonly chosen: ChosenBars | undefined;
}) {
  const y = strip.numbers + strip.marks - 4;
  return (
    <>
      {markPlaces(marks, scale).map(({ mark, x, words, isBefore }) => {
        const isChosen = chosen && mark.fromBar <= chosen.to && mark.toBar >= chosen.from;
        return (
          <g key={mark.id} pointerEvents="none">
            <path
              d={`M ${x - 5} ${y - 8} L ${x + 5} ${y - 8} L ${x} ${y} Z`}
              fill={color(isChosen ? 'spore' : 'ink')}
            />
            {words && (
              <SvgText
                x={isBefore ? x - 8 : x + 8}
                y={y}
                textAnchor={isBefore ? 'end' : 'start'}
                ink={isChosen ? 'sporeText' : 'ink'}
                weight={isChosen ? 650 : 400}
              >
                {words}
              </SvgText>
            )}
          </g>
        );
      })}
    </>
  );
}
