import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { Evening, PlanDocument } from '@wide-fern/contract';
import type { Paper } from '@wide-fern/interchange/pdf';
import { readerWords, readers, sheetFor, type Reader } from '@wide-fern/words';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { messageOf, eveningQuery, planQuery } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { MainButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { Empty, Failed, Loading } from '../../ui/states';
import { WordLink } from '../../ui/words';
import { Sheet } from './Sheet';
import './sheet.css';

/** What is handed on as a file comes behind the sheet. */
const Files = lazy(() => import('./Files').then((it) => ({ default: it.Files })));

const paperKey = 'wide-fern:paper';

/** Sheets on A4 or Letter: for whoever leads, for whoever plays, for those who sing. */
export default function SheetPage() {
  const { evening: eveningId = '', item = 'warm-up' } = useParams();
  const { choir } = useHere();
  const evening = useQuery(eveningQuery(choir.id, eveningId));
  const plan = useQuery(planQuery({ choir: choir.id, evening: eveningId, item }));
  const error = evening.error ?? plan.error;
  const back = `/evenings/${eveningId}/plan/${item}`;
  if (error && !(evening.data && plan.data !== undefined)) {
    const retry = () => {
      void evening.refetch();
      void plan.refetch();
    };
    return <Failed message={messageOf(error)} onRetry={retry} />;
  }
  if (!evening.data || plan.data === undefined) return <Loading what="the sheet" />;
  if (!plan.data || plan.data.document.segments.length === 0) {
    return (
      <Empty title="There is nothing to print yet">
        <WordLink to={back}>Plan the warm-up first</WordLink>
      </Empty>
    );
  }
  return <Sheets evening={evening.data} item={item} document={plan.data.document} back={back} />;
}

/** The sheets of a plan: for whom, on which paper, printed or as a file. */
function Sheets({
  evening,
  item,
  document,
  back,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  readonly back: string;
}) {
  const { choir } = useHere();
  const [paper, setPaper] = useState<Paper>(() =>
    localStorage.getItem(paperKey) === 'letter' ? 'letter' : 'a4',
  );
  const [reader, setReader] = useState<Reader>('lead');
  const [part, setPart] = useState('');
  const { timeZone, clock, writing } = choir;
  const sheet = useMemo(() => {
    const of = { evening, item, document, choir: choir.name, timeZone, clock, writing };
    return sheetFor(reader, of, part === '' ? undefined : part);
  }, [evening, item, document, choir.name, timeZone, clock, writing, reader, part]);
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
        <WordLink to={back}>back to the plan</WordLink>
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
        <Suspense fallback={null}>
          <Files
            {...{ evening, item, document, sheet, paper }}
            part={reader === 'sing' && part !== '' ? part : undefined}
          />
        </Suspense>
      </Flex>
      <Sheet sheet={sheet} paper={paper} writing={writing} />
    </Box>
  );
}
