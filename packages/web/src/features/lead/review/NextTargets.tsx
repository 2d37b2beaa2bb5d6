import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { eveningQuery, messageOf, type PlanPlace } from '@wide-fern/client';
import type { Evening, Wish } from '@wide-fern/contract';
import type { Purpose } from '@wide-fern/core';
import { openTargetInWords } from '@wide-fern/words';
import { dayIn, useJudging } from '../../../here/judging';
import { useHere } from '../../../here/session';
import { Name, WordButton, WordLink } from '../../../ui/words';

const scores = [1, 2, 3, 4, 5] as const;
const touch = { fontSize: '18px', minH: '44px', px: '4px' } as const;
/** More skills to choose from than this are found with the piece. */
const mostSkills = 4;

/** What each piece of the evening is to become next, every answer one touch. */
export default function NextTargets({
  place,
  startedAt,
  worked,
}: {
  readonly place: PlanPlace;
  readonly startedAt: string;
  /** Skills that were worked on, the most first. */
  readonly worked: readonly Purpose[];
}) {
  const { choir } = useHere();
  const evening = useQuery(eveningQuery(choir.id, place.evening));
  const pieces = evening.data?.pieces ?? [];
  if (pieces.length === 0) return null;
  const judgedOn = dayIn(choir.timeZone, Date.parse(startedAt));
  return (
    <Box as="section" aria-label="Next targets" mt="16px">
      <Name as="h2" fontSize="24px">
        And the pieces?
      </Name>
      {pieces.map((piece) => (
        <OnePiece
          key={piece.id}
          piece={piece}
          wish={evening.data?.wishes.find((one) => one.piece === piece.id)}
          {...{ judgedOn, worked }}
        />
      ))}
    </Box>
  );
}

function OnePiece({
  piece: { id, title },
  wish,
  judgedOn,
  worked,
}: {
  readonly piece: Evening['pieces'][number];
  readonly wish: Wish | undefined;
  readonly judgedOn: string;
  readonly worked: readonly Purpose[];
}) {
  const { choir } = useHere();
  const { add, remove } = useJudging(choir.id, id);
  const isBusy = add.isPending || remove.isPending;
  const error = add.error ?? remove.error;
  const judge = (target: Purpose | null, score?: number) =>
    add.mutate({
      ...{ judgedOn, target },
      scores: wish && score !== undefined ? [{ skill: wish.skill, score, note: '' }] : [],
    });
  const next = worked.filter((skill) => skill !== wish?.skill).slice(0, mostSkills);
  return (
    <Box py="8px" borderTopWidth="1px" borderColor="line" fontSize="18px">
      <Name as="h3" fontSize="20px">
        {title}
      </Name>
      {wish && (
        <Flex wrap="wrap" columnGap="20px" align="center">
          <Box>{openTargetInWords(wish)} How was it?</Box>
          {scores.map((score) => (
            <WordButton
              key={score}
              {...touch}
              minW="32px"
              disabled={isBusy}
              aria-label={`${title}: ${wish.skill} ${score} of 5`}
              onClick={() => judge(null, score)}
            >
              {score}
            </WordButton>
          ))}
        </Flex>
      )}
      <Flex wrap="wrap" columnGap="20px" align="center">
        <Box color="inkSoft">{wish ? 'Instead, next is' : 'No target is open. Next is'}</Box>
        {next.map((skill) => (
          <WordButton
            key={skill}
            {...touch}
            disabled={isBusy}
            aria-label={`${title}: next is ${skill}`}
            onClick={() => judge(skill)}
          >
            {skill}
          </WordButton>
        ))}
        <WordLink to={`/pieces/${id}`} fontSize="18px" minH="44px">
          something else
        </WordLink>
      </Flex>
      {add.data && !remove.isSuccess && (
        <Flex gap="20px" align="center" role="status">
          <Box color="inkSoft">Kept with {title}.</Box>
          <WordButton {...touch} disabled={isBusy} onClick={() => remove.mutate(add.data.id)}>
            take it back
          </WordButton>
        </Flex>
      )}
      {error && (
        <Box role="alert" color="brick">
          {messageOf(error)}
        </Box>
      )}
    </Box>
  );
}
