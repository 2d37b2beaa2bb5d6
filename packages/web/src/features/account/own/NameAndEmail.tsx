import { Box } from '@chakra-ui/react';
import { changeEmailSchema, changeNameSchema, type Session } from '@wide-fern/contract';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { call, queryClient, sessionQuery } from '@wide-fern/client';
import { FormField } from '../../../ui/FormField';
import { QuietButton } from '../../../ui/MainButton';
import { Said } from '../../../ui/Passage';
import { useSentForm } from '../../../ui/useSentForm';

/** Takes over what the server says of the session, and has the page show it. */
export function useSessionSaid(): (session: Session) => Promise<void> {
  const revalidator = useRevalidator();
  return async (session) => {
    queryClient.setQueryData(sessionQuery.queryKey, session);
    await revalidator.revalidate();
  };
}

export function NameForm({ name }: { readonly name: string }) {
  const take = useSessionSaid();
  const [isDone, setDone] = useState(false);
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: changeNameSchema,
    fields: ['name'],
    defaultValues: { name },
    send: (body) => call('changeName', { body }),
    onDone: async (session) => {
      await take(session);
      setDone(true);
    },
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px" maxW="320px">
        <FormField
          label="Your name"
          size="sm"
          autoComplete="name"
          error={errorOf('name')}
          {...form.register('name')}
        />
        <QuietButton type="submit" size="sm" disabled={isSending}>
          Change the name
        </QuietButton>
        <Said wrong>{problem}</Said>
        <Said>{isDone && 'Your name is changed.'}</Said>
      </Box>
    </form>
  );
}

export function EmailForm({ email }: { readonly email: string }) {
  const [sentTo, setSentTo] = useState<string>();
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: changeEmailSchema,
    fields: ['email', 'password'],
    send: (body) => call('changeEmail', { body }),
    onDone: (_, sent) => {
      form.reset();
      setSentTo(sent.email);
    },
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Box display="grid" gap="12px" maxW="320px">
        <FormField
          label={`Another e-mail than ${email}`}
          type="email"
          size="sm"
          autoComplete="email"
          error={errorOf('email')}
          {...form.register('email')}
        />
        <FormField
          label="Present password"
          type="password"
          size="sm"
          autoComplete="current-password"
          error={errorOf('password')}
          {...form.register('password')}
        />
        <QuietButton type="submit" size="sm" disabled={isSending}>
          Change the e-mail
        </QuietButton>
        <Said wrong>{problem}</Said>
        <Said>
          {sentTo &&
            `A mail is on its way to ${sentTo}. The e-mail changes when its link is opened.`}
        </Said>
      </Box>
    </form>
  );
}
