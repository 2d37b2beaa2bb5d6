import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { get, type IncomingHttpHeaders, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MikroORM } from '@mikro-orm/postgresql';
import { errorBody } from '@wide-fern/contract';
import express from 'express';
import supertest from 'supertest';
import { createApp } from '../app';
import { ormConfig } from '../db/orm.config';
import { testDatabase } from '../testing/database';
import { keptLog, signUp, testApp, testSettings } from '../testing/people';
import { errorHandler } from './errors';

const database = testDatabase();

describe('health', () => {
  it('tells of process and database', async () => {
    const { body } = await supertest(testApp(database)).get('/api/health').expect(200);
    expect(body).toMatchObject({ process: 'ok', database: 'ok' });
  });

  it('is 503 without a database, and every route says what to do', async () => {
    const orm = await MikroORM.init({
      ...ormConfig('postgresql://choir@127.0.0.1:1/none'),
      connect: false,
    });
    const app = createApp({ ...testSettings(database), orm });
    const health = await supertest(app).get('/api/health').expect(503);
    expect(health.body).toMatchObject({ process: 'ok', database: 'away' });
    const session = await supertest(app)
      .get('/api/session')
      .set('Cookie', 'wide_fern_session=any')
      .expect(503);
    expect(errorBody.parse(session.body).error.code).toBe('database_away');
    await orm.close(true);
  });
});

describe('what nobody expected', () => {
  it('is logged with an id that the answer shows, without its text', async () => {
    const { log, lines } = keptLog();
    const app = express();
    app.get('/', () => {
      throw new Error('secret detail');
    });
    app.use(errorHandler(log));
    const { body } = await supertest(app).get('/').expect(500);
    const { message } = errorBody.parse(body).error;
    const [, id] = /\((\w{8})\)/.exec(message) ?? [];
    expect(lines.join('')).toContain(id);
    expect(message).not.toContain('secret');
  });
});

describe('the headers', () => {
  it('allow nothing inline and nothing from elsewhere', async () => {
    const { headers } = await supertest(testApp(database)).get('/api/session').expect(200);
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toContain('unsafe-inline');
    expect(policy).not.toMatch(/https?:/);
    expect(headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    expect(headers['x-powered-by']).toBeUndefined();
    expect(String(headers['permissions-policy'])).toContain('microphone=(self)');
    // Plain HTTP on one's own machine stays possible.
    expect(headers['strict-transport-security']).toBeUndefined();
    expect(headers['cache-control']).toBe('no-store');
  });
});

describe('behind TLS', () => {
  it('a browser is told to come by it again', async () => {
    const app = createApp({
      ...testSettings(database),
      trustedProxies: 1,
    });
    const { headers } = await supertest(app)
      .get('/api/session')
      .set('X-Forwarded-Proto', 'https')
      .expect(200);
    expect(headers['strict-transport-security']).toBe('max-age=15552000');
  });
});

describe('the pages', () => {
  const root = mkdtempSync(join(tmpdir(), 'pages-'));
  beforeAll(() => {
    mkdirSync(join(root, 'assets'));
    writeFileSync(join(root, 'index.html'), '<title>here</title>');
    writeFileSync(join(root, 'assets', 'a.js'), 'plain');
    writeFileSync(join(root, 'assets', 'a.js.br'), 'small');
  });
  afterAll(() => rmSync(root, { recursive: true }));

  it('answer unknown addresses with the application, assets for a year, compressed where it can be', async () => {
    const app = createApp({
      ...testSettings(database),
      webRoot: root,
    });
    const page = await supertest(app).get('/evenings/any/plan').expect(200);
    expect(page.text).toContain('here');
    expect(page.headers['cache-control']).toBe('no-cache');
    const plain = await supertest(app).get('/assets/a.js').set('Accept-Encoding', 'identity');
    expect(plain.headers['cache-control']).toContain('max-age=31536000');
    expect(plain.headers['content-encoding']).toBeUndefined();
    // The copy here is no real Brotli, so it is fetched without being unpacked.
    const server = await new Promise<Server>((done) => {
      const opened = app.listen(0, '127.0.0.1', () => done(opened));
    });
    const { port } = server.address() as AddressInfo;
    const small = await new Promise<IncomingHttpHeaders>((done) => {
      get(
        { port, host: '127.0.0.1', path: '/assets/a.js', headers: { 'accept-encoding': 'br' } },
        (response) => {
          response.resume();
          done(response.headers);
        },
      );
    });
    server.close();
    expect(small['content-encoding']).toBe('br');
    expect(small['content-type']).toContain('javascript');
    await supertest(app).get('/assets/gone.js').expect(404);
  });
});

describe('a session', () => {
  it('does not let another choir’s words into the answer of a bad body', async () => {
    const app = testApp(database);
    const [owner, stranger] = await Promise.all([signUp(app), signUp(app)]);
    const answer = await stranger.agent
      .post(`/api/choirs/${owner.choir}/evenings`)
      .send({ date: 1 })
      .expect(404);
    expect(errorBody.parse(answer.body).error.fields).toBeUndefined();
  });
});
