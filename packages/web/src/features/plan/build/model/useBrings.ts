import type { BuildWish } from '@wide-fern/contract';
import { choose, perform, proposalOf, requestOf, type Known, type Proposal } from '@wide-fern/plan';
import type { GivenUp } from '@wide-fern/words';
import { useEffect, useState } from 'react';
import type { Builder } from '../../../../here/building/builder';

/** What giving up a wish brings: the best plan without it, or none; undefined while it is sought. */
export type Brings = { readonly plan: Proposal | undefined } | undefined;

/** What is known, once a wish is given up that is a pin of the plan. */
const unpinned = (known: Known, segment: string): Known => ({
  ...known,
  document: perform(known.document, choose(segment, { pinned: false }))?.document ?? known.document,
});

/** Builds what each way out of a conflict would bring, one after the other, while they are looked at; what is asked next ends it. */
export function useBrings(
  ways: readonly GivenUp[],
  known: Known,
  wish: BuildWish,
  builder: Builder,
): Readonly<Record<string, Brings>> {
  const [brings, setBrings] = useState<Readonly<Record<string, Brings>>>({});
  const content = JSON.stringify([ways, wish]);
  useEffect(() => {
    let wanted = true;
    const seek = async () => {
      for (const { wish: given, next, unpin } of ways) {
        const request =
          unpin === undefined
            ? next && requestOf(known, next)
            : requestOf(unpinned(known, unpin), wish);
        if (!request) continue;
        const { problem, ...weighed } = await builder.weigh({ ...request, alternatives: 0 });
        const built = await builder.solve(problem);
        if (!wanted) return;
        const [best] = built.kind === 'plans' ? built.plans : [];
        const plan = best && proposalOf({ problem, ...weighed }, best);
        setBrings((now) => ({ ...now, [given]: { plan } }));
      }
    };
    setBrings({});
    // What is not found out is not said; the ways out stay.
    seek().catch(() => undefined);
    return () => {
      wanted = false;
    };
    // The ways are the same as long as their content is.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [content, known, builder]);
  return brings;
}
