import { useQuery } from '@tanstack/react-query';
import type { ChoirPart, Singer } from '@wide-fern/contract';
import type { ReactNode } from 'react';
import { messageOf, singersQuery, voicesQuery } from '@wide-fern/client';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { Empty, Failed, Loading } from '../../../ui/states';
import { WordLink } from '../../../ui/words';

/** The roster and the parts as they are on the server. */
export interface RosterData {
  readonly singers: readonly Singer[];
  readonly parts: readonly ChoirPart[];
}

/** A page about persons: fetched for those who lead, not here for others. */
export function WithRoster({ children }: { readonly children: (data: RosterData) => ReactNode }) {
  const { choir, mayEdit } = useHere();
  const voices = useQuery({ ...voicesQuery(choir.id), enabled: mayEdit });
  const singers = useQuery({ ...singersQuery(choir.id), enabled: mayEdit });
  const error = voices.error ?? singers.error;
  const retry = () => {
    void voices.refetch();
    void singers.refetch();
  };
  return (
    <Frame place="Voices">
      {!mayEdit ? (
        <Empty title="Singers are seen by those who lead">
          You can see what each section sings.{' '}
          <WordLink to="/voices">Look at the sections</WordLink>
        </Empty>
      ) : error ? (
        <Failed message={messageOf(error)} onRetry={retry} />
      ) : voices.data && singers.data ? (
        children({ singers: singers.data, parts: voices.data.parts })
      ) : (
        <Loading what="the roster" />
      )}
    </Frame>
  );
}
