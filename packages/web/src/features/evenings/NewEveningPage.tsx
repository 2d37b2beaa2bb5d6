import { zodResolver } from '@hookform/resolvers/zod';
import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { newEveningSchema, type Evening, type NewEvening } from '@wide-fern/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { ask } from '../../api/client';
import { queryClient } from '../../api/queries';
import { Frame } from '../../app/Frame';
import { useHere } from '../../app/session';
import { FormField } from '../../ui/FormField';
import { MainButton } from '../../ui/MainButton';
import { Name, WordLink } from '../../ui/words';
import { showErrors } from '../account/formErrors';

/** Adds an evening: when, where, and how long the warm-up may take. */
export default function NewEveningPage() {
  const { choir } = useHere();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, formState, setError } = useForm<NewEvening>({
    resolver: zodResolver(newEveningSchema),
    defaultValues: { start: '19:30', end: '21:30', warmUpMinutes: 15 },
  });
  const add = useMutation({
    mutationFn: (body: NewEvening) =>
      ask<Evening>(`/choirs/${choir.id}/evenings`, { method: 'POST', body }),
    onSuccess: async ({ id }) => {
      await queryClient.invalidateQueries({ queryKey: ['choir', choir.id, 'evenings'] });
      await navigate(`/evenings/${id}/plan`);
    },
    onError: (error) =>
      setProblem(showErrors(error, setError, ['date', 'start', 'end', 'place', 'warmUpMinutes'])),
  });
  const { errors } = formState;
  return (
    <Frame>
      <Box maxW="480px" w="100%" mx="auto" px="24px" py="40px">
        <Name as="h1" fontSize="34px" mb="16px">
          A new evening
        </Name>
        <form noValidate onSubmit={(event) => void handleSubmit((body) => add.mutate(body))(event)}>
          <Box display="grid" gap="12px">
            <FormField
              label="Date"
              type="date"
              error={errors.date?.message}
              {...register('date')}
            />
            <Flex gap="12px">
              <FormField
                label="Starts"
                type="time"
                error={errors.start?.message}
                {...register('start')}
              />
              <FormField
                label="Ends"
                type="time"
                error={errors.end?.message}
                {...register('end')}
              />
            </Flex>
            <FormField label="Place" error={errors.place?.message} {...register('place')} />
            <FormField
              label="Minutes for the warm-up"
              type="number"
              inputMode="numeric"
              help="15 to 20 is a full warm-up, 5 to 10 a short one."
              error={errors.warmUpMinutes?.message}
              {...register('warmUpMinutes', { valueAsNumber: true })}
            />
            {problem && (
              <Box role="alert" color="brick" fontSize="13px">
                {problem}
              </Box>
            )}
            <Flex gap="24px" align="center">
              <MainButton type="submit" disabled={add.isPending}>
                Add the evening
              </MainButton>
              <WordLink to="/">back to Tonight</WordLink>
            </Flex>
          </Box>
        </form>
        <Box mt="16px" fontSize="13px" color="inkSoft">
          Times are {choir.timeZone.replaceAll('_', ' ')}. An end before the start is on the next
          day.
        </Box>
      </Box>
    </Frame>
  );
}
