import type { Presence, Singer } from '@wide-fern/contract';
import type { Section } from '@wide-fern/core';
import type { WhoGroup } from '../../../here/who/WhoList';

/** Who sings in which part tonight, and who is away. */
export interface WhoGroups {
  readonly sections: readonly WhoGroup[];
  /** Those whose part is none of them. */
  readonly undecided: WhoGroup['rows'];
  /** Whoever is away, in the order of the parts. */
  readonly away: WhoGroup['rows'];
}

/** Singers by part, by name; whoever is on leave is not expected. */
export function whoGroups(
  singers: readonly Singer[],
  presence: Presence,
  parts: readonly Pick<Section, 'id' | 'many'>[],
): WhoGroups {
  const said = new Map(presence.singers.map((one) => [one.singer, one]));
  const rows = singers
    .filter(({ onLeave }) => !onLeave)
    .sort((a, b) => a.name.localeCompare(b.name))
    .map((singer) => {
      const { away = false, states = [] } = said.get(singer.id) ?? {};
      return { singer, away, statesTonight: states };
    });
  const sections = parts.map((part) => ({
    part,
    rows: rows.filter(({ singer }) => singer.part === part.id),
  }));
  const undecided = rows.filter(({ singer }) => parts.every(({ id }) => id !== singer.part));
  const all = [...sections.flatMap((section) => section.rows), ...undecided];
  return { sections, undecided, away: all.filter((row) => row.away) };
}
