import { lazy, Suspense, type ComponentType } from 'react';

const Nothing: ComponentType = () => null;

/** What is fetched when it is first wanted, and left out until then and where it cannot be fetched. */
export function lazily<P extends object>(
  fetched: () => Promise<{ readonly default: ComponentType<P> }>,
): ComponentType<P> {
  const Fetched = lazy(() =>
    fetched().then(
      (it) => it,
      (): { default: ComponentType<P> } => ({ default: Nothing as ComponentType<P> }),
    ),
  ) as unknown as ComponentType<P>;
  return function Lazily(props: P) {
    return (
      <Suspense fallback={null}>
        <Fetched {...props} />
      </Suspense>
    );
  };
}
