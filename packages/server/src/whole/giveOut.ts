import { IsolationLevel, type EntityManager } from '@mikro-orm/postgresql';
import {
  choirFileFormat,
  choirFileVersion,
  type SmallEdit,
  type WholeChoir,
} from '@wide-fern/contract';
import { upcastStored, withStored } from '@wide-fern/plan';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { Acting } from '../choir/members.service';
import type { Choir } from '../db/entities/choir';
import { recordNow } from '../keeping/records';
import { kinds, settings, tableOf, type Kind, type Through } from './tables';

/** Where the words lie in a choir's file, and its scores. */
export const textName = 'choir.json';
export const scoreName = (id: string): string => `scores/${id}`;

type Row = Readonly<Record<string, unknown>>;

const asJson = (columns: readonly (readonly [string, string])[]): string =>
  `jsonb_build_object(${columns.map(([word, column]) => `'${word}', t.${column}`).join(', ')})`;

/** That a row belongs to a choir. */
const whereOf = ({ column, table, through }: Through): string =>
  `${column} in (select id from ${table} where ${through ? whereOf(through) : 'choir_id = ?'})`;

async function rowsOf(em: EntityManager, choir: Choir, kind: Kind): Promise<Row[]> {
  const { name, columns, through } = tableOf(kind);
  const where = through ? `t.${whereOf(through)}` : 't.choir_id = ?';
  const found: { row: Row }[] = await em.execute(
    `select ${asJson(columns)} as row from ${name} t where ${where} order by ${
      kind === 'runEvents' ? 't.run_id, t.n, t.id' : 't.id'
    }`,
    [choir.id],
  );
  return found.map(({ row }) => row);
}

/** Small edits that were stored after a plan's document, by the plan. */
async function changesOf(em: EntityManager, choir: Choir): Promise<Map<unknown, SmallEdit[]>> {
  const rows: { plan: string; changes: SmallEdit[] }[] = await em.execute(
    `select plan_id as plan, changes from plan_change
      where plan_id in (select id from plan where choir_id = ?) order by plan_id, version`,
    [choir.id],
  );
  const found = new Map<unknown, SmallEdit[]>();
  for (const { plan, changes } of rows) {
    found.set(plan, [...(found.get(plan) ?? []), ...changes]);
  }
  return found;
}

/** Documents as they are and are understood now, of whatever schema they were stored. */
function upToDate(kind: Kind, row: Row, changes: ReadonlyMap<unknown, SmallEdit[]>): Row {
  if (kind === 'runs') {
    const head = row.head as { readonly document: { readonly schema: number } };
    return { ...row, head: { ...head, document: upcastStored(head.document) } };
  }
  if (kind !== 'plans' && kind !== 'planVersions' && kind !== 'keptPlans') return row;
  const stored = row.document as { readonly schema: number } | null;
  const document = stored && upcastStored(stored);
  const since = kind === 'plans' ? changes.get(row.id) : undefined;
  return { ...row, document: document && since ? withStored(document, since) : document };
}

/** Everything a choir has, as it is at one moment. */
async function wholeChoir(em: EntityManager, choir: Choir): Promise<WholeChoir> {
  const [own]: { row: Row }[] = await em.execute(
    `select ${asJson(settings)} as row from choir t where id = ?`,
    [choir.id],
  );
  const changes = await changesOf(em, choir);
  const all: Partial<Record<Kind, Row[]>> = {};
  for (const kind of kinds) {
    const rows = await rowsOf(em, choir, kind);
    all[kind] = rows.map((row) => upToDate(kind, row, changes));
  }
  const file = { format: choirFileFormat, version: choirFileVersion, choir: own!.row, ...all };
  return file as unknown as WholeChoir;
}

/** A ZIP file piece by piece: one score after the other, so that only one is in memory. */
async function* zipped(
  whole: WholeChoir,
  bytesOf: (score: string) => Promise<Uint8Array>,
): AsyncGenerator<Uint8Array> {
  let ready: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    ready.push(chunk);
  });
  const taken = () => {
    const now = ready;
    ready = [];
    return now;
  };
  const text = new ZipDeflate(textName, { level: 6 });
  zip.add(text);
  text.push(strToU8(JSON.stringify(whole)), true);
  yield* taken();
  for (const { id } of whole.scores) {
    // Deflated too: where a stored one ends could not be seen by who reads the file piece by piece.
    const score = new ZipDeflate(scoreName(id), { level: 1 });
    zip.add(score);
    score.push(await bytesOf(id), true);
    yield* taken();
  }
  zip.end();
  yield* taken();
}

/** Everything a choir has, in one file: its words as JSON, its scores as they were handed in. */
export async function giveOutChoir(em: EntityManager, { choir, account }: Acting) {
  const whole = await em.transactional((inner) => wholeChoir(inner, choir), {
    isolationLevel: IsolationLevel.REPEATABLE_READ,
    readOnly: true,
  });
  await recordNow(em, { choir, by: account, kind: 'exported', about: 'everything of the choir' });
  const bytesOf = async (id: string): Promise<Uint8Array> => {
    const [score]: { bytes: Buffer }[] = await em.execute(
      'select bytes from piece_file where id = ? and choir_id = ?',
      [id, choir.id],
    );
    return score?.bytes ?? new Uint8Array();
  };
  const day = new Date().toISOString().slice(0, 10);
  return { name: `choir-${day}.zip`, chunks: zipped(whole, bytesOf) };
}
