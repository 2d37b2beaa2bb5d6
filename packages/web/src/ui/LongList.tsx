import { Box } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type ReactNode } from 'react';
import { useRowHeight } from './useSize';

/** A list of rows of one height, of which only those in view are drawn: none, one or thousands. */
export function LongList<T>({
  items,
  label,
  rowHeight: usualHeight,
  mostHeight,
  keyOf,
  startAt,
  children,
}: {
  readonly items: readonly T[];
  readonly label: string;
  /** In px; by a thumb no row is lower than a thumb needs. */
  readonly rowHeight: number;
  /** The list scrolls beyond this height, in px. */
  readonly mostHeight: number;
  readonly keyOf: (item: T) => string;
  /** The row to be in view when the list is opened. */
  readonly startAt?: number | undefined;
  readonly children: (item: T, index: number) => ReactNode;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const rowHeight = useRowHeight(usualHeight);
  const height = Math.min(mostHeight, items.length * rowHeight);
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 8,
    initialRect: { width: 300, height },
  });
  const opened = useRef(false);
  useEffect(() => {
    if (opened.current) return;
    opened.current = true;
    if (startAt !== undefined && startAt > 0) virtual.scrollToIndex(startAt, { align: 'center' });
  }, [virtual, startAt]);
  return (
    <Box
      ref={frame}
      h={`${height}px`}
      overflowY={items.length * rowHeight > mostHeight ? 'auto' : 'hidden'}
      tabIndex={items.length * rowHeight > mostHeight ? 0 : undefined}
      role="list"
      aria-label={label}
    >
      <Box h={`${virtual.getTotalSize()}px`} position="relative">
        {virtual.getVirtualItems().map(({ index, start }) => {
          const item = items[index]!;
          return (
            <Box
              key={keyOf(item)}
              role="listitem"
              aria-setsize={items.length}
              aria-posinset={index + 1}
              position="absolute"
              top={`${start}px`}
              left={0}
              right={0}
              h={`${rowHeight}px`}
            >
              {children(item, index)}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
