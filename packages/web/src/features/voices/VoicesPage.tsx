import { Box } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { Failed, Loading } from '../../ui/states';
import { SectionsOnly } from './SectionsOnly';
import { useVoices } from './model/useVoices';
import { VoicesView } from './VoicesView';

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
