import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { useParams } from 'react-router';
import { messageOf, eveningQuery, planQuery } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { MainButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { Empty, Failed, Loading } from '../../ui/states';
import { WordLink } from '../../ui/words';
import { Sheet, type Paper } from './Sheet';
import './sheet.css';

/** What is handed on as a file comes behind the sheet. */
const Files = lazy(() => import('./Files').then((it) => ({ default: it.Files })));

const paperKey = 'wide-fern:paper';

/** A sheet for the stand: black on white, everything to lead from, on A4 or Letter. */
export default function SheetPage() {
  const { evening: eveningId = '', item = 'warm-up' } = useParams();
  const { choir } = useHere();
  const evening = useQuery(eveningQuery(choir.id, eveningId));
  const plan = useQuery(planQuery({ choir: choir.id, evening: eveningId, item }));
  const [paper, setPaper] = useState<Paper>(() =>
    localStorage.getItem(paperKey) === 'letter' ? 'letter' : 'a4',
  );
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
        <Box w="140px">
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
          <Files evening={evening.data} item={item} document={plan.data.document} />
        </Suspense>
      </Flex>
      <Sheet
        evening={evening.data}
        item={item}
        document={plan.data.document}
        paper={paper}
        choir={choir.name}
        timeZone={choir.timeZone}
        clock={choir.clock}
        writing={choir.writing}
      />
    </Box>
  );
}
