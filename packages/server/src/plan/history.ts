import type { EntityManager } from '@mikro-orm/postgresql';
import { mostFacts, type EditFact } from '@wide-fern/contract';
import { lean } from '../db/lean';
import { PlanVersion } from '../db/entities/plan';

/** A version as far as thinning out looks at it. */
export interface DatedVersion {
  readonly version: number;
  readonly savedAt: Date;
  readonly edits: readonly EditFact[];
  /** Whether the plan is kept as it was: that is not thinned out for one of which only the name is left. */
  readonly whole?: boolean | undefined;
}

const minute = 60_000;
const hour = 60 * minute;
const day = 24 * hour;

/** How far apart versions of an age are kept: all of the last hour, then ever fewer. */
const steps: readonly (readonly [olderThan: number, apart: number])[] = [
  [60 * day, 7 * day],
  [7 * day, day],
  [day, hour],
  [hour, 10 * minute],
];

/** Of versions that are younger than this each is kept as it is. */
const youngest = hour;

const apartAt = (age: number): number => steps.find(([older]) => age > older)?.[1] ?? 0;

/**
 * What is kept of a plan's versions, given in their order: of those that lie close together the
 * last, with what was done in all of them. Saved every moment while somebody works, they are many;
 * looked at weeks later, one for each evening says enough.
 */
export function thinned<V extends DatedVersion>(versions: readonly V[], now: Date): V[] {
  const kept: V[] = [];
  for (const one of versions) {
    const before = kept.at(-1);
    const apart = apartAt(now.getTime() - one.savedAt.getTime());
    const bucket = (at: Date) => Math.floor(at.getTime() / apart);
    const loses = before?.whole && !one.whole;
    if (before && !loses && apart > 0 && bucket(before.savedAt) === bucket(one.savedAt)) {
      const edits = [...before.edits, ...one.edits].slice(-mostFacts);
      kept[kept.length - 1] = { ...one, edits };
    } else kept.push(one);
  }
  return kept;
}

/** A plan is thinned out when it has been saved so many times more. */
const every = 50;

/** Whether a plan's versions are thinned out when it is saved with this one. */
export const isThinnedAt = (version: number): boolean => version % every === 0;

/** Thins out what is kept of a plan's versions. */
export async function thinOut(em: EntityManager, plan: string, now: Date): Promise<void> {
  const old = { plan, savedAt: { $lt: new Date(now.getTime() - youngest) } };
  const rows = await em.find(PlanVersion, old, { orderBy: { version: 'asc' } });
  if (rows.length === 0) return;
  const whole = await wholeVersions(em, plan);
  const kept = new Map(
    thinned(
      rows.map(({ version, savedAt, edits }) => {
        return { version, savedAt, edits, whole: whole.has(version) };
      }),
      now,
    ).map((one) => [one.version, one]),
  );
  for (const row of rows) {
    const one = kept.get(row.version);
    if (!one) em.remove(row);
    else if (one.edits.length !== row.edits.length) row.edits = [...one.edits];
  }
  await em.flush();
}

/** The versions of which the plan is kept as it was. */
export async function wholeVersions(em: EntityManager, plan: string): Promise<Set<number>> {
  const rows = await lean<{ version: number }>(
    em,
    'select version from plan_version where plan_id = ? and document is not null',
    [plan],
  );
  return new Set(rows.map(({ version }) => version));
}
