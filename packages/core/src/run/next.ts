import type { RunAct } from './act';
import type { RunState } from './record';

/** What a touch does by itself, without anything that has to be worked out first. */
export type TouchAct = Exclude<RunAct, { readonly kind: 'renewed' }>;

/** What one touch can do. */
export const touches = [
  'next',
  'back',
  'again',
  'on',
  'stay',
  'lower',
  'higher',
  'talk',
  'pause',
  'stop',
] as const;
export type Touch = (typeof touches)[number];

const opened = ({ segments }: RunState, place: number): TouchAct | undefined => {
  const segment = segments[place];
  return segment && { kind: 'opened', segment: segment.id };
};

/** The next key; from the last one on to the next segment, and from the last segment nothing more. */
function next(state: RunState): TouchAct | undefined {
  const { segments, open, key } = state;
  const present = segments[open];
  const following = key === null ? 0 : key + 1;
  if (!present || following >= present.keys.length) return opened(state, open + 1);
  return { kind: 'began', key: following };
}

/** The key before; from the first one its explaining, and from there the segment before. */
function back(state: RunState): TouchAct | undefined {
  const { open, key, segments } = state;
  if (key === null) return open > 0 ? opened(state, open - 1) : undefined;
  return key > 0 ? { kind: 'began', key: key - 1 } : opened(state, segments.length > 0 ? open : -1);
}

/** What a touch does where the run is; undefined where it does nothing. */
export function actOf(state: RunState, touch: Touch): TouchAct | undefined {
  const { open, key, isPaused, isTalking, isOver } = state;
  if (isOver) return undefined;
  const isLed = open >= 0;
  switch (touch) {
    case 'next':
      return next(state);
    case 'back':
      return back(state);
    case 'again':
      return key === null ? undefined : { kind: 'again' };
    case 'on':
      return opened(state, open + 1);
    case 'stay':
      return key === null ? undefined : { kind: 'held' };
    case 'lower':
    case 'higher':
      return isLed ? { kind: 'shifted', semitones: touch === 'lower' ? -1 : 1 } : undefined;
    case 'talk':
      return key === null ? undefined : { kind: 'talking', on: !isTalking };
    case 'pause':
      return isLed ? { kind: isPaused ? 'resumed' : 'paused' } : undefined;
    case 'stop':
      return { kind: 'ended' };
  }
}
