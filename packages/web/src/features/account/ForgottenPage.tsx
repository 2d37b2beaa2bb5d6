import { Box } from '@chakra-ui/react';
import { forgottenSchema } from '@wide-fern/contract';
import { useState } from 'react';
import { call } from '@wide-fern/client';
import { FormField } from '../../ui/FormField';
import { MainButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { useSentForm } from '../../ui/useSentForm';
import { WordLink } from '../../ui/words';
import { AccountFrame } from './AccountFrame';

/** Asks for a mail with the way to a new password. */
export default function ForgottenPage() {
  const [sentTo, setSentTo] = useState<string>();
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: forgottenSchema,
    fields: ['email'],
    send: (body) => call('forgetPassword', { body }),
    onDone: (_, { email }) => setSentTo(email),
  });
  return (
    <AccountFrame title="A new password">
      {sentTo ? (
        <Box role="status">
          If an account has the e-mail {sentTo}, a mail with a link is on its way there. The link is
          good for an hour. Nothing came? Look among the unwanted mails, or ask whoever runs Wide
          Fern for you.
        </Box>
      ) : (
        <form noValidate onSubmit={onSubmit}>
          <Box display="grid" gap="12px">
            <FormField
              label="Your e-mail"
              type="email"
              autoComplete="username"
              error={errorOf('email')}
              {...form.register('email')}
            />
            <Said wrong>{problem}</Said>
            <MainButton type="submit" disabled={isSending}>
              Send me a link
            </MainButton>
          </Box>
        </form>
      )}
      <Box mt="16px">
        <WordLink to="/sign-in">Back to signing in</WordLink>
      </Box>
    </AccountFrame>
  );
}
