import { Box } from '@chakra-ui/react';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';

/** An item lasts so many minutes at most. */
const most = 600;

/** Takes hold of an item's end: by pointer, and by arrow keys minute by minute. */
export function EndGrip({
  title,
  minutes,
  pxPerMinute,
  isShown,
  onMinutes,
}: {
  readonly title: string;
  readonly minutes: number;
  readonly pxPerMinute: number;
  readonly isShown: boolean;
  readonly onMinutes: (minutes: number) => void;
}) {
  const held = useRef<{ x: number; minutes: number } | undefined>(undefined);
  const set = (to: number) => {
    const whole = Math.min(most, Math.max(1, Math.round(to)));
    if (whole !== minutes) onMinutes(whole);
  };
  const steps: Readonly<Record<string, number>> = {
    ...{ ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 },
  };
  const key = (event: KeyboardEvent) => {
    const by = event.shiftKey ? undefined : steps[event.key];
    if (by === undefined) return;
    event.preventDefault();
    set(minutes + by);
  };
  const hold = (event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { x: event.clientX, minutes };
    event.preventDefault();
  };
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label={`Length of ${title}`}
      aria-valuenow={minutes}
      aria-valuemin={1}
      aria-valuemax={most}
      aria-valuetext={`${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`}
      onKeyDown={key}
      onPointerDown={hold}
      onPointerMove={(event) => {
        const from = held.current;
        if (from) set(from.minutes + (event.clientX - from.x) / pxPerMinute);
      }}
      onPointerUp={() => {
        held.current = undefined;
      }}
      onPointerCancel={() => {
        held.current = undefined;
      }}
      position="absolute"
      right="-12px"
      top="22px"
      w="24px"
      h="30px"
      zIndex={4}
      cursor="ew-resize"
      display="grid"
      placeItems="center"
      style={{ touchAction: 'none' }}
    >
      <Box
        w={isShown ? '10px' : '6px'}
        h="18px"
        borderWidth="1px"
        borderColor="fern"
        borderRadius="3px"
        bg="paper"
        display="flex"
        alignItems="center"
        justifyContent="center"
        gap="2px"
        aria-hidden="true"
      >
        {isShown && [0, 1].map((i) => <Box key={i} w="1px" h="8px" bg="fern" />)}
      </Box>
    </Box>
  );
}
