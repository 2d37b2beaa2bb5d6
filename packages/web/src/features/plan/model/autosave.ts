import type { Plan, SavePlan } from '@wide-fern/contract';
import { ApiError } from '../../../api/client';
import type { PlanStore } from './planStore';

/** How saving reaches the world; the tests hand in their own. */
export interface SavingWorld {
  readonly save: (plan: SavePlan) => Promise<Plan>;
  /** The plan as the server has it now. */
  readonly current: () => Promise<Plan | null>;
  /** Keeps what is unsaved on this device, or (false) drops it. */
  readonly keep: (unsaved: boolean) => void;
  /** Calls back later; answers with a way to call it off. */
  readonly later: (ms: number, action: () => void) => () => void;
}

const quiet = 600;
const waits = [2_000, 4_000, 8_000, 15_000, 30_000];

/**
 * Saves the store's document by itself: a moment after the last change, one save at a time, again
 * and again while the server is away. A clash stops it until it is settled. Answers with a way to
 * stop, and one to try at once.
 */
export function startAutosave(store: PlanStore, world: SavingWorld) {
  let cancel: (() => void) | undefined;
  let busy = false;
  let failures = 0;

  const schedule = (ms: number) => {
    cancel?.();
    cancel = world.later(ms, () => void save());
  };
  const isUnsaved = () => store.getState().document !== store.getState().acknowledged;

  async function showClash(): Promise<void> {
    const theirs = await world.current();
    const { setSaving } = store.getState();
    if (theirs) setSaving({ kind: 'clash', theirs });
    else setSaving({ kind: 'refused', message: 'This evening is not here any more.' });
  }

  async function fail(error: unknown): Promise<void> {
    const { setSaving } = store.getState();
    if (error instanceof ApiError && error.status === 409) await showClash().catch(waitAndRetry);
    else if (error instanceof ApiError && error.status === 401) setSaving({ kind: 'signed-out' });
    else if (error instanceof ApiError && !error.mayPass) {
      setSaving({ kind: 'refused', message: error.message });
    } else waitAndRetry();
  }

  function waitAndRetry(): void {
    store.getState().setSaving({ kind: 'waiting' });
    schedule(waits[Math.min(failures, waits.length - 1)]!);
    failures += 1;
  }

  async function save(): Promise<void> {
    const { document, version, saving, setSaving, stored } = store.getState();
    if (busy || saving.kind === 'clash' || !isUnsaved()) return;
    busy = true;
    setSaving({ kind: 'saving' });
    try {
      const plan = await world.save({ version, document });
      failures = 0;
      stored(document, plan);
      if (isUnsaved()) schedule(quiet);
      else world.keep(false);
    } catch (error) {
      await fail(error);
    } finally {
      busy = false;
    }
  }

  const unsubscribe = store.subscribe((state, before) => {
    const changed = state.document !== before.document || state.version !== before.version;
    if (!changed) return;
    if (state.document === state.acknowledged) {
      cancel?.();
      world.keep(false);
      return;
    }
    world.keep(true);
    if (state.saving.kind === 'clash' || busy) return;
    if (state.saving.kind === 'saved') state.setSaving({ kind: 'changed' });
    schedule(quiet);
  });
  if (isUnsaved()) schedule(0);

  return {
    saveNow: () => {
      cancel?.();
      return save();
    },
    stop: () => {
      cancel?.();
      unsubscribe();
    },
  };
}
