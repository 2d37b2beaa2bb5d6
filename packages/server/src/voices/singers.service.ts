import { limitsProblemInWords, problemWords, undecidedName } from '@wide-fern/words';
import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import {
  type ChangeSinger,
  type KeepChecks,
  type KeptCheck,
  type Singer as SingerView,
  type SingerExport,
  type SingerFields,
  type StoreSingers,
} from '@wide-fern/contract';
import { limitsProblems, reachOfAll, type PitchRange } from '@wide-fern/core';
import { withRoom } from '../keeping/room';
import type { Choir } from '../db/entities/choir';
import { dateIn } from '../time/zone';
import { pageOfRows, type PageOf } from '../db/page';
import { notFound, problem, Problem } from '../http/problem';
import { fromColumns, knownLimits, toColumns } from '../db/entities/limits';
import { partsOf } from './parts.service';
import { RangeCheck, Singer, SingerEvening, type VoicePart } from '../db/entities/voices';

const asSinger = (singer: Singer): SingerView => {
  const limits = knownLimits(singer);
  return {
    id: singer.id,
    version: singer.version,
    name: singer.name,
    part: singer.part?.code ?? null,
    also: singer.also ?? [],
    comfort: limits?.comfort ?? null,
    reach: limits?.reach ?? null,
    lightTop: singer.lightTop ?? null,
    changes: singer.changes ?? [],
    states: singer.states ?? [],
    onLeave: singer.onLeave ?? false,
    notes: singer.notes ?? '',
    checkedOn: singer.checkedOn ?? null,
  };
};

const asCheck = (check: RangeCheck): KeptCheck => ({
  id: check.id,
  checkedOn: check.checkedOn,
  ...fromColumns(check),
  lightTop: check.lightTop ?? null,
  changes: check.changes ?? [],
  means: check.means,
});

/** The singers of a choir, by name, a page at a time. */
export async function listSingers(
  em: EntityManager,
  choir: Choir,
  after: string | undefined,
): Promise<PageOf<SingerView>> {
  const { items, next } = await pageOfRows(
    em,
    Singer,
    { choir },
    { populate: ['part'], orderBy: { name: 'asc', createdAt: 'asc', id: 'asc' }, after },
  );
  return { items: items.map(asSinger), next };
}

/** Some singers of a choir, by name, as they are now. */
async function singersNow(
  em: EntityManager,
  choir: Choir,
  ids: readonly string[],
): Promise<SingerView[]> {
  em.clear();
  const singers = await em.find(
    Singer,
    { choir, id: { $in: ids } },
    { populate: ['part'], orderBy: { name: 'asc', createdAt: 'asc' } },
  );
  return singers.map(asSinger);
}

async function findSinger(em: EntityManager, choir: Choir, id: string): Promise<Singer> {
  const singer = await em.findOne(Singer, { id, choir }, { populate: ['part'] });
  if (!singer) throw notFound('singer');
  return singer;
}

const unknownLimits = { comfortLow: null, comfortHigh: null, reachLow: null, reachHigh: null };

/** What a singer's part usually reaches; all parts together for whoever has none yet. */
const usualReach = (part: VoicePart | null | undefined, parts: readonly VoicePart[]): PitchRange =>
  part ? fromColumns(part).reach : reachOfAll(parts.map(fromColumns));

const inOrder = (notes: readonly number[]): number[] => [...new Set(notes)].sort((a, b) => a - b);

/** What is stored of a singer, once it is known to make sense; messages stand under `at`. */
function checkedColumns(fields: SingerFields, parts: readonly VoicePart[], at: string) {
  const wrong: Record<string, string> = {};
  const part = parts.find(({ code }) => code === fields.part) ?? null;
  if (!part && fields.part !== null) {
    wrong[`${at}part`] = problemWords.invalid({ what: 'part', part: fields.part });
  }
  const { comfort, reach, lightTop, changes } = fields;
  if (comfort && reach) {
    for (const problem of limitsProblems({ comfort, reach, lightTop }, usualReach(part, parts))) {
      wrong[`${at}${problem.field}`] ??= limitsProblemInWords(problem, part ?? undecidedName);
    }
  }
  const [message] = Object.values(wrong);
  if (message !== undefined) throw new Problem('invalid', message, wrong);
  const also = fields.also.filter((code) => code !== part?.code);
  return {
    name: fields.name,
    part,
    also: also.filter((code) => parts.some((one) => one.code === code)),
    ...(comfort && reach ? toColumns({ comfort, reach }) : unknownLimits),
    lightTop,
    changes: inOrder(changes),
    states: fields.states,
    onLeave: fields.onLeave,
    notes: fields.notes,
  };
}

/** Stores new and changed singers and answers with them: all, or, when one is wrong or was changed meanwhile, none. */
export async function storeSingers(
  em: EntityManager,
  choir: Choir,
  { add, change }: StoreSingers,
): Promise<SingerView[]> {
  const room = { of: 'singers', adding: add.length } as const;
  const stored = await withRoom(em, choir, room, async (inner) => {
    const parts = await partsOf(inner, choir);
    const made = add.map((fields, i) =>
      inner.create(Singer, { choir, ...checkedColumns(fields, parts, `add.${i}.`) }),
    );
    const known = await inner.find(Singer, { choir, id: { $in: change.map(({ id }) => id) } });
    change.forEach(({ id, version, singer: fields }, i) => {
      const singer = known.find((one) => one.id === id);
      if (!singer) throw notFound('singer');
      if (singer.version !== version) throw problem('changed_meanwhile');
      inner.assign(singer, checkedColumns(fields, parts, `change.${i}.singer.`));
    });
    await inner.flush();
    return [...made, ...known].map(({ id }) => id);
  });
  return singersNow(em, choir, stored);
}

