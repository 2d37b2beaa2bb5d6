import { zodResolver } from '@hookform/resolvers/zod';
import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { signUpSchema, type SignUp } from '@wide-fern/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { call } from '@wide-fern/client';
import { FormField } from '../../ui/FormField';
import { MainButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { WordLink } from '../../ui/words';
import { AccountFrame } from './AccountFrame';
import { enter } from './enter';
import { showErrors } from './formErrors';

const ownZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
const zones = [...new Set([ownZone, ...Intl.supportedValuesOf('timeZone'), 'UTC'])];

export default function SignUpPage() {
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, formState, setError } = useForm<SignUp>({
    resolver: zodResolver(signUpSchema),
    defaultValues: { timeZone: ownZone },
  });
  const signUp = useMutation({
    mutationFn: (body: SignUp) => call('signUp', { body }),
    onSuccess: (session) => {
      enter(session);
      void navigate('/', { replace: true });
    },
    onError: (error) => {
      setProblem(showErrors(error, setError, ['name', 'email', 'password', 'choir', 'timeZone']));
    },
  });
  const { errors } = formState;
  return (
    <AccountFrame title="Begin with your own choir">
      <form
        noValidate
        onSubmit={(event) => {
          setProblem(undefined);
          void handleSubmit((body) => signUp.mutate(body))(event);
        }}
      >
        <Box display="grid" gap="12px">
          <FormField
            label="Your name"
            autoComplete="name"
            error={errors.name?.message}
            {...register('name')}
          />
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
            autoComplete="new-password"
            help="At least 10 characters."
            error={errors.password?.message}
            {...register('password')}
          />
          <FormField label="Choir" error={errors.choir?.message} {...register('choir')} />
          <SelectField
            label="Time zone"
            options={zones.map((zone) => ({ value: zone, word: zone.replaceAll('_', ' ') }))}
            error={errors.timeZone?.message}
            {...register('timeZone')}
          />
          {problem && (
            <Box role="alert" color="brick" fontSize="13px">
              {problem}
            </Box>
          )}
          <MainButton type="submit" disabled={signUp.isPending}>
            Begin
          </MainButton>
        </Box>
      </form>
      <Box mt="16px">
        <WordLink to="/sign-in">Sign in instead</WordLink>
      </Box>
    </AccountFrame>
  );
}
