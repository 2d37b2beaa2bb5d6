import { randomBytes } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { exercises } from '@wide-fern/catalogue';
import {
  demoChecks,
  demoChoir,
  demoCourse,
  demoEvenings,
  demoSingers,
  type DemoSegment,
} from '@wide-fern/catalogue/demo';
import { emptyDocument } from '@wide-fern/plan';
import type { AgendaItem, Segment } from '@wide-fern/contract';
import { Account, noPassword } from '../db/entities/account';
import { Member, type Choir } from '../db/entities/choir';
import { toColumns } from '../db/entities/limits';
import { RangeCheck, Singer, type VoicePart } from '../db/entities/voices';
import { createChoir } from '../choir/choir.service';
import { Evening } from '../db/entities/evening';
import { tonightFor } from '../tonight/tonight.service';
import { dateLater, momentOf } from '../time/zone';
import { Plan } from '../db/entities/plan';
import { addDemoRun } from './demoRuns';
import { addDemoPieces } from './demoPieces';
import { comingRehearsal, demoEnd } from './demo.service';

function asSegment({ exercise: id, ...changed }: DemoSegment, index: number): Segment {
  const exercise = exercises.find((one) => one.id === id);
  if (!exercise) throw new Error(`The demo plans an exercise that is not in the catalogue: ${id}`);
  return {
    id: `segment-${index + 1}`,
    exercise,
    choices: { ...exercise.usual, ...changed, start: null },
  };
}

/** The singers with their checks, dated back from the coming rehearsal; the caller flushes. */
function addDemoSingers(
  em: EntityManager,
  { choir, parts, coming }: { choir: Choir; parts: readonly VoicePart[]; coming: string },
): void {
  demoSingers.forEach((one, place) => {
    const checks = demoChecks(one, place).map(({ weeksAgo, ...found }) => ({
      ...found,
      checkedOn: dateLater(coming, -7 * weeksAgo),
    }));
    const singer = em.create(Singer, {
      choir,
      name: one.name,
      part: parts.find(({ code }) => code === one.part)!,
      also: one.also ? [one.also] : [],
      ...toColumns(one),
      lightTop: one.lightTop ?? null,
      changes: [...(one.changes ?? [])],
      states: one.state ? [one.state] : [],
      notes: one.notes ?? '',
      checkedOn: checks[0]?.checkedOn ?? null,
    });
    for (const { checkedOn, lightTop, changes, ...limits } of checks) {
      em.create(RangeCheck, {
        singer,
        checkedOn,
        ...toColumns(limits),
        lightTop,
        changes: [...changes],
        means: 'by-ear',
      });
    }
  });
}

/** E-mails are one account's each, and every visitor meets the same people. */
const emailOfVisit = (email: string, visit: string): string => email.replace('@', `.${visit}@`);

/** Makes the demo choir for one visitor: its director to enter as, and when it is thrown away. */
export async function makeDemo(
  em: EntityManager,
  now = new Date(),
): Promise<{ readonly director: Account; readonly until: Date }> {
  const until = demoEnd(now);
  const visit = randomBytes(4).toString('hex');
  return em.transactional(async (inner) => {
    const [director, ...others] = demoChoir.people.map(({ name, email, role }) => ({
      account: inner.create(Account, {
        name,
        email: emailOfVisit(email, visit),
        passwordHash: noPassword,
      }),
      role,
    }));
    const coming = comingRehearsal(now);
    const { choir, parts } = createChoir(inner, {
      name: demoChoir.name,
      timeZone: demoChoir.timeZone,
      director: director!.account,
      demoUntil: until,
    });
    for (const { account, role } of others) inner.create(Member, { choir, account, role });
    const { course, weeks: followed } = demoCourse;
    const since = momentOf(dateLater(coming, -7 * followed), '00:00', demoChoir.timeZone);
    choir.courses = { [course.id]: { course, since: since.toISOString() } };
    addDemoSingers(inner, { choir, parts, coming });
    const pieces = addDemoPieces(inner, {
      choir,
      judges: [director!, ...others].map(({ account }) => account),
      parts: parts.map(({ code }) => code),
      dateBack: (weeks) => dateLater(coming, -7 * weeks),
    });
    await inner.flush();
    for (const { week, name, agenda, plan, led } of demoEvenings) {
      const date = dateLater(coming, 7 * week);
      const items = agenda.map(({ piece, ...item }): AgendaItem => ({
        ...item,
        piece: piece ? pieces[piece].id : null,
      }));
      const evening = inner.create(Evening, {
        choir,
        name: name ?? null,
        startsAt: momentOf(date, demoChoir.startsAt, demoChoir.timeZone),
        endsAt: momentOf(date, demoChoir.endsAt, demoChoir.timeZone),
        place: demoChoir.place,
        agenda: items,
      });
      if (!plan) continue;
      const { tonight } = await tonightFor(inner, choir, evening);
      const document = { ...emptyDocument(tonight), segments: plan.map(asSegment) };
      inner.create(Plan, {
        choir,
        evening,
        item: 'warm-up',
        document,
        savedAt: now < evening.startsAt ? now : evening.startsAt,
        savedBy: director!.account,
      });
      if (!led) continue;
      await addDemoRun(inner, { choir, evening, document, ledBy: director!.account }, led, week);
    }
    return { director: director!.account, until };
  });
}
