import type { EntityManager } from '@mikro-orm/postgresql';
import type { Sureness } from '@wide-fern/contract';
import { presenceChance, singerRange, spreadOfLimits } from '@wide-fern/core';
import type { Choir } from '../db/entities/choir';
import { Evening } from '../db/entities/evening';
import { RangeCheck, SingerEvening, type Singer } from '../db/entities/voices';
import { presentOn, settingOf } from '../tonight/tonight.service';
import { partsOf } from '../voices/parts.service';
import { asSectionSinger, type Present } from '../voices/sections';
import { dateIn } from '../time/zone';

/** So many evenings back somebody's presence is counted. */
const countedBack = 10;

/** Under each singer what was found of them. */
function bySinger<T extends { readonly singer: { readonly id: string } }>(
  rows: readonly T[],
): ReadonlyMap<string, readonly T[]> {
  const found = new Map<string, T[]>();
  for (const row of rows) found.set(row.singer.id, [...(found.get(row.singer.id) ?? []), row]);
  return found;
}

/** The first day on which anything is known of a singer. */
const knownSince = (
  { createdAt }: Singer,
  checks: readonly RangeCheck[],
  evenings: readonly SingerEvening[],
): string =>
  [
    createdAt.toISOString(),
    ...checks.map(({ checkedOn }) => checkedOn),
    ...evenings.map(({ evening }) => evening.startsAt.toISOString()),
  ].reduce((first, one) => (one < first ? one : first));

/** How many of those who are not away are how. */
function statesOf(present: readonly Present[]): Sureness['states'] {
  const states: Sureness['states'] = {};
  for (const one of present) {
    if (one.away) continue;
    for (const state of new Set(asSectionSinger(one).states)) {
      states[state] = (states[state] ?? 0) + 1;
    }
  }
  return states;
}

/**
 * How sure the sections of an evening are: each singer's limits tonight, how much these differ from day to day,
 * and the chance that the singer is here (docs/model.md, section 14).
 */
export async function showSureness(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
): Promise<Sureness> {
  // Brought in first: singers are told to their part by it.
  await partsOf(em, choir);
  const present = await presentOn(em, choir, evening);
  const setting = settingOf(choir, evening);
  const before = await em.find(
    Evening,
    { choir, startsAt: { $lt: evening.startsAt } },
    { orderBy: { startsAt: 'desc' }, limit: countedBack },
  );
  const singers = present.map(({ singer }) => singer.id);
  const said = await em.find(
    SingerEvening,
    { singer: { $in: singers }, evening: { $in: [evening, ...before].map(({ id }) => id) } },
    { populate: ['evening'] },
  );
  const rows = bySinger(said);
  const checks = bySinger(await em.find(RangeCheck, { singer: { $in: singers } }));
  // Once anybody was named tonight, whoever was not is here.
  const isSaid = said.some((row) => row.evening.id === evening.id);
  const parts: Sureness['parts'] = {};
  for (const one of present) {
    const { singer, away } = one;
    const asked = asSectionSinger(one);
    const range = singerRange(asked, setting);
    if (asked.part === null || !range) continue;
    const own = checks.get(singer.id) ?? [];
    const evenings = rows.get(singer.id) ?? [];
    const since = knownSince(singer, own, evenings);
    const counted = before.filter(
      ({ startsAt }) => dateIn(startsAt, choir.timeZone) >= since.slice(0, 10),
    );
    const missed = evenings.filter(
      (row) => row.away && counted.some(({ id }) => id === row.evening.id),
    );
    (parts[asked.part] ??= []).push({
      comfort: [...range.comfort],
      sigma: spreadOfLimits(
        own.map(({ comfortLow, comfortHigh }) => [comfortLow, comfortHigh] as const),
      ),
      present: presenceChance({
        said: isSaid ? !away : undefined,
        here: counted.length - missed.length,
        counted: counted.length,
      }),
    });
  }
  return { wanted: setting.share, states: statesOf(present), parts };
}
