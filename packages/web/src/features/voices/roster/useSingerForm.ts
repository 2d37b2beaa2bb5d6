import { useMutation } from '@tanstack/react-query';
import { ApiError, call, choirQuery, messageOf, queryClient } from '@wide-fern/client';
import type { ChoirPart, Singer, SingerFields } from '@wide-fern/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useHere } from '../../../here/session';
import { readForm, toForm, type SingerForm as Form } from './limitsForm';

/** One singer's form: checked by the server's rules, sent, and what was refused said at its field. */
export function useSingerForm(
  parts: readonly ChoirPart[],
  singer: Singer | undefined,
  part: string,
  onDone: () => void,
) {
  const { choir } = useHere();
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, formState, setError, watch, setValue } = useForm<Form>({
    defaultValues: toForm(singer, part, choir.writing),
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
    const read = readForm(form, parts, choir.writing);
    if (read.kind === 'singer') {
      setProblem(undefined);
      store.mutate(read.singer);
      return;
    }
    for (const [field, message] of Object.entries(read.fields)) {
      setError(field as keyof Form, { message });
    }
  });
  return {
    register,
    watch,
    setValue,
    errors: formState.errors,
    submit,
    /** What went wrong with all of it, in words. */
    problem,
    isBusy: store.isPending,
  };
}
