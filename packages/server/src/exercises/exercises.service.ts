import { randomUUID } from 'node:crypto';
import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import { exercises as builtIn } from '@wide-fern/catalogue';
import {
  mostKept,
  upcastExercise,
  type ChangeExercise,
  type ChoirExercises,
  type Exercise,
  type ExerciseMark as MarkView,
  type ExerciseVersion as VersionView,
  type StoredExercises,
} from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import { lockChoir } from '../keeping/room';
import type { Choir } from '../db/entities/choir';
import { pageOfRows, type PageOf } from '../db/page';
import { notFound, problem } from '../http/problem';
import { ExerciseMark, ExerciseVersion, OwnExercise } from '../db/entities/exercises';

const builtInIds: ReadonlySet<string> = new Set(builtIn.map(({ id }) => id));

/** What was stored, in the present shape, whenever it was. */
const present = (document: Exercise): Exercise => upcastExercise(document) as Exercise;

const asView = ({ code, version, document }: OwnExercise): Exercise => ({
  ...present(document),
  id: code,
  version,
});

/** When each exercise was last in a warm-up of an evening that has begun. */
async function lastUsed(em: EntityManager, choir: Choir): Promise<Record<string, string>> {
  const rows: { code: string; at: Date | string }[] = await em.execute(
    `select segment -> 'exercise' ->> 'id' as code, max(evening.starts_at) as at
       from plan
       join evening on evening.id = plan.evening_id
       cross join lateral jsonb_array_elements(plan.document -> 'segments') as segment
      where plan.choir_id = ? and evening.starts_at <= now()
      group by 1`,
    [choir.id],
  );
  return Object.fromEntries(rows.map(({ code, at }) => [code, new Date(at).toISOString()]));
}

/** A choir's own exercises, its marks on all, and when each was last used. */
export async function showExercises(em: EntityManager, choir: Choir): Promise<ChoirExercises> {
  const own = await em.find(
    OwnExercise,
    { choir, removedAt: null },
    { orderBy: { createdAt: 'asc', code: 'asc' } },
  );
  const marks = await em.find(ExerciseMark, { choir });
  return {
    own: own.map(asView),
    marks: Object.fromEntries(
      marks.map(({ code, favourite, hidden, note, learnedFrom }) => [
        code,
        { favourite, hidden, note, ...(learnedFrom && { learnedFrom: learnedFrom.toISOString() }) },
      ]),
    ),
    lastUsed: await lastUsed(em, choir),
  };
}

/** A value with the names of its parts in order, at every depth: the database keeps no order. */
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  const parts = Object.entries(value).filter(([, part]) => part !== undefined);
  return parts.sort(([x], [y]) => (x < y ? -1 : 1)).map(([name, part]) => [name, inOrder(part)]);
}

/** What an exercise is, without its id and version: two alike are one. */
const contentOf = (exercise: Exercise): string =>
  JSON.stringify(inOrder({ ...exercise, id: '', version: 0 }));

/** An id nobody has: the one wanted, or with a number behind it. */
function freeId(wanted: string, taken: ReadonlySet<string>): string {
  if (!taken.has(wanted)) return wanted;
  for (let n = 2; ; n += 1) {
    const id = `${wanted.slice(0, 60 - String(n).length - 1)}-${n}`;
    if (!taken.has(id)) return id;
  }
}

