import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { recordingType, type Judging } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { lean } from '../db/lean';
import { notFound, problem } from '../http/problem';
import type { Received } from '../http/received';
import { withRoom } from '../keeping/room';
import { plainName } from './files.service';
import { showJudging, type Judge, type JudgingPlace } from './judgings.service';

/** Keeps the recording of a run for so many days, in place of the one before. */
export async function keepRecording(
  em: EntityManager,
  judge: Judge,
  place: JudgingPlace,
  { name, days, sent }: { readonly name: string; readonly days: number; readonly sent: Received },
): Promise<Judging> {
  // Who is not here is told so before anything is read.
  await showJudging(em, judge, place);
  await em.execute('delete from piece_recording where expires_at < now()');
  const { size } = sent;
  await sent.use((bytes) => {
    if (recordingType(bytes) === undefined) throw problem('invalid', { what: 'recording' });
    return withRoom(em, judge.choir, { of: 'recordings', adding: size }, async (inner) => {
      const kept = await lean<{ id: string }>(
        inner,
        `insert into piece_recording (id, judging_id, name, size, bytes, expires_at, created_at)
           select ?, id, ?, ?, ?, now() + make_interval(days => ?), now()
             from piece_judging where id = ? for key share
           on conflict (judging_id) do update set
             name = excluded.name, size = excluded.size, bytes = excluded.bytes,
             expires_at = excluded.expires_at, created_at = excluded.created_at
           returning id`,
        [randomUUID(), plainName(name, 'recording'), size, bytes, days, place.judging],
      );
      if (kept.length === 0) throw notFound('judging');
    });
  });
  return showJudging(em, judge, place);
}

const found = `
  from piece_recording r
  join piece_judging j on j.id = r.judging_id
  join piece on piece.id = j.piece_id
 where j.id = ? and piece.id = ? and piece.choir_id = ?`;

/** A recording as it was handed in, while it is kept. */
export async function showRecording(
  em: EntityManager,
  choir: Choir,
  { piece, judging }: JudgingPlace,
): Promise<{ name: string; bytes: Buffer }> {
  const [file] = await lean<{ name: string; bytes: Buffer }>(
    em,
    `select r.name, r.bytes ${found} and r.expires_at > now()`,
    [judging, piece, choir.id],
  );
  if (!file) throw notFound('recording');
  return file;
}

export async function removeRecording(
  em: EntityManager,
  choir: Choir,
  { piece, judging }: JudgingPlace,
): Promise<void> {
  const gone = await lean(
    em,
    `delete from piece_recording where id = (select r.id ${found}) returning id`,
    [judging, piece, choir.id],
  );
  if (gone.length === 0) throw notFound('recording');
}
