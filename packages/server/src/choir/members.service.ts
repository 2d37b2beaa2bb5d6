import type { EntityManager } from '@mikro-orm/postgresql';
import type { Member as MemberView, Role } from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import { Member, type Choir } from '../db/entities/choir';
import { notFound, problem } from '../http/problem';
import { record } from '../keeping/records';
import { lockChoir } from '../keeping/room';

/** Who changes something, in which choir. */
export interface Acting {
  readonly choir: Choir;
  readonly account: Account;
}

const asView = ({ id, account, role }: Member, you: Account): MemberView => ({
  id,
  name: account.name,
  email: account.email,
  role,
  you: account.id === you.id,
});

export async function listMembers(
  em: EntityManager,
  { choir, account }: Acting,
): Promise<MemberView[]> {
  const members = await em.find(
    Member,
    { choir, removedAt: null },
    { populate: ['account'], orderBy: { createdAt: 'asc', id: 'asc' } },
  );
  return members.map((member) => asView(member, account));
}

/**
 * Changes a member under a lock on the choir, so that two directors who leave at once do not leave
 * it without one.
 */
async function changing<T>(
  em: EntityManager,
  { choir }: Acting,
  which: { readonly id: string } | { readonly account: Account },
  change: (inner: EntityManager, member: Member, isLastDirector: boolean) => T,
): Promise<T> {
  return em.transactional(async (inner) => {
    await lockChoir(inner, choir);
    const member = await inner.findOne(Member, { ...which, choir }, { populate: ['account'] });
    if (!member) throw notFound('member');
    const directors = await inner.count(Member, { choir, role: 'director', removedAt: null });
    const isLast = !member.removedAt && member.role === 'director' && directors === 1;
    return change(inner, member, isLast);
  });
}

export function changeRole(
  em: EntityManager,
  acting: Acting,
  id: string,
  role: Role,
): Promise<MemberView> {
  return changing(em, acting, { id }, (inner, member, isLastDirector) => {
    if (member.removedAt) throw notFound('member');
    if (isLastDirector && role !== 'director') throw problem('last_director');
    if (member.role !== role) {
      const about = `${member.account.name} ${role}`;
      record(inner, { choir: acting.choir, by: acting.account, kind: 'role-changed', about });
    }
    member.role = role;
    return asView(member, acting.account);
  });
}

/** Takes a member out; it can be undone. */
export function removeMember(em: EntityManager, acting: Acting, id: string): Promise<void> {
  return changing(em, acting, { id }, (inner, member, isLastDirector) => {
    if (member.removedAt) throw notFound('member');
    if (isLastDirector) throw problem('last_director');
    member.removedAt = new Date();
    const about = member.account.name;
    record(inner, { choir: acting.choir, by: acting.account, kind: 'removed', about });
  });
}

/** Undoes that a member was taken out; who is in it already stays. */
export function bringMemberBack(
  em: EntityManager,
  acting: Acting,
  id: string,
): Promise<MemberView> {
  return changing(em, acting, { id }, (inner, member) => {
    if (member.removedAt) {
      member.removedAt = null;
      const about = member.account.name;
      record(inner, { choir: acting.choir, by: acting.account, kind: 'brought-back', about });
    }
    return asView(member, acting.account);
  });
}

/** Leaves a choir by oneself; only a new invitation leads back. */
export function leaveChoir(em: EntityManager, acting: Acting): Promise<void> {
  return changing(em, acting, { account: acting.account }, (inner, member, isLastDirector) => {
    if (isLastDirector) throw problem('last_director');
    inner.remove(member);
    record(inner, { choir: acting.choir, by: acting.account, kind: 'left' });
  });
}
