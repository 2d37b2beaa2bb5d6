import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { call, messageOf, planQuery, queryClient, eveningsQuery } from '@wide-fern/client';
import { ownApproachSchema, type OwnApproach, type PlanDocument } from '@wide-fern/contract';
import { idFromName, type Approach } from '@wide-fern/core';
import { asWeDoIt, fewestPlans, mostPlans } from '@wide-fern/plan';
import { countInWords } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { useChoirSaid } from '../../../here/useChoirSaid';
import { WordButton } from '../../../ui/words';
import { ApproachEditor } from './ApproachEditor';

/** Where a choir makes ways of warming up of its own: from one there is, or from its last plans. */
export function OwnApproach({
  approach,
  name,
  onKept,
}: {
  /** The one it begins from, and what that is called. */
  readonly approach: Approach;
  readonly name: string;
  /** It was kept under this id. */
  readonly onKept: (id: string) => void;
}) {
  const { choir } = useHere();
  const take = useChoirSaid();
  const [draft, setDraft] = useState<OwnApproach>();
  const [said, setSaid] = useState('');
  const own = choir.approaches.some((one) => one.approach.id === approach.id);
  const save = useMutation({
    mutationFn: (body: { approaches?: OwnApproach[]; approach?: string }) =>
      call('changeChoir', { params: { choir: choir.id }, body }),
    onSuccess: take,
  });
  if (choir.role !== 'director') return null;
  const others = (id: string) => choir.approaches.filter((one) => one.approach.id !== id);
  const keep = async () => {
    if (!draft) return;
    const checked = ownApproachSchema.safeParse(draft);
    if (!checked.success) {
      setSaid(checked.error.issues[0]?.message ?? 'Something is missing.');
      return;
    }
    const kept = checked.data;
    await save.mutateAsync({ approaches: [...others(kept.approach.id), kept] });
    setDraft(undefined);
    onKept(kept.approach.id);
  };
  const begin = (from: Approach, called: string) => {
    setSaid('');
    setDraft({ name: called, approach: from });
  };
  const fromPlans = async () => {
    setSaid('Looking at your last plans …');
    const found = asWeDoIt(await lastPlans(choir.id));
    if (found) begin(found, 'as we do it');
    else setSaid(`Plan at least ${countInWords(fewestPlans)} warm-ups first.`);
  };
  return (
    <Box mt="8px" fontSize="13px">
      <Flex gap="14px" wrap="wrap">
        {!draft && (
          <>
            <WordButton
              fontSize="13px"
              onClick={() =>
                begin(own ? approach : freeId(approach, name), own ? name : `${name}, ours`)
              }
            >
              {own ? 'change this way' : 'make one of your own from this'}
            </WordButton>
            <WordButton fontSize="13px" onClick={() => void fromPlans()}>
              from your last plans, as you do it
            </WordButton>
            {choir.approach !== approach.id && (
              <WordButton fontSize="13px" onClick={() => save.mutate({ approach: approach.id })}>
                this is our usual way
              </WordButton>
            )}
            {own && (
              <WordButton
                fontSize="13px"
                onClick={() => save.mutate({ approaches: others(approach.id) })}
              >
                throw this way away
              </WordButton>
            )}
          </>
        )}
      </Flex>
      {draft && (
        <ApproachEditor
          draft={draft}
          onChange={setDraft}
          onKeep={() => void keep()}
          onLeave={() => setDraft(undefined)}
        />
      )}
      <Box role="status">{said}</Box>
      {save.error && (
        <Box role="alert" color="brick">
          {messageOf(save.error)}
        </Box>
      )}
    </Box>
  );
}

/** A copy under an id of its own. */
const freeId = (approach: Approach, name: string): Approach => ({
  ...approach,
  id: `own-${idFromName(name)}`.slice(0, 60),
});

/** The plans of the last evenings, the last one first; what was never planned is left out. */
async function lastPlans(choir: string): Promise<PlanDocument[]> {
  const now = new Date().toISOString();
  const evenings = await queryClient.fetchQuery(eveningsQuery(choir));
  const before = evenings
    .filter(({ startsAt }) => startsAt < now)
    .sort((a, b) => (a.startsAt < b.startsAt ? 1 : -1))
    .slice(0, mostPlans);
  const plans = await Promise.all(
    before.map(({ id }) =>
      queryClient.fetchQuery(planQuery({ choir, evening: id, item: 'warm-up' })),
    ),
  );
  return plans.flatMap((plan) => (plan ? [plan.document] : []));
}
