import { randomUUID } from 'node:crypto';
import { errorBody } from '@wide-fern/contract';
import type { Express } from 'express';
import supertest from 'supertest';
import { allRoutes } from './app';
import type { Access, Route } from './http/route';
import { testDatabase } from './testing/database';
import { addEvening, signUp, testApp, type Person } from './testing/people';

const database = testDatabase();

describe('every route', () => {
  let app: Express;
  let owner: Person;
  let stranger: Person;
  let reader: Person;
  let deputy: Person;
  let evening: string;

  beforeAll(async () => {
    app = testApp(database);
    [owner, stranger, reader, deputy] = await Promise.all([
      signUp(app),
      signUp(app),
      signUp(app),
      signUp(app),
    ]);
    evening = (await addEvening(owner)).id;
    const members = `/api/choirs/${owner.choir}/members`;
    await owner.agent.post(members).send({ email: reader.email, role: 'reader' }).expect(201);
    await owner.agent.post(members).send({ email: deputy.email, role: 'deputy' }).expect(201);
  });

  const address = ({ path }: Route): string =>
    `/api${path
      .replace(':choir', owner.choir)
      .replace(':evening', evening)
      .replace(':item', 'warm-up')
      .replace(':exercise', 'narrow-hum')
      .replace(/:(member|singer|check|piece|mark|judgement|template)\b/g, () => randomUUID())}`;
  const call = (agent: Pick<Person['agent'], Route['method']>, route: Route) =>
    agent[route.method](address(route)).send(route.method === 'get' ? undefined : {});
  const ofChoir = (access: Access) => !['anyone', 'signed-in'].includes(access);

  it('is known to this test, and every route of a choir says for whom it is', () => {
    const routes = allRoutes(database.orm);
    expect(routes.length).toBeGreaterThan(12);
    for (const { path, access } of routes) {
      expect([path, path.startsWith('/choirs/')]).toEqual([path, ofChoir(access)]);
      if (ofChoir(access)) expect(path).toMatch(/^\/choirs\/:choir(\/|$)/);
    }
  });

  it('asks whoever is signed out to sign in', async () => {
    for (const route of allRoutes(database.orm)) {
      if (route.access === 'anyone') continue;
      const { status, body } = await call(supertest(app), route);
      expect([route.path, status]).toEqual([route.path, 401]);
      expect(errorBody.parse(body).error.code).toBe('sign_in_first');
    }
  });

  it('tells a stranger no more than that it is not here', async () => {
    for (const route of allRoutes(database.orm).filter(({ access }) => ofChoir(access))) {
      const { status, body } = await call(stranger.agent, route);
      expect([route.path, status]).toEqual([route.path, 404]);
      expect(errorBody.parse(body).error.code).toBe('not_found');
    }
  });

  it('lets a reader read, a deputy plan, and nobody do more than the role says', async () => {
    for (const route of allRoutes(database.orm).filter(({ access }) => ofChoir(access))) {
      for (const [agent, allowed] of [
        [reader.agent, ['reader']],
        [deputy.agent, ['reader', 'deputy']],
      ] as const) {
        const { status } = await call(agent, route);
        const may = (allowed as readonly string[]).includes(route.access);
        // A body is checked before the role; an empty one may be refused either way.
        const refused = status === 403 || (status === 400 && route.body !== undefined);
        expect([route.method, route.path, may ? status !== 403 : refused]).toEqual([
          route.method,
          route.path,
          true,
        ]);
      }
    }
  });

  it('finds no evening of one choir by way of another', async () => {
    await stranger.agent.get(`/api/choirs/${stranger.choir}/evenings/${evening}`).expect(404);
  });

  it('answers an unknown address, a malformed id and another site in the one shape', async () => {
    const unknown = await supertest(app).get('/api/nothing/here').expect(404);
    errorBody.parse(unknown.body);
    const malformed = await owner.agent.get('/api/choirs/not-an-id').expect(404);
    errorBody.parse(malformed.body);
    const elsewhere = await owner.agent
      .delete('/api/session')
      .set('Origin', 'https://elsewhere.example')
      .expect(403);
    expect(errorBody.parse(elsewhere.body).error.code).toBe('other_origin');
  });
});