/** Stores new exercises; what is here already, exactly alike, is left as it is. */
export async function storeExercises(
  em: EntityManager,
  { choir, account }: { choir: Choir; account: Account },
  wanted: readonly Exercise[],
): Promise<StoredExercises> {
  return em.transactional(async (inner) => {
    // Two who store at once do not get the same id.
    await lockChoir(inner, choir);
    const own = await inner.find(OwnExercise, { choir });
    const here = own.filter(({ removedAt }) => removedAt === null);
    const known = new Set([...builtIn, ...here.map(asView)].map(contentOf));
    const taken = new Set([...builtInIds, ...own.map(({ code }) => code)]);
    const alike: string[] = [];
    const stored: OwnExercise[] = [];
    for (const exercise of wanted) {
      const content = contentOf(exercise);
      if (known.has(content)) {
        alike.push(exercise.name);
        continue;
      }
      known.add(content);
      const code = freeId(exercise.id, taken);
      taken.add(code);
      const document = { ...exercise, id: code, version: 1 };
      const row = inner.create(OwnExercise, { choir, code, document, version: 1, removedAt: null });
      inner.create(ExerciseVersion, { exercise: row, version: 1, document, savedBy: account });
      stored.push(row);
    }
    if (here.length + stored.length > mostKept.exercises) {
      const most = mostKept.exercises;
      throw problem('too_many', { of: 'exercises', most, here: here.length });
    }
    await inner.flush();
    return { stored: stored.map(asView), alike };
  });
}

async function findOwn(em: EntityManager, choir: Choir, code: string): Promise<OwnExercise> {
  const found = await em.findOne(OwnExercise, { choir, code });
  if (!found) throw notFound('exercise');
  return found;
}

/** So many versions of an exercise are kept. */
const mostVersions = 50;

/** Changes an exercise that was at the given version; a new version is kept beside the old ones. */
export async function changeExercise(
  em: EntityManager,
  where: { choir: Choir; account: Account; code: string },
  { version, exercise }: ChangeExercise,
): Promise<Exercise> {
  const { choir, account, code } = where;
  return em.transactional(async (inner) => {
    const own = await findOwn(inner, choir, code);
    await inner.lock(own, LockMode.OPTIMISTIC, version);
    const next = version + 1;
    const document = { ...exercise, id: code, version: next };
    own.document = document;
    own.removedAt = null;
    inner.create(ExerciseVersion, { exercise: own, version: next, document, savedBy: account });
    await inner.flush();
    await inner.nativeDelete(ExerciseVersion, {
      exercise: own,
      version: { $lte: next - mostVersions },
    });
    return asView(own);
  });
}

/** Throws an exercise away, or brings it back; plans keep theirs either way. */
export async function setRemoved(
  em: EntityManager,
  choir: Choir,
  code: string,
  removed: boolean,
): Promise<void> {
  const own = await findOwn(em, choir, code);
  // By hand: it is no new version of the exercise, which an update of the row would count.
  await em.execute('update own_exercise set removed_at = ? where id = ?', [
    removed ? new Date() : null,
    own.id,
  ]);
}

/** The versions an exercise has had, the newest first, a page at a time. */
export async function listVersions(
  em: EntityManager,
  choir: Choir,
  code: string,
  after: string | undefined,
): Promise<PageOf<VersionView>> {
  const exercise = await findOwn(em, choir, code);
  const { items, next } = await pageOfRows(
    em,
    ExerciseVersion,
    { exercise },
    { populate: ['savedBy'], orderBy: { version: 'desc' }, after },
  );
  const versions = items.map(({ version, savedAt, savedBy, document }) => ({
    version,
    savedAt: savedAt.toISOString(),
    savedBy: savedBy?.name ?? '',
    exercise: { ...present(document), id: code, version },
  }));
  return { items: versions, next };
}

/** Keeps what a choir thinks of an exercise, built in or its own. */
export async function markExercise(
  em: EntityManager,
  choir: Choir,
  code: string,
  mark: MarkView,
): Promise<MarkView> {
  if (!builtInIds.has(code)) await findOwn(em, choir, code);
  // One statement, so that two who mark at once both come through.
  await em.execute(
    `insert into exercise_mark (id, choir_id, code, favourite, hidden, note, learned_from)
     values (?, ?, ?, ?, ?, ?, ?)
     on conflict (choir_id, code)
     do update set favourite = excluded.favourite, hidden = excluded.hidden, note = excluded.note,
                   learned_from = excluded.learned_from`,
    [
      ...[randomUUID(), choir.id, code, mark.favourite, mark.hidden, mark.note],
      mark.learnedFrom ?? null,
    ],
  );
  return mark;
}
