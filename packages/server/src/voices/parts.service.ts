import { own } from '@wide-fern/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { ChoirPart, SaveParts } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { problem } from '../http/problem';
import { fromColumns, toColumns } from '../db/entities/limits';
import { Singer, VoicePart } from '../db/entities/voices';

const columnsOf = (part: ChoirPart, position: number) => ({
  ...toColumns(part),
  code: part.id,
  one: part.one,
  many: part.many,
  octave: part.octave,
  end: part.end,
  changeLow: part.change[0],
  changeHigh: part.change[1],
  position,
});

/** A new part of a choir; the caller flushes. */
export const addPart = (
  em: EntityManager,
  choir: Choir,
  part: ChoirPart,
  position: number,
): VoicePart => em.create(VoicePart, { choir, ...columnsOf(part, position) });

/** A part as everyone sees it. */
export const asPart = (part: VoicePart): ChoirPart => ({
  id: part.code,
  one: part.one,
  many: part.many,
  octave: part.octave,
  ...fromColumns(part),
  end: part.end ?? 'top',
  change: [part.changeLow, part.changeHigh],
});

/** The parts of a choir, from the highest to the lowest. */
export const partsOf = (em: EntityManager, choir: Choir): Promise<VoicePart[]> =>
  em.find(VoicePart, { choir }, { orderBy: { position: 'asc' } });

/**
 * Replaces the parts of a choir. A part that keeps its letters keeps its singers; those of a part
 * that goes are put where `moves` says, and without a word about them nothing changes.
 */
export async function saveParts(
  em: EntityManager,
  choir: Choir,
  { parts, moves }: SaveParts,
): Promise<void> {
  await em.transactional(async (inner) => {
    await inner.execute('select 1 from choir where id = ? for update', [choir.id]);
    const before = await partsOf(inner, choir);
    const singers = await inner.find(Singer, { choir });
    const known = new Map(before.map((part) => [part.code, part]));
    const now = new Map(
      parts.map((part, position) => {
        const kept = known.get(part.id);
        if (kept) inner.assign(kept, columnsOf(part, position));
        return [part.id, kept ?? addPart(inner, choir, part, position)];
      }),
    );
    for (const part of before.filter(({ code }) => !now.has(code))) {
      const left = singers.filter((singer) => singer.part === part);
      const target = now.get(own(moves, part.code) ?? '');
      if (left.length > 0 && !target) {
        throw problem('singers_left', left.length, part).at(`moves.${part.code}`);
      }
      for (const singer of left) singer.part = target!;
      inner.remove(part);
    }
    // What someone can sing beside their own part is named by letters; parts that went are forgotten.
    for (const singer of singers) {
      const also = (singer.also ?? []).map((code) =>
        now.has(code) ? code : (own(moves, code) ?? ''),
      );
      const kept = [...new Set(also)].filter((code) => now.has(code) && code !== singer.part?.code);
      if (kept.join() !== (singer.also ?? []).join()) singer.also = kept;
    }
  });
}
