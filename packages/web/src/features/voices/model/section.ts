import type { ChoirPart, Presence, Singer, Voices } from '@wide-fern/contract';
import {
  narrowing,
  sectionOf,
  sectionPicture,
  singerRange,
  trimTonight,
  wasCheckedOn,
  type Condition,
  type Narrowing,
  type PitchRange,
  type SectionPicture,
  type Section,
  type SectionSetting,
  type SingerState,
} from '@wide-fern/core';

/** What tonight depends on beside the roster; without an evening, everyone is here and rested. */
export interface VoicesSetting {
  readonly voices: Voices;
  readonly presence: Presence | undefined;
  /** The evening's date in the choir's zone. */
  readonly date: string | undefined;
}

/** A singer as tonight finds them. */
export interface Row {
  readonly singer: Singer;
  readonly away: boolean;
  /** What the roster says and what was said of tonight. */
  readonly states: readonly SingerState[];
  /** What was said of tonight alone. */
  readonly statesTonight: readonly SingerState[];
  readonly checkedToday: boolean;
  /** Tonight's limits; undefined until a range is known. */
  readonly range: { readonly comfort: PitchRange; readonly reach: PitchRange } | undefined;
}

/** A section with everything its picture shows. */
export interface SectionView {
  readonly part: ChoirPart;
  /** By their low end; who has no range yet comes last. */
  readonly rows: readonly Row[];
  readonly section: Section;
  /** Undefined while nobody here has a known range. */
  readonly picture: SectionPicture | undefined;
}

const conditionOf = ({ presence }: VoicesSetting): Condition => presence?.condition ?? 'rested';

const sectionSetting = (setting: VoicesSetting): Omit<SectionSetting, 'share'> => ({
  condition: conditionOf(setting),
  trims: setting.voices.trims,
  date: setting.date,
});

function rowOf(
  singer: Singer,
  setting: VoicesSetting,
  tonight: Presence['singers'][number] | undefined,
) {
  const statesTonight = tonight?.states ?? [];
  const states = [...new Set([...singer.states, ...statesTonight])];
  const { comfort, reach, checkedOn } = singer;
  const on = sectionSetting(setting);
  const checkedToday = wasCheckedOn(singer, on);
  const range = singerRange({ comfort, reach, states, checkedOn }, on);
  return { singer, away: tonight?.away ?? false, states, statesTonight, checkedToday, range };
}

const lowEnd = ({ range }: Row): number => (range ? range.comfort[0] : Infinity);

/** All singers who are not on leave, as tonight finds them. */
export function rowsTonight(singers: readonly Singer[], setting: VoicesSetting): Row[] {
  const said = new Map(setting.presence?.singers.map((one) => [one.singer, one]));
  return singers
    .filter(({ onLeave }) => !onLeave)
    .map((singer) => rowOf(singer, setting, said.get(singer.id)));
}

/** The singers who count tonight: here, with a known range. */
const present = (rows: readonly Row[]) =>
  rows.flatMap(({ singer, away, range, states }) =>
    away || !range ? [] : [{ id: singer.id, states, ...range }],
  );

/** One section's picture at a share from 0 to 1. */
export function sectionView(
  part: ChoirPart,
  all: readonly Row[],
  setting: VoicesSetting,
  share: number,
): SectionView {
  const rows = all
    .filter(({ singer }) => singer.part === part.id)
    .sort(
      (a, b) =>
        lowEnd(a) - lowEnd(b) ||
        (a.range?.comfort[1] ?? 0) - (b.range?.comfort[1] ?? 0) ||
        a.singer.name.localeCompare(b.singer.name),
    );
  const here = present(rows);
  const section = sectionOf(
    part,
    rows.map(({ singer, away, states }) => ({ ...singer, states, away })),
    { ...sectionSetting(setting), share },
  );
  return {
    part,
    rows,
    section,
    picture: here.length > 0 ? sectionPicture(here, share) : undefined,
  };
}

/** Who alone narrows a section; for the eyes of those who lead. */
export const narrowingOf = ({ rows }: SectionView, share: number): Narrowing[] =>
  narrowing(present(rows), share);

/** What is taken off a singer's comfort tonight. */
export const trimOf = ({ states, checkedToday }: Row, setting: VoicesSetting) =>
  checkedToday
    ? { top: 0, bottom: 0 }
    : trimTonight(conditionOf(setting), states, setting.voices.trims);
