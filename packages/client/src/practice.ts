import { practiceSchema, z, type Practice } from '@wide-fern/contract';
import { ApiError, call } from './call/call';
import { keepLarge, readLarge } from './device/large';

/** A page to practise from: as it is now, or as it was when it was last fetched. */
export interface Opened {
  readonly practice: Practice;
  /** When it was fetched, where that is not just now. */
  readonly keptAt: string | null;
}

const keptSchema = z.object({ at: z.iso.datetime(), practice: practiceSchema });
const keyOf = (secret: string) => `practice ${secret}`;

async function kept(secret: string): Promise<Opened | undefined> {
  const { data } = keptSchema.safeParse(await readLarge(keyOf(secret)));
  return data && { practice: data.practice, keptAt: data.at };
}

/**
 * What a link leads to; without a connection as it was when it was last here. What was taken back is kept
 * no longer.
 * @throws ApiError where nothing is kept, and where the link is good no more
 */
export async function openPractice(secret: string): Promise<Opened> {
  try {
    const practice = await call('openPractice', { body: { secret } });
    await keepLarge(keyOf(secret), { at: new Date().toISOString(), practice });
    return { practice, keptAt: null };
  } catch (error) {
    if (error instanceof ApiError && error.code === 'not_found') {
      await keepLarge(keyOf(secret), null);
      throw error;
    }
    const before = await kept(secret);
    if (before) return before;
    throw error;
  }
}
