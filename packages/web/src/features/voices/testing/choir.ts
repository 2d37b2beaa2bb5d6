import type { Presence, Singer, Voices } from '@wide-fern/contract';
import { mixedChoir, usualTrims } from '@wide-fern/core';
import { rowsTonight, sectionView, type SectionView } from '../model/section';

export const voices: Voices = {
  parts: [...mixedChoir],
  sections: [],
  sharePercent: 85,
  trims: usualTrims,
};

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** A soprano whose range is known, unless it is said otherwise. */
export const singerNamed = (name: string, n: number, more: Partial<Singer> = {}): Singer => ({
  id: id(n),
  version: 1,
  name,
  part: 'S',
  also: [],
  comfort: [62, 79],
  reach: [59, 81],
  lightTop: null,
  changes: [],
  states: [],
  onLeave: false,
  notes: '',
  checkedOn: null,
  ...more,
});

export const sopranos: readonly Singer[] = [
  singerNamed('Ash Tarn', 1),
  singerNamed('Bram Oake', 2, { comfort: [60, 76], reach: [57, 78] }),
  singerNamed('Cleo Rill', 3, { comfort: null, reach: null }),
];

/** The sopranos as tonight finds them. */
export function sopranosTonight(
  singers: readonly Singer[] = sopranos,
  presence?: Presence,
): SectionView {
  const setting = { voices, presence, date: '2026-12-01' };
  return sectionView(mixedChoir[0]!, rowsTonight(singers, setting), setting, 0.85);
}
