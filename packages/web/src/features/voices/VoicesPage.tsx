import { Box } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { lazily, missing } from '../../ui/lazily';
import { Failed, Loading } from '../../ui/states';
import { useVoices } from './model/useVoices';
import { VoicesView } from './VoicesView';

/** For those who only read. */
const SectionsOnly = lazily(() => import('./SectionsOnly'), {
  room: <Loading what="the sections" />,
  absent: missing('The sections', true),
});

/** Voices: what can this section sing tonight? */
export default function VoicesPage() {
  const { mayEdit } = useHere();
  const data = useVoices();
  return (
    <Frame place="Voices">
      {data.kind === 'loading' && <Loading what="the voices" />}
      {data.kind === 'failed' && <Failed message={messageOf(data.error)} onRetry={data.retry} />}
      {data.kind === 'ready' && (
        <Box flex="1">
          {mayEdit ? <VoicesView data={data} /> : <SectionsOnly voices={data.voices} />}
        </Box>
      )}
    </Frame>
  );
}
