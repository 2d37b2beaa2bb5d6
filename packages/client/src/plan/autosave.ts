import type { Plan, PlanDocument, SavePlan } from '@wide-fern/contract';
import { ApiError } from '../call/call';
import type { PlanStore } from './planStore';
import { merge, sameDocument } from '@wide-fern/plan';

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

  async function meet(mine: PlanDocument): Promise<void> {
    const theirs = await world.current();
    const { setSaving, stored } = store.getState();
    if (!theirs) setSaving({ kind: 'refused', message: 'This evening is not here any more.' });
    // Our own save whose answer was lost on the way: nothing to choose.
    else if (sameDocument(mine, theirs.document)) {
      stored(mine, theirs);
      if (isUnsaved()) schedule(quiet);
      else world.keep(false);
    } else putTogether(theirs);
  }

  /** What both changed in different places goes together; where both changed the same a person chooses. */
  function putTogether(theirs: Plan): void {
    const { acknowledged, document, rebase, setSaving } = store.getState();
    const merged = merge(acknowledged, document, theirs.document);
    if (merged.kind === 'clash') {
      setSaving({ kind: 'clash', theirs });
      return;
    }
    rebase(theirs, merged);
    schedule(0);
  }

  async function fail(error: unknown, mine: PlanDocument): Promise<void> {
    const { setSaving } = store.getState();
    if (error instanceof ApiError && error.status === 409) await meet(mine).catch(waitAndRetry);
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
    const { document, version, unsaved, saving, setSaving, stored } = store.getState();
    if (busy || saving.kind === 'clash' || !isUnsaved()) return;
    busy = true;
    setSaving({ kind: 'saving' });
    try {
      const plan = await world.save({ version, document, edits: [...unsaved] });
      failures = 0;
      stored(document, plan, unsaved);
      if (isUnsaved()) schedule(quiet);
      else world.keep(false);
    } catch (error) {
      await fail(error, document);
    } finally {
      busy = false;
    }
  }

  const unsubscribe = store.subscribe((state, before) => {
    const settled = before.saving.kind === 'clash' && state.saving.kind !== 'clash';
    if (state.document === before.document && state.version === before.version && !settled) return;
    if (state.document === state.acknowledged) {
      cancel?.();
      world.keep(false);
      // Changed and undone before it was saved: there is nothing to wait for.
      if (!busy && state.saving.kind !== 'saved' && state.saving.kind !== 'clash') {
        state.setSaving({ kind: 'saved', at: state.savedAt });
      }
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
