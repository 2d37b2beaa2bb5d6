import type { ChangePresence, Presence } from '@wide-fern/contract';
import { ApiError } from '../call/call';
import { readPending } from './pending';
import { presenceOutbox, type PresenceWorld } from './presence';

const [a, b] = ['00000000-0000-4000-8000-00000000000a', '00000000-0000-4000-8000-00000000000b'];
const away = (singer: string, is = true) => ({ singer, away: is, states: [] });
const away503 = () => new ApiError(0, 'unreachable', 'The server cannot be reached.');
const refusal = () => new ApiError(422, 'invalid', 'This singer is not on the roster.');

/** A server that answers when it is told to, and a clock that is turned by hand. */
function world() {
  const sent: { change: ChangePresence; answer: (with_: Presence | Error) => void }[] = [];
  const stored: Presence[] = [];
  const due: { action: () => void; off: boolean }[] = [];
  let refusals = 0;
  const it: PresenceWorld = {
    save: (change) =>
      new Promise((done, fail) => {
        sent.push({
          change,
          answer: (with_) => (with_ instanceof Error ? fail(with_) : done(with_)),
        });
      }),
    stored: (presence) => stored.push(presence),
    refused: () => {
      refusals += 1;
    },
    later: (_, action) => {
      const timer = { action, off: false };
      due.push(timer);
      return () => {
        timer.off = true;
      };
    },
  };
  const settle = async () => {
    for (let i = 0; i < 6; i += 1) await Promise.resolve();
  };
  return {
    it,
    sent,
    stored,
    refusals: () => refusals,
    answer: async (with_: Presence | Error) => {
      sent.at(-1)!.answer(with_);
      await settle();
    },
    pass: async () => {
      for (const { action, off } of due.splice(0)) if (!off) action();
      await settle();
    },
    due: () => due.filter(({ off }) => !off).length,
  };
}
const presence = (...singers: readonly ReturnType<typeof away>[]): Presence => ({
  condition: 'rested',
  singers: [...singers],
});
beforeEach(() => localStorage.clear());

describe('who is here, on its way to the server', () => {
  it('is kept on the device until it is stored, and told when it is', async () => {
    const { it: outside, sent, stored, answer } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    expect(sent).toEqual([]);
    outbox.change({ singers: [away(a)] });
    expect(readPending('me', 'evening')).toEqual({ singers: [away(a)] });
    await answer(presence(away(a)));
    expect(stored).toEqual([presence(away(a))]);
    expect(readPending('me', 'evening')).toEqual({});
    expect(outbox.store.getState().pending).toEqual({});
  });

  it('is sent one after the other, and what was ticked meanwhile goes along', async () => {
    const { it: outside, sent, stored, answer } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    outbox.change({ singers: [away(a)] });
    outbox.change({ singers: [away(b)] });
    outbox.change({ condition: 'cold' });
    expect(sent).toHaveLength(1);
    await answer(presence(away(a)));
    // Nothing is told before all of it is stored.
    expect(stored).toEqual([]);
    expect(sent[1]!.change).toEqual({ condition: 'cold', singers: [away(b)] });
    await answer(presence(away(a), away(b)));
    expect(stored).toHaveLength(1);
  });

  it('is tried again after a while when the server cannot be reached', async () => {
    const { it: outside, sent, answer, pass, due } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    outbox.change({ singers: [away(a)] });
    await answer(away503());
    expect(outbox.store.getState().trouble).toEqual({
      message: 'The server cannot be reached.',
      refused: false,
    });
    expect(readPending('me', 'evening')).toEqual({ singers: [away(a)] });
    expect(due()).toBe(1);
    await pass();
    expect(sent).toHaveLength(2);
    await answer(presence(away(a)));
    expect(outbox.store.getState()).toEqual({ pending: {}, trouble: undefined });
  });

  it('is kept, and not sent for ever, when the server breaks on it twice', async () => {
    const { it: outside, sent, answer, pass, due } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    const fault = () => new ApiError(500, 'unexpected', 'Something went wrong (abc).');
    outbox.change({ singers: [away(a)] });
    await answer(fault());
    expect(due()).toBe(1);
    await pass();
    await answer(fault());
    expect([sent.length, due()]).toEqual([2, 0]);
    expect(outbox.store.getState().trouble?.message).toContain('abc');
    expect(readPending('me', 'evening')).toEqual({ singers: [away(a)] });
    outbox.sendNow();
    await answer(presence(away(a)));
    expect(outbox.store.getState()).toEqual({ pending: {}, trouble: undefined });
  });

  it('is sent at once when that is asked for, and then not a second time', async () => {
    const { it: outside, sent, answer, due } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    outbox.change({ singers: [away(a)] });
    await answer(away503());
    outbox.sendNow();
    expect(sent).toHaveLength(2);
    expect(due()).toBe(0);
  });

  it('gives way to the server’s when it is refused for good, and says why', async () => {
    const { it: outside, answer, refusals, due } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    outbox.change({ singers: [away(a)] });
    await answer(refusal());
    expect(refusals()).toBe(1);
    expect(due()).toBe(0);
    expect(outbox.store.getState()).toEqual({
      pending: {},
      trouble: { message: 'This singer is not on the roster.', refused: true },
    });
    expect(readPending('me', 'evening')).toEqual({});
  });

  it('waits for whoever has to sign in again', async () => {
    const { it: outside, answer, refusals, due } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    outbox.change({ singers: [away(a)] });
    await answer(new ApiError(401, 'sign_in_first', 'Sign in first.'));
    expect(refusals()).toBe(0);
    expect(due()).toBe(1);
    expect(readPending('me', 'evening')).toEqual({ singers: [away(a)] });
  });

  it('is taken up again from what a closed window left behind', async () => {
    const first = world();
    const left = presenceOutbox('me', 'evening', first.it);
    left.change({ singers: [away(a)] });
    await first.answer(away503());
    left.stop();
    expect(first.due()).toBe(0);
    const second = world();
    presenceOutbox('me', 'evening', second.it);
    expect(second.sent[0]!.change).toEqual({ singers: [away(a)] });
    // Another person’s is not theirs to send.
    const other = world();
    presenceOutbox('you', 'evening', other.it);
    expect(other.sent).toEqual([]);
  });

  it('calls nothing back once it is stopped', async () => {
    const { it: outside, answer, due } = world();
    const outbox = presenceOutbox('me', 'evening', outside);
    outbox.change({ singers: [away(a)] });
    outbox.stop();
    await answer(away503());
    expect(due()).toBe(0);
    expect(readPending('me', 'evening')).toEqual({ singers: [away(a)] });
  });
});
