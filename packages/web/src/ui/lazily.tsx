import { Box } from '@chakra-ui/react';
import { lazy, memo, Suspense, type ComponentType, type ReactNode } from 'react';

const Nothing = () => null;

/** Before it is asked for once more, in milliseconds: a connection may have stumbled. */
const pause = 300;

/** What is fetched, asked for a second time where the first one failed. */
const persistently = <T,>(fetched: () => Promise<T>): Promise<T> =>
  fetched().catch(() => new Promise<void>((done) => setTimeout(done, pause)).then(fetched));

/** What is sure to be wanted: its fetching begins at once. Where that fails it is asked for again. */
export const early = <T,>(fetched: () => Promise<T>): (() => Promise<T>) => {
  fetched().catch(() => undefined);
  return fetched;
};

/**
 * In place of what was asked for and cannot be fetched; what is around it goes on.
 * @param isWide whether it stands from edge to edge and needs a margin of its own
 */
export const missing = (what: string, isWide = false) =>
  function Missing() {
    return (
      <Box
        role="alert"
        px={isWide ? { base: '16px', md: '24px' } : 0}
        py={isWide ? '16px' : '8px'}
        fontSize="14px"
        color="inkSoft"
      >
        {what} could not be fetched. Load the page again when the connection is back.
      </Box>
    );
  };

/** A component, as far as it matters here: what it is given, and what it draws. */
type Drawing<P> = (props: P) => ReactNode;
type Given<D extends Drawing<never>> =
  Parameters<D> extends [infer P extends object, ...unknown[]] ? P : object;

/**
 * What is fetched when it is first wanted, and drawn anew where it is given something else. It never takes along
 * what is around it.
 * @param room what keeps its place until it comes
 * @param absent what stands in its place where it cannot be fetched: nothing, unless a person asked for it
 */
export function lazily<D extends Drawing<never>>(
  fetched: () => Promise<{ readonly default: D }>,
  {
    room: Room = null,
    absent = Nothing,
  }: {
    readonly room?: ReactNode | Drawing<Given<D>>;
    readonly absent?: Drawing<Given<D>>;
  } = {},
): ComponentType<Given<D>> {
  type Props = Given<D>;
  const Fetched = lazy(() =>
    persistently(fetched).then(
      (it) => it as unknown as { default: ComponentType<Props> },
      () => ({ default: absent as ComponentType<Props> }),
    ),
  ) as unknown as ComponentType<Props>;
  const Lazily = (props: Props) => (
    <Suspense fallback={typeof Room === 'function' ? <Room {...props} /> : Room}>
      <Fetched {...props} />
    </Suspense>
  );
  return memo(Lazily);
}
