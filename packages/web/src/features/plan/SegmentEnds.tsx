import type { Evaluated } from '@wide-fern/plan';
import { color } from '../../ui/color';
import { setPulled } from '../../ui/pulling';
import type { PointerEvent } from 'react';

/** Talk is pulled in steps of so many seconds. */
const talkStep = 5;

/**
 * Follows a pointer that pulls something along the strip, until it lets go.
 * @param segment whose it is
 * @param wanted what a pull by so many px asks for; `onPull` is told once of each
 */
function pulling(
  event: PointerEvent<HTMLElement>,
  segment: string,
  wanted: (by: number) => number,
  onPull: (wanted: number) => void,
): void {
  if (event.button !== 0) return;
  event.preventDefault();
  event.stopPropagation();
  const { currentTarget: handle, pointerId, clientX: from } = event;
  handle.setPointerCapture(pointerId);
  setPulled('strip', segment);
  let last = wanted(0);
  const move = (moved: globalThis.PointerEvent) => {
    setPulled('strip', segment);
    const next = wanted(moved.clientX - from);
    if (next !== last) onPull(next);
    last = next;
  };
  const end = () => {
    setPulled(undefined);
    handle.removeEventListener('pointermove', move);
    handle.removeEventListener('pointerup', end);
    handle.removeEventListener('pointercancel', end);
  };
  handle.addEventListener('pointermove', move);
  handle.addEventListener('pointerup', end);
  handle.addEventListener('pointercancel', end);
}

const handle = {
  position: 'absolute',
  zIndex: 3,
  cursor: 'ew-resize',
  touchAction: 'none',
} as const;

/**
 * Where a segment's end and its talk are pulled: keys, rounds or times come and go as far as they can be
 * sung. By keyboard the same is done by the figures of the bench.
 */
export function SegmentEnds({
  evaluated: { segment, computed },
  width,
  isChosen,
  onResize,
  onTalk,
}: {
  readonly evaluated: Evaluated;
  readonly width: number;
  readonly isChosen: boolean;
  readonly onResize: (repetitions: number) => void;
  readonly onTalk: (seconds: number) => void;
}) {
  const { repetitions, talk, after = 0 } = segment.choices;
  const perSecond = width / Math.max(1, computed.seconds);
  const each = (computed.seconds - talk - after) / Math.max(1, repetitions);
  const pull = (event: PointerEvent<HTMLElement>) =>
    pulling(
      event,
      segment.id,
      (by) => Math.max(1, repetitions + Math.round(by / perSecond / each)),
      onResize,
    );
  const pullTalk = (event: PointerEvent<HTMLElement>) =>
    pulling(
      event,
      segment.id,
      (by) => Math.max(0, talkStep * Math.round((talk + by / perSecond) / talkStep)),
      onTalk,
    );
  return (
    <>
      <div
        data-pull="end"
        aria-hidden="true"
        title="pull: more or fewer"
        style={{ ...handle, right: -5, top: 0, width: 10, height: 54 }}
        onPointerDown={pull}
      />
      {isChosen && (
        <div
          data-pull="talk"
          aria-hidden="true"
          title="pull: more or less talk"
          style={{
            ...{ ...handle, top: -3, width: 14, height: 16 },
            left: Math.max(2, talk * perSecond - 7),
          }}
          onPointerDown={pullTalk}
        >
          <div style={{ margin: '1px auto 0', width: 3, height: 9, background: color('fern') }} />
        </div>
      )}
    </>
  );
}
