import type { EntityManager } from '@mikro-orm/postgresql';
import type { AuditRecord as RecordView, RecordedKind } from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import { AuditRecord, type Choir } from '../db/entities/choir';
import { pageOfRows, type PageOf } from '../db/page';

/** Notes what was done in a choir, for its directors to read; the caller flushes. */
export function record(
  em: EntityManager,
  done: {
    readonly choir: Choir;
    readonly by: Account;
    readonly kind: RecordedKind;
    /** What or whom it was about, as a director knows it. */
    readonly about?: string;
  },
): void {
  const { choir, by, kind, about = '' } = done;
  em.create(AuditRecord, {
    choir,
    by: by.name,
    kind,
    about: about.slice(0, 200),
    at: new Date(),
  });
}

/** The same, stored at once. */
export async function recordNow(
  em: EntityManager,
  done: Parameters<typeof record>[1],
): Promise<void> {
  record(em, done);
  await em.flush();
}

/** What was done in a choir, the latest first. */
export async function listRecords(
  em: EntityManager,
  choir: Choir,
  after: string | undefined,
): Promise<PageOf<RecordView>> {
  const { items, next } = await pageOfRows(
    em,
    AuditRecord,
    { choir },
    { orderBy: { at: 'desc', id: 'desc' }, after },
  );
  return {
    items: items.map(({ id, at, by, kind, about }) => ({
      id,
      at: at.toISOString(),
      by,
      kind,
      about,
    })),
    next,
  };
}
