import { zodResolver } from '@hookform/resolvers/zod';
import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { changePasswordSchema, type ChangePassword as Wanted } from '@wide-fern/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '@wide-fern/client';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { showErrors } from './formErrors';

export function ChangePassword() {
  const [said, setSaid] = useState<string>();
  const { register, handleSubmit, formState, setError, reset } = useForm<Wanted>({
    resolver: zodResolver(changePasswordSchema),
  });
  const change = useMutation({
    mutationFn: (body: Wanted) => call('changePassword', { body }),
    onSuccess: () => {
      reset();
      setSaid('Your password is changed; every other browser is signed out.');
    },
    onError: (error) => setSaid(showErrors(error, setError, ['current', 'next'])),
  });
  return (
    <form noValidate onSubmit={(event) => void handleSubmit((body) => change.mutate(body))(event)}>
      <Box display="grid" gap="12px" maxW="320px">
        <FormField
          label="Present password"
          type="password"
          size="sm"
          autoComplete="current-password"
          error={formState.errors.current?.message}
          {...register('current')}
        />
        <FormField
          label="New password"
          type="password"
          size="sm"
          autoComplete="new-password"
          help="At least 10 characters."
          error={formState.errors.next?.message}
          {...register('next')}
        />
        <QuietButton type="submit" size="sm" disabled={change.isPending}>
          Change the password
        </QuietButton>
        {said && (
          <Box role={change.isError ? 'alert' : 'status'} color={change.isError ? 'brick' : 'ink'}>
            {said}
          </Box>
        )}
      </Box>
    </form>
  );
}
