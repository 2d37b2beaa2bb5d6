import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { mostKept, type WholeChoir } from '@wide-fern/contract';
import { choirFileWords } from '@wide-fern/words';
import { noPassword, type Account } from '../db/entities/account';
import { Choir, Member } from '../db/entities/choir';
import { PieceFile } from '../db/entities/pieces';

import { problem, Problem } from '../http/problem';
import type { Received } from '../http/received';
import { record } from '../keeping/records';
import { workOutRuns } from '../run/leftRuns';
import { scoreName } from './giveOut';
import { openChoirFile } from './open';
import { kinds, tableOf, type Kind } from './tables';

/** So many rows are stored at once. */
const atOnce = 500;
/** A person founds no more choirs than this. */
const mostChoirs = 20;

const uuids = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** Whether any row of the file is here already, in whatever choir. */
async function isHere(em: EntityManager, whole: WholeChoir): Promise<boolean> {
  for (const kind of kinds) {
    const { name, ownIds } = tableOf(kind);
    if (!ownIds || whole[kind].length === 0) continue;
    const ids = whole[kind].map(({ id }) => id);
    const [row]: { here: boolean }[] = await em.execute(
      `select exists (select 1 from ${name} where id = any(?::uuid[])) as here`,
      [`{${ids.join(',')}}`],
    );
    if (row!.here) return true;
  }
  return false;
}

/** The same choir with other ids, wherever one is named: in agendas, plans and runs too. */
function renamed(whole: WholeChoir): { whole: WholeChoir; was: ReadonlyMap<string, string> } {
  const now = new Map<string, string>();
  for (const kind of kinds) {
    if (!tableOf(kind).ownIds) continue;
    for (const { id } of whole[kind]) now.set(id, randomUUID());
  }
  const text = JSON.stringify(whole).replace(uuids, (id) => now.get(id) ?? id);
  return {
    whole: JSON.parse(text) as WholeChoir,
    was: new Map([...now].map(([old, id]) => [id, old])),
  };
}

async function storeRows(
  em: EntityManager,
  choir: Choir,
  kind: Exclude<Kind, 'scores'>,
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<void> {
  const { name, columns, through } = tableOf(kind);
  const into = columns.map(([, column]) => column);
  const owned = through ? [] : ['choir_id'];
  for (let at = 0; at < rows.length; at += atOnce) {
    const some = rows
      .slice(at, at + atOnce)
      .map((row) => Object.fromEntries(columns.map(([word, column]) => [column, row[word]])));
    await em.execute(
      `insert into ${name} (${[...owned, ...into].join(', ')})
       select ${[...owned.map(() => '?::uuid'), ...into.map((column) => `r.${column}`)].join(', ')}
       from jsonb_populate_recordset(null::${name}, ?::jsonb) r`,
      [...(through ? [] : [choir.id]), JSON.stringify(some)],
    );
  }
}

/**
 * Makes a choir of a file that a choir was given out in; whoever brings it in is its director. Where the
 * file's rows are here already they get other ids, and both choirs stay.
 * @throws Problem invalid where the file is no choir, or broken; demo_account
 */
export async function bringChoirIn(
  em: EntityManager,
  account: Account,
  file: Received,
): Promise<{ choir: string }> {
  if (account.passwordHash === noPassword) throw problem('demo_account');
  const founded = await em.count(Member, { account, role: 'director' });
  if (founded >= mostChoirs) throw new Problem('invalid', choirFileWords.tooMany(mostChoirs));
  const choir = await file.use(async (bytes) => {
    const { whole: read, scores } = openChoirFile(bytes);
    if (read.scores.reduce((sum, { size }) => sum + size, 0) > mostKept.files) {
      throw new Problem('invalid', choirFileWords.tooMuch);
    }
    const { whole, was } = (await isHere(em, read))
      ? renamed(read)
      : { whole: read, was: new Map<string, string>() };
    return em.transactional(async (inner) => {
      const made = inner.create(Choir, { ...whole.choir });
      inner.create(Member, { choir: made, account, role: 'director' });
      record(inner, { choir: made, by: account, kind: 'brought-in' });
      await inner.flush();
      for (const kind of kinds) {
        if (kind !== 'scores') {
          await storeRows(inner, made, kind, whole[kind]);
          continue;
        }
        for (const { id, name, size, createdAt } of whole.scores) {
          const score = scores.get(scoreName(was.get(id) ?? id));
          if (score?.length !== size) {
            throw new Problem('invalid', choirFileWords.broken(`scores: ${name}`));
          }
          await inner.insert(PieceFile, {
            ...{ id, choir: made, name, size, createdAt: new Date(createdAt) },
            bytes: Buffer.from(score),
          });
          // To the microsecond, as everything else.
          await inner.execute('update piece_file set created_at = ?::timestamptz where id = ?', [
            createdAt,
            id,
          ]);
        }
      }
      return made.id;
    });
  });
  await workOutRuns(em.fork());
  return { choir };
}
