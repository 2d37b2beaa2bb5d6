import { Flex } from '@chakra-ui/react';
import type { Logbook } from '@wide-fern/contract';
import { WordButton } from '../../ui/words';
import { saveFile } from '../../ui/saveFile';

/** The logbook to take along, and on paper. */
export function Downloads({
  book,
  dayOf,
}: {
  readonly book: Logbook;
  readonly dayOf: (moment: string) => string;
}) {
  const small = { fontSize: '13px', minH: '28px' } as const;
  return (
    <Flex gap="0 12px" wrap="wrap">
      <WordButton
        {...small}
        onClick={() =>
          void import('./files').then(({ writeCsv }) =>
            saveFile('logbook.csv', 'text/csv', writeCsv(book, dayOf)),
          )
        }
      >
        download as CSV
      </WordButton>
      <WordButton
        {...small}
        onClick={() => saveFile('logbook.json', 'application/json', JSON.stringify(book, null, 2))}
      >
        download as JSON
      </WordButton>
      <WordButton {...small} onClick={() => window.print()}>
        print
      </WordButton>
    </Flex>
  );
}
