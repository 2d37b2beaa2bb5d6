import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { KeptFile } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { lean } from '../db/lean';
import { withRoom } from '../keeping/room';
import { notFound, problem } from '../http/problem';
import type { Received } from '../http/received';

/** A file nobody made a piece of is thrown away after a day. */
const keptUnused = "interval '1 day'";

/** A name as it may be given back: one line, no path, no control characters. */
export function plainName(name: string, otherwise: string): string {
  const last = name.split(/[/\\]/).pop() ?? '';
  // eslint-disable-next-line no-control-regex
  const clean = last.replace(/[\u0000-\u001f\u007f"<>|:*?]/g, '').trim();
  return clean.slice(0, 200) || otherwise;
}

/** Keeps a score's file as it was handed in, until a piece is made of it. */
export async function keepFile(
  em: EntityManager,
  choir: Choir,
  name: string,
  sent: Received,
): Promise<KeptFile> {
  const { size } = sent;
  if (size === 0) throw problem('invalid', { what: 'file' });
  await em.execute(
    `delete from piece_file where choir_id = ? and created_at < now() - ${keptUnused}
       and not exists (select 1 from piece where piece.file_id = piece_file.id)`,
    [choir.id],
  );
  return sent.use((bytes) =>
    withRoom(em, choir, { of: 'files', adding: size }, async (inner) => {
      const [id, kept] = [randomUUID(), plainName(name, 'score')];
      await lean(
        inner,
        `insert into piece_file (id, choir_id, name, size, bytes, created_at)
           values (?, ?, ?, ?, ?, now())`,
        [id, choir.id, kept, size, bytes],
      );
      return { id, name: kept, size };
    }),
  );
}

/** A piece's file as it was handed in. */
export async function fileOfPiece(
  em: EntityManager,
  choir: Choir,
  id: string,
): Promise<{ name: string; bytes: Buffer }> {
  const [file]: { name: string; bytes: Buffer }[] = await em.execute(
    `select piece_file.name, piece_file.bytes
       from piece join piece_file on piece_file.id = piece.file_id
      where piece.id = ? and piece.choir_id = ?`,
    [id, choir.id],
  );
  if (!file) throw notFound('score');
  return file;
}
