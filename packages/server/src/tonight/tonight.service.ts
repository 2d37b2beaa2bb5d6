import type { EntityManager } from '@mikro-orm/postgresql';
import type { Evening as EveningView, Role, Wish } from '@wide-fern/contract';
import {
  askedOf,
  needsTonight,
  targetWeight,
  type PieceRanges,
  type SectionSetting,
} from '@wide-fern/core';
import type { Choir } from '../db/entities/choir';
import { Piece } from '../db/entities/pieces';
import { openTargets } from '../pieces/pieces.service';
import { discreetSections, seesPersons } from '../voices/discreet';
import { sectionsOf, type Present } from '../voices/sections';
import { partsOf } from '../voices/parts.service';
import { Singer, SingerEvening } from '../db/entities/voices';
import type { Evening } from '../db/entities/evening';
import { dateIn } from '../time/zone';

/** What keys rest on for an evening, what is sung, and the sections as they would be with everyone. */
export type TonightOf = Pick<EveningView, 'tonight' | 'pieces' | 'withEveryone' | 'asUsual'>;

/** Who sings on an evening, and how they are. */
export async function presentOn(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
): Promise<Present[]> {
  const singers = await em.find(Singer, { choir, onLeave: false });
  const rows = new Map(
    (await em.find(SingerEvening, { evening })).map((row) => [row.singer.id, row]),
  );
  return singers.map((singer) => {
    const row = rows.get(singer.id);
    return { singer, away: row?.away ?? false, states: row?.states ?? [] };
  });
}

/** The lowest and highest note of each part in what is sung of a piece, as high as it is sung. */
function rangesAsSung(parts: readonly string[], asked: PieceRanges) {
  return Object.fromEntries(
    parts.flatMap((part) => {
      const found = askedOf(asked, part);
      return found ? [[part, [found.lowest.midi, found.highest.midi] as const]] : [];
    }),
  );
}

/** What judgements ask for: the open targets, those of the evening's own pieces first. */
export async function wishesFor(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
): Promise<Wish[]> {
  const targets = await openTargets(em, choir);
  if (targets.size === 0) return [];
  const sung = evening.agenda.flatMap(({ piece }) => piece ?? []);
  const pieces = await em.find(
    Piece,
    { choir, id: { $in: [...targets.keys()] } },
    { fields: ['id', 'title'] },
  );
  const place = (id: string) => (sung.includes(id) ? sung.indexOf(id) : Infinity);
  return pieces
    .map(({ id, title }) => ({ piece: id, title, ...targets.get(id)!, weight: targetWeight }))
    .sort((a, b) => {
      const order = place(a.piece) - place(b.piece);
      return Number.isNaN(order) || order === 0 ? a.title.localeCompare(b.title, 'en') : order;
    });
}

/** What the sections of an evening depend on, beside its singers. */
export const settingOf = (
  { sharePercent, trims, timeZone }: Choir,
  { condition, startsAt }: Evening,
): SectionSetting => ({
  share: (sharePercent ?? 85) / 100,
  condition: condition ?? 'rested',
  trims: trims ?? undefined,
  date: dateIn(startsAt, timeZone),
});

/** What keys rest on for an evening: each section's band from who is here and how, and what its pieces ask. */
export async function tonightFor(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
  forRole: Role = 'director',
): Promise<TonightOf> {
  const parts = await partsOf(em, choir);
  const present = await presentOn(em, choir, evening);
  const setting = settingOf(choir, evening);
  const sung = evening.agenda.filter(({ piece }) => piece !== null);
  const pieces = new Map(
    (await em.find(Piece, { choir, id: { $in: sung.map(({ piece }) => piece!) } })).map((piece) => [
      piece.id,
      piece,
    ]),
  );
  const inOrder = sung.flatMap(({ piece: id, bars }) => {
    const piece = pieces.get(id!);
    if (!piece) return [];
    const { title, ranges, byBar, transpose } = piece;
    return [{ id: piece.id, asked: { title, ranges, byBar, transpose, bars } }];
  });
  const codes = parts.map(({ code }) => code);
  const everyone = present.map((one) => ({ ...one, away: false }));
  const shown = (who: readonly Present[]) => {
    const sections = sectionsOf(parts, who, setting);
    return seesPersons(forRole) ? sections : discreetSections(sections, parts, setting);
  };
  return {
    tonight: {
      sections: shown(present),
      needs: needsTonight(
        codes,
        inOrder.map(({ asked }) => asked),
      ),
      condition: setting.condition,
    },
    pieces: inOrder.map(({ id, asked }) => ({
      id,
      title: asked.title,
      ranges: rangesAsSung(codes, asked),
    })),
    withEveryone: shown(everyone),
    asUsual: shown(
      seesPersons(forRole) ? everyone.map((one) => ({ ...one, states: [] })) : everyone,
    ),
  };
}
