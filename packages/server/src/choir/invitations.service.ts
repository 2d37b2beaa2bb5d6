import type { EntityManager } from '@mikro-orm/postgresql';
import type {
  Invitation as InvitationView,
  Invite,
  Invited,
  NewInvitation,
} from '@wide-fern/contract';
import { hashOfCode, newCode } from '../access/code';
import { noPassword, type Account } from '../db/entities/account';
import { Invitation, Member, type Choir } from '../db/entities/choir';
import { notFound, problem } from '../http/problem';
import { inTwoWeeks } from '../time/grace';
import { record } from '../keeping/records';
import { lockChoir } from '../keeping/room';

const mostOpen = 100;
const isOpen = () => ({ expiresAt: { $gt: new Date() } });

const asView = ({ id, role, note, expiresAt }: Invitation): InvitationView => ({
  id,
  role,
  note,
  expiresAt: expiresAt.toISOString(),
});

export async function listInvitations(em: EntityManager, choir: Choir): Promise<InvitationView[]> {
  const open = await em.find(
    Invitation,
    { choir, ...isOpen() },
    { orderBy: { createdAt: 'asc', id: 'asc' } },
  );
  return open.map(asView);
}

/** A new invitation; its code is told this one time. */
export async function invite(
  em: EntityManager,
  { choir, account }: { readonly choir: Choir; readonly account: Account },
  { role, note }: Invite,
): Promise<NewInvitation> {
  return em.transactional(async (inner) => {
    await lockChoir(inner, choir);
    const here = await inner.count(Invitation, { choir, ...isOpen() });
    if (here >= mostOpen) {
      throw problem('too_many', { of: 'invitations', most: mostOpen, here });
    }
    const code = newCode();
    const invitation = inner.create(Invitation, {
      choir,
      codeHash: hashOfCode(code),
      role,
      note,
      by: account,
      expiresAt: inTwoWeeks(),
    });
    record(inner, { choir, by: account, kind: 'invited', about: asAbout(note, role) });
    await inner.flush();
    return { ...asView(invitation), code };
  });
}

const asAbout = (note: string, role: string): string =>
  note === '' ? `a ${role}` : `${note} as ${role}`;

export async function takeInvitationBack(
  em: EntityManager,
  { choir, account }: { readonly choir: Choir; readonly account: Account },
  id: string,
): Promise<void> {
  const invitation = await em.findOne(Invitation, { id, choir });
  if (!invitation || (await em.nativeDelete(Invitation, { id, choir })) === 0) {
    throw notFound('invitation');
  }
  const about = asAbout(invitation.note, invitation.role);
  em.clear();
  record(em, { choir, by: account, kind: 'invitation-taken-back', about });
  await em.flush();
}

async function findOpen(em: EntityManager, code: string): Promise<Invitation> {
  const found = await em.findOne(
    Invitation,
    { codeHash: hashOfCode(code), ...isOpen() },
    { populate: ['choir', 'by'] },
  );
  if (!found) throw notFound('invitation');
  return found;
}

/** What an invitation leads to, for whoever has its code. */
export async function lookAtInvitation(em: EntityManager, code: string): Promise<Invited> {
  const { choir, role, by } = await findOpen(em, code);
  return { choir: choir.name, role, by: by.name };
}

/** Takes an account into the choir it was invited to; the code is good once. */
export async function acceptInvitation(
  em: EntityManager,
  account: Account,
  code: string,
): Promise<Choir> {
  if (account.passwordHash === noPassword) throw problem('demo_account');
  return em.transactional(async (inner) => {
    const invitation = await findOpen(inner, code);
    const { id, choir, role } = invitation;
    if ((await inner.nativeDelete(Invitation, { id })) === 0) throw notFound('invitation');
    const known = await inner.findOne(Member, { choir, account });
    if (known) {
      // Whoever is in it already stays what they are, unless they had been taken out.
      if (known.removedAt) Object.assign(known, { role, removedAt: null });
    } else inner.create(Member, { choir, account, role });
    record(inner, { choir, by: account, kind: 'joined', about: `as ${role}` });
    inner.getUnitOfWork().unsetIdentity(invitation);
    await inner.flush();
    return choir;
  });
}
