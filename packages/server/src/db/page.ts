import type {
  EntityManager,
  EntityName,
  FilterQuery,
  OrderDefinition,
  Populate,
} from '@mikro-orm/postgresql';
import { pageSize } from '@wide-fern/contract';
import { problem } from '../http/problem';

/** What a page holds and where the next one goes on. */
export interface PageOf<T> {
  readonly items: T[];
  readonly next: string | null;
}

const asProblem = (error: unknown): never => {
  // A cursor that is none of ours: cut, made up, or of another list.
  if (error instanceof Error && /cursor|JSON|base64/i.test(`${error.name} ${error.message}`)) {
    throw problem('invalid', { what: 'page' });
  }
  throw error;
};

/** A page of rows in their order, behind the one that the page before ended with. */
export async function pageOfRows<E extends object, Hint extends string = never>(
  em: EntityManager,
  entity: EntityName<E>,
  where: FilterQuery<NoInfer<E>>,
  options: {
    readonly orderBy: OrderDefinition<E>;
    readonly populate?: Populate<E, Hint>;
    readonly after: string | undefined;
  },
): Promise<PageOf<E>> {
  const { orderBy, populate, after } = options;
  const cursor = await em
    .findByCursor<E, Hint>(entity, where, {
      first: pageSize,
      orderBy,
      ...(populate ? { populate } : {}),
      ...(after === undefined ? {} : { after }),
    })
    .catch(asProblem);
  return {
    items: [...cursor.items] as E[],
    next: cursor.hasNextPage ? (cursor.endCursor ?? null) : null,
  };
}

/** The place in a list by hand-written SQL, as a word that can be sent. */
export const asCursor = (keys: readonly string[]): string =>
  Buffer.from(JSON.stringify(keys)).toString('base64url');

/** The keys of such a word; it has to hold as many as the list is ordered by. */
export function fromCursor(cursor: string, count: number): string[] {
  try {
    const keys: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString());
    if (
      Array.isArray(keys) &&
      keys.length === count &&
      keys.every((key) => typeof key === 'string')
    ) {
      return keys;
    }
  } catch {
    // Said below.
  }
  throw problem('invalid', { what: 'page' });
}
