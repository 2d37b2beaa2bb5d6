import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { logSpans, type LogSpan } from '@wide-fern/core';
import { logbookSentence } from '@wide-fern/words';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { Frame } from '../../here/Frame';
import { lazily, missing } from '../../ui/lazily';
import { Empty, Failed, Loading } from '../../ui/states';
import { Name, WordButton, WordLink } from '../../ui/words';
import { WordChoice } from '../../ui/WordChoice';
import { Aside } from './Aside';
import { Downloads } from './Downloads';
import { LogTable } from './LogTable';
import type { Opened } from './shown';
import { useLogbook, type LogbookData } from './useLogbook';

/** Drawn only where it is asked for. */
const Charts = lazily(() => import('./Charts'), {
  room: <Loading what="the charts" />,
  absent: missing('The charts'),
});

const spanOptions = [
  ['week', 'eight weeks'],
  ['month', 'twelve months'],
  ['year', 'ten years'],
] as const;

/** What a choir did, whether it helped, and what it has neglected. */
export default function LogbookPage() {
  const [params, setParams] = useSearchParams();
  const span = logSpans.find((one) => one === params.get('by')) ?? 'week';
  const data = useLogbook(span);
  return (
    <Frame place="Logbook">
      {data.kind === 'loading' && <Loading what="the logbook" />}
      {data.kind === 'failed' && <Failed message={messageOf(data.error)} onRetry={data.retry} />}
      {data.kind === 'ready' && data.book.lastLed.length === 0 && (
        <Empty title="Nothing was led yet">
          What you lead is written here by itself: each evening, each exercise, how long it took.{' '}
          <WordLink to="/">To the warm-up that comes</WordLink>
        </Empty>
      )}
      {data.kind === 'ready' && data.book.lastLed.length > 0 && (
        <Read
          key={span}
          data={data}
          span={span}
          onSpan={(by) => setParams(by === 'week' ? {} : { by }, { replace: true })}
        />
      )}
    </Frame>
  );
}

function Read({
  data,
  span,
  onSpan,
}: {
  readonly data: Extract<LogbookData, { kind: 'ready' }>;
  readonly span: LogSpan;
  readonly onSpan: (span: LogSpan) => void;
}) {
  const [isDrawn, setDrawn] = useState(false);
  const [opened, setOpened] = useState<Opened>();
  const { view } = data;
  return (
    <Box className="prints-across" px={{ base: '16px', md: '40px' }} pt="12px" pb="24px">
      <Name as="h1" fontSize={{ base: '24px', md: '34px' }} lineHeight="1.24" mb="12px">
        {logbookSentence(view, span).map((half) => (
          // It is broken by sense, not by width.
          <Box key={half} as="span" display="inline-block" mr="0.3em">
            {half}
          </Box>
        ))}
      </Name>
      <Flex gap="36px" align="stretch" direction={{ base: 'column', xl: 'row' }}>
        <LogTable {...{ data, span, opened }} onOpen={setOpened} />
        <Aside {...{ data, span, opened }} onClose={() => setOpened(undefined)} />
      </Flex>
      <Flex gap="0 24px" wrap="wrap" align="center" mt="12px" className="not-printed">
        <WordChoice label="How far back" options={spanOptions} value={span} onChange={onSpan} />
        <WordButton
          fontSize="13px"
          minH="28px"
          aria-expanded={isDrawn}
          onClick={() => setDrawn(!isDrawn)}
        >
          {isDrawn ? 'without charts' : 'as charts'}
        </WordButton>
        <Downloads book={data.book} dayOf={data.dayOf} />
      </Flex>
      {isDrawn && <Charts view={view} span={span} />}
    </Box>
  );
}
