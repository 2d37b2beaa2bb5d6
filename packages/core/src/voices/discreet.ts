import { registerZone } from './registerChange';
import type { ChoirPart } from './parts';
import { sectionOf, type Section, type SectionSetting } from './section';

/** With fewer singers than this, what a section sings tells of persons. */
const fewest = 3;

/** Of a part that nobody knows nothing is known but what everybody can sing. */
const widest = { comfort: [36, 84], reach: [36, 84] } as const;

const isTelling = ({ singers }: Section): boolean => singers > 0 && singers < fewest;

/**
 * Sections as whoever sees who is not told of persons: where fewer than three singers stand behind one, the part's usual
 * figures in their place, and nothing of who is here or away.
 * @param parts the usual figures, by the part's id
 */
export function discreetSections(
  sections: readonly Section[],
  parts: readonly ChoirPart[],
  setting: SectionSetting,
): Section[] {
  return sections.map((section) => {
    const part = parts.find(({ id }) => id === section.id);
    if (!isTelling(section)) {
      const { away, register, light, ...rest } = section;
      // Where one or two were asked, the zone is theirs.
      const told = register && register.asked > 0 && register.asked < fewest;
      return {
        ...rest,
        ...(section.singers > 0 && away !== undefined ? { away } : {}),
        // What fewer than three showed of their light register tells of them.
        ...(light && light.asked >= fewest ? { light } : {}),
        ...(register ? { register: told && part ? registerZone([], part.change) : register } : {}),
      };
    }
    const { id, one, many, octave } = section;
    return sectionOf({ ...(part ?? widest), id, one, many, octave }, [], setting);
  });
}
