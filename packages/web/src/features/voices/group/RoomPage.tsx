import { Box } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { Empty, Failed, Loading } from '../../../ui/states';
import { useWidth } from '../../../ui/useSize';
import { Name, WordButton, WordLink } from '../../../ui/words';
import { rowsTonight } from '../model/section';
import { useVoices, type ReadyVoices } from '../model/useVoices';
import { AskingGroup } from './AskingGroup';
import { RoomBegin } from './RoomBegin';
import { RoomFound } from './RoomFound';
import { useGroupCheck } from './useGroupCheck';

/** One check for everybody in the room, their parts decided or not. */
export default function RoomPage() {
  const { mayEdit } = useHere();
  const data = useVoices();
  return (
    <Frame place="Voices">
      {!mayEdit ? (
        <Empty title="Singers are checked by those who lead">
          You can see what each section sings.{' '}
          <WordLink to="/voices">Look at the sections</WordLink>
        </Empty>
      ) : data.kind === 'failed' ? (
        <Failed message={messageOf(data.error)} onRetry={data.retry} />
      ) : data.kind === 'loading' ? (
        <Loading what="the voices" />
      ) : (
        <Room data={data} />
      )}
    </Frame>
  );
}

export function Room({ data }: { readonly data: ReadyVoices }) {
  const { choir } = useHere();
  const navigate = useNavigate();
  const { voices, singers, setting } = data;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const group = useGroupCheck({
    of: `${choir.id}:room`,
    onKept: () => void navigate('/voices/roster'),
  });
  const { check } = group;
  const here = rowsTonight(singers, setting).flatMap(({ away, singer }) => (away ? [] : [singer]));
  return (
    <Box ref={frame} mx={{ base: '16px', md: '40px' }} pt="16px" pb="24px" maxW="1120px">
      <Name as="h1" fontSize={{ base: '20px', md: '24px' }}>
        Check a whole room at once
      </Name>
      {!check ? (
        <RoomBegin here={here} parts={voices.parts} onBegin={group.change} />
      ) : check.way === 'done' ? (
        <RoomFound check={check} group={group} singers={singers} parts={voices.parts} />
      ) : (
        <AskingGroup check={check} group={group} singers={singers} width={width} heading="h2" />
      )}
      <Box mt="16px" display="flex" gap="16px" fontSize="13px">
        {check && <WordButton onClick={group.leave}>begin again</WordButton>}
        {!check && group.undo.can && (
          <WordButton onClick={group.undo.act}>go on with the check before</WordButton>
        )}
        <WordLink to="/voices">{check ? 'pause' : 'back to the sections'}</WordLink>
      </Box>
    </Box>
  );
}
