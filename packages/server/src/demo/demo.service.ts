import type { EntityManager } from '@mikro-orm/postgresql';
import { demoChoir } from '@wide-fern/catalogue/demo';
import type { EndpointName } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { problem } from '../http/problem';
import { dateIn, dateLater, momentOf } from '../time/zone';

/** So long a choir to look around in is kept for whoever looks. */
const demoHours = 24;

/** When a demo choir that is made now is thrown away. */
export const demoEnd = (now: Date): Date => new Date(now.getTime() + demoHours * 60 * 60_000);

/** The coming rehearsal day of the demo choir, today until its evening has ended: «2026-12-01». */
export function comingRehearsal(now: Date): string {
  const { timeZone, weekday, endsAt } = demoChoir;
  const today = dateIn(now, timeZone);
  const days = (weekday - new Date(`${today}T12:00:00Z`).getUTCDay() + 7) % 7;
  const isOver = days === 0 && now >= momentOf(today, endsAt, timeZone);
  return dateLater(today, isOver ? 7 : days);
}

/** What nobody does in a demo: nobody is to be drawn into it, and it goes by itself. */
const closed: readonly EndpointName[] = [
  'changeMember',
  'removeMember',
  'bringMemberBack',
  'leaveChoir',
  'invite',
  'closeChoir',
];

/**
 * What is asked before an endpoint of a demo answers; other choirs are left alone.
 * @throws Problem demo_choir for what nobody does there
 */
export function refuseInDemo(choir: () => Choir, name: EndpointName): void {
  if (closed.includes(name) && choir().demoUntil) throw problem('demo_choir');
}

/** Throws away the demo choirs whose day is over, and the invented people of them. */
export async function throwOldDemosAway(em: EntityManager): Promise<void> {
  await em.execute('delete from choir where demo_until < now()');
  await em.execute(
    `delete from account where password_hash = '!'
       and not exists (select 1 from member where member.account_id = account.id)`,
  );
}
