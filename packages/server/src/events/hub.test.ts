import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import { testDatabase } from '../testing/database';
import { changeHub, type ChangeHub, type Told } from './hub';

/** A door before the database that can be shut, and counts who came to it. */
class Door {
  readonly came: number[] = [];
  open = true;
  private readonly inside = new Set<Socket>();
  private readonly server: Server;

  constructor(to: URL) {
    this.server = createServer((socket) => {
      this.came.push(Date.now());
      socket.on('error', () => undefined);
      if (!this.open) {
        socket.destroy();
        return;
      }
      const on = connect(Number(to.port), to.hostname);
      this.inside.add(socket);
      on.on('error', () => socket.destroy()).on('close', () => socket.destroy());
      socket.on('close', () => {
        this.inside.delete(socket);
        on.destroy();
      });
      socket.pipe(on).pipe(socket);
    });
  }
  async listens(): Promise<number> {
    await new Promise<void>((done) => this.server.listen(0, '127.0.0.1', done));
    return (this.server.address() as AddressInfo).port;
  }
  /** Whoever is inside is put out, and nobody comes in until it is opened. */
  shut(): void {
    this.open = false;
    this.came.length = 0;
    for (const socket of this.inside) socket.destroy();
  }
  get within(): number {
    return this.inside.size;
  }
  close(): Promise<void> {
    return new Promise((done) => this.server.close(() => done()));
  }
}

const until = async (holds: () => boolean): Promise<void> => {
  while (!holds()) await new Promise((done) => setTimeout(done, 20));
};

describe('the connection on which changes are told', () => {
  const db = testDatabase();
  let door: Door;
  let hub: ChangeHub;
  beforeEach(async () => {
    const url = new URL(db.url);
    door = new Door(new URL(db.url));
    url.port = String(await door.listens());
    hub = changeHub(url.href, pino({ level: 'silent' }));
  });
  afterEach(async () => {
    await hub.close();
    await door.close();
  });

  it('is sought at growing intervals while the database is away, and is one again afterwards', async () => {
    const choir = randomUUID();
    const told: Told[] = [];
    let forgotten = 0;
    hub.onSignIns(() => (forgotten += 1));
    await hub.subscribe(choir, (one) => told.push(one));
    expect(door.within).toBe(1);
    const before = forgotten;

    door.shut();
    await until(() => door.came.length >= 3);
    const [first, second, third] = door.came;
    expect(second! - first!).toBeGreaterThan(150);
    expect(third! - second!).toBeGreaterThan(900);

    door.open = true;
    await until(() => told.length > 0);
    expect(told).toEqual(['missed']);
    expect(forgotten).toBe(before + 1);
    expect(door.within).toBe(1);
  });

  it('leaves nothing open when it is closed in the middle of coming back', async () => {
    await hub.subscribe(randomUUID(), () => undefined);
    door.shut();
    await until(() => door.came.length >= 1);
    door.open = true;
    await hub.close();
    expect(door.within).toBe(0);
  });

  it('refuses who subscribes while the database is away, and serves the next one', async () => {
    door.open = false;
    await expect(hub.subscribe(randomUUID(), () => undefined)).rejects.toThrow();
    door.open = true;
    const told: Told[] = [];
    const stop = await hub.subscribe(randomUUID(), (one) => told.push(one));
    expect([door.within, told]).toEqual([1, []]);
    stop();
  });
});
