import type { EntityManager } from '@mikro-orm/postgresql';
import type { Role, SaveVoices, Voices } from '@wide-fern/contract';
import { usualTrims } from '@wide-fern/core';
import type { Choir } from '../db/entities/choir';
import { discreetSections, seesPersons } from './discreet';
import { sectionsOf } from './sections';
import { asPart, partsOf } from './parts.service';
import { Singer } from '../db/entities/voices';

/** Parts and sections as anyone in the choir sees them: sections, never persons. */
export async function showVoices(
  em: EntityManager,
  choir: Choir,
  forRole: Role = 'director',
): Promise<Voices> {
  const parts = await partsOf(em, choir);
  const singers = await em.find(Singer, { choir, onLeave: false });
  const all = singers.map((singer) => ({ singer, away: false, states: [] }));
  const sharePercent = choir.sharePercent ?? 85;
  const trims = choir.trims ?? usualTrims;
  const setting = { share: sharePercent / 100, trims, condition: 'rested' as const };
  const sections = sectionsOf(parts, all, setting);
  return {
    parts: parts.map(asPart),
    sections: seesPersons(forRole) ? sections : discreetSections(sections, parts, setting),
    sharePercent,
    trims,
  };
}

/** Settles the share that is wanted and what conditions take off. */
export async function saveVoices(
  em: EntityManager,
  choir: Choir,
  { sharePercent, trims }: SaveVoices,
): Promise<Voices> {
  if (sharePercent !== undefined) choir.sharePercent = sharePercent;
  if (trims !== undefined) choir.trims = trims;
  await em.flush();
  return showVoices(em, choir);
}
