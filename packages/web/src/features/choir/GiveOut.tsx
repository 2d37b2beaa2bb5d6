import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { callFile, messageOf } from '@wide-fern/client';
import { BringChoirIn } from '../../here/BringChoirIn';
import { useHere } from '../../here/session';
import { Said } from '../../ui/Passage';
import { saveFile } from '../../ui/saveFile';
import { Label, WordButton } from '../../ui/words';

/** Everything of the choir as a file to keep, and another choir from such a file. */
export function GiveOut() {
  const { choir } = useHere();
  const isDemo = choir.demoUntil !== null;
  const give = useMutation({
    mutationFn: async () => {
      const bytes = await callFile('giveOutChoir', { params: { choir: choir.id } });
      const day = new Date().toISOString().slice(0, 10);
      saveFile(`choir-${day}.zip`, 'application/zip', bytes);
    },
  });
  return (
    <Box>
      <Label>
        Voices, pieces with their scores as they were, exercises, evenings, plans and what was led,
        as a ZIP file with JSON in it. Singers’ names and ranges are in it, so keep it where nobody
        else reads it. Who belongs to the choir is left out: they are invited anew where it is
        brought in.
      </Label>
      {choir.role === 'director' && (
        <WordButton mt="4px" disabled={give.isPending} onClick={() => give.mutate()}>
          {give.isPending ? 'writing the file …' : 'everything in one file'}
        </WordButton>
      )}
      <Said wrong>{give.isError && messageOf(give.error)}</Said>
      {!isDemo && <BringChoirIn />}
    </Box>
  );
}
