import type { Plan, PlanDocument, SavePlan } from '@wide-fern/contract';
import { ApiError } from '../call/call';
import type { PlanState, PlanStore } from './planStore';
import { merge, sameDocument } from '@wide-fern/plan';

/** How saving reaches the world; the tests hand in their own. */
export interface SavingWorld {
  /** @param base the document of the version that the changes start from, as the server has it */
  readonly save: (plan: SavePlan, base: PlanDocument) => Promise<Plan>;
  /** The plan as the server has it now. */
  readonly current: () => Promise<Plan | null>;
  /** Keeps what is unsaved on this device, or (false) drops it. */
  readonly keep: (unsaved: boolean) => void;
  /** Calls back later; answers with a way to call it off. */
  readonly later: (ms: number, action: () => void) => () => void;
}

const quiet = 600;
const waits = [2_000, 4_000, 8_000, 15_000, 30_000];

/** Saves one plan, one save at a time. */
class Saver {
  private cancel: (() => void) | undefined;
  private busy = false;
  private failures = 0;
  /** How often in a row the server broke on what was sent. */
  private faults = 0;

  constructor(
    private readonly store: PlanStore,
    private readonly world: SavingWorld,
  ) {}

  get isUnsaved(): boolean {
    const { document, acknowledged } = this.store.getState();
    return document !== acknowledged;
  }

  schedule(ms: number): void {
    this.cancel?.();
    this.cancel = this.world.later(ms, () => void this.save());
  }

  callOff(): void {
    this.cancel?.();
  }

  async save(): Promise<void> {
    const { document, acknowledged, version, unsaved, saving, setSaving, stored } =
      this.store.getState();
    if (this.busy || saving.kind === 'clash' || !this.isUnsaved) return;
    this.busy = true;
    setSaving({ kind: 'saving' });
    try {
      const body = { version, document, edits: [...unsaved] };
      const plan = await this.world.save(body, acknowledged);
      this.failures = 0;
      this.faults = 0;
      stored(document, plan, unsaved);
      this.goOn();
    } catch (error) {
      await this.fail(error, document);
    } finally {
      this.busy = false;
    }
  }

  /** Called at every change of the store: saves a moment after the last one. */
  readonly notice = (state: PlanState, before: PlanState): void => {
    const { kind } = state.saving;
    const settled = before.saving.kind === 'clash' && kind !== 'clash';
    if (state.document === before.document && state.version === before.version && !settled) return;
    const { setSaving } = this.store.getState();
    if (state.document === state.acknowledged) {
      this.callOff();
      this.world.keep(false);
      // Changed and undone before it was saved: there is nothing to wait for.
      if (!this.busy && kind !== 'saved' && kind !== 'clash') {
        setSaving({ kind: 'saved', at: state.savedAt });
      }
      return;
    }
    this.world.keep(true);
    if (kind === 'clash' || this.busy) return;
    if (kind === 'saved') setSaving({ kind: 'changed' });
    this.schedule(quiet);
  };

  private goOn(): void {
    if (this.isUnsaved) this.schedule(quiet);
    else this.world.keep(false);
  }

  private async meet(mine: PlanDocument): Promise<void> {
    const theirs = await this.world.current();
    const { setSaving, stored } = this.store.getState();
    if (!theirs) setSaving({ kind: 'refused', message: 'This evening is not here any more.' });
    // Our own save whose answer was lost on the way: nothing to choose.
    else if (sameDocument(mine, theirs.document)) {
      stored(mine, theirs);
      this.goOn();
    } else this.putTogether(theirs);
  }

  /** What both changed in different places goes together; where both changed the same a person chooses. */
  private putTogether(theirs: Plan): void {
    const { acknowledged, document, rebase, setSaving } = this.store.getState();
    const merged = merge(acknowledged, document, theirs.document);
    if (merged.kind === 'clash') {
      setSaving({ kind: 'clash', theirs });
      return;
    }
    rebase(theirs, merged);
    this.schedule(0);
  }

  private async fail(error: unknown, mine: PlanDocument): Promise<void> {
    const { setSaving } = this.store.getState();
    const wait = () => this.waitAndRetry();
    const isFault = error instanceof ApiError && error.isFault;
    this.faults = isFault ? this.faults + 1 : 0;
    if (!(error instanceof ApiError)) wait();
    else if (error.status === 409) await this.meet(mine).catch(wait);
    else if (error.status === 401) setSaving({ kind: 'signed-out' });
    else if (!error.mayPass || this.faults > 1)
      setSaving({ kind: 'refused', message: error.message });
    else wait();
  }

  private waitAndRetry(): void {
    this.store.getState().setSaving({ kind: 'waiting' });
    this.schedule(waits[Math.min(this.failures, waits.length - 1)]!);
    this.failures += 1;
  }
}

/**
 * Saves the store's document by itself: a moment after the last change, one save at a time, again
 * and again while the server is away. A clash stops it until it is settled. Answers with a way to
 * stop, and one to try at once.
 */
export function startAutosave(store: PlanStore, world: SavingWorld) {
  const saver = new Saver(store, world);
  const unsubscribe = store.subscribe(saver.notice);
  if (saver.isUnsaved) saver.schedule(0);
  return {
    saveNow: () => {
      saver.callOff();
      return saver.save();
    },
    stop: () => {
      saver.callOff();
      unsubscribe();
    },
  };
}
