import { choirEventSchema, uuid, z, type ChoirEvent, type Happened } from '@wide-fern/contract';
import { Client, type Notification } from 'pg';
import type { Logger } from 'pino';
import { happenedChannel, happenedInSchema } from './happened';

/** What is told of a choir: an event, what happened in a run, or that some may have been missed. */
export type Told = ChoirEvent | Happened | 'missed';
type Listener = (told: Told) => void;

/** The changes of all choirs, as every process of the server hears of them from the database. */
export interface ChangeHub {
  /** Tells of a choir's changes from now on; answers with a way to stop. */
  readonly subscribe: (choir: string, listener: Listener) => Promise<() => void>;
  /** Tells when anything of sessions, accounts, members or choirs changed, in whatever process. */
  readonly onSignIns: (listener: () => void) => void;
  /** Ends every subscription. */
  readonly close: () => Promise<void>;
}

const channel = 'choir_change';
const signIns = 'sign_in_change';
const waits = [200, 1_000, 5_000];

const notificationSchema = z.object({
  choir: uuid,
  id: z.int(),
  kind: choirEventSchema.shape.kind,
  about: choirEventSchema.omit({ id: true, kind: true }),
});

/** Opens a connection that listens. One that never came about is its opener's to try again, and is closed whole. */
async function openConnection(
  url: string,
  log: Logger,
  on: {
    readonly hear: (heard: Notification) => void;
    readonly onFailed: () => void;
    readonly onLost: () => void;
  },
): Promise<Client> {
  const client = new Client({ connectionString: url });
  let listens = false;
  client.on('notification', on.hear);
  client.on('error', (error) => log.warn({ err: error }, 'the connection for changes broke'));
  client.once('end', () => {
    if (listens) on.onLost();
  });
  try {
    await client.connect();
    await client.query(`listen ${signIns}`);
    await client.query(`listen ${happenedChannel}`);
    await client.query(`listen ${channel}`);
    listens = true;
    return client;
  } catch (error) {
    on.onFailed();
    await client.end().catch(() => undefined);
    throw error;
  }
}

/** Opens the one connection of this process on which PostgreSQL tells what was stored; at the first subscription. */
export function changeHub(url: string, log: Logger): ChangeHub {
  const listeners = new Map<string, Set<Listener>>();
  const ofSignIns = new Set<() => void>();
  const forgetSignIns = () => ofSignIns.forEach((listener) => listener());
  /** The one connection: there, or on its way. */
  let connection: Promise<Client> | undefined;
  let retry: NodeJS.Timeout | undefined;
  let closed = false;

  const tell = (choir: string, told: Told) => {
    for (const listener of listeners.get(choir) ?? []) listener(told);
  };
  const hearHappened = (payload: string | undefined) => {
    const { choir, ...happened } = happenedInSchema.parse(JSON.parse(payload ?? ''));
    tell(choir, happened);
  };
  const hear = (payload: string | undefined) => {
    const { choir, id, kind, about } = notificationSchema.parse(JSON.parse(payload ?? ''));
    tell(choir, { id, kind, ...about });
  };

  const open = () =>
    openConnection(url, log, {
      hear: (heard) => {
        if (heard.channel === signIns) forgetSignIns();
        else if (heard.channel === happenedChannel) hearHappened(heard.payload);
        else hear(heard.payload);
      },
      onFailed: () => (connection = undefined),
      onLost: () => {
        connection = undefined;
        comeBack(0);
      },
    });
  const connected = (): Promise<Client> => (connection ??= open());

  /** Connects again, now and then until it works. After a break nobody knows what was missed: everyone is told so. */
  function comeBack(failures: number): void {
    if (closed || (listeners.size === 0 && ofSignIns.size === 0)) return;
    connected().then(
      () => {
        forgetSignIns();
        for (const choir of listeners.keys()) tell(choir, 'missed');
      },
      () => {
        const wait = waits[Math.min(failures, waits.length - 1)]!;
        clearTimeout(retry);
        if (!closed) retry = setTimeout(() => comeBack(failures + 1), wait).unref();
      },
    );
  }

  return {
    async subscribe(choir, listener) {
      const known = listeners.get(choir) ?? new Set();
      listeners.set(choir, known.add(listener));
      const stop = () => {
        known.delete(listener);
        if (known.size === 0 && listeners.get(choir) === known) listeners.delete(choir);
      };
      try {
        await connected();
      } catch (error) {
        stop();
        throw error;
      }
      return stop;
    },
    onSignIns(listener) {
      ofSignIns.add(listener);
      connected().catch(() => comeBack(0));
    },
    async close() {
      closed = true;
      ofSignIns.clear();
      listeners.clear();
      clearTimeout(retry);
      await (await connection?.catch(() => undefined))?.end();
    },
  };
}
