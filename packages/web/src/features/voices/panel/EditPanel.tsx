import { Box } from '@chakra-ui/react';
import { SingerForm } from '../roster/SingerForm';
import type { Row } from '../model/section';
import type { PanelProps } from './props';
import { PanelHead } from './PanelHead';

/** Changes what the roster says of a singer. */
export function EditPanel({ data, row, onOpen }: PanelProps & { readonly row: Row }) {
  const back = () => onOpen('singer');
  return (
    <Box>
      <PanelHead title={row.singer.name} onClose={back} close="leave as it was" />
      <SingerForm parts={data.voices.parts} singer={row.singer} onDone={back} />
    </Box>
  );
}
