import {
  longestRun,
  type Run,
  type RunHead,
  type SendRun,
  type SentAct,
  type SentEvent,
} from '@wide-fern/contract';
import { effective, lastDone, ordered } from '@wide-fern/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { ApiError, messageOf } from '../call/call';
import { newId, newUuid } from '../device/windows';
import type { PlanPlace } from '../queries';
import { joinedRuns, keepRun, readKeptRun, type KeptRun } from './keptRun';

/** How what happens while a warm-up is led reaches the world; the tests hand in their own. */
export interface RunWorld {
  /** Sends events, with the beginning while it is not known to be there; answers when they are stored. */
  readonly send: (run: string, sent: SendRun) => Promise<unknown>;
  /** The wall clock, in milliseconds. */
  readonly now: () => number;
  /** Calls back later; answers with a way to call it off. */
  readonly later: (ms: number, action: () => void) => () => void;
}

/** Where what happened has got to. */
export type Sent =
  | { readonly kind: 'all' }
  | { readonly kind: 'sending' }
  /** The server is away, or the session is over: it is tried again. */
  | { readonly kind: 'waiting'; readonly message: string }
  /** The server will not have it; it stays here. */
  | { readonly kind: 'refused'; readonly message: string };

export interface LedRun {
  readonly run: KeptRun;
  readonly sent: Sent;
  /** Whether the device keeps it: else it goes on in this window alone. */
  readonly isKept: boolean;
}

/** A run that is led from this device. */
export interface RunLead {
  readonly store: StoreApi<LedRun>;
  /** Something happened now. */
  readonly note: (act: SentAct) => void;
  /** The last thing that happened never was; nothing where nothing did. */
  readonly undo: () => void;
  /** Milliseconds since it began; never less than was noted. */
  readonly elapsed: () => number;
  readonly sendNow: () => void;
  /** What the server has of it: what happened on another device happened here too. Answers whether there was any. */
  readonly take: (there: readonly SentEvent[]) => boolean;
  /** Another window of this device kept something. */
  readonly readAgain: () => void;
  readonly stop: () => void;
}

const waits = [1_000, 2_000, 4_000, 8_000, 15_000];

/** A run that begins now. */
export const beginRun = (head: RunHead): KeptRun => ({
  id: newUuid(),
  head,
  events: [],
  known: [],
  begun: false,
});

/** Sends what a run's store holds, one request at a time. */
class Sender {
  private isBusy = false;
  private failures = 0;
  private callOff: (() => void) | undefined;
  private isStopped = false;

  constructor(
    private readonly world: RunWorld,
    private readonly now: () => KeptRun,
    private readonly stored: (ids: readonly string[]) => void,
    private readonly tell: (sent: Sent) => void,
  ) {}

  async send(): Promise<void> {
    this.callOff?.();
    if (this.isBusy || this.isStopped) return;
    this.isBusy = true;
    try {
      for (;;) {
        const { id, head, events, known, begun } = this.now();
        const there = new Set(known);
        const fresh = events.filter((event) => !there.has(event.id));
        if (fresh.length === 0 && begun) break;
        // After it failed, nothing else is said until it got through.
        if (this.failures === 0) this.tell({ kind: 'sending' });
        await this.world.send(id, { ...(begun ? {} : { head }), events: fresh });
        // Nobody leads from here any more: nothing is written on the device. What is sent again counts once.
        if (this.isStopped) return;
        this.failures = 0;
        this.stored(fresh.map((event) => event.id));
      }
      this.tell({ kind: 'all' });
    } catch (error) {
      this.fail(error);
    } finally {
      this.isBusy = false;
    }
  }

  private fail(error: unknown): void {
    const message = messageOf(error);
    const isFinal = error instanceof ApiError && !error.mayPass && error.status !== 401;
    this.tell({ kind: isFinal ? 'refused' : 'waiting', message });
    if (isFinal || this.isStopped) return;
    const wait = waits[Math.min(this.failures, waits.length - 1)]!;
    this.failures += 1;
    this.callOff = this.world.later(wait, () => void this.send());
  }

  stop(): void {
    this.isStopped = true;
    this.callOff?.();
  }
}

/**
 * Leads a run from this device: what happens is kept here at once and sent as soon as the server takes it,
 * each event with an id and a number of its own, so that none is lost and none counts twice. Time is that
 * of the wall clock, so that sleep counts, and never goes back.
 */
export function leadRun(
  account: string,
  place: PlanPlace,
  begun: KeptRun,
  world: RunWorld,
): RunLead {
  const store = createStore<LedRun>(() => ({
    run: begun,
    sent: { kind: 'sending' },
    isKept: true,
  }));
  const now = () => store.getState().run;

  /** A run with what another window of this device knows of it. */
  const withOthers = (run: KeptRun): KeptRun => {
    const there = readKeptRun(account, place, run.id);
    return there ? joinedRuns(run, there) : run;
  };
  const hold = (run: KeptRun) => {
    const all = withOthers(run);
    store.setState({ run: all, isKept: keepRun(account, place, all) });
  };
  const sender = new Sender(
    world,
    now,
    (ids) => {
      const run = now();
      hold({ ...run, begun: true, known: [...new Set([...run.known, ...ids])] });
    },
    (sent) => store.setState({ sent }),
  );
  const elapsed = () => {
    const run = now();
    const since = world.now() - Date.parse(run.head.startedAt);
    // What is noted afterwards, be it weeks later, is noted at its end; nobody leads for more than a day.
    const isOver = isEnded(run) || since > longestRun;
    return Math.max(0, isOver ? 0 : since, ...run.events.map(({ at }) => at));
  };
  const note = (act: SentAct) => {
    const run = withOthers(now());
    const event: SentEvent = { id: newId(), n: run.events.length, at: elapsed(), act };
    hold({ ...run, events: [...run.events, event] });
    void sender.send();
  };
  hold(begun);
  void sender.send();

  return {
    store,
    note,
    undo: () => {
      const last = lastDone(now().events);
      if (last) note({ kind: 'undone', event: last.id });
    },
    elapsed,
    sendNow: () => void sender.send(),
    take: (there) => {
      const run = withOthers(now());
      const here = new Set(run.events.map(({ id }) => id));
      const fresh = there.filter(({ id }) => !here.has(id));
      if (fresh.length === 0) return false;
      const known = [...run.known, ...fresh.map(({ id }) => id)];
      hold(joinedRuns(run, { ...run, events: [...run.events, ...fresh], known }));
      return true;
    },
    readAgain: () => hold(now()),
    stop: () => sender.stop(),
  };
}

/** A run that another device began, to be led on from here. */
export const takenOver = ({ id, head, events }: Run): KeptRun => ({
  ...{ id, head, events },
  known: events.map((event) => event.id),
  begun: true,
});

/** Whether a run has ended. */
export const isEnded = ({ events }: Pick<KeptRun, 'events'>): boolean =>
  effective(ordered(events)).some(({ act }) => act.kind === 'ended');

/** Whether the server has all of it. */
export const isSent = ({ begun, events, known }: KeptRun): boolean =>
  begun && events.every(({ id }) => known.includes(id));
