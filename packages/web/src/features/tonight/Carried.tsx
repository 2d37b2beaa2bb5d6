import { Box } from '@chakra-ui/react';
import { dateInWords } from '@wide-fern/words';
import { useQuery } from '@tanstack/react-query';
import type { Evening } from '@wide-fern/contract';
import { pieceQuery } from '@wide-fern/client';

import { useHere } from '../../here/session';
import { Label, Name, WordLink } from '../../ui/words';
import { JudgedLine } from '../../music/figures/JudgedLine';
import type { EvaluatedPlan } from '@wide-fern/plan';

/** The target carried on from a judged run, with its trend, and what tonight's plan does for it. */
export function Carried({
  evening,
  plan,
}: {
  readonly evening: Evening;
  readonly plan: EvaluatedPlan;
}) {
  const { choir } = useHere();
  const [wish, ...others] = evening.wishes;
  const piece = useQuery({
    ...pieceQuery(choir.id, wish?.piece ?? ''),
    enabled: wish !== undefined,
  });
  if (!wish) return null;
  const { skill, title } = wish;
  const runs = [...(piece.data?.judgements ?? [])].reverse().slice(-4);
  const seconds = plan.segments
    .filter(({ segment }) => segment.exercise.purposes.includes(skill))
    .reduce((sum, { computed }) => sum + computed.seconds - computed.talk, 0);
  const length = `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`;
  return (
    <Box flex="1 1 220px" minW={0}>
      <Box as="h2" fontWeight={650} mb="4px">
        Carried on
      </Box>
      <Name fontSize="18px" lineHeight="24px">
        “{title}”: {skill}
      </Name>
      {runs.length > 0 && (
        <JudgedLine
          skill=""
          left={22}
          runs={runs.map(({ judgedOn, scores }) => ({
            date: dateInWords(judgedOn),
            score: scores.find((one) => one.skill === skill)?.score,
          }))}
          isTarget
        />
      )}
      <Box fontSize="13px">
        {seconds > 0
          ? `Tonight’s warm-up gives it ${length}.`
          : 'Tonight’s warm-up gives it nothing yet.'}{' '}
        <WordLink fontSize="13px" to={`/pieces/${wish.piece}`}>
          its hard bars
        </WordLink>
      </Box>
      {others.map((one) => (
        <Label key={one.piece}>
          “{one.title}”: {one.skill}
        </Label>
      ))}
    </Box>
  );
}
