import type { Band } from '@wide-fern/contract';
import { sectionTonight, type Condition, type SingerState, type Trims } from '@wide-fern/core';
import { fromColumns, knownLimits } from './limits';
import type { Singer, VoicePart } from './voices.entity';

/** A singer as one evening finds them. */
export interface Present {
  readonly singer: Singer;
  readonly away: boolean;
  /** How the singer is tonight, beside what the roster says. */
  readonly states: readonly SingerState[];
}

/** What the bands of an evening depend on, beside the singers. */
export interface BandSetting {
  readonly sharePercent: number;
  readonly condition: Condition;
  readonly trims: Trims | null | undefined;
  /** The evening's date in the choir's zone; a range checked on it is not trimmed. */
  readonly date: string | undefined;
}

/** A section's band from those of its singers who are here; the part's own figures when nobody is known. */
export function bandOf(part: VoicePart, all: readonly Present[], setting: BandSetting): Band {
  const { sharePercent, condition, trims, date } = setting;
  const section = all.filter(({ singer }) => singer.part === part && !singer.onLeave);
  const here = section.filter(({ away }) => !away);
  const known = here.flatMap(({ singer, states }) => {
    const limits = knownLimits(singer);
    if (!limits) return [];
    return [
      {
        ...limits,
        states: [...(singer.states ?? []), ...states],
        checkedToday: date !== undefined && singer.checkedOn === date,
      },
    ];
  });
  const found = sectionTonight(fromColumns(part), known, {
    share: sharePercent / 100,
    condition,
    ...(trims ? { trims } : {}),
  });
  const { code: id, one, many, octave } = part;
  const away = section.length - here.length;
  return {
    id,
    one,
    many,
    octave,
    ...found,
    ...(away > 0 ? { away } : {}),
  };
}
