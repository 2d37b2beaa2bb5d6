import { keptOnDevice, otherOpenWindows, thisWindow } from '@wide-fern/client';
import { z, type Evening, type StoreEvening } from '@wide-fern/contract';
import { useCallback, useEffect, useRef, useState } from 'react';
import { typedOf } from './typed';

/** An evening while it is changed: the version it began from, as it was then, and as it is typed now. */
interface Typed {
  readonly version: number;
  readonly begun: StoreEvening;
  readonly draft: StoreEvening;
}

const shape = z.object({
  version: z.int(),
  begun: z.looseObject({ date: z.string(), agenda: z.array(z.unknown()) }),
  draft: z.looseObject({ date: z.string(), agenda: z.array(z.unknown()) }),
});
const kept = keptOnDevice<Typed>('draft', (stored) =>
  // What is half typed need not be an evening that could be stored.
  shape.safeParse(stored).success ? (stored as Typed) : undefined,
);

const same = (one: StoreEvening, other: StoreEvening): boolean =>
  JSON.stringify(one) === JSON.stringify(other);

/** An evening's draft and what can be done with it. */
export interface EveningDraft {
  readonly draft: StoreEvening;
  /** The version that the change is stored over. */
  readonly version: number;
  readonly isChanged: boolean;
  /** Somebody else stored the evening since this change began. */
  readonly isOvertaken: boolean;
  readonly change: (draft: StoreEvening) => void;
  /** As it was before it was changed here. */
  readonly reset: () => void;
  /** What was sent is stored; what was changed while it was on its way stays to be stored. */
  readonly stored: (stored: Evening, sent: StoreEvening) => void;
  /** Takes what is stored now and lets the own change go. */
  readonly takeStored: (stored: Evening) => void;
  /** Keeps the own change; it will be stored over what others stored. */
  readonly keepMine: () => void;
}

/**
 * The draft of an evening, kept on the device until it is stored. What others store shows by itself
 * as long as nothing was changed here; a change that was begun stays, and it is said that the evening
 * went on without it.
 */
export function useEveningDraft(evening: Evening, account: string, timeZone: string): EveningDraft {
  const place = ['evening', account, evening.id];
  const own = [...place, thisWindow];
  const fresh = (of: Evening): Typed => {
    const typed = typedOf(of, timeZone);
    return { version: of.version, begun: typed, draft: typed };
  };
  const [typed, setTyped] = useState<Typed>(() => kept.read(...own) ?? fresh(evening));
  const isChanged = !same(typed.draft, typed.begun);
  const isNewer = evening.version > typed.version;
  // The pattern for state that follows a value: set while it is rendered, before anything shows.
  if (!isChanged && isNewer) setTyped(fresh(evening));
  const keep = (next: Typed) => kept.keep(own, same(next.draft, next.begun) ? undefined : next);
  const latest = useRef({ typed, fresh, keep });
  useEffect(() => {
    latest.current = { typed, fresh, keep };
  });
  const hold = (next: Typed) => {
    latest.current = { ...latest.current, typed: next };
    setTyped(next);
    keep(next);
  };
  const stored = useCallback((of: Evening, sent: StoreEvening) => {
    // The answer may come when the page is gone: what the device keeps is put right all the same.
    const { typed: now, fresh: asTyped, keep: keepIt } = latest.current;
    const begun = asTyped(of);
    const next = same(now.draft, sent) ? begun : { ...begun, draft: now.draft };
    latest.current = { ...latest.current, typed: next };
    keepIt(next);
    setTyped(next);
  }, []);
  // What a closed window left behind is taken up again; from then on it is this window's own.
  useEffect(() => {
    let isHere = true;
    void otherOpenWindows().then((isOpen) => {
      // Whoever left meanwhile leaves it to the next.
      if (!isHere) return;
      const left = kept
        .below('evening', account, evening.id)
        .find(({ ids: [window = ''] }) => window !== thisWindow && !isOpen(window));
      if (!left) return;
      kept.keep(['evening', account, evening.id, ...left.ids], undefined);
      kept.keep(['evening', account, evening.id, thisWindow], left.value);
      setTyped((now) => (same(now.draft, now.begun) ? left.value : now));
    });
    return () => {
      isHere = false;
    };
  }, [account, evening.id]);
  return {
    draft: typed.draft,
    version: typed.version,
    isChanged,
    isOvertaken: isChanged && isNewer,
    change: (draft) => hold({ ...typed, draft }),
    reset: () => hold({ ...typed, draft: typed.begun }),
    stored,
    takeStored: (of) => hold(fresh(of)),
    keepMine: () => hold({ ...typed, version: evening.version }),
  };
}
