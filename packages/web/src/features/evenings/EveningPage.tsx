import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { Evening, PieceSummary } from '@wide-fern/contract';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import {
  ApiError,
  messageOf,
  eveningQuery,
  piecesQuery,
  queryClient,
  call,
  eveningsQuery,
} from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { MainButton } from '../../ui/MainButton';
import { Empty, Failed, Loading } from '../../ui/states';
import { Name, WordButton, WordLink } from '../../ui/words';
import { dayName } from '@wide-fern/words';
import { Again } from './Again';
import { EveningForm, eveningErrors } from './EveningForm';
import { useEveningDraft } from './model/useEveningDraft';

/** Planning an evening: when, where, and its agenda. */
export default function EveningPage() {
  const { evening: id = '' } = useParams();
  const { choir, mayEdit } = useHere();
  const evening = useQuery(eveningQuery(choir.id, id));
  const pieces = useQuery(piecesQuery(choir.id));
  const error = evening.error ?? pieces.error;
  if (!mayEdit) {
    return (
      <Frame place="Tonight">
        <Empty title="Evenings are planned by those who lead">
          <WordLink to={`/evenings/${id}/plan`}>Look at its warm-up</WordLink>
        </Empty>
      </Frame>
    );
  }
  return (
    <Frame place="Tonight">
      {evening.data && pieces.data ? (
        <EveningEditor key={evening.data.id} evening={evening.data} pieces={pieces.data} />
      ) : error ? (
        <Failed
          message={messageOf(error)}
          onRetry={() => {
            void evening.refetch();
            void pieces.refetch();
          }}
        />
      ) : (
        <Loading what="the evening" />
      )}
    </Frame>
  );
}

function EveningEditor({
  evening,
  pieces,
}: {
  readonly evening: Evening;
  readonly pieces: readonly PieceSummary[];
}) {
  const { account, choir } = useHere();
  const navigate = useNavigate();
  const typed = useEveningDraft(evening, account.id, choir.timeZone);
  const { draft, isChanged, isOvertaken } = typed;
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const [calling, setCalling] = useState(false);
  const params = { choir: choir.id, evening: evening.id };
  const refresh = () =>
    queryClient.invalidateQueries({ queryKey: eveningsQuery(choir.id).queryKey });
  const store = async () => {
    const found = eveningErrors(draft);
    setErrors(found);
    if (Object.keys(found).length > 0) return;
    setTrouble(undefined);
    setStoring(true);
    try {
      const body = { version: typed.version, evening: draft };
      const stored = await call('changeEvening', { params, body });
      typed.takeStored(stored);
      queryClient.setQueryData(eveningQuery(choir.id, evening.id).queryKey, stored);
      await refresh();
    } catch (error) {
      if (error instanceof ApiError && error.code === 'changed_meanwhile') await refresh();
      else setTrouble(messageOf(error));
    } finally {
      setStoring(false);
    }
  };
  const callOff = async () => {
    try {
      await call('removeEvening', { params });
      typed.reset();
      queryClient.removeQueries({ queryKey: eveningQuery(choir.id, evening.id).queryKey });
      await navigate('/');
      await refresh();
    } catch (error) {
      setTrouble(messageOf(error));
    }
  };
  const warmUp = evening.agenda.find(({ kind }) => kind === 'warm-up')?.id;
  return (
    <Box px={{ base: '16px', md: '40px' }} pt="14px" pb="32px" maxW="1280px">
      <Flex align="baseline" gap="16px" wrap="wrap" mb="10px">
        <Name as="h1" fontSize="24px">
          {evening.name ?? 'The evening'} on {dayName(evening.startsAt, choir.timeZone)}
        </Name>
        {warmUp && (
          <WordLink fontSize="13px" to={`/evenings/${evening.id}/plan/${warmUp}`}>
            its warm-up
          </WordLink>
        )}
        <WordLink fontSize="13px" to="/">
          Tonight
        </WordLink>
      </Flex>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void store();
        }}
      >
        <EveningForm
          evening={draft}
          errors={errors}
          pieces={pieces}
          planLink={(item) => `/evenings/${evening.id}/plan/${item}`}
          onChange={typed.change}
        />
        <Flex gap="16px" align="center" mt="14px" wrap="wrap">
          <MainButton type="submit" disabled={storing || !isChanged || isOvertaken}>
            Keep the evening
          </MainButton>
          {isChanged && (
            <WordButton
              type="button"
              onClick={() => {
                typed.reset();
                setErrors({});
              }}
            >
              as it was
            </WordButton>
          )}
        </Flex>
        {isOvertaken ? (
          <Box role="alert" color="brick" fontSize="13px" mt="6px">
            Someone else changed this evening meanwhile. What you changed is still here.{' '}
            <WordButton type="button" fontSize="13px" onClick={() => typed.takeStored(evening)}>
              take theirs
            </WordButton>
            {' · '}
            <WordButton type="button" fontSize="13px" onClick={typed.keepMine}>
              put yours over it
            </WordButton>
          </Box>
        ) : (
          trouble && (
            <Box role="alert" color="brick" fontSize="13px" mt="6px">
              {trouble} What you changed is still here.
            </Box>
          )
        )}
      </form>
      <Again evening={evening} draft={draft} onDone={refresh} />
      <Box mt="16px" fontSize="13px">
        {calling ? (
          <Box role="group" aria-label="Call the evening off">
            The evening and its plans go and cannot be brought back.
            <Flex gap="14px" mt="4px">
              <WordButton fontSize="13px" color="brick" onClick={() => void callOff()}>
                call it off for good
              </WordButton>
              <WordButton fontSize="13px" onClick={() => setCalling(false)}>
                keep it
              </WordButton>
            </Flex>
          </Box>
        ) : (
          <WordButton fontSize="13px" onClick={() => setCalling(true)}>
            call the evening off
          </WordButton>
        )}
      </Box>
    </Box>
  );
}
