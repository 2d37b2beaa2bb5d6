import { Box, Flex } from '@chakra-ui/react';
import type { NoteWriting } from '@wide-fern/core';
import { color, hueOf } from '../../ui/color';
import { pitchAxis } from './drawing/geometry';
import type { SectionView } from './model/section';
import { rangeInFigures } from '@wide-fern/words';

/** Every section with its band in small; the one that is looked at is underlined. */
export function PartTabs({
  sections,
  chosen,
  writing,
  onChoose,
}: {
  readonly sections: readonly SectionView[];
  readonly chosen: string;
  readonly writing: NoteWriting;
  readonly onChoose: (part: string) => void;
}) {
  // One axis for all of them, so that their places can be compared.
  const axis = pitchAxis(
    sections.map(({ section: band }) => band.reach),
    { left: 0, right: 100 },
  );
  return (
    <Box
      role="group"
      aria-label="Sections"
      display="grid"
      gridTemplateColumns={{
        base: 'repeat(2, minmax(0, 1fr))',
        md: `repeat(${Math.min(4, sections.length)}, minmax(0, 1fr))`,
      }}
      gap={{ base: '12px', md: '6px 28px' }}
      borderBottomWidth="1px"
    >
      {sections.map(({ part, section: band }, place) => {
        const isChosen = part.id === chosen;
        const hue = hueOf(part.id, place);
        const x = (note: number) => `${axis.x(note)}%`;
        const span = ([low, high]: readonly [number, number]) =>
          `${axis.x(high + 1) - axis.x(low)}%`;
        return (
          <Box
            key={part.id}
            asChild
            textAlign="left"
            pb="10px"
            borderBottomWidth="2px"
            borderColor={isChosen ? undefined : 'transparent'}
            style={isChosen ? { borderBottomColor: hue } : {}}
          >
            <button
              type="button"
              aria-pressed={isChosen}
              aria-label={`${part.many.charAt(0).toUpperCase() + part.many.slice(1)}, ${rangeInFigures(band.comfort, writing)}`}
              onClick={() => onChoose(part.id)}
            >
              <Flex justify="space-between" gap="6px" fontSize="13px" align="baseline">
                <Box as="span" truncate fontWeight={isChosen ? 650 : 400}>
                  <Box as="span" style={{ color: hue }} fontWeight={700} fontSize="15px" mr="8px">
                    {part.id}
                  </Box>
                  {part.many.charAt(0).toUpperCase() + part.many.slice(1)}
                </Box>
                <Box as="span" whiteSpace="nowrap" fontWeight={isChosen ? 650 : 400}>
                  {rangeInFigures(band.comfort, writing)}
                </Box>
              </Flex>
              <svg width="100%" height="8" aria-hidden="true" style={{ display: 'block' }}>
                <line x1="0" x2="100%" y1="4" y2="4" stroke={color('line')} />
                <rect x={x(band.reach[0])} width={span(band.reach)} y="3.5" height="1" fill={hue} />
                <rect
                  x={x(band.comfort[0])}
                  width={span(band.comfort)}
                  y="1"
                  height="6"
                  fill={hue}
                  opacity={isChosen ? 1 : 0.6}
                />
              </svg>
            </button>
          </Box>
        );
      })}
    </Box>
  );
}
