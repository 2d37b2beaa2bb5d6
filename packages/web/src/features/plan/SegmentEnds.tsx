import { Box } from '@chakra-ui/react';
import type { Evaluated } from '@wide-fern/plan';
import { setPulled } from '../../ui/pulling';
import type { PointerEvent } from 'react';

/** Talk is pulled in steps of so many seconds. */
const talkStep = 5;

/**
 * Follows a pointer that pulls something along the strip, until it lets go.
 * @param wanted what a pull by so many px asks for; `onPull` is told once of each
 */
function pulling(
  event: PointerEvent<HTMLElement>,
  wanted: (by: number) => number,
  onPull: (wanted: number) => void,
): void {
  if (event.button !== 0) return;
  event.preventDefault();
  event.stopPropagation();
  const { currentTarget: handle, pointerId, clientX: from } = event;
  handle.setPointerCapture(pointerId);
  setPulled('strip');
  let last = wanted(0);
  const move = (moved: globalThis.PointerEvent) => {
    setPulled('strip');
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
    pulling(event, (by) => Math.max(1, repetitions + Math.round(by / perSecond / each)), onResize);
  const pullTalk = (event: PointerEvent<HTMLElement>) =>
    pulling(
      event,
      (by) => Math.max(0, talkStep * Math.round((talk + by / perSecond) / talkStep)),
      onTalk,
    );
  return (
    <>
      <Box
        data-pull="end"
        aria-hidden="true"
        title="pull: more or fewer"
        position="absolute"
        zIndex={3}
        right="-5px"
        top={0}
        w="10px"
        h="54px"
        cursor="ew-resize"
        style={{ touchAction: 'none' }}
        onPointerDown={pull}
      />
      {isChosen && (
        <Box
          data-pull="talk"
          aria-hidden="true"
          title="pull: more or less talk"
          position="absolute"
          zIndex={3}
          top="-3px"
          w="14px"
          h="16px"
          cursor="ew-resize"
          style={{ left: Math.max(2, talk * perSecond - 7), touchAction: 'none' }}
          onPointerDown={pullTalk}
        >
          <Box mx="auto" mt="1px" w="3px" h="9px" bg="fern" />
        </Box>
      )}
    </>
  );
}
