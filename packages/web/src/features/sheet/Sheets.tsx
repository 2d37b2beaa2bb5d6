import { Box, Flex } from '@chakra-ui/react';
import type { Paper } from '@wide-fern/interchange/pdf';
import { readerWords, readers, sheetFor, type Reader, type SheetOf } from '@wide-fern/words';
import { useMemo, useState, type ReactNode } from 'react';
import { lazily, missing } from '../../ui/lazily';
import { MainButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { WordLink } from '../../ui/words';
import { Sheet } from './Sheet';
import './sheet.css';

/** What is handed on as a file comes behind the sheet. */
const Files = lazily(() => import('./Files').then((it) => ({ default: it.Files })), {
  absent: missing('What makes files'),
});

const paperKey = 'wide-fern:paper';

/** The sheets of a plan: for whom, on which paper, printed or as a file. */
export function Sheets({
  of,
  back,
  children,
}: {
  /** The same while nothing of it changes. */
  readonly of: SheetOf;
  /** Where one came from. */
  readonly back?: string;
  /** What else can be done with them. */
  readonly children?: ReactNode;
}) {
  const [paper, setPaper] = useState<Paper>(() =>
    localStorage.getItem(paperKey) === 'letter' ? 'letter' : 'a4',
  );
  const [reader, setReader] = useState<Reader>('lead');
  const [part, setPart] = useState('');
  const { document, writing } = of;
  const sheet = useMemo(
    () => sheetFor(reader, of, part === '' ? undefined : part),
    [of, reader, part],
  );
  return (
    <Box>
      <Flex
        as="header"
        className="sheet-tools"
        p="12px 24px"
        gap="8px 24px"
        align="flex-end"
        wrap="wrap"
        borderBottomWidth="1px"
      >
        {back && <WordLink to={back}>back to the plan</WordLink>}
        <Box w="170px">
          <SelectField
            label="For"
            value={reader}
            options={readers.map((value) => ({ value, word: readerWords[value] }))}
            onChange={(event) => setReader(event.currentTarget.value as Reader)}
          />
        </Box>
        {reader === 'sing' && (
          <Box w="140px">
            <SelectField
              label="Who"
              value={part}
              options={[
                { value: '', word: 'all in one' },
                ...document.tonight.sections.map(({ id, many }) => ({ value: id, word: many })),
              ]}
              onChange={(event) => setPart(event.currentTarget.value)}
            />
          </Box>
        )}
        <Box w="110px">
          <SelectField
            label="Paper"
            value={paper}
            options={[
              { value: 'a4', word: 'A4' },
              { value: 'letter', word: 'Letter' },
            ]}
            onChange={(event) => {
              const chosen = event.currentTarget.value as Paper;
              localStorage.setItem(paperKey, chosen);
              setPaper(chosen);
            }}
          />
        </Box>
        <MainButton size="sm" onClick={() => window.print()}>
          Print
        </MainButton>
        <Files
          {...{ of, sheet, paper }}
          part={reader === 'sing' && part !== '' ? part : undefined}
        />
        {children}
      </Flex>
      <Sheet sheet={sheet} paper={paper} writing={writing} />
    </Box>
  );
}