export async function changeSinger(
  em: EntityManager,
  choir: Choir,
  id: string,
  { version, singer: fields }: ChangeSinger,
): Promise<SingerView> {
  const parts = await partsOf(em, choir);
  const singer = await findSinger(em, choir, id);
  await em.lock(singer, LockMode.OPTIMISTIC, version);
  em.assign(singer, checkedColumns(fields, parts, 'singer.'));
  await em.flush();
  return asSinger(singer);
}

const dropSent = `
  delete from singer_answer
    where choir_id = ? and said ->> 'kind' = 'range' and lower(said ->> 'name') = lower(trim(?))`;

/**
 * Takes a singer off the roster, with every check, every evening, and what was sent from home under that name;
 * plans keep only sections.
 */
export async function deleteSinger(em: EntityManager, choir: Choir, id: string): Promise<void> {
  const { name } = await findSinger(em, choir, id);
  await em.transactional(async (inner) => {
    await inner.nativeDelete(Singer, { id, choir });
    await inner.execute(dropSent, [choir.id, name]);
  });
}

const newestFirst = { orderBy: { checkedOn: 'desc', createdAt: 'desc' } } as const;

/** A singer's range checks, the newest first, a page at a time. */
export async function listChecks(
  em: EntityManager,
  choir: Choir,
  id: string,
  after: string | undefined,
): Promise<PageOf<KeptCheck>> {
  const singer = await findSinger(em, choir, id);
  const orderBy = { ...newestFirst.orderBy, id: 'desc' } as const;
  const { items, next } = await pageOfRows(em, RangeCheck, { singer }, { orderBy, after });
  return { items: items.map(asCheck), next };
}

/** Everything that is kept about one singer. */
export async function exportSinger(
  em: EntityManager,
  choir: Choir,
  id: string,
): Promise<SingerExport> {
  const singer = await findSinger(em, choir, id);
  const evenings = await em.find(
    SingerEvening,
    { singer },
    { populate: ['evening'], orderBy: { evening: { startsAt: 'asc' } } },
  );
  return {
    format: 'wide-fern singer 1',
    singer: asSinger(singer),
    checks: (await em.find(RangeCheck, { singer }, newestFirst)).map(asCheck),
    evenings: evenings.map(({ evening, away, states }) => ({
      startsAt: evening.startsAt.toISOString(),
      away: away ?? false,
      states: states ?? [],
    })),
  };
}

/** Keeps range checks as of today; the singers' limits follow them. All are kept, or none. */
export async function keepChecks(
  em: EntityManager,
  choir: Choir,
  { checks }: KeepChecks,
  now = new Date(),
): Promise<SingerView[]> {
  const checkedOn = dateIn(now, choir.timeZone);
  await withRoom(em, choir, { of: 'checks', adding: checks.length }, async (inner) => {
    const ids = checks.map(({ singer }) => singer);
    const parts = await partsOf(inner, choir);
    const singers = await inner.find(
      Singer,
      { choir, id: { $in: ids } },
      { populate: ['part'], lockMode: LockMode.PESSIMISTIC_WRITE, lockTableAliases: ['s0'] },
    );
    checks.forEach(({ singer: id, part: chosen, comfort, reach, lightTop, changes, means }, i) => {
      const singer = singers.find((one) => one.id === id);
      if (!singer) throw notFound('singer');
      const part = chosen === undefined ? singer.part : parts.find(({ code }) => code === chosen);
      if (chosen !== undefined && !part) {
        const message = problemWords.invalid({ what: 'part', part: chosen });
        throw new Problem('invalid', message, { [`checks.${i}.part`]: message });
      }
      const [problem] = limitsProblems({ comfort, reach, lightTop }, usualReach(part, parts));
      if (problem) {
        const message = limitsProblemInWords(problem, part ?? undecidedName);
        throw new Problem('invalid', message, { [`checks.${i}.${problem.field}`]: message });
      }
      const columns = toColumns({ comfort, reach });
      const noted = inOrder(changes);
      inner.create(RangeCheck, {
        ...{ singer, checkedOn, ...columns, lightTop, changes: noted, means },
      });
      // A check without the light register, or the changes, leaves what was known of them.
      inner.assign(singer, {
        ...columns,
        ...(part ? { part } : {}),
        ...(noted.length > 0 ? { changes: noted } : {}),
        lightTop: lightTop ?? singer.lightTop ?? null,
        checkedOn,
      });
    });
  });
  return singersNow(
    em,
    choir,
    checks.map(({ singer }) => singer),
  );
}

/** Takes a check back; the singer's limits are those of the newest that is left, if there is one. */
export async function dropCheck(
  em: EntityManager,
  choir: Choir,
  id: string,
  check: string,
): Promise<SingerView> {
  return em.transactional(async (inner) => {
    const singer = await findSinger(inner, choir, id);
    const checks = await inner.find(RangeCheck, { singer }, newestFirst);
    const gone = checks.find((one) => one.id === check);
    if (!gone) throw notFound('check');
    inner.remove(gone);
    const [newest] = checks.filter((one) => one !== gone);
    if (checks[0] === gone && newest) {
      inner.assign(singer, {
        ...toColumns(fromColumns(newest)),
        lightTop: newest.lightTop ?? singer.lightTop ?? null,
        changes: (newest.changes ?? []).length > 0 ? newest.changes : (singer.changes ?? []),
        checkedOn: newest.checkedOn,
      });
    } else if (!newest) singer.checkedOn = null;
    await inner.flush();
    return asSinger(singer);
  });
}
