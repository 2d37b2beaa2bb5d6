import {
  sectionOf,
  type Section,
  type SectionSetting,
  type SectionSinger,
  type SingerState,
} from '@wide-fern/core';
import { knownLimits } from '../db/entities/limits';
import { asPart } from './parts.service';
import type { Singer, VoicePart } from '../db/entities/voices';

/** A singer as one evening finds them. */
export interface Present {
  readonly singer: Singer;
  readonly away: boolean;
  /** How the singer is tonight, beside what the roster says. */
  readonly states: readonly SingerState[];
}

/** A singer as sections are made of them. */
export const asSectionSinger = ({ singer, away, states }: Present): SectionSinger => {
  const limits = knownLimits(singer);
  return {
    part: singer.part?.code ?? null,
    comfort: limits?.comfort ?? null,
    reach: limits?.reach ?? null,
    changes: singer.changes ?? [],
    lightTop: singer.lightTop ?? null,
    states: [...(singer.states ?? []), ...states],
    checkedOn: singer.checkedOn ?? null,
    away,
  };
};

/** The sections of a choir, from the highest part to the lowest; nobody on leave counts. */
export function sectionsOf(
  parts: readonly VoicePart[],
  present: readonly Present[],
  setting: SectionSetting,
): Section[] {
  const singers = present.filter(({ singer }) => !singer.onLeave).map(asSectionSinger);
  return parts.map((part) => {
    return sectionOf(asPart(part), singers, setting);
  });
}
