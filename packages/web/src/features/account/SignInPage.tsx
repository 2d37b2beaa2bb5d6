import { Box } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { signInSchema } from '@wide-fern/contract';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { ApiError, call, messageOf, sessionQuery } from '@wide-fern/client';
import { FormField } from '../../ui/FormField';
import { MainButton, QuietButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { useSentForm } from '../../ui/useSentForm';
import { WordLink } from '../../ui/words';
import { AccountFrame } from './AccountFrame';
import { enter, wantedPage } from './enter';

/** The way in for whoever only wants to look. */
function DemoDoor({
  onEntered,
}: {
  readonly onEntered: (session: Parameters<typeof enter>[0]) => void;
}) {
  const demo = useMutation({ mutationFn: () => call('enterDemo', {}), onSuccess: onEntered });
  return (
    <Box mb="24px" pb="24px" borderBottomWidth="1px">
      <MainButton w="100%" disabled={demo.isPending} onClick={() => demo.mutate()}>
        Look around as the demo director
      </MainButton>
      <Box mt="8px" fontSize="13px" color="inkSoft">
        {demo.isPending
          ? 'Your demo choir is being made …'
          : 'The Quarry Lane Singers, an invented choir: yours to change for a day. No password.'}
      </Box>
      <Said wrong>{demo.isError && messageOf(demo.error)}</Said>
    </Box>
  );
}

export default function SignInPage() {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const { data: session } = useQuery(sessionQuery);
  const [asksForCode, setAsksForCode] = useState(false);
  const go = (entered: Parameters<typeof enter>[0]) => {
    enter(entered);
    void navigate(wantedPage(search), { replace: true });
  };
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: signInSchema,
    fields: ['email', 'password', 'code'],
    send: (body) => call('signIn', { body }),
    onDone: go,
    onRefused: (error) => {
      if (error instanceof ApiError && error.code === 'second_factor') setAsksForCode(true);
    },
  });
  return (
    <AccountFrame title="A warm-up that keeps every voice in comfort, timed to the second">
      {session?.demo && <DemoDoor onEntered={go} />}
      <form noValidate onSubmit={onSubmit}>
        <Box display="grid" gap="12px">
          <FormField
            label="E-mail"
            type="email"
            autoComplete="username"
            error={errorOf('email')}
            {...form.register('email')}
          />
          <FormField
            label="Password"
            type="password"
            autoComplete="current-password"
            error={errorOf('password')}
            {...form.register('password')}
          />
          {asksForCode && (
            <FormField
              label="Six digits from your phone, or a kept code"
              autoComplete="one-time-code"
              autoFocus
              error={errorOf('code')}
              {...form.register('code', { setValueAs: (typed: string) => typed || undefined })}
            />
          )}
          <Said wrong>{problem}</Said>
          <QuietButton type="submit" disabled={isSending}>
            Sign in
          </QuietButton>
        </Box>
      </form>
      <Box mt="16px" display="grid" gap="6px">
        <WordLink to="/forgotten">Password forgotten</WordLink>
        <WordLink to="/join">Join a choir with an invitation</WordLink>
        <WordLink to="/follow">Follow a warm-up with a code</WordLink>
        <WordLink to="/sign-up">Begin with your own choir</WordLink>
      </Box>
    </AccountFrame>
  );
}
