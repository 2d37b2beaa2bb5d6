import type { Singer } from '@wide-fern/contract';
import {
  changesOf,
  limitsAfter,
  stillSinging,
  type GroupCheck,
  type MidiNote,
  type PitchRange,
} from '@wide-fern/core';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { keptGroupChecks } from '../model/keptOnDevice';
import { useKeepChecks } from '../model/useKeepChecks';

export interface FoundSinger {
  readonly singer: Singer;
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly changes: readonly MidiNote[];
}

/** What a finished check found, for singers who are still there. */
export function foundInGroup(check: GroupCheck, singers: readonly Singer[]): FoundSinger[] {
  const known = new Map(singers.map((singer) => [singer.id, singer]));
  return check.singers.flatMap((id) => {
    const singer = known.get(id);
    if (check.way !== 'done' || !singer) return [];
    const { comfort, reach } = singer;
    const limits = limitsAfter(check, id, comfort && reach ? { comfort, reach } : undefined);
    return limits ? [{ singer, ...limits, changes: changesOf(check, id) }] : [];
  });
}

/** A check of many, kept on the device at every tick, with undo; undefined before it has begun. */
export function useGroupCheck({
  of,
  begun,
  onKept,
}: {
  /** What it is kept by on this device. */
  readonly of: string;
  /** Where there is nothing to settle first, it begins at once. */
  readonly begun?: () => GroupCheck;
  readonly onKept: () => void;
}) {
  const { account } = useHere();
  const [past, setPast] = useState<readonly GroupCheck[]>([]);
  const [check, setCheck] = useState(() => keptGroupChecks.read(account.id, of) ?? begun?.());
  const put = (next: GroupCheck | undefined) => {
    setCheck(next);
    keptGroupChecks.keep(account.id, of, next);
  };
  const change = (next: GroupCheck) => {
    if (next === check) return;
    if (check) setPast([...past.slice(-100), check]);
    put(next);
  };
  const undo = () => {
    const before = past[past.length - 1];
    if (!before) return;
    setPast(past.slice(0, -1));
    put(before);
  };
  const keep = useKeepChecks(() => {
    keptGroupChecks.keep(account.id, of, undefined);
    onKept();
  });
  const singing = new Set(check ? stillSinging(check) : []);
  return {
    check,
    change,
    undo: { act: undo, can: past.length > 0 },
    /** Back to what is to be settled first; undo brings back what was ticked. */
    leave: () => {
      if (check) setPast([...past.slice(-100), check]);
      put(undefined);
    },
    isOut: (id: string) => !singing.has(id),
    keep,
  };
}
export type GroupChecking = ReturnType<typeof useGroupCheck>;
