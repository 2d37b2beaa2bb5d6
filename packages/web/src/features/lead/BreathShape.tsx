import { Box, Flex } from '@chakra-ui/react';
import type { Segment } from '@wide-fern/contract';
import { breathMoment } from '@wide-fern/core';
import { breathCountWords } from '@wide-fern/words';
import { useEffect, useState } from 'react';
import { color } from '../../ui/color';

const size = 240;

/** So many seconds since it began, at every frame. */
function useSeconds(since: () => number): number {
  const [seconds, setSeconds] = useState(since);
  useEffect(() => {
    let frame = requestAnimationFrame(function next() {
      setSeconds(since());
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [since]);
  return seconds;
}

/**
 * Counted breath that leads itself: the count, what is done, and one shape that fills, waits, empties and waits.
 * @param since seconds since the first breath began; below 0 before it
 */
export function BreathShape({
  segment: { exercise, choices },
  since,
}: {
  readonly segment: Segment;
  readonly since: () => number;
}) {
  const seconds = useSeconds(since);
  const { music } = exercise;
  if (music.kind !== 'breath') return null;
  const rounds = choices.repetitions;
  const now = breathMoment({ ...music, rounds, tempo: choices.tempo }, seconds);
  const level = now?.level ?? 0;
  return (
    <Flex align="center" gap={{ base: '20px', md: '48px' }} wrap="wrap">
      <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} aria-hidden>
        <circle
          {...{ cx: size / 2, cy: size / 2, r: size / 2 - 3 }}
          fill="none"
          stroke={color('line')}
          strokeWidth={2}
        />
        <circle
          {...{ cx: size / 2, cy: size / 2, r: 8 + level * (size / 2 - 12) }}
          fill={color('fern')}
        />
      </svg>
      <Box role="timer" aria-live="off">
        <Box fontSize={{ base: '120px', md: '180px' }} fontWeight={650} lineHeight="1">
          {now ? now.count : seconds < 0 ? '–' : '·'}
        </Box>
        <Box fontSize="40px">
          {now ? breathCountWords(now.of, music) : seconds < 0 ? 'ready' : 'that was the last one'}
        </Box>
        <Box fontSize="28px" color="inkSoft">
          {now ? `${now.round + 1} of ${rounds}` : `${rounds} in all`}
        </Box>
      </Box>
    </Flex>
  );
}
