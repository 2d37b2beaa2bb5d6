import type { PlanDocument } from '@wide-fern/contract';
import {
  discreetSections,
  type ChoirPart,
  type Section,
  type SectionSetting,
} from '@wide-fern/core';
import { evaluate } from '../evaluate';

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

/** What stands in sections, in whatever order it is named. */
const contentOf = (sections: readonly Section[]): string =>
  JSON.stringify(
    sections.map((section) =>
      Object.entries(section).sort(([one], [other]) => one.localeCompare(other)),
    ),
  );

/**
 * A plan for whoever is not told of persons: a plan holds the sections it was made for, and where fewer
 * than three singers stand behind one it tells of them. The keys stay those that are sung.
 * @param parts the usual figures that stand in for theirs
 */
export function withoutPersons(
  document: PlanDocument,
  parts: readonly ChoirPart[],
  setting: Omit<SectionSetting, 'condition'>,
): PlanDocument {
  const { tonight } = document;
  const condition = tonight.condition ?? 'rested';
  const sections = discreetSections(tonight.sections, parts, { ...setting, condition });
  // Where nothing changes, the best start is still sought by whoever has it.
  const isSame = contentOf(sections) === contentOf(tonight.sections);
  return isSame ? document : { ...withStarts(document), tonight: { ...tonight, sections } };
}
