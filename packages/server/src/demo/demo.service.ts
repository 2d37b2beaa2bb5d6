import type { EntityManager } from '@mikro-orm/postgresql';
import { demoChoir } from '@wide-fern/catalogue/demo';
import type { EndpointName } from '@wide-fern/contract';
import { noPassword } from '../account/password';
import type { Account } from '../db/entities/account';
import { Choir, Member } from '../db/entities/choir';
import { PieceJudgement } from '../db/entities/pieces';
import { RangeCheck, Singer, SingerEvening } from '../db/entities/voices';
import { Evening } from '../db/entities/evening';
import { problem } from '../http/problem';
import { dateIn, dateLater, daysLater, momentOf } from '../time/zone';

/** The coming rehearsal day of the demo choir, today until its evening has ended: «2026-12-01». */
export function comingRehearsal(now: Date): string {
  const { timeZone, weekday, endsAt } = demoChoir;
  const today = dateIn(now, timeZone);
  const days = (weekday - new Date(`${today}T12:00:00Z`).getUTCDay() + 7) % 7;
  const isOver = days === 0 && now >= momentOf(today, endsAt, timeZone);
  return dateLater(today, isOver ? 7 : days);
}

/** The director of the demo choir, or null when there is none. */
export async function findDemoDirector(em: EntityManager): Promise<Account | null> {
  const member = await em.findOne(
    Member,
    {
      role: 'director',
      choir: { demoAnchor: { $ne: null } },
      // Only who was made for the demo is let in without a password.
      account: { passwordHash: noPassword },
    },
    { populate: ['account'], orderBy: { createdAt: 'asc' } },
  );
  return member?.account ?? null;
}

/** What nobody changes in the demo: strangers meet there, and nobody is to be drawn into it. */
const closed: readonly EndpointName[] = ['addMember', 'changeMember', 'removeMember'];

/**
 * What is done before an endpoint of the demo answers; other choirs are left alone.
 * @throws Problem demo_choir for what nobody changes there
 */
export async function prepareDemo(
  em: EntityManager,
  choir: Choir,
  name: EndpointName,
): Promise<void> {
  if (!choir.demoAnchor) return;
  if (closed.includes(name)) throw problem('demo_choir');
  await keepDemoFresh(em, choir);
}

/** Moves the demo's evenings on by whole weeks once its coming one has passed; other choirs are left alone. */
export async function keepDemoFresh(
  em: EntityManager,
  choir: Choir,
  now = new Date(),
): Promise<void> {
  if (!choir.demoAnchor) return;
  const anchor = choir.demoAnchor;
  const coming = comingRehearsal(now);
  if (anchor === coming) return;
  await em.transactional(async (inner) => {
    // Two windows may ask at once; only the first moves the dates.
    const moved = await inner.nativeUpdate(
      Choir,
      { id: choir.id, demoAnchor: anchor },
      { demoAnchor: coming },
    );
    if (moved === 0) return;
    const noon = (date: string) => Date.parse(`${date}T12:00:00Z`);
    const days = Math.round((noon(coming) - noon(anchor)) / 86_400_000);
    // Who was away on the evening that has passed says nothing of the one that comes.
    await inner.nativeDelete(SingerEvening, { evening: { choir } });
    for (const evening of await inner.find(Evening, { choir })) {
      evening.condition = 'rested';
      evening.startsAt = daysLater(evening.startsAt, days, choir.timeZone);
      evening.endsAt = daysLater(evening.endsAt, days, choir.timeZone);
    }
    for (const singer of await inner.find(Singer, { choir })) {
      if (singer.checkedOn) singer.checkedOn = dateLater(singer.checkedOn, days);
    }
    for (const check of await inner.find(RangeCheck, { singer: { choir } })) {
      check.checkedOn = dateLater(check.checkedOn, days);
    }
    for (const judgement of await inner.find(PieceJudgement, { piece: { choir } })) {
      judgement.judgedOn = dateLater(judgement.judgedOn, days);
    }
  });
}
