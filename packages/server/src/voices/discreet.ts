import type { Role } from '@wide-fern/contract';
import * as core from '@wide-fern/core';
import type { VoicePart } from '../db/entities/voices';
import { asPart } from './parts.service';

/** Whether somebody of this role sees what persons can be told by. */
export const seesPersons = (role: Role): boolean => role !== 'reader';

/** Sections of a choir as a reader sees them. */
export const discreetSections = (
  sections: readonly core.Section[],
  parts: readonly VoicePart[],
  setting: core.SectionSetting,
): core.Section[] => core.discreetSections(sections, parts.map(asPart), setting);
