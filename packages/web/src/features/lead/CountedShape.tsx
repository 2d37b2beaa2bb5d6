import { Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { color } from '../../ui/color';

const drawn = 240;
const middle = drawn / 2;

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

interface CountedShapeProps {
  /** Seconds since it began; below 0 before it. */
  readonly since: () => number;
  /** What is shown so many seconds after it began. */
  readonly at: (seconds: number) => Counted;
  /** How high and wide, in pixels. */
  readonly size?: number | undefined;
  /** The shape alone, without counts and words. */
  readonly isSilent?: boolean | undefined;
}

/** What changes from frame to frame: plain elements, so that a frame costs little. */
function Moving({ since, at, size = drawn, isSilent = false }: CountedShapeProps) {
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
      <svg width={size} height={size} viewBox={`0 0 ${drawn} ${drawn}`} aria-hidden>
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
      {!isSilent && (
        <div role="timer" aria-live="off">
          <div className="count">{count}</div>
          <div className="word">{word}</div>
          <div className="round">{round}</div>
        </div>
      )}
    </>
  );
}

/**
 * What leads itself: one shape that fills, waits and empties, with its count.
 */
export function CountedShape(props: CountedShapeProps) {
  const isSmall = props.size !== undefined && props.size < drawn;
  return (
    <Flex
      align="center"
      gap={{ base: '16px', md: '48px' }}
      wrap="wrap"
      css={{
        '& .count': {
          fontSize: isSmall ? { base: '64px', md: '110px' } : { base: '120px', md: '180px' },
          fontWeight: 650,
          lineHeight: 1,
        },
        // In the hand what is said beside it has to stay in sight.
        ...(isSmall ? { '& svg': { width: { base: '112px', md: 'auto' }, height: 'auto' } } : {}),
        '& .word': { fontSize: isSmall ? { base: '22px', md: '28px' } : '40px', lineHeight: 1.25 },
        '& .round': { fontSize: isSmall ? { base: '20px', md: '28px' } : '28px', color: 'inkSoft' },
      }}
    >
      <Moving {...props} />
    </Flex>
  );
}
