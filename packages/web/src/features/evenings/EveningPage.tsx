import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { Evening, PieceSummary } from '@wide-fern/contract';
import { useParams } from 'react-router';
import {
  messageOf,
  eveningQuery,
  piecesQuery,
  queryClient,
  eveningsQuery,
} from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { lazily } from '../../ui/lazily';
import { Empty, Failed, Loading } from '../../ui/states';
import { letter, lettersOn, useShortcuts } from '../../ui/useShortcuts';
import { Name, WordButton, WordLink } from '../../ui/words';
import { clockIn, dayInWords } from '@wide-fern/words';
import { EveningDrawing } from './drawing/EveningDrawing';
import { EveningSentence } from './drawing/EveningSentence';
import { localOf } from './model/typed';
import { useEveningSaving, type EveningSaving } from './model/useEveningSaving';

/** What is rarely wanted comes when the rest is there. */
const Again = lazily(() => import('./Again').then((it) => ({ default: it.Again })));
const CallOff = lazily(() => import('./CallOff'));

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
  if (evening.data && pieces.data) {
    return <EveningEditor key={evening.data.id} evening={evening.data} pieces={pieces.data} />;
  }
  return (
    <Frame place="Tonight">
      {error ? (
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
  const saving = useEveningSaving(evening, account.id, choir);
  const { draft, errors, change } = saving;
  useShortcuts(
    [
      { keys: 'u', words: 'undo', match: letter('u'), act: saving.back },
      { keys: 'Shift and u', words: 'again', match: letter('U'), act: saving.again },
    ],
    lettersOn(),
  );
  const warmUp = evening.agenda.find(({ kind }) => kind === 'warm-up')?.id;
  const refresh = () =>
    queryClient.invalidateQueries({ queryKey: eveningsQuery(choir.id).queryKey });
  return (
    <Frame place="Tonight" status={<EveningSavedWords saving={saving} timeZone={choir.timeZone} />}>
      <Box px={{ base: '16px', md: '24px' }} pt="14px" pb="32px">
        <Flex align="baseline" gap="16px" wrap="wrap" mb="6px">
          <Name as="h1" fontSize="24px">
            {evening.name ?? 'The evening'} on {dayInWords(evening.startsAt, choir.timeZone)}
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
        <EveningTrouble saving={saving} />
        <EveningSentence
          evening={draft}
          errors={errors}
          today={localOf(new Date(), choir.timeZone).date}
          onChange={(next, label) => change({ ...draft, ...next }, label)}
        />
        <EveningDrawing evening={evening} pieces={pieces} saving={saving} />
        <Again evening={evening} draft={draft} onDone={refresh} />
        <CallOff evening={evening} onGone={saving.reset} />
      </Box>
    </Frame>
  );
}

/** What stands in the way of saving, and its one act; where the work is, not in the head. */
function EveningTrouble({ saving }: { readonly saving: EveningSaving }) {
  const { saved } = saving;
  if (saved.kind === 'overtaken') {
    return (
      <Box role="alert" color="brick" fontSize="13px" mb="6px">
        Someone else changed this evening meanwhile. What you changed is still here.{' '}
        <WordButton fontSize="13px" onClick={saving.takeTheirs}>
          take theirs
        </WordButton>
        {' · '}
        <WordButton fontSize="13px" onClick={saving.keepMine}>
          put yours over it
        </WordButton>
      </Box>
    );
  }
  if (saved.kind !== 'kept') return null;
  return (
    <Box role="alert" color="brick" fontSize="13px" mb="6px">
      {saved.words} What you changed is still here.{' '}
      <WordButton fontSize="13px" onClick={saving.sendNow}>
        try now
      </WordButton>
      {' · '}
      <WordButton fontSize="13px" onClick={saving.reset}>
        as it is stored
      </WordButton>
    </Box>
  );
}

/** What has become of the last change, and undo; one quiet line in the head. */
function EveningSavedWords({
  saving,
  timeZone,
}: {
  readonly saving: EveningSaving;
  readonly timeZone: string;
}) {
  const { clock } = useHere().choir;
  const { saved } = saving;
  return (
    <Flex gap="8px" align="center" whiteSpace="nowrap">
      <WordButton fontSize="13px" onClick={saving.back} disabled={!saving.canGoBack}>
        undo
      </WordButton>
      <WordButton fontSize="13px" onClick={saving.again} disabled={!saving.canGoAgain}>
        redo
      </WordButton>
      <Box as="span" role="status" color={saved.kind === 'unfinished' ? 'sporeText' : undefined}>
        {saved.kind === 'saved' &&
          (saved.at === undefined ? '' : `saved ${clockIn(timeZone, clock).minute(saved.at)}`)}
        {saved.kind === 'saving' && 'saving …'}
        {saved.kind === 'unfinished' && 'not saved yet'}
        {saved.kind === 'kept' && 'kept on this device'}
        {saved.kind === 'overtaken' && 'two versions: choose'}
      </Box>
    </Flex>
  );
}
