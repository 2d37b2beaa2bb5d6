import type { EntityManager } from '@mikro-orm/postgresql';
import type { Logbook, Logged, LoggedRun } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { lean } from '../db/lean';

const iso = (column: string) =>
  `to_char(${column} at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;

// What was led before its time is told too.
const evenings = `
  select e.id, ${iso('e.starts_at')} as "startsAt", e.name
    from evening e
   where e.choir_id = ? and e.starts_at >= ?
     and (e.starts_at <= now()
          or exists (select from run r where r.evening_id = e.id and r.planned is not null))
   order by e.starts_at`;

const runs = `
  select r.id, r.evening_id as evening, r.item, ${iso('r.started_at')} as "startedAt",
         r.allotted, r.planned, r.real
    from run r
   where r.choir_id = ? and r.started_at >= ? and r.planned is not null
   order by r.started_at, r.id`;

const led = `
  select run_id as run, exercise, name, phase, purposes,
         talk + coach + after as talk, singing, top, managed
    from led_once
   where choir_id = ? and led_at >= ?
   order by led_at, run_id, place`;

const judged = `
  select j.piece_id as piece, to_char(j.judged_on, 'YYYY-MM-DD') as "judgedOn", j.scores, j.target
    from piece_judgement j
    join piece p on p.id = j.piece_id
   where p.choir_id = ? and j.judged_on >= ?
   order by j.judged_on, j.created_at, j.id`;

const pieces = `select id, title from piece where choir_id = ? order by title, id`;

const lastLed = `
  select distinct on (exercise) exercise, name, ${iso('led_at')} as "ledAt"
    from led_once
   where choir_id = ?
   order by exercise, led_at desc`;

const week = 7 * 24 * 60 * 60_000;

/** What a choir did in its evenings in so many weeks, and how its pieces were judged. */
export async function showLogbook(
  em: EntityManager,
  { id }: Pick<Choir, 'id'>,
  weeks: number,
): Promise<Logbook> {
  const since = new Date(Date.now() - weeks * week);
  const judgements = await lean<Logbook['judged'][number]>(em, judged, [id, since]);
  return {
    evenings: await lean<Logbook['evenings'][number]>(em, evenings, [id, since]),
    runs: await lean<LoggedRun>(em, runs, [id, since]),
    led: await lean<Logged>(em, led, [id, since]),
    // What was noted beside a score stays with the piece.
    judged: judgements.map(({ scores, ...one }) => ({
      ...one,
      scores: scores.map(({ skill, score }) => ({ skill, score })),
    })),
    pieces: await lean<Logbook['pieces'][number]>(em, pieces, [id]),
    lastLed: await lean<Logbook['lastLed'][number]>(em, lastLed, [id]),
  };
}
