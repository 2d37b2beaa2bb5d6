import { Box } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { usualPhrase } from '@wide-fern/core';
import { call, exercisesQuery, ledOnceQuery, messageOf } from '@wide-fern/client';
import { phraseByLed } from '@wide-fern/plan';
import { phraseByLedInWords } from '@wide-fern/words';
import { useMemo } from 'react';
import { useHere } from '../../here/session';
import { Stepper } from '../../ui/Stepper';
import { Label, WordButton } from '../../ui/words';
import { useChoirSaid } from '../../here/useChoirSaid';

const levels = [
  ['beginners', usualPhrase.beginners],
  ['mixed', usualPhrase.mixed],
  ['trained', usualPhrase.trained],
] as const;

/** How long a phrase on one breath may last: by level, or the choir's own figure. */
export function PhraseField() {
  const { choir } = useHere();
  const take = useChoirSaid();
  const save = useMutation({
    mutationFn: (phraseSeconds: number) =>
      call('changeChoir', { params: { choir: choir.id }, body: { phraseSeconds } }),
    onSuccess: take,
  });
  const led = useQuery(ledOnceQuery(choir.id)).data;
  const marks = useQuery(exercisesQuery(choir.id)).data?.marks;
  const learned = useMemo(() => led && marks && phraseByLed(led, marks), [led, marks]);
  const disabled = choir.role !== 'director' || save.isPending;
  return (
    <Box maxW="68ch">
      <Stepper
        label="A comfortable breath"
        labelWidth="150px"
        value={choir.phraseSeconds}
        limits={[2, 60]}
        unit="seconds"
        disabled={disabled}
        onChange={(value) => save.mutate(Math.round(value))}
      />
      {levels.map(([level, seconds]) => (
        <WordButton
          key={level}
          fontSize="13px"
          mr="14px"
          disabled={disabled}
          onClick={() => save.mutate(seconds)}
        >
          {level}, {seconds} s
        </WordButton>
      ))}
      {learned && (
        <Box fontSize="13px" mt="4px">
          {phraseByLedInWords(learned, choir.timeZone)}{' '}
          {learned.seconds !== choir.phraseSeconds && (
            <WordButton
              fontSize="13px"
              disabled={disabled}
              onClick={() => save.mutate(learned.seconds)}
            >
              go by {learned.seconds} s
            </WordButton>
          )}
        </Box>
      )}
      <Label mt="4px">
        Phrases that last longer are pointed out where an exercise is planned. A figure to go by,
        never a limit for a person.
      </Label>
      {save.error && (
        <Box role="alert" color="brick" fontSize="13px">
          {messageOf(save.error)}
        </Box>
      )}
    </Box>
  );
}
