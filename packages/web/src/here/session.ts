import type { ClockKind, Courses, OwnApproach, Role, Session } from '@wide-fern/contract';
import type { AccidentalPreference, NoteNames, NoteNaming } from '@wide-fern/core';
import { useRouteLoaderData } from 'react-router';
import { choirQuery, queryClient, sessionQuery } from '@wide-fern/client';

/** The signed-in person and the choir in use; pages below the session gate always have both. */
export interface Here {
  readonly account: NonNullable<Session['account']>;
  readonly choir: {
    readonly id: string;
    readonly name: string;
    readonly role: Role;
    readonly timeZone: string;
    readonly accidentals: AccidentalPreference;
    readonly naming: NoteNaming;
    /** How times of day are shown. */
    readonly clock: ClockKind;
    /** Both in one, as whatever writes a note takes it. */
    readonly writing: NoteNames;
    readonly phraseSeconds: number;
    /** How its warm-ups are usually made, what it finds easy to learn, and ways of its own. */
    readonly approach: string;
    readonly level: number;
    readonly approaches: readonly OwnApproach[];
    /** Courses it keeps or follows. */
    readonly courses: Courses;
    /** A choir to look around in: when it is thrown away. */
    readonly demoUntil: string | null;
    /** When the choir is deleted with everything; null while nobody asked for that. */
    readonly closesAt: string | null;
  };
  readonly choirs: Session['choirs'];
  readonly mayEdit: boolean;
}

/** The name under which the gate's answer is found by the pages below it. */
export const gate = 'gate';

const chosenChoirKey = 'wide-fern:choir';

/** Remembers which choir is in use on this device. */
export const rememberChoir = (id: string): void => localStorage.setItem(chosenChoirKey, id);

/** The choir in use: the one last chosen on this device, else the first. */
function chosenChoir(session: Session): Session['choirs'][number] | undefined {
  const remembered = localStorage.getItem(chosenChoirKey);
  return session.choirs.find(({ id }) => id === remembered) ?? session.choirs[0];
}

/** Who is here, in which choir; or that nobody is signed in, or belongs to none. */
export async function whoIsHere(): Promise<Here | 'nobody' | 'no choir'> {
  const session = await queryClient.ensureQueryData({ ...sessionQuery, revalidateIfStale: true });
  const { account, choirs } = session;
  if (!account) return 'nobody';
  const membership = chosenChoir(session);
  if (!membership) return 'no choir';
  const { role } = membership;
  const choir = await queryClient.ensureQueryData(choirQuery(membership.id));
  const { accidentals, naming } = choir;
  const writing = { accidentals, naming };
  return { account, choirs, choir: { ...choir, role, writing }, mayEdit: role !== 'reader' };
}

/**
 * Who is here, as the gate found it when the page was opened. A session that ends meanwhile does not
 * take the page away; what is asked for then says that one has to sign in.
 */
export function useHere(): Here {
  const here = useRouteLoaderData<Here>(gate);
  if (!here) throw new Error('This page is not below the session gate.');
  return here;
}
