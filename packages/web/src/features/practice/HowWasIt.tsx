import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { messageOf } from '@wide-fern/client';
import {
  saidBefore,
  sayOfExercise,
  type AnswerPlace,
  type Sender,
} from '@wide-fern/client/answers';
import { exerciseAnswers, type ExerciseAnswer } from '@wide-fern/contract';
import { hurtWords } from '@wide-fern/words';
import { useState } from 'react';
import { WordChoice } from '../../ui/WordChoice';
import { Label } from '../../ui/words';

const optionsOf = (words: readonly ExerciseAnswer[]) => words.map((one) => [one, one] as const);
const options = optionsOf(exerciseAnswers);
/** What is not sung on given notes lies neither high nor low. */
const withoutNotes = optionsOf(
  exerciseAnswers.filter((words) => words !== 'too high' && words !== 'too low'),
);

/** How an exercise was, in one touch and without a name. */
export function HowWasIt({
  name,
  hasNotes,
  place,
  sender,
}: {
  readonly name: string;
  /** Whether it is sung on given notes. */
  readonly hasNotes: boolean;
  readonly place: AnswerPlace;
  readonly sender: Sender;
}) {
  const [said, setSaid] = useState<ExerciseAnswer | undefined>(() => saidBefore(place));
  const say = useMutation({
    mutationFn: (words: ExerciseAnswer) => sayOfExercise(sender, place, words),
    onSuccess: (_, words) => setSaid(words),
  });
  return (
    <Box mt="8px">
      <Label>How was it?</Label>
      <WordChoice
        isLarge
        label={`How was ${name}?`}
        options={hasNotes ? options : withoutNotes}
        value={said}
        onChange={(words) => {
          if (words && !say.isPending) say.mutate(words);
        }}
      />
      <Box role="status" fontSize="14px">
        {say.isPending ? 'Sending …' : said && !say.isError ? 'Sent, without your name.' : ''}
      </Box>
      {said === 'it hurt' && <Box color="sporeText">{hurtWords}</Box>}
      {say.isError && (
        <Box role="alert" color="brick" fontSize="14px">
          This was not sent. {messageOf(say.error)}
        </Box>
      )}
    </Box>
  );
}
