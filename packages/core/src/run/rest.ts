import type { Seconds } from '../units';
import type { LedSegment } from './act';
import type { RunState } from './record';

/** What is still to come of what is going on, and of what follows, as it is planned. */
export function restOf({ segments, open, key, spent, talked, isOver, records }: RunState): Seconds {
  if (isOver) return 0;
  const led = new Set(records.filter(({ keys }) => keys.length > 0).map(({ id }) => id));
  const present = segments[open];
  const follows = segments
    .filter(({ id }, place) => place > open && !led.has(id))
    .reduce((sum, segment) => sum + ledSeconds(segment), 0);
  if (!present) return follows;
  const from = key === null ? 0 : key;
  const keys = present.keys.slice(from).reduce((sum, { span, wait }) => sum + span + wait, 0);
  const planned = (key === null ? present.talk : 0) + keys;
  const { span, wait } = present.keys[key ?? 0] ?? { span: 0, wait: 0 };
  const now = key === null ? present.talk : span + wait;
  return planned - Math.min(spent + talked, now) + present.after + follows;
}

/** How long a segment takes as it is led, talk and all. */
export const ledSeconds = ({ talk, keys, after }: LedSegment): Seconds =>
  talk + keys.reduce((sum, { span, wait }) => sum + span + wait, 0) + after;
