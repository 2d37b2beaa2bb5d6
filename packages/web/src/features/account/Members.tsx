import { zodResolver } from '@hookform/resolvers/zod';
import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { addMemberSchema, roles, type AddMember, type Role } from '@wide-fern/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { messageOf, membersQuery, queryClient, call } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { Failed, Loading } from '../../ui/states';
import { WordButton } from '../../ui/words';
import { showErrors } from './formErrors';

const roleWords: Readonly<Record<Role, string>> = {
  director: 'director: plans and decides who belongs',
  deputy: 'deputy: plans',
  reader: 'reader: looks',
};
const roleOptions = roles.map((value) => ({ value, word: roleWords[value] }));

function AddMemberForm({ choir, onDone }: { readonly choir: string; readonly onDone: () => void }) {
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, formState, setError, reset } = useForm<AddMember>({
    resolver: zodResolver(addMemberSchema),
    defaultValues: { role: 'deputy' },
  });
  const add = useMutation({
    mutationFn: (body: AddMember) => call('addMember', { params: { choir }, body }),
    onSuccess: () => {
      reset();
      setProblem(undefined);
      onDone();
    },
    onError: (error) => setProblem(showErrors(error, setError, ['email', 'role'])),
  });
  return (
    <form noValidate onSubmit={(event) => void handleSubmit((body) => add.mutate(body))(event)}>
      <Flex gap="12px" mt="16px" wrap="wrap" align="flex-start">
        <Box flex="1 1 220px">
          <FormField
            label="E-mail of someone with an account"
            type="email"
            size="sm"
            error={formState.errors.email?.message}
            {...register('email')}
          />
        </Box>
        <Box flex="1 1 220px">
          <SelectField label="May" options={roleOptions} {...register('role')} />
        </Box>
        <QuietButton type="submit" size="sm" mt="24px" disabled={add.isPending}>
          Add to the choir
        </QuietButton>
      </Flex>
      {problem && (
        <Box role="alert" color="brick" fontSize="13px">
          {problem}
        </Box>
      )}
    </form>
  );
}

/** Who belongs to the choir, and what each may do. */
export function Members() {
  const { choir } = useHere();
  const members = useQuery(membersQuery(choir.id));
  const refresh = () =>
    queryClient.invalidateQueries({ queryKey: membersQuery(choir.id).queryKey });
  const change = useMutation({
    mutationFn: ({ id, role }: { id: string; role: Role | null }) =>
      role === null
        ? call('removeMember', { params: { choir: choir.id, member: id } })
        : call('changeMember', { params: { choir: choir.id, member: id }, body: { role } }),
    onSettled: refresh,
  });
  if (members.isPending) return <Loading what="the members" />;
  if (members.isError) {
    return <Failed message={messageOf(members.error)} onRetry={() => void members.refetch()} />;
  }
  const mayChange = choir.role === 'director';
  return (
    <>
      {members.data.map(({ id, name, email, role }) => (
        <Flex key={id} py="8px" borderBottomWidth="1px" gap="16px" wrap="wrap" align="center">
          <Box flex="1 1 200px">
            {name}
            <Box color="inkSoft" fontSize="13px">
              {email}
            </Box>
          </Box>
          {mayChange ? (
            <>
              <Box w="280px">
                <SelectField
                  label={`What ${name} may`}
                  options={roleOptions}
                  value={role}
                  onChange={(event) =>
                    change.mutate({ id, role: event.currentTarget.value as Role })
                  }
                />
              </Box>
              <WordButton onClick={() => change.mutate({ id, role: null })}>
                remove {name.split(' ')[0]}
              </WordButton>
            </>
          ) : (
            <Box color="inkSoft">{roleWords[role]}</Box>
          )}
        </Flex>
      ))}
      {change.isError && (
        <Box role="alert" color="brick" mt="8px">
          {messageOf(change.error)}
        </Box>
      )}
      {mayChange && <AddMemberForm choir={choir.id} onDone={() => void refresh()} />}
    </>
  );
}
