import { Box, Flex } from '@chakra-ui/react';
import { tonicName, type SegmentKeys } from '@wide-fern/core';
import type { Wording } from '@wide-fern/words';
import { cell } from './KeyCell';

/** The tonics to start on, above their columns; a dot marks the best. */
export function Starts({
  tonics,
  keys: { best, sung },
  wording,
  mayEdit,
  onStart,
  onLook,
}: {
  readonly tonics: readonly number[];
  readonly keys: Extract<SegmentKeys, { kind: 'ladder' }>;
  readonly wording: Wording;
  readonly mayEdit: boolean;
  readonly onStart: (tonic: number) => void;
  readonly onLook: (tonic: number | undefined) => void;
}) {
  const bestStart = best.kind === 'ladder' ? best.start : undefined;
  return (
    <Flex pl="26px" aria-label="Starts" role="group">
      {tonics.map((tonic) => {
        const isOn = sung?.tonics.includes(tonic) ?? false;
        const key = tonicName(tonic, wording.mode, wording.writing);
        const isStart = sung?.start === tonic;
        return (
          <Box
            as="button"
            data-drawn
            key={tonic}
            aria-label={`Start on ${key}${tonic === bestStart ? ', the best start' : ''}`}
            aria-pressed={isStart}
            {...{ disabled: !mayEdit }}
            onClick={() => {
              onLook(undefined);
              onStart(tonic);
            }}
            // Moved, not entered: the strip may shift beneath a pointer that rests.
            onMouseMove={() => onLook(tonic)}
            onMouseLeave={() => onLook(undefined)}
            onFocus={() => onLook(tonic)}
            onBlur={() => onLook(undefined)}
            w={`${cell.width}px`}
            pt="7px"
            position="relative"
            fontSize="13px"
            textAlign="center"
            fontWeight={isOn ? 700 : 400}
            color={isOn ? 'ink' : 'inkSoft'}
            cursor={mayEdit ? 'pointer' : 'default'}
            _hover={mayEdit ? { color: 'fern' } : {}}
          >
            {tonic === bestStart && (
              <Box
                as="span"
                position="absolute"
                top="1px"
                left="12px"
                w="6px"
                h="6px"
                borderRadius="50%"
                bg="fern"
              />
            )}
            {key}
          </Box>
        );
      })}
    </Flex>
  );
}
