import { Box } from '@chakra-ui/react';
import { renewPasswordSchema } from '@wide-fern/contract';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { call } from '@wide-fern/client';
import { FormField } from '../../ui/FormField';
import { MainButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { useSentForm } from '../../ui/useSentForm';
import { WordLink } from '../../ui/words';
import { AccountFrame } from './AccountFrame';
import { secretOf } from '../../ui/secretOf';

/** Where the link in a mail leads: the new password is chosen. */
export default function NewPasswordPage() {
  const { hash } = useLocation();
  const [isDone, setDone] = useState(false);
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: renewPasswordSchema,
    fields: ['next'],
    defaultValues: { secret: secretOf(hash) },
    send: (body) => call('renewPassword', { body }),
    onDone: () => setDone(true),
  });
  return (
    <AccountFrame title="Choose a new password">
      {isDone ? (
        <Box role="status">
          Your password is changed, and every browser is signed out.{' '}
          <WordLink to="/sign-in">Sign in with it</WordLink>
        </Box>
      ) : (
        <form noValidate onSubmit={onSubmit}>
          <Box display="grid" gap="12px">
            <FormField
              label="New password"
              type="password"
              autoComplete="new-password"
              help="At least 10 characters: three or four unrelated words are good."
              error={errorOf('next')}
              {...form.register('next')}
            />
            <Said wrong>
              {problem && (
                <>
                  {problem} <WordLink to="/forgotten">Ask for another link</WordLink>
                </>
              )}
            </Said>
            <MainButton type="submit" disabled={isSending}>
              Use it from now on
            </MainButton>
          </Box>
        </form>
      )}
    </AccountFrame>
  );
}
