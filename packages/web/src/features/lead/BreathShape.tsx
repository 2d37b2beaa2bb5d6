import { Flex } from '@chakra-ui/react';
import type { Segment } from '@wide-fern/contract';
import { breathMoment, type BreathMoment } from '@wide-fern/core';
import { breathCountWords } from '@wide-fern/words';
import { useEffect, useState } from 'react';
import { color } from '../../ui/color';

const size = 240;
const middle = size / 2;

type Breath = Extract<Segment['exercise']['music'], { kind: 'breath' }>;

/** Where a breath is, at every frame; undefined before the first and behind the last. */
function useBreath(
  music: Breath,
  rounds: number,
  tempo: number,
  since: () => number,
): { readonly moment: BreathMoment | undefined; readonly isReady: boolean } {
  const [seconds, setSeconds] = useState(since);
  useEffect(() => {
    let frame = requestAnimationFrame(function next() {
      setSeconds(since());
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [since]);
  return { moment: breathMoment({ ...music, rounds, tempo }, seconds), isReady: seconds < 0 };
}

/** What changes from frame to frame: plain elements, so that a frame costs little. */
function Moving({
  music,
  rounds,
  tempo,
  since,
}: {
  readonly music: Breath;
  readonly rounds: number;
  readonly tempo: number;
  readonly since: () => number;
}) {
  const { moment, isReady } = useBreath(music, rounds, tempo, since);
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
          {...{ cx: middle, cy: middle, r: 8 + (moment?.level ?? 0) * (middle - 12) }}
          fill={color('fern')}
        />
      </svg>
      <div role="timer" aria-live="off">
        <div className="count">{moment ? moment.count : isReady ? '–' : '·'}</div>
        <div style={{ fontSize: 40 }}>
          {moment
            ? breathCountWords(moment.of, music)
            : isReady
              ? 'ready'
              : 'that was the last one'}
        </div>
        <div className="round">
          {moment ? `${moment.round + 1} of ${rounds}` : `${rounds} in all`}
        </div>
      </div>
    </>
  );
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
  const { music } = exercise;
  if (music.kind !== 'breath') return null;
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
        '& .round': { fontSize: '28px', color: 'inkSoft' },
      }}
    >
      <Moving {...{ music, since }} rounds={choices.repetitions} tempo={choices.tempo} />
    </Flex>
  );
}
