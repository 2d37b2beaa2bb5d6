import { lazy, type ComponentType } from 'react';

const Nothing: ComponentType = () => null;

/** What is fetched when it is first wanted, and left out where it cannot be fetched. */
export const lazily = <P extends object>(
  fetched: () => Promise<{ readonly default: ComponentType<P> }>,
) =>
  lazy(() =>
    fetched().then(
      (it) => it,
      (): { default: ComponentType<P> } => ({ default: Nothing as ComponentType<P> }),
    ),
  );
