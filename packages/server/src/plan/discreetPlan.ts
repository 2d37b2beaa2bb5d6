import type { EntityManager } from '@mikro-orm/postgresql';
import type { PlanDocument } from '@wide-fern/contract';
import { evaluate } from '@wide-fern/plan';
import type { Choir } from '../db/entities/choir';
import { discreetSections } from '../voices/discreet';
import { partsOf } from '../voices/parts.service';

/** The keys of a document where each segment begins as it does now, whatever its sections become. */
function withStarts(document: PlanDocument): PlanDocument {
  // The time set aside changes no key.
  const { segments } = evaluate(document, 0);
  return {
    ...document,
    segments: segments.map(({ segment, computed: { keys } }) => {
      const start = keys.kind === 'none' ? undefined : keys.sung?.tonics[0];
      return start === undefined || segment.choices.start !== null
        ? segment
        : { ...segment, choices: { ...segment.choices, start } };
    }),
  };
}

/**
 * A plan as a reader sees it: a plan holds the sections it was made for, and where fewer than three
 * singers stand behind one it tells of persons. The keys stay those that are sung.
 */
export async function discreetPlan<P extends { readonly document: PlanDocument }>(
  em: EntityManager,
  choir: Choir,
  plan: P,
): Promise<P> {
  const { document } = plan;
  const { tonight } = document;
  const setting = {
    share: (choir.sharePercent ?? 85) / 100,
    condition: tonight.condition ?? 'rested',
    trims: choir.trims ?? undefined,
  };
  const sections = discreetSections(tonight.sections, await partsOf(em, choir), setting);
  const fixed = withStarts(document);
  return { ...plan, document: { ...fixed, tonight: { ...tonight, sections } } };
}
