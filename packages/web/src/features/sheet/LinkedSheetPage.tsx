import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { call, messageOf } from '@wide-fern/client';
import type { SheetOf } from '@wide-fern/words';
import { useMemo } from 'react';
import { useLocation } from 'react-router';
import { Empty, Failed, Loading } from '../../ui/states';
import { secretOf } from '../../ui/secretOf';
import { Sheets } from './Sheets';

/** The sheets of a warm-up for whoever has its link; no account is needed. */
export default function LinkedSheetPage() {
  const secret = secretOf(useLocation().hash);
  const linked = useQuery({
    queryKey: ['plan-link', secret],
    queryFn: () => call('openPlanLink', { body: { secret } }),
    enabled: secret !== '',
  });
  const { data } = linked;
  const of = useMemo((): SheetOf | undefined => {
    if (!data) return undefined;
    const { choir, timeZone, clock, accidentals, naming, place, allotted, document } = data;
    return {
      ...{ choir, timeZone, clock, place, allotted, document },
      start: Date.parse(data.startsAt),
      writing: { accidentals, naming },
    };
  }, [data]);
  if (secret === '') {
    return (
      <Empty title="This link is not whole">
        <Box>Open it as it was given to you, with the twelve letters and digits at its end.</Box>
      </Empty>
    );
  }
  if (linked.isError) {
    return <Failed message={messageOf(linked.error)} onRetry={() => void linked.refetch()} />;
  }
  if (!of) return <Loading what="the sheet" />;
  if (of.document.segments.length === 0) {
    return (
      <Empty title="Nothing is planned yet">
        <Box>Open this link again later.</Box>
      </Empty>
    );
  }
  return <Sheets of={of} />;
}
