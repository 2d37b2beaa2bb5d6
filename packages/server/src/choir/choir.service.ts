import type { EntityManager } from '@mikro-orm/postgresql';
import type { AddMember, Member as MemberView, Role } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import { Account } from '../db/entities/account';
import { notFound, problem } from '../http/problem';
import { addPart } from '../voices/parts.service';
import type { VoicePart } from '../db/entities/voices';
import { Choir, Member } from '../db/entities/choir';

/** A new choir with the parts of a mixed one and its first director; the caller flushes. */
export function createChoir(
  em: EntityManager,
  wanted: { name: string; timeZone: string; director: Account; demoAnchor?: string },
): { choir: Choir; parts: VoicePart[] } {
  const { name, timeZone, director, demoAnchor } = wanted;
  const choir = em.create(Choir, { name, timeZone, demoAnchor: demoAnchor ?? null });
  em.create(Member, { choir, account: director, role: 'director' });
  const parts = mixedChoir.map((part, position) => addPart(em, choir, part, position));
  return { choir, parts };
}

const asView = (member: Member): MemberView => ({
  id: member.id,
  name: member.account.name,
  email: member.account.email,
  role: member.role,
});

export async function listMembers(em: EntityManager, choir: Choir): Promise<MemberView[]> {
  const members = await em.find(
    Member,
    { choir },
    { populate: ['account'], orderBy: { createdAt: 'asc' } },
  );
  return members.map(asView);
}

/** Takes a person who has an account into the choir; someone already in it gets the new role. */
export async function addMember(
  em: EntityManager,
  choir: Choir,
  { email, role }: AddMember,
): Promise<MemberView> {
  const account = await em.findOne(Account, { email });
  if (!account) {
    throw problem('no_such_account').at('email');
  }
  const known = await em.findOne(Member, { choir, account });
  if (known) return changeRole(em, choir, known.id, role);
  const member = em.create(Member, { choir, account, role });
  await em.flush();
  return asView(member);
}

/**
 * Changes a member under a lock on the choir, so that two directors who leave at once do not leave
 * it without one.
 */
async function changeMember<T>(
  em: EntityManager,
  choir: Choir,
  id: string,
  change: (inner: EntityManager, member: Member, isLastDirector: boolean) => T,
): Promise<T> {
  return em.transactional(async (inner) => {
    await inner.execute('select 1 from choir where id = ? for update', [choir.id]);
    const member = await inner.findOne(Member, { id, choir }, { populate: ['account'] });
    if (!member) throw notFound('member');
    const directors = await inner.count(Member, { choir, role: 'director' });
    return change(inner, member, member.role === 'director' && directors === 1);
  });
}

export function changeRole(
  em: EntityManager,
  choir: Choir,
  id: string,
  role: Role,
): Promise<MemberView> {
  return changeMember(em, choir, id, (_inner, member, isLastDirector) => {
    if (isLastDirector && role !== 'director') throw problem('last_director');
    member.role = role;
    return asView(member);
  });
}

export function removeMember(em: EntityManager, choir: Choir, id: string): Promise<void> {
  return changeMember(em, choir, id, (inner, member, isLastDirector) => {
    if (isLastDirector) throw problem('last_director');
    inner.remove(member);
  });
}
