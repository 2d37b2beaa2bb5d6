import { Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { color } from '../../ui/color';

const size = 240;
const middle = size / 2;

/** What a shape shows at one moment. */
export interface Counted {
  /** How full it is, from 0 to 1. */
  readonly level: number;
  /** The large figure or sign. */
  readonly count: string;
  readonly word: string;
  /** «2 of 5» */
  readonly round: string;
}

/** What changes from frame to frame: plain elements, so that a frame costs little. */
function Moving({
  since,
  at,
}: {
  readonly since: () => number;
  readonly at: (seconds: number) => Counted;
}) {
  const [seconds, setSeconds] = useState(since);
  useEffect(() => {
    let frame = requestAnimationFrame(function next() {
      setSeconds(since());
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [since]);
  const { level, count, word, round } = at(seconds);
  return (
    <>
      <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} aria-hidden>
        <circle
          {...{ cx: middle, cy: middle, r: middle - 3 }}
          fill="none"
          stroke={color('line')}
          strokeWidth={2}
        />
        <circle
          {...{ cx: middle, cy: middle, r: 8 + level * (middle - 12) }}
          fill={color('fern')}
        />
      </svg>
      <div role="timer" aria-live="off">
        <div className="count">{count}</div>
        <div className="word">{word}</div>
        <div className="round">{round}</div>
      </div>
    </>
  );
}

/**
 * What leads itself: one shape that fills, waits and empties, with its count.
 * @param since seconds since it began; below 0 before it
 * @param at what is shown so many seconds after it began
 */
export function CountedShape({
  since,
  at,
}: {
  readonly since: () => number;
  readonly at: (seconds: number) => Counted;
}) {
  return (
    <Flex
      align="center"
      gap={{ base: '20px', md: '48px' }}
      wrap="wrap"
      css={{
        '& .count': {
          fontSize: { base: '120px', md: '180px' },
          fontWeight: 650,
          lineHeight: 1,
        },
        '& .word': { fontSize: '40px', lineHeight: 1.25 },
        '& .round': { fontSize: '28px', color: 'inkSoft' },
      }}
    >
      <Moving {...{ since, at }} />
    </Flex>
  );
}
