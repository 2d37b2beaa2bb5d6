import { Flex } from '@chakra-ui/react';
import { saveFile } from '../../../ui/saveFile';
import { Label, WordButton } from '../../../ui/words';
import type { Listed } from '../model/listed';

/** The exercises that are shown, as one file. */
export function WriteAll({ listed }: { readonly listed: readonly Listed[] }) {
  const exercises = listed.map(({ exercise }) => exercise);
  const write = async (format: 'json' | 'csv') => {
    const { writeCsv, writeJson } = await import('@wide-fern/interchange');
    if (format === 'json') saveFile('exercises.json', 'application/json', writeJson(exercises));
    else saveFile('exercises.csv', 'text/csv;charset=utf-8', `\ufeff${writeCsv(exercises)}`);
  };
  if (exercises.length === 0) return null;
  return (
    <Flex gap="0 8px" wrap="wrap" align="baseline">
      <Label as="span" fontSize="13px">
        download what is shown:
      </Label>
      <WordButton fontSize="13px" onClick={() => void write('json')}>
        whole, to be read again
      </WordButton>
      <WordButton fontSize="13px" onClick={() => void write('csv')}>
        as a list
      </WordButton>
    </Flex>
  );
}
