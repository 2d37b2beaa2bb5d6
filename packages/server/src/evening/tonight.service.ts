import type { EntityManager } from '@mikro-orm/postgresql';
import type { Evening as EveningView } from '@wide-fern/contract';
import { needsTonight } from '@wide-fern/core';
import type { Choir } from '../choir/choir.entity';
import { Piece } from '../piece/piece.entity';
import { bandOf, type BandSetting, type Present } from '../voices/bands';
import { partsOf } from '../voices/parts.service';
import { Singer, SingerEvening } from '../voices/voices.entity';
import type { Evening } from './evening.entity';
import { dateIn } from './zone';

/** What keys rest on for an evening, what is sung, and the sections as they would be with everyone. */
export type TonightOf = Pick<EveningView, 'tonight' | 'pieces' | 'withEveryone'>;

/** Who sings on an evening, and how they are. */
async function presentOn(em: EntityManager, choir: Choir, evening: Evening): Promise<Present[]> {
  const singers = await em.find(Singer, { choir, onLeave: false });
  const rows = new Map(
    (await em.find(SingerEvening, { evening })).map((row) => [row.singer.id, row]),
  );
  return singers.map((singer) => {
    const row = rows.get(singer.id);
    return { singer, away: row?.away ?? false, states: row?.states ?? [] };
  });
}

/** What keys rest on for an evening: each section's band from who is here and how, and what its pieces ask. */
export async function tonightFor(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
): Promise<TonightOf> {
  const parts = await partsOf(em, choir);
  const present = await presentOn(em, choir, evening);
  const condition = evening.condition ?? 'rested';
  const setting: BandSetting = {
    sharePercent: choir.sharePercent ?? 85,
    condition,
    trims: choir.trims,
    date: dateIn(evening.startsAt, choir.timeZone),
  };
  const sung = evening.agenda.flatMap(({ piece }) => (piece === null ? [] : [piece]));
  const pieces = await em.find(Piece, { choir, id: { $in: sung } });
  const inOrder = sung.flatMap((id) => pieces.find((piece) => piece.id === id) ?? []);
  const everyone = present.map((one) => ({ ...one, away: false }));
  return {
    tonight: {
      bands: parts.map((part) => bandOf(part, present, setting)),
      needs: needsTonight(
        parts.map(({ code }) => code),
        inOrder,
      ),
      condition,
    },
    pieces: inOrder.map(({ id, title, ranges }) => ({ id, title, ranges })),
    withEveryone: parts.map((part) => bandOf(part, everyone, setting)),
  };
}
