import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { inviteSchema, roles, type NewInvitation } from '@wide-fern/contract';
import { capitalise, dayInWords, roleInWords } from '@wide-fern/words';
import { useState } from 'react';
import { call, invitationsQuery, messageOf, queryClient } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { SelectField } from '../../ui/SelectField';
import { Failed, Loading } from '../../ui/states';
import { useSentForm } from '../../ui/useSentForm';
import { Label, WordButton } from '../../ui/words';

const roleOptions = roles.map((value) => ({ value, word: roleInWords[value] }));

/** A new invitation, to be handed on: this one time its code is here. */
function HandOn({ made: { code, role } }: { readonly made: NewInvitation }) {
  const [copied, setCopied] = useState(false);
  const link = `${window.location.origin}/join#${code}`;
  return (
    <Box mt="12px" p="16px" bg="sheet" borderWidth="1px" role="status">
      Give this to the person you invite as {roleInWords[role]}. It is good once, for 14 days, and
      is not shown again.
      <Box mt="8px" fontSize="18px" fontWeight={650} letterSpacing="0.04em">
        {code}
      </Box>
      <Box mt="4px" overflowWrap="anywhere">
        {link}
      </Box>
      <WordButton
        mt="4px"
        onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
      >
        {copied ? 'the link is copied' : 'copy the link'}
      </WordButton>
    </Box>
  );
}

function InviteForm({ onMade }: { readonly onMade: (made: NewInvitation) => void }) {
  const { choir } = useHere();
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: inviteSchema,
    fields: ['role', 'note'],
    defaultValues: { role: 'deputy', note: '' },
    send: (body) => call('invite', { params: { choir: choir.id }, body }),
    onDone: (made) => {
      form.reset();
      onMade(made);
    },
  });
  return (
    <form noValidate onSubmit={onSubmit}>
      <Flex gap="12px" mt="16px" wrap="wrap" align="flex-start">
        <Box flex="1 1 220px">
          <FormField
            label="For whom (only you see this)"
            size="sm"
            error={errorOf('note')}
            {...form.register('note')}
          />
        </Box>
        <Box flex="1 1 260px">
          <SelectField label="Invited as" options={roleOptions} {...form.register('role')} />
        </Box>
        <QuietButton type="submit" size="sm" mt="24px" disabled={isSending}>
          Invite
        </QuietButton>
      </Flex>
      <Said wrong>{problem}</Said>
    </form>
  );
}

/** Who is invited and has not come yet, and the way to invite more. */
export function Invitations() {
  const { choir } = useHere();
  const [made, setMade] = useState<NewInvitation>();
  const query = invitationsQuery(choir.id);
  const open = useQuery(query);
  const refresh = () => queryClient.invalidateQueries({ queryKey: query.queryKey });
  const takeBack = useMutation({
    mutationFn: (invitation: string) =>
      call('takeInvitationBack', { params: { choir: choir.id, invitation } }),
    onSettled: refresh,
  });
  if (open.isPending) return <Loading what="the invitations" />;
  if (open.isError) {
    return <Failed message={messageOf(open.error)} onRetry={() => void open.refetch()} />;
  }
  return (
    <Box mt="16px">
      {open.data.length > 0 && <Label>Invited, and not here yet</Label>}
      <Box as="ul" listStyleType="none">
        {open.data.map(({ id, note, role, expiresAt }) => (
          <Flex as="li" key={id} py="6px" gap="16px" borderBottomWidth="1px" wrap="wrap">
            <Box flex="1 1 240px">
              {note || capitalise(roleInWords[role])}
              <Box color="inkSoft" fontSize="13px">
                {note && `${roleInWords[role]}, `}until {dayInWords(expiresAt, choir.timeZone)}
              </Box>
            </Box>
            <WordButton disabled={takeBack.isPending} onClick={() => takeBack.mutate(id)}>
              take the invitation back
            </WordButton>
          </Flex>
        ))}
      </Box>
      <Said wrong>{takeBack.isError && messageOf(takeBack.error)}</Said>
      {made && <HandOn key={made.id} made={made} />}
      <InviteForm
        onMade={(one) => {
          setMade(one);
          void refresh();
        }}
      />
    </Box>
  );
}
