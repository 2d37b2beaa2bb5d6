import { lazy, Suspense, type ComponentType, type ReactNode } from 'react';

const Nothing: ComponentType = () => null;

/** Before it is asked for once more, in milliseconds: a connection may have stumbled. */
const pause = 300;

/** What is fetched, asked for a second time where the first one failed. */
const persistently = <T,>(fetched: () => Promise<T>): Promise<T> =>
  fetched().catch(() => new Promise<void>((done) => setTimeout(done, pause)).then(fetched));

/**
 * What is fetched when it is first wanted, and left out until then and where it cannot be fetched.
 * @param room what keeps its place meanwhile
 */
export function lazily<P extends object>(
  fetched: () => Promise<{ readonly default: ComponentType<P> }>,
  room: ReactNode = null,
): ComponentType<P> {
  const Fetched = lazy(() =>
    persistently(fetched).then(
      (it) => it,
      (): { default: ComponentType<P> } => ({ default: Nothing as ComponentType<P> }),
    ),
  ) as unknown as ComponentType<P>;
  return function Lazily(props: P) {
    return (
      <Suspense fallback={room}>
        <Fetched {...props} />
      </Suspense>
    );
  };
}
