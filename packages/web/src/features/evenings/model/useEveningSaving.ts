import {
  ApiError,
  call,
  eveningQuery,
  eveningsQuery,
  messageOf,
  queryClient,
} from '@wide-fern/client';
import { storeEveningSchema, type Evening, type StoreEvening } from '@wide-fern/contract';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useEveningDraft } from './useEveningDraft';

/** So long after the last change it is stored, and so long after it failed once more. */
const pause = 500;
const retries = [2000, 5000, 15_000, 30_000];
/** Changes of one label that follow so quickly are undone together. */
const together = 1500;
const mostUndone = 100;

/** What has become of the last change. */
export type EveningSaved =
  | { readonly kind: 'saved'; readonly at: number | undefined }
  | { readonly kind: 'saving' }
  /** It cannot be stored as it is; what is wrong stands at its field. */
  | { readonly kind: 'unfinished'; readonly words: string }
  /** Not stored; tried again by itself, unless the server stumbled twice. */
  | { readonly kind: 'kept'; readonly words: string; readonly goesOn: boolean }
  | { readonly kind: 'overtaken' };

/** What is wrong with an evening as it is, by field. */
export function eveningErrors(evening: StoreEvening): Readonly<Record<string, string>> {
  const result = storeEveningSchema.safeParse(evening);
  if (result.success) return {};
  const errors: Record<string, string> = {};
  for (const { path, message } of result.error.issues)
    errors[String(path[0] ?? 'form')] ??= message;
  return errors;
}

/** Undo and redo of whole evenings; quick changes of one label are one step. */
function useSteps(draft: StoreEvening, set: (next: StoreEvening) => void) {
  const [past, setPast] = useState<readonly StoreEvening[]>([]);
  const [future, setFuture] = useState<readonly StoreEvening[]>([]);
  const last = useRef({ label: '', at: 0 });
  return {
    change: (next: StoreEvening, label: string) => {
      const now = Date.now();
      const isSame = label === last.current.label && now - last.current.at < together;
      last.current = { label, at: now };
      if (!isSame) setPast([...past, draft].slice(-mostUndone));
      setFuture([]);
      set(next);
    },
    back: () => {
      const before = past[past.length - 1];
      if (!before) return;
      last.current = { label: '', at: 0 };
      setPast(past.slice(0, -1));
      setFuture([...future, draft]);
      set(before);
    },
    again: () => {
      const after = future[future.length - 1];
      if (!after) return;
      setFuture(future.slice(0, -1));
      setPast([...past, draft]);
      set(after);
    },
    canGoBack: past.length > 0,
    canGoAgain: future.length > 0,
  };
}

interface Failure {
  readonly words: string;
  /** How often in a row; never again where the server refused it. */
  readonly times: number;
  /** How often the server stumbled over it. */
  readonly stumbled: number;
}

/** One more failure: the connection comes back by itself; what the server refuses does not become right. */
function failedAgain(error: unknown, before: Failure | undefined): Failure {
  const isRefused = error instanceof ApiError && !error.mayPass;
  const isFault = error instanceof ApiError && error.isFault;
  return {
    words: messageOf(error),
    times: isRefused ? Infinity : (before?.times ?? 0) + 1,
    stumbled: (before?.stumbled ?? 0) + (isFault ? 1 : 0),
  };
}

/** An evening that saves by itself, with undo: every change is kept on the device at once, then stored. */
export function useEveningSaving(
  evening: Evening,
  account: string,
  choir: { readonly id: string; readonly timeZone: string },
) {
  const typed = useEveningDraft(evening, account, choir.timeZone);
  const { draft, isChanged, isOvertaken, version, stored } = typed;
  const [sending, setSending] = useState(false);
  const [savedAt, setSavedAt] = useState<number>();
  const [failed, setFailed] = useState<Failure>();
  const steps = useSteps(draft, (next) => {
    setFailed(undefined);
    typed.change(next);
  });
  const errors = eveningErrors(draft);
  const isWhole = Object.keys(errors).length === 0;

  const send = useCallback(async () => {
    setSending(true);
    const params = { choir: choir.id, evening: evening.id };
    const list = eveningsQuery(choir.id).queryKey;
    try {
      const kept = await call('changeEvening', { params, body: { version, evening: draft } });
      stored(kept, draft);
      queryClient.setQueryData(eveningQuery(choir.id, evening.id).queryKey, kept);
      setSavedAt(Date.now());
      setFailed(undefined);
      await queryClient.invalidateQueries({ queryKey: list });
    } catch (error) {
      if (error instanceof ApiError && error.code === 'changed_meanwhile') {
        await queryClient.invalidateQueries({ queryKey: list });
      } else setFailed((before) => failedAgain(error, before));
    } finally {
      setSending(false);
    }
  }, [choir.id, evening.id, version, draft, stored]);

  const goesOn = failed === undefined || (failed.times < Infinity && failed.stumbled < 2);
  const isDue = isChanged && isWhole && !isOvertaken && !sending && goesOn;
  const wait = failed ? (retries[failed.times - 1] ?? retries[retries.length - 1]!) : pause;
  useEffect(() => {
    if (!isDue) return;
    const soon = () => void send();
    const timer = setTimeout(soon, wait);
    window.addEventListener('online', soon);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('online', soon);
    };
  }, [isDue, send, wait]);

  // Whoever goes on to another page within that moment finds the evening as it was left.
  const leaving = useRef({ isDue, send });
  useEffect(() => {
    leaving.current = { isDue, send };
  });
  useEffect(
    () => () => {
      if (leaving.current.isDue) void leaving.current.send();
    },
    [],
  );

  const saved = ((): EveningSaved => {
    if (sending) return { kind: 'saving' };
    if (isOvertaken) return { kind: 'overtaken' };
    if (!isWhole) return { kind: 'unfinished', words: Object.values(errors)[0]! };
    if (failed && isChanged) return { kind: 'kept', words: failed.words, goesOn };
    return isChanged ? { kind: 'saving' } : { kind: 'saved', at: savedAt };
  })();
  return {
    ...steps,
    ...{ draft, errors, saved },
    sendNow: () => void send(),
    takeTheirs: () => typed.takeStored(evening),
    keepMine: typed.keepMine,
    reset: typed.reset,
  };
}
export type EveningSaving = ReturnType<typeof useEveningSaving>;
