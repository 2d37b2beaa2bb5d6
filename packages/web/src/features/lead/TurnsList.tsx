import { Box } from '@chakra-ui/react';
import type { Segment } from '@wide-fern/contract';
import type { RunState } from '@wide-fern/core';
import { turnsIn, type Turns } from '@wide-fern/words';
import { useEffect, useMemo, useState } from 'react';

/** How often it is looked whether the next one has begun. */
const everyMilliseconds = 100;

/** Which turn goes on, looked at again and again; drawn anew only when it is another one. */
function useTurn({ at }: Pick<Turns, 'at'>, since: () => number): number {
  const [turn, setTurn] = useState(() => at(since()));
  useEffect(() => {
    const look = () => setTurn(at(since()));
    look();
    const timer = setInterval(look, everyMilliseconds);
    return () => clearInterval(timer);
  }, [at, since]);
  return turn;
}

const sizes = { stand: { base: '22px', md: '28px' }, choir: { base: '26px', md: '48px' } };

function List({
  turns,
  since,
  size,
}: {
  readonly turns: Turns;
  readonly since: () => number;
  readonly size: keyof typeof sizes;
}) {
  const turn = useTurn(turns, since);
  const { rows, times, ask } = turns;
  return (
    <Box
      mt="8px"
      fontSize={sizes[size]}
      lineHeight="1.25"
      css={{
        '& li': { listStyleType: 'none', color: 'inkSoft' },
        '& li[aria-current]': { color: 'fern', fontWeight: 650 },
        '& .times': { color: 'inkSoft' },
        '& .ask': { color: turn >= rows.length ? 'ink' : 'inkSoft' },
      }}
    >
      {rows.length > 0 && (
        <ol aria-label="One after the other">
          {rows.map((row, i) => (
            <li key={i} aria-current={i === turn ? 'step' : undefined}>
              {row}
            </li>
          ))}
        </ol>
      )}
      {times && <div className="times">{times}</div>}
      {ask && <div className="ask">Then ask: {ask}</div>}
    </Box>
  );
}

/**
 * What comes one after the other in a key, a text or counted breath, the present one marked by the time
 * since it was begun, and what is asked then; nothing where it is one thing.
 */
export default function TurnsList({
  segment,
  settled: { key, longer },
  since,
  size = 'stand',
}: {
  readonly segment: Segment;
  readonly settled: Pick<RunState, 'key' | 'longer'>;
  /** Seconds since what is going on began; below 0 while it is explained. */
  readonly since: () => number;
  readonly size?: keyof typeof sizes;
}) {
  const turns = useMemo(() => turnsIn(segment, { key, longer }), [segment, key, longer]);
  return turns ? <List {...{ turns, since, size }} /> : null;
}
