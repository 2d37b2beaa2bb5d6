import type { EntityManager } from '@mikro-orm/postgresql';
import type { Band, Tonight } from '@wide-fern/contract';
import { needsTonight, sectionComfort, type PitchRange } from '@wide-fern/core';
import { Singer, VoicePart, type Choir } from '../choir/choir.entity';
import { Piece } from '../piece/piece.entity';
import type { Evening } from './evening.entity';

interface Limits {
  readonly comfortLow: number;
  readonly comfortHigh: number;
  readonly reachLow: number;
  readonly reachHigh: number;
}
const rangesOf = (row: Limits): { comfort: PitchRange; reach: PitchRange } => ({
  comfort: [row.comfortLow, row.comfortHigh],
  reach: [row.reachLow, row.reachHigh],
});

/** What keys rest on for an evening: each section's band from its singers, and what its pieces ask. */
export async function tonightFor(
  em: EntityManager,
  choir: Choir,
  evening: Pick<Evening, 'agenda'>,
): Promise<Tonight> {
  const parts = await em.find(VoicePart, { choir }, { orderBy: { position: 'asc' } });
  const singers = await em.find(Singer, { choir });
  const bands = parts.map((part): Band => {
    const section = singers.filter((singer) => singer.part === part).map(rangesOf);
    const band =
      section.length > 0
        ? sectionComfort(section, choir.sharePercent / 100)
        : { ...rangesOf(part), suits: true };
    const { code: id, one, many, octave } = part;
    return { id, one, many, octave, singers: section.length, ...band };
  });
  const sung = evening.agenda.flatMap(({ piece }) => (piece === null ? [] : [piece]));
  const pieces = await em.find(Piece, { choir, id: { $in: sung } });
  const inOrder = sung.flatMap((id) => pieces.find((piece) => piece.id === id) ?? []);
  return {
    bands,
    needs: needsTonight(
      parts.map(({ code }) => code),
      inOrder,
    ),
  };
}
