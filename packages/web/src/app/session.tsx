import { useSuspenseQuery } from '@tanstack/react-query';
import type { Role, Session } from '@wide-fern/contract';
import { choirQuery, sessionQuery } from '../api/queries';

/** The signed-in person and the choir in use; pages below the session gate always have both. */
export interface Here {
  readonly account: NonNullable<Session['account']>;
  readonly choir: {
    readonly id: string;
    readonly name: string;
    readonly role: Role;
    readonly timeZone: string;
    readonly accidentals: 'flats' | 'sharps';
  };
  readonly choirs: Session['choirs'];
  readonly mayEdit: boolean;
}

const chosenChoirKey = 'wide-fern:choir';

/** Remembers which choir is in use on this device. */
export const rememberChoir = (id: string): void => localStorage.setItem(chosenChoirKey, id);

/** The choir in use: the one last chosen on this device, else the first. */
export function chosenChoir(session: Session): Session['choirs'][number] | undefined {
  const remembered = localStorage.getItem(chosenChoirKey);
  return session.choirs.find(({ id }) => id === remembered) ?? session.choirs[0];
}

export function useHere(): Here {
  const { data: session } = useSuspenseQuery(sessionQuery);
  const membership = chosenChoir(session);
  if (!session.account || !membership) throw new Error('This page is below the session gate.');
  const { data: choir } = useSuspenseQuery(choirQuery(membership.id));
  return {
    account: session.account,
    choirs: session.choirs,
    choir: { ...choir, role: membership.role },
    mayEdit: membership.role !== 'reader',
  };
}
