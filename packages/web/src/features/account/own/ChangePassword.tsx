import { Box } from '@chakra-ui/react';
import { changePasswordSchema } from '@wide-fern/contract';
import { useState } from 'react';
import { call } from '@wide-fern/client';
import { FormField } from '../../../ui/FormField';
import { QuietButton } from '../../../ui/MainButton';
import { Said } from '../../../ui/Passage';
import { useSentForm } from '../../../ui/useSentForm';

export function ChangePassword() {
  const [isDone, setDone] = useState(false);
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: changePasswordSchema,
    fields: ['current', 'next'],
    send: (body) => call('changePassword', { body }),
    onDone: () => {
      form.reset();
      setDone(true);
    },
    onRefused: () => setDone(false),
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px" maxW="320px">
        <FormField
          label="Present password"
          type="password"
          size="sm"
          autoComplete="current-password"
          error={errorOf('current')}
          {...form.register('current')}
        />
        <FormField
          label="New password"
          type="password"
          size="sm"
          autoComplete="new-password"
          help="At least 10 characters: three or four unrelated words are good."
          error={errorOf('next')}
          {...form.register('next')}
        />
        <QuietButton type="submit" size="sm" disabled={isSending}>
          Change the password
        </QuietButton>
        <Said wrong>{problem}</Said>
        <Said>{isDone && 'Your password is changed; every other browser is signed out.'}</Said>
      </Box>
    </form>
  );
}
