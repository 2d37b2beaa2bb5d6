import type { EntityManager } from '@mikro-orm/postgresql';
import { LRUCache } from 'lru-cache';
import { lean } from '../db/lean';

/** So many answers are remembered, of at most so many letters in all. */
const most = 2000;
const mostLetters = 20_000_000;

/** An answer as it was written, and the last change of the choir it rests on. */
interface Answer {
  readonly change: string;
  readonly json: string;
}

const answers = new LRUCache<string, Answer>({
  max: most,
  maxSize: mostLetters,
  sizeCalculation: ({ json }) => json.length + 1,
});

/** The last change of a choir: rises with everything that is stored in it, whoever stores it. */
async function lastChange(em: EntityManager, choir: string): Promise<string> {
  const [row] = await lean<{ last: string | null }>(
    em,
    'select max(id)::text as last from choir_change where choir_id = ?',
    [choir],
  );
  return row?.last ?? '';
}

/**
 * An answer that rests on nothing but a choir: written anew only when something of the choir changed.
 * @param key tells it from every other answer
 */
export async function remembered(
  em: EntityManager,
  { choir, key }: { readonly choir: string; readonly key: string },
  make: () => Promise<unknown>,
): Promise<string> {
  // Asked first: what changes while the answer is made is seen the next time.
  const change = await lastChange(em, choir);
  const known = answers.get(key);
  if (known?.change === change) return known.json;
  const json = JSON.stringify(await make());
  answers.set(key, { change, json });
  return json;
}
