import { request as httpRequest } from 'node:http';
import { readdirSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { errorBody, largestScoreFile, mostKept, type KeptFile } from '@wide-fern/contract';
import supertest from 'supertest';
import { createApp } from '../app';
import { Choir } from '../db/entities/choir';
import { PieceFile } from '../db/entities/pieces';
import { testDatabase } from '../testing/database';
import { password, signUp, testApp, testSettings, type Person } from '../testing/people';

const database = testDatabase();

/** What is received lies in the temporary folder, and nothing of it stays. */
const received = () =>
  readdirSync(tmpdir()).filter((name) => /^wide-fern-[0-9a-f-]{36}$/.test(name));

describe('files that are sent', () => {
  let person: Person;
  let at: string;
  beforeAll(async () => {
    person = await signUp(testApp(database));
    at = `/api/choirs/${person.choir}/score-files`;
  });
  const send = (bytes: Buffer) =>
    person.agent.post(at).set('Content-Type', 'application/octet-stream').send(bytes);

  it('are kept as they came, and nothing lies about afterwards', async () => {
    const bytes = Buffer.from(Array.from({ length: 100_000 }, (_, i) => i % 256));
    const { body } = await send(bytes).expect(201);
    const { id, size } = body as KeptFile;
    const kept = await database.orm.em
      .fork()
      .findOneOrFail(PieceFile, { id }, { populate: ['bytes'] });
    expect([size, bytes.equals(Buffer.from(kept.bytes.unwrap() ?? ''))]).toEqual([100_000, true]);
    expect(received()).toEqual([]);
  });

  it('that are empty or too large are refused, said beforehand or not', async () => {
    expect(errorBody.parse((await send(Buffer.alloc(0)).expect(400)).body).error.code).toBe(
      'invalid',
    );
    const { body } = await send(Buffer.alloc(largestScoreFile + 1)).expect(413);
    expect(errorBody.parse(body).error.code).toBe('too_large');
    // Sent in pieces, its length is known only at the end.
    const piecewise = person.agent
      .post(at)
      .set('Content-Type', 'application/octet-stream')
      .set('Transfer-Encoding', 'chunked');
    for (let i = 0; i <= largestScoreFile / 1_000_000; i += 1) {
      piecewise.write(Buffer.alloc(1_000_000));
    }
    expect((await piecewise).status).toBe(413);
    expect(received()).toEqual([]);
  });

  it('wait unread while two of the choir are on their way', async () => {
    const app = testApp(database);
    const server: Server = await new Promise((done) => {
      const one = app.listen(0, '127.0.0.1', () => done(one));
    });
    const { port } = server.address() as AddressInfo;
    const cookie = await supertest(app)
      .post('/api/session')
      .send({ email: person.email, password })
      .then(({ headers }) => (headers['set-cookie'] as unknown as string[])[0]!.split(';')[0]!);
    /** Begins to send, and goes on when it is told to. */
    const begin = () => {
      const call = httpRequest({
        port,
        host: '127.0.0.1',
        path: at,
        method: 'POST',
        headers: { cookie, 'content-type': 'application/octet-stream', 'content-length': 10 },
      });
      const answered = new Promise<number>((done) =>
        call.on('response', (response) => {
          response.resume();
          done(response.statusCode ?? 0);
        }),
      );
      call.write('12345');
      return { end: () => call.end('67890'), answered };
    };
    const slow = [begin(), begin()];
    await expectSoon(() => received().length === 2);
    const third = begin();
    third.end();
    // The third is whole, and still waits: two are on their way.
    const first = await Promise.race([
      third.answered,
      supertest(app)
        .get('/api/health')
        .then(() => 'waits'),
    ]);
    expect(first).toBe('waits');
    expect(received()).toHaveLength(2);
    slow[0]!.end();
    expect(await slow[0]!.answered).toBe(201);
    expect(await third.answered).toBe(201);
    slow[1]!.end();
    expect(await slow[1]!.answered).toBe(201);
    expect(received()).toEqual([]);
    await new Promise((done) => server.close(done));
  });

  it('that break off leave nothing, and others go on', async () => {
    const app = testApp(database);
    const server: Server = await new Promise((done) => {
      const one = app.listen(0, '127.0.0.1', () => done(one));
    });
    const { port } = server.address() as AddressInfo;
    const { headers } = await supertest(app)
      .post('/api/session')
      .send({ email: person.email, password });
    const cookie = (headers['set-cookie'] as unknown as string[])[0]!.split(';')[0]!;
    for (let i = 0; i < 3; i += 1) {
      const call = httpRequest({
        port,
        host: '127.0.0.1',
        path: at,
        method: 'POST',
        headers: { cookie, 'content-type': 'application/octet-stream', 'content-length': 1000 },
      });
      call.on('error', () => undefined);
      call.write('begun');
      await expectSoon(() => received().length === 1);
      call.destroy();
      await expectSoon(() => received().length === 0);
    }
    await send(Buffer.from('whole')).expect(201);
    await new Promise((done) => server.close(done));
  });

  it('are refused where a choir has no room for more', async () => {
    const em = database.orm.em.fork();
    const choir = em.getReference(Choir, person.choir);
    const size = mostKept.files - 100_020;
    em.create(PieceFile, { choir, name: 'many', size, bytes: Buffer.from('x') });
    await em.flush();
    const { body } = await send(Buffer.alloc(1000)).expect(409);
    expect(errorBody.parse(body).error.message).toContain('at most 500 MB of scores');
    await em.nativeDelete(PieceFile, { size });
    await send(Buffer.alloc(1000)).expect(201);
  });
});

/** Waits for something to come about, a turn at a time. */
async function expectSoon(isSo: () => boolean): Promise<void> {
  const late = Date.now() + 4000;
  while (!isSo()) {
    if (Date.now() > late) throw new Error('This did not come about.');
    await new Promise((done) => setImmediate(done));
  }
}

describe('a disk that is full', () => {
  it('refuses what would be stored, goes on reading, lets be deleted, and recovers', async () => {
    let free = Infinity;
    const app = createApp({ ...testSettings(database), free: () => Promise.resolve(free) });
    const person = await signUp(app);
    const at = `/api/choirs/${person.choir}`;
    free = 1000;
    const { body } = await person.agent.put(at).send({ name: 'Other' }).expect(507);
    expect(errorBody.parse(body).error.message).toContain('What is here can be read');
    await person.agent.get(at).expect(200);
    await person.agent.get('/api/session').expect(200);
    await person.agent.delete('/api/session').expect(204);
    // Whoever wants to read has to sign in.
    await person.agent.post('/api/session').send({ email: person.email, password }).expect(200);
    await person.agent.put(at).send({ name: 'Other' }).expect(507);
    free = Infinity;
    await person.agent.put(at).send({ name: 'Other' }).expect(200);
  });
});
