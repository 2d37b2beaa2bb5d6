import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answersQuery, call, choirQuery, messageOf, queryClient } from '@wide-fern/client';
import { dropAnswers } from '@wide-fern/client/answers';
import type { Singer } from '@wide-fern/contract';
import type { PitchRange } from '@wide-fern/core';
import {
  capitalise,
  counted,
  dayInWords,
  rangeAnswers,
  rangeInWords,
  type RangeAnswer,
} from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../here/session';
import { PlainSelect } from '../../ui/PlainSelect';
import { Label, WordButton } from '../../ui/words';

/** What is easy, and what can be reached: never less than was known. */
function limitsOf({ low, high }: RangeAnswer['said'], known: PitchRange | null) {
  const reach: [number, number] = [
    Math.min(low, known?.[0] ?? low),
    Math.max(high, known?.[1] ?? high),
  ];
  return { comfort: [low, high] as [number, number], reach };
}

const sameName = (one: string, other: string) =>
  one.trim().toLocaleLowerCase() === other.trim().toLocaleLowerCase();

interface Roster {
  readonly singers: readonly Singer[];
  readonly parts: readonly { readonly id: string; readonly many: string }[];
}

/** What singers sent as easy for them: kept as a check of theirs once it is confirmed, or thrown away. */
export default function SentIn({ singers, parts }: Roster) {
  const { choir } = useHere();
  const answers = useQuery(answersQuery(choir.id));
  const [isOpen, setOpen] = useState(false);
  const sent = rangeAnswers(answers.data ?? []);
  if (answers.isError && !answers.data) {
    return (
      <Box role="alert" fontSize="14px" mb="8px">
        What singers sent from home could not be fetched. {messageOf(answers.error)}{' '}
        <WordButton fontSize="14px" onClick={() => void answers.refetch()}>
          try again
        </WordButton>
      </Box>
    );
  }
  if (sent.length === 0) return null;
  return (
    <Box fontSize="14px" mb="8px">
      <WordButton fontSize="14px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {capitalise(counted(sent.length, 'singer has', 'singers have'))} sent what was easy
      </WordButton>
      {isOpen && (
        <Box as="section" aria-label="What singers sent">
          <Label>
            It was found at home and by nobody’s ear but their own: confirm it only where it can be
            so. It becomes a check of that singer and narrows or widens the section.
          </Label>
          <Box as="ul" listStyleType="none">
            {sent.map((one) => (
              <OneSent key={one.id} sent={one} {...{ singers, parts }} />
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

function OneSent({
  sent: { id, part, said, sentAt },
  singers,
  parts,
}: Roster & { readonly sent: RangeAnswer }) {
  const { choir } = useHere();
  const named = singers.find(({ name }) => sameName(name, said.name));
  const [chosen, setChosen] = useState(named?.id ?? '');
  const who = singers.find((one) => one.id === chosen);
  const keep = useMutation({
    mutationFn: async (singer: string) => {
      const limits = limitsOf(said, who?.reach ?? null);
      await call('keepChecks', {
        params: { choir: choir.id },
        body: {
          checks: [{ singer, ...limits, lightTop: null, changes: [], means: 'at-home' }],
        },
      });
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
      await dropAnswers(choir.id, [id]);
    },
  });
  const drop = useMutation({ mutationFn: () => dropAnswers(choir.id, [id]) });
  const isBusy = keep.isPending || drop.isPending;
  const error = keep.error ?? drop.error;
  // Those of the part stand first: the others may have sung it.
  const ordered = [...singers].sort(
    (a, b) => Number(b.part === part) - Number(a.part === part) || a.name.localeCompare(b.name),
  );
  return (
    <Box as="li" py="6px" borderBottomWidth="1px">
      <Flex gap="4px 16px" wrap="wrap" align="center">
        <Box flex="1 1 220px" overflowWrap="anywhere">
          <strong>{said.name}</strong>
          {part && `, ${parts.find((one) => one.id === part)?.many ?? part}`}:{' '}
          {rangeInWords([said.low, said.high], choir.writing)}
        </Box>
        <Label as="span">{dayInWords(sentAt, choir.timeZone)}</Label>
        <PlainSelect
          label={`Who ${said.name} is`}
          value={chosen}
          options={[
            { value: '', word: 'who is it?' },
            ...ordered.map(({ id: one, name }) => ({ value: one, word: name })),
          ]}
          onChange={setChosen}
        />
        {who && (
          <Label as="span">
            {who.comfort
              ? `so far ${rangeInWords(who.comfort, choir.writing)}`
              : 'not known so far'}
          </Label>
        )}
        <WordButton
          fontSize="14px"
          disabled={isBusy || chosen === ''}
          onClick={() => keep.mutate(chosen)}
        >
          keep it as a check
        </WordButton>
        <WordButton fontSize="14px" disabled={isBusy} onClick={() => drop.mutate()}>
          throw it away
        </WordButton>
      </Flex>
      {error && (
        <Box role="alert" color="brick">
          {messageOf(error)}
        </Box>
      )}
    </Box>
  );
}
