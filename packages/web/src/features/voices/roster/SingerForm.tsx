import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { ChoirPart, Singer, SingerFields } from '@wide-fern/contract';
import { singerStates } from '@wide-fern/core';
import { stateWords } from '@wide-fern/words';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { ApiError, messageOf, queryClient, call, choirQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import { limitWords, noteFields, readForm, toForm, type SingerForm as Form } from './limitsForm';

/** One singer, new or changed: what is wrong is said at its field, before and after it is sent. */
export function SingerForm({
  parts,
  singer,
  part = parts[0]?.id ?? '',
  onDone,
}: {
  readonly parts: readonly ChoirPart[];
  readonly singer?: Singer;
  /** The part a new singer is added to. */
  readonly part?: string;
  readonly onDone: () => void;
}) {
  const { choir } = useHere();
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, formState, setError, watch, setValue } = useForm<Form>({
    defaultValues: toForm(singer, part, choir.accidentals),
  });
  const store = useMutation({
    mutationFn: (fields: SingerFields): Promise<unknown> =>
      singer
        ? call('changeSinger', {
            params: { choir: choir.id, singer: singer.id },
            body: { version: singer.version, singer: fields },
          })
        : call('storeSingers', {
            params: { choir: choir.id },
            body: { add: [fields], change: [] },
          }),
    onSuccess: async () => {
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
      onDone();
    },
    onError: (error) => {
      if (error instanceof ApiError && error.status === 409) {
        // The newer version comes with the roster; keeping again puts this form over it.
        void queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
        setProblem(
          'Someone else changed this singer meanwhile. Theirs is kept; to put yours over it, keep again.',
        );
        return;
      }
      if (!(error instanceof ApiError)) {
        setProblem(messageOf(error));
        return;
      }
      const wrong = Object.entries(error.fields);
      for (const [field, message] of wrong) {
        const name = field.split('.').pop() ?? '';
        setError((name === 'comfort' ? 'comfortLow' : name) as keyof Form, { message });
      }
      setProblem(wrong.length > 0 ? undefined : error.message);
    },
  });
  const submit = handleSubmit((form) => {
    const read = readForm(form, parts, choir.accidentals);
    if (read.kind === 'singer') {
      setProblem(undefined);
      store.mutate(read.singer);
      return;
    }
    for (const [field, message] of Object.entries(read.fields)) {
      setError(field as keyof Form, { message });
    }
  });
  const chosen = watch(['also', 'states']);
  const [also, states] = chosen;
  const toggle = <T extends string>(list: readonly T[], one: T): T[] =>
    list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
  const { errors } = formState;
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <Flex direction="column" gap="12px">
        <FormField label="Name" size="sm" error={errors.name?.message} {...register('name')} />
        <SelectField
          label="Part"
          options={parts.map(({ id, one }) => ({ value: id, word: `${id}, ${one}` }))}
          error={errors.part?.message}
          {...register('part')}
        />
        <Box as="fieldset">
          <Label as="legend">Can also sing</Label>
          <Flex gap="12px" wrap="wrap" fontSize="13px">
            {parts
              .filter(({ id }) => id !== watch('part'))
              .map(({ id, one }) => (
                <label key={id}>
                  <input
                    type="checkbox"
                    checked={also.includes(id)}
                    onChange={() => setValue('also', toggle(also, id))}
                  />{' '}
                  {one}
                </label>
              ))}
          </Flex>
        </Box>
        <Flex gap="8px" wrap="wrap">
          {noteFields.map((field) => (
            <Box key={field} flex="1 1 120px" minW="112px">
              <FormField
                label={limitWords[field]}
                size="sm"
                placeholder={field === 'comfortLow' ? 'like D4' : ''}
                error={errors[field]?.message}
                {...register(field)}
              />
            </Box>
          ))}
        </Flex>
        <Label>
          Notes like C4 (middle C) or B♭3. Leave them empty until a range is known; a reach that is
          left empty ends where the easy notes end.
        </Label>
        <Box as="fieldset">
          <Label as="legend">State, until it is changed</Label>
          <Flex gap="12px" wrap="wrap" fontSize="13px">
            {singerStates.map((state) => (
              <label key={state}>
                <input
                  type="checkbox"
                  checked={states.includes(state)}
                  onChange={() => setValue('states', toggle(states, state))}
                />{' '}
                {stateWords[state]}
              </label>
            ))}
          </Flex>
        </Box>
        <Box asChild fontSize="13px">
          <label>
            <input type="checkbox" {...register('onLeave')} /> on leave, not counted until back
          </label>
        </Box>
        <Box asChild>
          <label>
            <Label as="span">Notes, for those who lead</Label>
            <Box asChild w="100%" p="8px" bg="sheet" borderWidth="1px" borderColor="inkSoft">
              <textarea rows={2} {...register('notes')} />
            </Box>
          </label>
        </Box>
        {errors.notes && (
          <Box role="alert" color="brick" fontSize="13px">
            {errors.notes.message}
          </Box>
        )}
        {problem && (
          <Box role="alert" color="brick" fontSize="13px">
            {problem}
          </Box>
        )}
        <Flex gap="16px" align="center">
          <MainButton type="submit" disabled={store.isPending}>
            {singer ? 'Keep the changes' : 'Add to the roster'}
          </MainButton>
          <WordButton type="button" onClick={onDone}>
            leave it
          </WordButton>
        </Flex>
      </Flex>
    </form>
  );
}
