import { expose } from 'comlink';
import { openWorker } from './open';

/** A worker's end of a channel in this very process: what is asked crosses it as messages. */
function channelWorker(api: object) {
  const { port1, port2 } = new MessageChannel();
  expose(api, port2);
  port2.start();
  const listeners: (() => void)[] = [];
  const worker = {
    postMessage: (message: unknown, transfer?: Transferable[]) =>
      port1.postMessage(message, transfer ?? []),
    addEventListener: (type: string, listener: never) => {
      if (type === 'error') listeners.push(listener);
      else port1.addEventListener(type, listener);
    },
    removeEventListener: (type: string, listener: never) =>
      port1.removeEventListener(type, listener),
    terminate: () => {
      port1.close();
      port2.close();
    },
  };
  port1.start();
  return { make: () => worker as unknown as Worker, fail: () => listeners.forEach((one) => one()) };
}

describe('a worker that is called', () => {
  it('answers, and throws here what was thrown there', async () => {
    const { make } = channelWorker({
      double: (n: number) => n * 2,
      refuse: () => {
        throw new RangeError('Not this one.');
      },
    });
    const opened = openWorker<{ double: (n: number) => number; refuse: () => void }>(make);
    expect(await opened.ask((api) => api.double(21))).toBe(42);
    await expect(opened.ask((api) => api.refuse())).rejects.toThrow('Not this one.');
    opened.end();
  });
  it('refuses what it had not answered when it is ended, and whatever is asked afterwards', async () => {
    const { make } = channelWorker({ wait: () => new Promise(() => undefined) });
    const opened = openWorker<{ wait: () => Promise<void> }>(make);
    const waiting = opened.ask((api) => api.wait());
    opened.end(new Error('It was closed.'));
    await expect(waiting).rejects.toThrow('It was closed.');
  });
  it('says so when it cannot be fetched', async () => {
    const { make, fail } = channelWorker({ wait: () => new Promise(() => undefined) });
    const opened = openWorker<{ wait: () => Promise<void> }>(make);
    const waiting = opened.ask((api) => api.wait());
    fail();
    await expect(waiting).rejects.toThrow('could not be fetched');
  });
});
