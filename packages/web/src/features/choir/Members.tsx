import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { roles, type Member, type Role } from '@wide-fern/contract';
import { roleInWords } from '@wide-fern/words';
import { useState } from 'react';
import { call, membersQuery, messageOf, queryClient } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { Said } from '../../ui/Passage';
import { SelectField } from '../../ui/SelectField';
import { Failed, Loading } from '../../ui/states';
import { WordButton } from '../../ui/words';

const roleOptions = roles.map((value) => ({ value, word: roleInWords[value] }));

/** Takes somebody out once that was asked; the answer is the act itself, beside the question. */
function TakeOut({ name, onSure }: { readonly name: string; readonly onSure: () => void }) {
  const [asked, setAsked] = useState(false);
  if (!asked) {
    return (
      <WordButton aria-label={`Take ${name} out`} onClick={() => setAsked(true)}>
        take out
      </WordButton>
    );
  }
  return (
    <Flex gap="12px" role="group" aria-label={`Take ${name} out?`}>
      <WordButton color="brick" autoFocus onClick={onSure}>
        yes, take {name.split(' ')[0]} out
      </WordButton>
      <WordButton onClick={() => setAsked(false)}>no</WordButton>
    </Flex>
  );
}

function MemberRow({
  member: { id, name, email, role, you },
  mayChange,
  onRole,
  onOut,
}: {
  readonly member: Member;
  readonly mayChange: boolean;
  readonly onRole: (role: Role) => void;
  readonly onOut: () => void;
}) {
  return (
    <Flex as="li" key={id} py="8px" borderBottomWidth="1px" gap="16px" wrap="wrap" align="center">
      <Box flex="1 1 200px" minW={0}>
        {name}
        {you && ' (you)'}
        <Box color="inkSoft" fontSize="13px" overflowWrap="anywhere">
          {email}
        </Box>
      </Box>
      {mayChange ? (
        <>
          <Box w="300px" maxW="100%">
            <SelectField
              label={`What ${name} may`}
              options={roleOptions}
              value={role}
              onChange={(event) => onRole(event.currentTarget.value as Role)}
            />
          </Box>
          {!you && <TakeOut name={name} onSure={onOut} />}
        </>
      ) : (
        <Box color="inkSoft">{roleInWords[role]}</Box>
      )}
    </Flex>
  );
}

/** Who belongs to the choir, and what each may do; who was taken out can be brought back. */
export function Members() {
  const { choir } = useHere();
  const params = { choir: choir.id };
  const [out, setOut] = useState<Member>();
  const members = useQuery(membersQuery(choir.id));
  const refresh = () =>
    queryClient.invalidateQueries({ queryKey: membersQuery(choir.id).queryKey });
  const change = useMutation({
    mutationFn: ({ id, role }: { id: string; role: Role }) =>
      call('changeMember', { params: { ...params, member: id }, body: { role } }),
    onSettled: refresh,
  });
  const remove = useMutation({
    mutationFn: ({ id }: Member) => call('removeMember', { params: { ...params, member: id } }),
    onSuccess: (_, member) => setOut(member),
    onSettled: refresh,
  });
  const bringBack = useMutation({
    mutationFn: ({ id }: Member) => call('bringMemberBack', { params: { ...params, member: id } }),
    onSuccess: () => setOut(undefined),
    onSettled: refresh,
  });
  if (members.isPending) return <Loading what="the members" />;
  if (members.isError) {
    return <Failed message={messageOf(members.error)} onRetry={() => void members.refetch()} />;
  }
  const problem = change.error ?? remove.error ?? bringBack.error;
  return (
    <>
      <Box as="ul" listStyleType="none">
        {members.data.map((member) => (
          <MemberRow
            key={member.id}
            member={member}
            mayChange={choir.role === 'director' && choir.demoUntil === null}
            onRole={(role) => change.mutate({ id: member.id, role })}
            onOut={() => remove.mutate(member)}
          />
        ))}
      </Box>
      {out && (
        <Box role="status" mt="8px">
          {out.name} was taken out and sees nothing of this choir any more.{' '}
          <WordButton disabled={bringBack.isPending} onClick={() => bringBack.mutate(out)}>
            bring {out.name.split(' ')[0]} back
          </WordButton>
        </Box>
      )}
      <Said wrong>{problem && messageOf(problem)}</Said>
    </>
  );
}
