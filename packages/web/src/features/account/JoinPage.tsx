import { Box } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { secretSchema, type Invited } from '@wide-fern/contract';
import { roleInWords } from '@wide-fern/words';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { call, messageOf, sessionQuery } from '@wide-fern/client';
import { rememberChoir } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { MainButton, QuietButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { Loading } from '../../ui/states';
import { useSentForm } from '../../ui/useSentForm';
import { WordLink } from '../../ui/words';
import { AccountFrame } from './AccountFrame';
import { enter } from './enter';
import { secretOf } from '../../ui/secretOf';

/** The code is typed where one did not come by the link. */
function TypeCode({ onFound }: { readonly onFound: (code: string, invited: Invited) => void }) {
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: secretSchema,
    fields: ['secret'],
    send: (body) => call('lookAtInvitation', { body }),
    onDone: (invited, { secret }) => onFound(secret, invited),
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px">
        <FormField
          label="Code of the invitation"
          autoComplete="off"
          help="Twelve letters and digits, as the director gave them to you."
          error={errorOf('secret')}
          {...form.register('secret')}
        />
        <Said wrong>{problem}</Said>
        <MainButton type="submit" disabled={isSending}>
          Look at the invitation
        </MainButton>
      </Box>
    </form>
  );
}

/** What one is invited to, and the ways to accept it. */
function Accept({ code, invited }: { readonly code: string; readonly invited: Invited }) {
  const navigate = useNavigate();
  const { data: session } = useQuery(sessionQuery);
  const accept = useMutation({
    mutationFn: () => call('acceptInvitation', { body: { secret: code } }),
    onSuccess: (entered) => {
      const before = new Set(session?.choirs.map(({ id }) => id));
      const joined = entered.choirs.find(({ id }) => !before.has(id));
      if (joined) rememberChoir(joined.id);
      enter(entered);
      void navigate('/', { replace: true });
    },
  });
  const { choir, by, role } = invited;
  return (
    <Box display="grid" gap="12px">
      <Box>
        {by} invites you to <b>{choir}</b>, as {roleInWords[role]}.
      </Box>
      {session?.account ? (
        <>
          <MainButton disabled={accept.isPending} onClick={() => accept.mutate()}>
            Join as {session.account.name}
          </MainButton>
          <Said wrong>{accept.isError && messageOf(accept.error)}</Said>
        </>
      ) : (
        <>
          <MainButton onClick={() => void navigate('/sign-up', { state: { code, choir } })}>
            Make an account and join
          </MainButton>
          <QuietButton
            onClick={() => void navigate(`/sign-in?to=${encodeURIComponent(`/join#${code}`)}`)}
          >
            Sign in and join
          </QuietButton>
        </>
      )}
    </Box>
  );
}

/** Where an invitation leads: by its link, or by its code. */
export default function JoinPage() {
  const { hash } = useLocation();
  const [typed, setTyped] = useState<{ code: string; invited: Invited }>();
  const fromLink = secretOf(hash);
  // Who is here decides which ways are offered.
  const session = useQuery(sessionQuery);
  const looked = useQuery({
    queryKey: ['invitation', fromLink],
    queryFn: () => call('lookAtInvitation', { body: { secret: fromLink } }),
    enabled: fromLink !== '',
  });
  const found = typed ?? (looked.data ? { code: fromLink, invited: looked.data } : undefined);
  return (
    <AccountFrame title="Join a choir">
      {looked.isLoading || session.isLoading ? (
        <Loading what="the invitation" />
      ) : found ? (
        <Accept {...found} />
      ) : (
        <>
          <Said wrong>
            {looked.isError && `${messageOf(looked.error)} Ask for a new one, or type its code.`}
          </Said>
          <TypeCode onFound={(code, invited) => setTyped({ code, invited })} />
        </>
      )}
      <Box mt="16px">
        <WordLink to="/sign-in">Sign in instead</WordLink>
      </Box>
    </AccountFrame>
  );
}
