import { ReferenceKind, type EntityManager } from '@mikro-orm/postgresql';
import { LRUCache } from 'lru-cache';
import type { Session } from '@wide-fern/contract';
import { Account, AccountSession } from '../db/entities/account';
import { Choir, Member } from '../db/entities/choir';
import { sessionOf } from './describe';
import type { Caller, Who } from '../http/endpoint';
import { digestOf } from './digest';
import { isIdle, sawAgain } from './session';

/** A row as it was read, apart from any unit of work. */
type Row = Readonly<Record<string, unknown>>;

/** Who a token belongs to, and where that account is a member. */
interface Known {
  readonly account: Row;
  readonly members: readonly { readonly choir: Row; readonly role: Member['role'] }[];
  readonly expiresAt: Date;
  lastSeenAt: Date;
}

const nobody = {
  isKnown: false,
  caller: undefined,
  account: undefined,
  membership: undefined,
} as const;

/** Makes a thing when it is first asked for: an entity costs more than the rest of a short answer. */
function once<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

/** The most callers that are remembered. */
const most = 5000;

/** A row's own values, without what it refers to. */
function valuesOf(em: EntityManager, name: 'Account' | 'Choir', entity: object): Row {
  const { props } = em.getMetadata().get(name);
  const own = props.filter(({ kind }) => kind === ReferenceKind.SCALAR);
  return Object.fromEntries(
    own.map(({ name: key }) => [key, (entity as Record<string, unknown>)[key]]),
  );
}

async function load(em: EntityManager, id: string): Promise<Known | undefined> {
  const session = await em.findOne(AccountSession, { id }, { populate: ['account'] });
  if (!session) return undefined;
  const members = await em.find(
    Member,
    { account: session.account, removedAt: null },
    { populate: ['choir'], orderBy: { createdAt: 'asc' } },
  );
  return {
    account: valuesOf(em, 'Account', session.account),
    members: members.map(({ choir, role }) => ({ choir: valuesOf(em, 'Choir', choir), role })),
    expiresAt: session.expiresAt,
    lastSeenAt: session.lastSeenAt,
  };
}

/**
 * Who calls, by the token of a session. Remembered for some seconds, and forgotten at once when
 * anything of sessions, accounts, members or choirs changes: in this process by whoever changes it,
 * in others by what the database tells (see the migration that made `sign_in_change`).
 */
export class Callers {
  private readonly known: LRUCache<string, Known>;

  /** @param seconds how long a caller is remembered; 0 asks the database each time */
  constructor(private readonly seconds: number) {
    this.known = new LRUCache({ max: most, ttl: Math.max(1, seconds * 1000) });
  }

  /** Counts what was forgotten, so that nothing that was read before is kept after. */
  private age = 0;

  readonly forget = (): void => {
    this.age += 1;
    this.known.clear();
  };

  private async find(em: EntityManager, token: string | undefined): Promise<Known | undefined> {
    if (!token) return undefined;
    const id = digestOf(token);
    const now = new Date();
    let found = this.known.get(id);
    if (!found) {
      const { age } = this;
      found = await load(em, id);
      if (found && this.seconds > 0 && age === this.age) this.known.set(id, found);
    }
    if (!found || found.expiresAt <= now || isIdle(found.lastSeenAt, now)) return undefined;
    found.lastSeenAt = await sawAgain(em, id, found.lastSeenAt, now);
    return found;
  }

  /** Who a session's token belongs to, and that account's place in a choir. */
  readonly whoIs = async (
    em: EntityManager,
    token: string | undefined,
    choir: string | undefined,
  ): Promise<Who<Account, Choir>> => {
    const found = await this.find(em, token);
    if (!found) return nobody;
    const account = once(
      () => em.merge(Account, { ...found.account } as never) as unknown as Account,
    );
    const member =
      choir === undefined ? undefined : found.members.find(({ choir: { id } }) => id === choir);
    const here = once(() => em.merge(Choir, { ...member?.choir } as never) as unknown as Choir);
    return {
      isKnown: true,
      caller: found.account as unknown as Caller,
      get account() {
        return account();
      },
      membership: member && {
        role: member.role,
        get choir() {
          return here();
        },
      },
    };
  };

  /** The same, told to the browser that asks. */
  async describe(em: EntityManager, token: string | undefined, hasDemo: boolean): Promise<Session> {
    const found = await this.find(em, token);
    if (!found) return { account: null, choirs: [], demo: hasDemo };
    const members = found.members.map(({ choir, role }) => ({
      choir: choir as unknown as Choir,
      role,
    }));
    return sessionOf(found.account as unknown as Account, members, hasDemo);
  }
}
