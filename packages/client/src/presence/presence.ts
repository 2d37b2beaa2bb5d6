import type { ChangePresence, Presence } from '@wide-fern/contract';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { ApiError, messageOf } from '../call/call';
import { isNothing, joined, keepPending, readPending, without } from './pending';

/** What was ticked on an evening and is not stored yet. */
export interface PendingPresence {
  readonly pending: ChangePresence;
  /** Why it is not stored, for a person; and whether it was refused for good. */
  readonly trouble: { readonly message: string; readonly refused: boolean } | undefined;
}

/** How changes of presence reach the world; the tests hand in their own. */
export interface PresenceWorld {
  readonly save: (change: ChangePresence) => Promise<Presence>;
  /** The server has everything that was ticked, and says so. */
  readonly stored: (presence: Presence) => void;
  /** The server refused for good: what it has is what counts. */
  readonly refused: () => void;
  /** Calls back later; answers with a way to call it off. */
  readonly later: (ms: number, action: () => void) => () => void;
}

/** How long to wait before trying again when the server cannot be reached. */
const tryAgain = 4000;

/** Changes of one evening's presence on their way to the server. */
export interface PresenceOutbox {
  readonly store: StoreApi<PendingPresence>;
  readonly change: (change: ChangePresence) => void;
  /** Sends at once what waits. */
  readonly sendNow: () => void;
  readonly stop: () => void;
}

/**
 * Opens the outbox of an evening: what a closed window left behind is in it. Changes are kept on the
 * device and sent, again and again, until they are stored.
 */
export function presenceOutbox(
  account: string,
  evening: string,
  world: PresenceWorld,
): PresenceOutbox {
  const store = createStore<PendingPresence>(() => ({
    pending: readPending(account, evening),
    trouble: undefined,
  }));
  let sending = false;
  /** How often in a row the server broke on what was sent. */
  let faults = 0;
  let stopped = false;
  let callOff: (() => void) | undefined;

  const hold = (pending: ChangePresence) => {
    store.setState({ pending });
    keepPending(account, evening, pending);
  };

  function fail(error: unknown): void {
    if (error instanceof ApiError && !error.mayPass && error.status !== 401) {
      hold({});
      store.setState({ trouble: { message: error.message, refused: true } });
      world.refused();
      return;
    }
    store.setState({ trouble: { message: messageOf(error), refused: false } });
    faults = error instanceof ApiError && error.isFault ? faults + 1 : 0;
    // Twice the same fault: it is kept, and sent again only when somebody says so or changes something.
    if (faults > 1) return;
    if (!stopped) callOff = world.later(tryAgain, () => void send());
  }

  async function send(): Promise<void> {
    if (sending) return;
    callOff?.();
    sending = true;
    try {
      let saved: Presence | undefined;
      while (!isNothing(store.getState().pending)) {
        const { pending } = store.getState();
        saved = await world.save(pending);
        faults = 0;
        hold(without(store.getState().pending, pending));
        store.setState({ trouble: undefined });
      }
      if (saved) world.stored(saved);
    } catch (error) {
      fail(error);
    } finally {
      sending = false;
    }
  }
  void send();

  return {
    store,
    change: (change) => {
      hold(joined(store.getState().pending, change));
      void send();
    },
    sendNow: () => void send(),
    stop: () => {
      stopped = true;
      callOff?.();
    },
  };
}
