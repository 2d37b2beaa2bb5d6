import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import type { Exercise } from '@wide-fern/contract';
import { whyNot, type BuildRequest, type Proposal, type WhyNot } from '@wide-fern/plan';
import { whyNotInWords } from '@wide-fern/words';
import { useCallback, useEffect, useRef, useState } from 'react';
import { SelectField } from '../../../ui/SelectField';
import { WordButton } from '../../../ui/words';
import { workerBuilder, type Builder } from '../../../here/building/builder';

/** Why an exercise is not in a plan: asked of any, answered by building the best plan that has it. */
export function WhyNotThis({
  request,
  plan,
  exercises,
  makeBuilder = workerBuilder,
  onAskFor,
}: {
  readonly request: BuildRequest;
  readonly plan: Proposal;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly makeBuilder?: () => Builder;
  readonly onAskFor: (exercise: string) => void;
}) {
  const there = new Set(plan.segments.map(({ exercise }) => exercise));
  const others = [...exercises.values()]
    .filter(({ id }) => !there.has(id))
    .sort((a, b) => a.name.localeCompare(b.name));
  const [chosen, setChosen] = useState('');
  const [answer, setAnswer] = useState('');
  const [asking, setAsking] = useState(false);
  /** What seeks the answer; undefined while nothing is asked. */
  const seeking = useRef<Builder>(undefined);
  const forget = useCallback(() => {
    seeking.current?.end();
    seeking.current = undefined;
    setAsking(false);
    setAnswer('');
  }, []);
  // Another plan, another answer; the same one told anew is the same. Leaving the page ends the search.
  const content = plan.segments.map(({ candidate }) => candidate.id).join(' ');
  useEffect(() => forget, [content, forget]);
  const exercise = exercises.get(chosen);
  const ask = async () => {
    if (!exercise) return;
    forget();
    setAsking(true);
    const mine = (seeking.current = makeBuilder());
    const say = (words: string) => {
      if (seeking.current === mine) setAnswer(words);
    };
    const tell = (found: WhyNot) =>
      say(whyNotInWords(found, exercise.name, (id) => exercises.get(id)?.name ?? id));
    try {
      tell(await whyNot(request, exercise, plan, mine, tell));
    } catch (error) {
      say(messageOf(error));
    }
    mine.end();
    if (seeking.current !== mine) return;
    seeking.current = undefined;
    setAsking(false);
  };
  return (
    <Box px={{ base: '16px', md: '24px' }} py="8px" bg="sheet" fontSize="13px">
      <Flex gap="12px" align="flex-end" wrap="wrap">
        <Box w="240px">
          <SelectField
            label="Why not this one?"
            value={chosen}
            options={[
              { value: '', word: 'choose an exercise' },
              ...others.map(({ id, name }) => ({ value: id, word: name })),
            ]}
            onChange={(event) => {
              setChosen(event.currentTarget.value);
              forget();
            }}
          />
        </Box>
        <WordButton
          fontSize="13px"
          minH="28px"
          disabled={!exercise || asking}
          onClick={() => void ask()}
        >
          {asking ? 'building with it …' : 'ask'}
        </WordButton>
        {exercise && (
          <WordButton fontSize="13px" minH="28px" onClick={() => onAskFor(exercise.id)}>
            build with it
          </WordButton>
        )}
      </Flex>
      <Box role="status" mt="4px">
        {answer}
      </Box>
    </Box>
  );
}
