import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useForm, type DefaultValues, type FieldValues, type Path } from 'react-hook-form';
import type { z } from 'zod';
import { showErrors } from './formErrors';

/**
 * A form that is checked by its schema and sent: what is wrong stands at its field, whoever found it,
 * what concerns the whole form in `problem`.
 */
export function useSentForm<In extends FieldValues, Out extends FieldValues, Reply>({
  schema,
  fields,
  defaultValues,
  send,
  onDone,
  onRefused,
}: {
  readonly schema: z.ZodType<Out, In>;
  /** The fields that show what is wrong with them. */
  readonly fields: readonly Path<In>[];
  readonly defaultValues?: DefaultValues<In>;
  readonly send: (body: Out) => Promise<Reply>;
  readonly onDone: (reply: Reply, sent: Out) => void | Promise<void>;
  readonly onRefused?: (error: unknown) => void;
}) {
  const [problem, setProblem] = useState<string>();
  const form = useForm<In, unknown, Out>({
    resolver: zodResolver(schema),
    ...(defaultValues ? { defaultValues } : {}),
  });
  const sending = useMutation({
    mutationFn: send,
    onSuccess: onDone,
    onError: (error) => {
      setProblem(showErrors(error, form.setError, fields));
      onRefused?.(error);
    },
  });
  const onSubmit = (event: FormEvent) => {
    setProblem(undefined);
    void form.handleSubmit((body) => sending.mutate(body))(event);
  };
  const errorOf = (field: Path<In>): string | undefined =>
    form.getFieldState(field, form.formState).error?.message;
  return { form, onSubmit, errorOf, problem, isSending: sending.isPending };
}
