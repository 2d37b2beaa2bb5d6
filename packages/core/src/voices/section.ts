import type { MidiNote, PitchRange } from '../units';
import { sectionComfort, type SingerRange } from './comfort';
import { rangeTonight, type Condition, type SingerState, type Trims } from './condition';
import type { ChoirPart, PartName, Voice } from './parts';
import { sectionLightTop, type LightVoice } from './lightRegister';
import { registerZone, type RegisterZone } from './registerChange';

/** A section as an evening finds it: what its singers who are here can sing, and on how many that rests. */
export interface Section extends Voice, PartName, LightVoice {
  /** Singers here whose range is known; 0 when the part's usual figures stand in. */
  readonly singers: number;
  /** How many of the section are away; nobody when it is not said. */
  readonly away?: number | undefined;
  /** False when no note suits enough of the section. */
  readonly suits: boolean;
  /** Where its voices change their register; not there for sections stored before it was kept. */
  readonly register?: RegisterZone | undefined;
}

/** A singer as an evening finds them; those on leave belong to no section. */
export interface SectionSinger {
  /** The id of the singer's part; null while it is not decided. */
  readonly part: string | null;
  /** Both null until a range is known. */
  readonly comfort: PitchRange | null;
  readonly reach: PitchRange | null;
  /** Where the voice was noted to change its register; empty when nobody asked. */
  readonly changes: readonly MidiNote[];
  /** The top of the light register; null or left out when nobody asked. */
  readonly lightTop?: MidiNote | null | undefined;
  /** What the roster says and what was said of tonight. */
  readonly states: readonly SingerState[];
  /** The day of the latest range check, «2026-12-01». */
  readonly checkedOn: string | null;
  readonly away: boolean;
}

/** What the sections of an evening depend on, beside its singers. */
export interface SectionSetting {
  /** The wanted share, above 0 and at most 1. */
  readonly share: number;
  readonly condition: Condition;
  readonly trims?: Trims | undefined;
  /** The evening's date in the choir's zone; a range checked on it is not trimmed. */
  readonly date?: string | undefined;
}

/** Whether a singer's range was found on the very day of the evening. */
export const wasCheckedOn = (
  { checkedOn }: Pick<SectionSinger, 'checkedOn'>,
  { date }: Pick<SectionSetting, 'date'>,
): boolean => date !== undefined && checkedOn === date;

/** A singer's limits on an evening; undefined while no range is known (docs/model.md, section 2). */
export function singerRange(
  singer: Omit<SectionSinger, 'part' | 'away' | 'changes' | 'lightTop'>,
  setting: Omit<SectionSetting, 'share'>,
): SingerRange | undefined {
  const { comfort, reach, states } = singer;
  if (!comfort || !reach) return undefined;
  const checkedToday = wasCheckedOn(singer, setting);
  const { condition, trims } = setting;
  return rangeTonight({ comfort, reach, states, checkedToday }, condition, trims);
}

/** A reach that holds the comfort, also where the section's two longest runs lie apart. */
const holding = (reach: PitchRange, comfort: PitchRange): PitchRange => [
  Math.min(reach[0], comfort[0]),
  Math.max(reach[1], comfort[1]),
];

/**
 * The section of a part from all singers of a choir: its comfort and reach from those who are here
 * with a known range; without any, the part's usual figures in the choir's condition
 * (docs/model.md, section 2).
 * @throws RangeError for a share outside (0, 1].
 */
export function sectionOf(
  {
    id,
    one,
    many,
    octave,
    comfort,
    reach,
    change,
  }: Voice & PartName & Partial<Pick<ChoirPart, 'change'>>,
  all: readonly SectionSinger[],
  setting: SectionSetting,
): Section {
  const section = all.filter(({ part }) => part === id);
  const here = section.filter(({ away }) => !away);
  const ranges = here.flatMap((singer) => singerRange(singer, setting) ?? []);
  const away = section.length - here.length;
  const noted = here.map(({ changes }) => changes);
  const register = change ? { register: registerZone(noted, change) } : {};
  const top = sectionLightTop(
    here.map(({ lightTop }) => lightTop),
    setting.share,
  );
  const named = { id, one, many, octave, ...register, ...(top ? { light: top } : {}) };
  const counted = { singers: ranges.length, ...(away > 0 ? { away } : {}) };
  if (ranges.length === 0) {
    const usual = { comfort, reach, states: [], checkedToday: false };
    const { condition, trims } = setting;
    return { ...named, ...rangeTonight(usual, condition, trims), suits: true, ...counted };
  }
  const found = sectionComfort(ranges, setting.share);
  return { ...named, ...found, reach: holding(found.reach, found.comfort), ...counted };
}

/** The sections of a choir whose singers nobody has asked yet: what each part usually sings. */
export const usualSections = (parts: readonly Parameters<typeof sectionOf>[0][]): Section[] =>
  parts.map((part) => sectionOf(part, [], { share: 1, condition: 'rested' }));
