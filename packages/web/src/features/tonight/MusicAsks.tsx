import { Box, Flex } from '@chakra-ui/react';
import type { Evening } from '@wide-fern/contract';
import { noteName, own, type NoteWriting } from '@wide-fern/core';
import { color, hueOf } from '../../ui/color';
import { SvgText } from '../../ui/SvgText';
import { Label } from '../../ui/words';

const lane = { width: 52, gutter: 32, height: 136, foot: 16 } as const;

/** A letter for each piece, its first; where two begin alike, its place in the evening. */
export function pieceLetters(titles: readonly string[]): string[] {
  const first = titles.map((title) => {
    const word = title.replace(/^(the|a|an|der|die|das|la|le|il|el)\s+/i, '');
    return word.charAt(0).toUpperCase();
  });
  return first.map((letter, i) =>
    first.filter((one) => one === letter).length > 1 ? String(i + 1) : letter,
  );
}

/** What tonight's music asks of each part: a stem a piece over tonight's band. */
export function MusicAsks({
  evening,
  writing,
}: {
  readonly evening: Evening;
  readonly writing: NoteWriting;
}) {
  const { pieces, tonight } = evening;
  const letters = pieceLetters(pieces.map(({ title }) => title));
  if (pieces.length === 0) return null;
  return (
    <Box flex="1 1 380px">
      <Box as="h2" fontWeight={650} mb="4px">
        What the music asks, over tonight’s band
      </Box>
      <Flex gap="4px" wrap="wrap">
        {tonight.sections.map((band, place) => {
          const asked = pieces.map(({ ranges }) => own(ranges, band.id));
          const [bottom, top] = band.comfort;
          const low = Math.min(bottom, ...asked.flatMap((range) => range?.[0] ?? [])) - 2;
          const high = Math.max(top, ...asked.flatMap((range) => range?.[1] ?? [])) + 2;
          const y = (midi: number) => 16 + ((high - midi) / (high - low)) * (lane.height - 24);
          const hue = hueOf(band.id, place);
          const step = Math.min(14, (lane.width - 8) / Math.max(1, pieces.length));
          const need = tonight.needs.find(({ part }) => part === band.id);
          const said = need
            ? `${band.many}: ${noteName(need.lowest, writing)} in ${need.lowestIn} to ${noteName(need.highest, writing)} in ${need.highestIn}`
            : `${band.many}: nothing`;
          const above = need && need.highest > top;
          const below = need && need.lowest < bottom;
          return (
            <svg
              key={band.id}
              width={lane.gutter + lane.width}
              height={lane.height + lane.foot + 18}
              role="img"
              aria-label={said}
              style={{ overflow: 'visible' }}
            >
              <SvgText x={lane.gutter + 2} y={11} hue={hue} size={15} weight={700}>
                {band.id}
              </SvgText>
              <rect
                x={lane.gutter}
                y={y(top)}
                width={lane.width}
                height={y(bottom) - y(top)}
                fill={hue}
                fillOpacity={0.1}
              />
              {[top, bottom].map((midi) => (
                <g key={midi}>
                  <line
                    x1={lane.gutter}
                    x2={lane.gutter + lane.width}
                    y1={y(midi)}
                    y2={y(midi)}
                    stroke={hue}
                  />
                  <SvgText x={lane.gutter - 5} y={y(midi) + 4} textAnchor="end">
                    {noteName(midi, writing)}
                  </SvgText>
                </g>
              ))}
              {asked.map((range, i) => {
                const x = lane.gutter + lane.width / 2 + (i - (pieces.length - 1) / 2) * step;
                return (
                  <g key={pieces[i]!.id + String(i)}>
                    <SvgText x={x} y={lane.height + 12} textAnchor="middle">
                      {letters[i]}
                    </SvgText>
                    {range && (
                      <>
                        <line
                          x1={x}
                          x2={x}
                          y1={y(Math.min(range[1], top))}
                          y2={y(Math.max(range[0], bottom))}
                          stroke={hue}
                          strokeWidth={3}
                        />
                        {range[1] > top && (
                          <path
                            d={`M ${x - 4} ${y(top)} L ${x + 4} ${y(top)} L ${x} ${Math.min(y(range[1]), y(top) - 8)} Z`}
                            fill={color('sheet')}
                            stroke={hue}
                          />
                        )}
                        {range[0] < bottom && (
                          <path
                            d={`M ${x - 4} ${y(bottom)} L ${x + 4} ${y(bottom)} L ${x} ${Math.max(y(range[0]), y(bottom) + 8)} Z`}
                            fill={color('sheet')}
                            stroke={hue}
                          />
                        )}
                      </>
                    )}
                  </g>
                );
              })}
              <SvgText x={lane.gutter} y={lane.height + lane.foot + 12} ink="ink" weight={650}>
                {above
                  ? `${noteName(need.highest, writing)} above`
                  : below
                    ? `${noteName(need.lowest, writing)} below`
                    : ''}
              </SvgText>
            </svg>
          );
        })}
      </Flex>
      <Label fontSize="12px">
        {pieces.map(({ title }, i) => `${letters[i]} ${title}`).join(' · ')}
      </Label>
    </Box>
  );
}
