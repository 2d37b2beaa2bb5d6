import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { messageOf, eveningQuery, planQuery } from '@wide-fern/client';
import { itemTime } from '@wide-fern/plan';
import type { SheetOf } from '@wide-fern/words';
import { useHere } from '../../here/session';
import { lazily, missing } from '../../ui/lazily';
import { Empty, Failed, Loading } from '../../ui/states';
import { WordLink } from '../../ui/words';
import { Sheets } from './Sheets';

/** Links for others come behind the sheet. */
const Links = lazily(() => import('./Links').then((it) => ({ default: it.Links })), {
  absent: missing('The links'),
});

/** The sheets of one warm-up: for whoever leads, for whoever plays, for those who sing. */
export default function SheetPage() {
  const { evening: id = '', item = 'warm-up' } = useParams();
  const { choir, mayEdit } = useHere();
  const evening = useQuery(eveningQuery(choir.id, id));
  const plan = useQuery(planQuery({ choir: choir.id, evening: id, item }));
  const { name, timeZone, clock, writing } = choir;
  const of = useMemo((): SheetOf | undefined => {
    if (!evening.data || !plan.data) return undefined;
    const { place } = evening.data;
    const { document } = plan.data;
    const { start, allotted } = itemTime(evening.data, item);
    return { start, allotted, place, document, choir: name, timeZone, clock, writing };
  }, [evening.data, plan.data, item, name, timeZone, clock, writing]);
  const error = evening.error ?? plan.error;
  const back = `/evenings/${id}/plan/${item}`;
  if (error && !(evening.data && plan.data !== undefined)) {
    const retry = () => {
      void evening.refetch();
      void plan.refetch();
    };
    return <Failed message={messageOf(error)} onRetry={retry} />;
  }
  if (!evening.data || plan.data === undefined) return <Loading what="the sheet" />;
  if (!of || of.document.segments.length === 0) {
    return (
      <Empty title="There is nothing to print yet">
        <WordLink to={back}>Plan the warm-up first</WordLink>
      </Empty>
    );
  }
  return (
    <Sheets of={of} back={back}>
      {mayEdit && (
        <Links
          place={{ choir: choir.id, evening: id, item }}
          sections={of.document.tonight.sections}
        />
      )}
    </Sheets>
  );
}
