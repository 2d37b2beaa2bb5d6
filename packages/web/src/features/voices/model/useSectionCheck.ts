import type { Singer } from '@wide-fern/contract';
import {
  beginSectionCheck,
  foundForSinger,
  stillSinging,
  usualStart,
  withReachKept,
  type PitchRange,
  type SectionCheck,
} from '@wide-fern/core';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { keptSectionChecks } from './keptOnDevice';
import type { Row, SectionView } from './section';
import { useKeepChecks } from './useKeepChecks';

export interface FoundSinger {
  readonly singer: Singer;
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
}

/** What a finished check found, for singers who are still in the section; a known reach is never narrowed. */
export function sectionFound(
  check: SectionCheck,
  rows: readonly Pick<Row, 'singer'>[],
): FoundSinger[] {
  const known = new Map(rows.map(({ singer }) => [singer.id, singer]));
  return check.singers.flatMap((id) => {
    const singer = known.get(id);
    const comfort = check.way === 'done' && singer ? foundForSinger(check, id) : undefined;
    if (!singer || !comfort) return [];
    const before =
      singer.comfort && singer.reach ? { comfort: singer.comfort, reach: singer.reach } : undefined;
    return [{ singer, ...withReachKept(comfort, before) }];
  });
}

/** A whole section's check, kept on the device at every tick, with undo. */
export function useSectionCheck(section: SectionView, onKept: () => void) {
  const { choir, account } = useHere();
  const { part, rows } = section;
  const here = rows.filter(({ away }) => !away);
  const of = `${choir.id}:${part.id}`;
  const begin = () =>
    beginSectionCheck(
      here.map(({ singer }) => singer.id),
      usualStart(part.comfort),
    );
  const [past, setPast] = useState<readonly SectionCheck[]>([]);
  const [check, setCheck] = useState<SectionCheck>(
    () => keptSectionChecks.read(account.id, of) ?? begin(),
  );
  const change = (next: SectionCheck) => {
    if (next === check) return;
    setPast([...past.slice(-100), check]);
    setCheck(next);
    keptSectionChecks.keep(account.id, of, next);
  };
  const undo = () => {
    const before = past[past.length - 1];
    if (!before) return;
    setPast(past.slice(0, -1));
    setCheck(before);
    keptSectionChecks.keep(account.id, of, before);
  };
  const keep = useKeepChecks(() => {
    keptSectionChecks.keep(account.id, of, undefined);
    onKept();
  });
  const found = sectionFound(check, rows);
  const singing = stillSinging(check);
  const isOut = (id: string) => !singing.includes(id);
  return {
    check,
    found,
    singerOf: (id: string) => rows.find(({ singer }) => singer.id === id)?.singer,
    isOut,
    change,
    undo,
    canUndo: past.length > 0,
    beginAgain: () => change(begin()),
    keep: {
      ...keep,
      found: () =>
        keep.send(
          found.map(({ singer, comfort, reach }) => ({
            singer: singer.id,
            comfort,
            reach,
            lightTop: null,
            means: 'section',
          })),
        ),
    },
  };
}
