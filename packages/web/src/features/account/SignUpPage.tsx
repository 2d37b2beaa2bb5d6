import { Box } from '@chakra-ui/react';
import { signUpSchema } from '@wide-fern/contract';
import { useLocation, useNavigate } from 'react-router';
import { call } from '@wide-fern/client';
import { FormField } from '../../ui/FormField';
import { MainButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { SelectField } from '../../ui/SelectField';
import { useSentForm } from '../../ui/useSentForm';
import { WordLink } from '../../ui/words';
import { ownZone, zoneOptions } from '../../ui/zones';
import { AccountFrame } from './AccountFrame';
import { enter } from './enter';
import { isInvited } from './invited';

/** A new account: with a choir of its own, or in the choir that an invitation leads to. */
export default function SignUpPage() {
  const navigate = useNavigate();
  const { state } = useLocation() as { state: unknown };
  const invited = isInvited(state) ? state : undefined;
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: signUpSchema,
    fields: ['name', 'email', 'password', 'choir', 'timeZone'],
    defaultValues: invited ? { invitation: invited.code } : { timeZone: ownZone },
    send: (body) => call('signUp', { body }),
    onDone: (session) => {
      enter(session);
      void navigate('/', { replace: true });
    },
  });
  return (
    <AccountFrame title={invited ? `Join ${invited.choir}` : 'Begin with your own choir'}>
      <form noValidate onSubmit={onSubmit}>
        <Box display="grid" gap="12px">
          <FormField
            label="Your name"
            autoComplete="name"
            error={errorOf('name')}
            {...form.register('name')}
          />
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
            autoComplete="new-password"
            help="At least 10 characters: three or four unrelated words are good."
            error={errorOf('password')}
            {...form.register('password')}
          />
          {!invited && (
            <>
              <FormField label="Choir" error={errorOf('choir')} {...form.register('choir')} />
              <SelectField
                label="Time zone"
                options={zoneOptions}
                error={errorOf('timeZone')}
                {...form.register('timeZone')}
              />
            </>
          )}
          <Said wrong>{problem}</Said>
          <MainButton type="submit" disabled={isSending}>
            {invited ? 'Join' : 'Begin'}
          </MainButton>
        </Box>
      </form>
      <Box mt="16px" display="grid" gap="6px">
        <WordLink to="/sign-in">Sign in instead</WordLink>
        {!invited && <WordLink to="/join">Join a choir with an invitation</WordLink>}
      </Box>
    </AccountFrame>
  );
}
