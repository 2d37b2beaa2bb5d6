import { choirEventSchema, uuid, z, type ChoirEvent } from '@wide-fern/contract';
import { Client } from 'pg';
import type { Logger } from 'pino';

/** What is told of a choir: an event, or that some may have been missed. */
export type Told = ChoirEvent | 'missed';
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

/** Opens the one connection of this process on which PostgreSQL tells what was stored; at the first subscription. */
export function changeHub(url: string, log: Logger): ChangeHub {
  const listeners = new Map<string, Set<Listener>>();
  const ofSignIns = new Set<() => void>();
  const forgetSignIns = () => ofSignIns.forEach((listener) => listener());
  let client: Promise<Client> | undefined;
  let closed = false;

  const tell = (choir: string, told: Told) => {
    for (const listener of listeners.get(choir) ?? []) listener(told);
  };
  const hear = (payload: string | undefined) => {
    const { choir, id, kind, about } = notificationSchema.parse(JSON.parse(payload ?? ''));
    tell(choir, { id, kind, ...about });
  };

  async function connect(): Promise<Client> {
    const opened = new Client({ connectionString: url });
    opened.on('notification', (heard) => {
      if (heard.channel === signIns) forgetSignIns();
      else hear(heard.payload);
    });
    opened.on('error', (error) => log.warn({ err: error }, 'the connection for changes broke'));
    opened.on('end', () => {
      client = undefined;
      if (!closed && (listeners.size > 0 || ofSignIns.size > 0)) void reconnect(0);
    });
    await opened.connect();
    await opened.query(`listen ${signIns}`);
    await opened.query(`listen ${channel}`);
    return opened;
  }

  /** After a break nobody knows what was missed: everyone is told so. */
  async function reconnect(failures: number): Promise<void> {
    try {
      client ??= connect();
      await client;
      forgetSignIns();
      for (const choir of listeners.keys()) tell(choir, 'missed');
    } catch {
      client = undefined;
      const wait = waits[Math.min(failures, waits.length - 1)]!;
      if (!closed) setTimeout(() => void reconnect(failures + 1), wait).unref();
    }
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
        client ??= connect();
        await client;
      } catch (error) {
        client = undefined;
        stop();
        throw error;
      }
      return stop;
    },
    onSignIns(listener) {
      ofSignIns.add(listener);
      void reconnect(0);
    },
    async close() {
      closed = true;
      ofSignIns.clear();
      listeners.clear();
      await (await client?.catch(() => undefined))?.end();
    },
  };
}
