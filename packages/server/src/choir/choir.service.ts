import type { EntityManager } from '@mikro-orm/postgresql';
import { mostCourses, type ChangeChoir, type Choir as ChoirView } from '@wide-fern/contract';
import { mixedChoir, usualPhrase } from '@wide-fern/core';
import type { Account } from '../db/entities/account';
import { Choir, Member } from '../db/entities/choir';
import type { VoicePart } from '../db/entities/voices';
import { problem } from '../http/problem';
import { lockChoir } from '../keeping/room';
import { inTwoWeeks } from '../time/grace';
import { addPart } from '../voices/parts.service';
import type { Acting } from './members.service';
import { record } from '../keeping/records';

/** A new choir with the parts of a mixed one and its first director; the caller flushes. */
export function createChoir(
  em: EntityManager,
  wanted: { name: string; timeZone: string; director: Account; demoUntil?: Date },
): { choir: Choir; parts: VoicePart[] } {
  const { name, timeZone, director, demoUntil = null } = wanted;
  const choir = em.create(Choir, { name, timeZone, demoUntil });
  em.create(Member, { choir, account: director, role: 'director' });
  const parts = mixedChoir.map((part, position) => addPart(em, choir, part, position));
  return { choir, parts };
}

export const showChoir = (choir: Choir): ChoirView => ({
  id: choir.id,
  name: choir.name,
  timeZone: choir.timeZone,
  accidentals: choir.accidentals ?? 'flats',
  naming: choir.naming ?? 'octaves',
  clock: choir.clock ?? '24',
  phraseSeconds: choir.phraseSeconds ?? usualPhrase.mixed,
  approach: choir.approach ?? 'evening-after-work',
  level: choir.level ?? 2,
  approaches: choir.approaches ?? [],
  courses: choir.courses ?? {},
  demoUntil: choir.demoUntil?.toISOString() ?? null,
  closesAt: choir.closesAt?.toISOString() ?? null,
});

const settings = {
  name: 'its name',
  timeZone: 'its time zone',
  accidentals: 'whether notes are flats or sharps',
  naming: 'how notes are named',
  clock: 'how times of day are shown',
  phraseSeconds: 'how long a breath lasts',
  approach: 'how its warm-ups are usually made',
  level: 'what it finds easy to learn',
  approaches: 'its own ways of making warm-ups',
} as const;

/** Puts courses into those a choir has: each that is sent whole, none of the others touched. */
async function changeCourses(
  em: EntityManager,
  { choir, account }: Acting,
  sent: NonNullable<ChangeChoir['courses']>,
): Promise<void> {
  await em.transactional(async (inner) => {
    await lockChoir(inner, choir);
    await inner.refresh(choir);
    const kept = new Map(Object.entries(choir.courses ?? {}));
    for (const [id, course] of Object.entries(sent)) {
      if (course) kept.set(id, course);
      else kept.delete(id);
    }
    if (kept.size > mostCourses) {
      throw problem('too_many', { of: 'courses', most: mostCourses, here: kept.size });
    }
    choir.courses = Object.fromEntries(kept);
    record(inner, { choir, by: account, kind: 'settings-changed', about: 'its courses' });
    await inner.flush();
  });
}

/** Changes what was sent, and keeps the rest. */
export async function changeChoir(
  em: EntityManager,
  { choir, account }: Acting,
  { courses, ...wanted }: ChangeChoir,
): Promise<ChoirView> {
  if (courses) await changeCourses(em, { choir, account }, courses);
  for (const key of Object.keys(settings) as (keyof typeof settings)[]) {
    const value = wanted[key];
    if (value === undefined || value === choir[key]) continue;
    Object.assign(choir, { [key]: value });
    record(em, { choir, by: account, kind: 'settings-changed', about: settings[key] });
  }
  await em.flush();
  return showChoir(choir);
}

/** Has a choir deleted in two weeks with everything in it; its name was typed once more. */
export async function closeChoir(
  em: EntityManager,
  { choir, account }: Acting,
  name: string,
): Promise<ChoirView> {
  if (name !== choir.name) throw problem('invalid', { what: 'choir-name' }).at('name');
  if (!choir.closesAt) {
    choir.closesAt = inTwoWeeks();
    record(em, { choir, by: account, kind: 'closing' });
    await em.flush();
  }
  return showChoir(choir);
}

/** Keeps a choir after all. */
export async function keepChoir(em: EntityManager, { choir, account }: Acting): Promise<ChoirView> {
  if (choir.closesAt) {
    choir.closesAt = null;
    record(em, { choir, by: account, kind: 'kept' });
    await em.flush();
  }
  return showChoir(choir);
}
