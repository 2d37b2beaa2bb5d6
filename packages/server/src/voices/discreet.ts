import type { Role } from '@wide-fern/contract';
import {
  registerZone,
  sectionOf,
  type RegisterZone,
  type Section,
  type SectionSetting,
} from '@wide-fern/core';
import { asPart } from './parts.service';
import type { VoicePart } from '../db/entities/voices';

/** With fewer singers than this, what a section sings tells of persons. */
const fewest = 3;

const isTelling = ({ singers }: Section): boolean => singers > 0 && singers < fewest;

/** Whether somebody of this role sees what persons can be told by. */
export const seesPersons = (role: Role): boolean => role !== 'reader';

/**
 * Sections as a reader sees them: where fewer than three singers stand behind one, the part's usual
 * figures in their place, and nothing of who is here or away.
 */
export function discreetSections(
  sections: readonly Section[],
  parts: readonly VoicePart[],
  setting: SectionSetting,
): Section[] {
  return sections.map((section) => {
    const part = parts.find(({ code }) => code === section.id);
    if (!isTelling(section)) {
      const { away, register, light, ...rest } = section;
      // Where one or two were asked, the zone is theirs.
      const told = register && register.asked > 0 && register.asked < fewest;
      return {
        ...rest,
        ...(section.singers > 0 && away !== undefined ? { away } : {}),
        // What fewer than three showed of their light register tells of them.
        ...(light && light.asked >= fewest ? { light } : {}),
        ...(register ? { register: told && part ? usualZone(part) : register } : {}),
      };
    }
    const { id, one, many, octave } = section;
    // Of a part that is not the choir's any more nothing is known but what everybody can sing.
    const usual = part ? asPart(part) : widest;
    return sectionOf({ ...usual, id, one, many, octave }, [], setting);
  });
}

const usualZone = (part: VoicePart): RegisterZone => registerZone([], asPart(part).change);

const widest = { comfort: [36, 84], reach: [36, 84] } as const;
