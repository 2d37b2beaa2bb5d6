import { zodResolver } from '@hookform/resolvers/zod';
import { Box } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { signInSchema, type SignIn } from '@wide-fern/contract';
import { useForm } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import { messageOf, sessionQuery, call } from '@wide-fern/client';
import { FormField } from '../../ui/FormField';
import { MainButton, QuietButton } from '../../ui/MainButton';
import { WordLink } from '../../ui/words';
import { AccountFrame } from './AccountFrame';
import { enter, wantedPage } from './enter';

export default function SignInPage() {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const { data: session } = useQuery(sessionQuery);
  const { register, handleSubmit, formState } = useForm<SignIn>({
    resolver: zodResolver(signInSchema),
  });
  const signIn = useMutation({
    mutationFn: (body: SignIn | null) => (body ? call('signIn', { body }) : call('enterDemo', {})),
    onSuccess: (entered) => {
      enter(entered);
      void navigate(wantedPage(search), { replace: true });
    },
  });
  const { errors } = formState;
  return (
    <AccountFrame title="A warm-up that keeps every voice in comfort, timed to the second">
      {session?.demo && (
        <Box mb="24px" pb="24px" borderBottomWidth="1px">
          <MainButton w="100%" disabled={signIn.isPending} onClick={() => signIn.mutate(null)}>
            Look around as the demo director
          </MainButton>
          <Box mt="8px" fontSize="13px" color="inkSoft">
            The Quarry Lane Singers, an invented choir. No password.
          </Box>
        </Box>
      )}
      <form
        noValidate
        onSubmit={(event) => void handleSubmit((body) => signIn.mutate(body))(event)}
      >
        <Box display="grid" gap="12px">
          <FormField
            label="E-mail"
            type="email"
            autoComplete="username"
            error={errors.email?.message}
            {...register('email')}
          />
          <FormField
            label="Password"
            type="password"
            autoComplete="current-password"
            error={errors.password?.message}
            {...register('password')}
          />
          {signIn.isError && (
            <Box role="alert" color="brick" fontSize="13px">
              {messageOf(signIn.error)}
            </Box>
          )}
          <QuietButton type="submit" disabled={signIn.isPending}>
            Sign in
          </QuietButton>
        </Box>
      </form>
      <Box mt="16px">
        No account yet? <WordLink to="/sign-up">Begin with your own choir</WordLink>
      </Box>
    </AccountFrame>
  );
}
