import type { Evening, PlanDocument } from '@wide-fern/contract';
import { itemTime, nothingAsked, requestOf } from '@wide-fern/plan';
import { useEffect, useMemo } from 'react';
import { whenIdle } from '../../ui/whenIdle';
import { useHere } from '../session';
import { useKnown } from '../useKnown';
import { workerBuilder, type Builder } from './builder';
import { readWish } from './keptWish';

/**
 * Where nothing is planned, whoever plans will build: once the page has nothing else to do, every way of every
 * exercise is worked out for it and remembered, so that a first plan comes at once. It draws nothing.
 */
export function ReadyToBuild({
  evening,
  item,
  document,
  makeBuilder = workerBuilder,
}: {
  readonly evening: Evening;
  readonly item: string;
  /** The plan in which there is nothing. */
  readonly document: PlanDocument;
  readonly makeBuilder?: () => Builder;
}) {
  const { choir, account } = useHere();
  const { allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const state = useKnown(evening, item, document, allotted);
  const known = state.kind === 'ready' ? state.known : undefined;
  useEffect(() => {
    if (!known) return undefined;
    return whenIdle(() => {
      const wish = readWish(account.id, choir.id, evening.id, item) ?? nothingAsked;
      // Where it cannot be done, it is done when it is asked for, and said there.
      makeBuilder()
        .prepare(requestOf(known, wish))
        .catch(() => undefined);
    });
  }, [known, account.id, choir.id, evening.id, item, makeBuilder]);
  return null;
}
