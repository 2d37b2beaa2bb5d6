import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { bringIntoPlan, messageOf, newId } from '@wide-fern/client';
import type { AgendaItem, Evening, PlanDocument } from '@wide-fern/contract';
import { goneInWords, intoWords } from '@wide-fern/words';
import { useRef, useState } from 'react';
import { useHere } from '../../../here/session';
import { Said } from '../../../ui/Passage';
import { WordButton, WordLink } from '../../../ui/words';

/** The other parts of an evening that have a plan. */
const othersOf = ({ agenda }: Pick<Evening, 'agenda'>, item: string): readonly AgendaItem[] =>
  agenda.filter(({ id, kind }) => id !== item && (kind === 'warm-up' || kind === 'cool-down'));

/** Segments go, as they are planned, into another warm-up of the evening: those that are chosen, or all from here on. */
export default function IntoOther({
  evening,
  item,
  document,
  chosen,
  onGone,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  /** The segments that are chosen. */
  readonly chosen: readonly string[];
  /** They have arrived: they are left out here, and it is said. */
  readonly onGone: (ids: ReadonlySet<string>, words: string) => void;
}) {
  const { choir } = useHere();
  const [isOpen, setOpen] = useState(false);
  /** What a segment is called where it goes, until it has arrived. */
  const onTheWay = useRef(new Map<string, string>());
  const others = othersOf(evening, item);
  const first = document.segments.findIndex(({ id }) => chosen.includes(id));
  const following = document.segments.slice(first);
  const send = useMutation({
    mutationFn: async ({ to, ids }: { to: AgendaItem; ids: ReadonlySet<string> }) => {
      const going = document.segments.filter(({ id }) => ids.has(id));
      const place = { choir: choir.id, evening: evening.id, item: to.id };
      const became = await bringIntoPlan(place, going, document.tonight, (one) => {
        // Changed meanwhile it is another one.
        const name = `${to.id} ${JSON.stringify(one)}`;
        const there = onTheWay.current.get(name) ?? newId();
        onTheWay.current.set(name, there);
        return there;
      });
      onTheWay.current.clear();
      const words = goneInWords(became, going.length, to.title);
      // Only what has arrived is left out here.
      if (became === 'put') onGone(ids, words);
      return words;
    },
  });
  return (
    <Box fontSize="13px" mt="4px">
      <WordButton fontSize="13px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        into another warm-up of this evening
      </WordButton>
      {isOpen && others.length === 0 && (
        <Box>
          This evening has no other warm-up and no cool-down yet.{' '}
          <WordLink fontSize="13px" to={`/evenings/${evening.id}`}>
            Add one to the evening
          </WordLink>
        </Box>
      )}
      {isOpen &&
        others.map((to) => (
          <Flex key={to.id} columnGap="14px" wrap="wrap" align="baseline">
            <Box>“{to.title}”:</Box>
            <WordButton
              fontSize="13px"
              disabled={send.isPending}
              onClick={() => send.mutate({ to, ids: new Set(chosen) })}
            >
              {intoWords(chosen.length)}
            </WordButton>
            {following.length > chosen.length && (
              <WordButton
                fontSize="13px"
                disabled={send.isPending}
                onClick={() => send.mutate({ to, ids: new Set(following.map(({ id }) => id)) })}
              >
                all from here on
              </WordButton>
            )}
          </Flex>
        ))}
      <Said>{send.data}</Said>
      <Said wrong>{send.isError && `Nothing is left out here. ${messageOf(send.error)}`}</Said>
    </Box>
  );
}
