import { randomUUID } from 'node:crypto';
import {
  api,
  described,
  errorBody,
  errorsOf,
  paths,
  placeOf,
  type EndpointName,
} from '@wide-fern/contract';
import type { Express } from 'express';
import supertest from 'supertest';
import { Callers } from './access/callers';
import { allRoutes } from './app';
import { testDatabase } from './testing/database';
import { addEvening, join, signUp, testApp, testSettings, type Person } from './testing/people';

const database = testDatabase();

/**
 * Who may call what, written by hand a second time: the contract says it too, and a slip there shows
 * here. Each list is open to its role and every higher one.
 */
const openTo: Readonly<Record<string, readonly EndpointName[]>> = {
  anyone: [
    'showSession',
    'signIn',
    'enterDemo',
    'signOut',
    'signUp',
    'confirmEmail',
    'forgetPassword',
    'renewPassword',
    'lookAtInvitation',
    'openPlanLink',
    'openPractice',
    'sendAnswer',
    'openRunLink',
    'showFollowed',
    'showFollowedEvents',
    'followRun',
    'stepRun',
  ],
  'signed-in': [
    'signOutEverywhere',
    'listBrowsers',
    'signBrowserOut',
    'changePassword',
    'changeName',
    'changeEmail',
    'beginSecondFactor',
    'keepSecondFactor',
    'endSecondFactor',
    'closeAccount',
    'keepAccount',
    'acceptInvitation',
    'bringChoirIn',
  ],
  reader: [
    'showChoir',
    'leaveChoir',
    'listEvenings',
    'showEvening',
    'listTemplates',
    'showPlan',
    'listPlanVersions',
    'showPlanVersion',
    'listRuns',
    'showRun',
    'showRunEvents',
    'listLedOnce',
    'showLogbook',
    'showExercises',
    'listExerciseVersions',
    'listPieces',
    'showPiece',
    'showScoreFile',
    'listAwaited',
    'listJudgings',
    'handInCard',
    'showRecording',
    'showVoices',
    'followEvents',
  ],
  deputy: [
    'listMembers',
    'showRoom',
    'addEvening',
    'addEvenings',
    'changeEvening',
    'removeEvening',
    'copyEvening',
    'addTemplate',
    'removeTemplate',
    'listKeptPlans',
    'keepPlan',
    'showKeptPlan',
    'removeKeptPlan',
    'listPlanLinks',
    'listAnswers',
    'dropAnswer',
    'makePlanLink',
    'endPlanLink',
    'savePlan',
    'changePlan',
    'sendRun',
    'storeExercises',
    'changeExercise',
    'removeExercise',
    'bringExerciseBack',
    'markExercise',
    'addPiece',
    'keepScoreFile',
    'changePiece',
    'removePiece',
    'addMark',
    'changeMark',
    'removeMark',
    'addJudgement',
    'removeJudgement',
    'openJudging',
    'removeJudging',
    'settleJudging',
    'keepRecording',
    'removeRecording',
    'listSingers',
    'storeSingers',
    'keepChecks',
    'changeSinger',
    'listChecks',
    'dropCheck',
    'showPresence',
    'showSureness',
    'changePresence',
  ],
  director: [
    'changeChoir',
    'changeMember',
    'removeMember',
    'bringMemberBack',
    'listInvitations',
    'invite',
    'takeInvitationBack',
    'closeChoir',
    'keepChoir',
    'listRecords',
    'giveOutChoir',
    'saveVoices',
    'saveParts',
    'deleteSinger',
    'exportSinger',
  ],
};
const settings = () => {
  const { mailer, publicUrl, log } = testSettings(database);
  return { mailer, publicUrl, log };
};
const names = Object.keys(paths) as EndpointName[];
const ofChoir = [...openTo.reader!, ...openTo.deputy!, ...openTo.director!];

describe('every endpoint', () => {
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
    await join(owner, reader, 'reader');
    await join(owner, deputy, 'deputy');
  });

  const address = (name: EndpointName): string =>
    `/api${placeOf(name)
      .path.replace(':choir', owner.choir)
      .replace(':evening', evening)
      .replace(':item', 'warm-up')
      .replace(':exercise', 'narrow-hum')
      .replace(':version', '1')
      .replace(
        /:(member|singer|check|piece|mark|judgement|judging|template|invitation|browser|link|run|answer)\b/g,
        () => randomUUID(),
      )}`;
  /** Calls with a body that is none of those wanted: who may not call is told so all the same. */
  const call = (
    agent: Pick<Person['agent'], 'get' | 'post' | 'put' | 'delete'>,
    name: EndpointName,
  ) => {
    const method = placeOf(name).method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
    return agent[method](address(name)).send(method === 'get' ? undefined : { nothing: 'of this' });
  };

  it('of the contract has a handler, and a line in the table of this test', () => {
    expect(
      allRoutes({
        hub: database.hub,
        hasDemo: true,
        callers: new Callers(0),
        post: settings(),
      })
        .map(({ name }) => name)
        .sort(),
    ).toEqual([...names].sort());
    expect(Object.values(openTo).flat().sort()).toEqual([...names].sort());
    for (const [least, all] of Object.entries(openTo)) {
      for (const name of all) expect([name, api[name].access]).toEqual([name, least]);
    }
  });

  it('of a choir stands below it, and no other does', () => {
    for (const name of names) {
      const below = /^\/choirs\/:choir(\/|$)/.test(placeOf(name).path);
      expect([name, below]).toEqual([name, ofChoir.includes(name)]);
    }
  });

  it('asks whoever is signed out to sign in', async () => {
    for (const name of [...ofChoir, ...openTo['signed-in']!]) {
      const { status, body } = await call(supertest(app), name);
      expect([name, status]).toEqual([name, 401]);
      expect(errorBody.parse(body).error.code).toBe('sign_in_first');
    }
  });

  it('tells a stranger no more than that it is not here', async () => {
    for (const name of ofChoir) {
      const { status, body } = await call(stranger.agent, name);
      expect([name, status]).toEqual([name, 404]);
      expect(errorBody.parse(body).error).toMatchObject({ code: 'not_found' });
      expect(errorBody.parse(body).error.fields).toBeUndefined();
    }
  });

  it('refuses who may not, whatever they send, before it is looked at', async () => {
    for (const [agent, refused] of [
      [reader.agent, [...openTo.deputy!, ...openTo.director!]],
      [deputy.agent, openTo.director!],
    ] as const) {
      for (const name of refused) {
        const { status, body } = await call(agent, name);
        expect([name, status]).toEqual([name, 403]);
        expect(errorBody.parse(body).error.code).toBe('not_allowed');
      }
    }
  });

  it('lets in who may: what is wrong then is what was sent, or that it is not there', async () => {
    for (const [agent, allowed] of [
      [reader.agent, openTo.reader!],
      [deputy.agent, [...openTo.reader!, ...openTo.deputy!]],
    ] as const) {
      // A stream does not end; it has a test of its own.
      for (const name of allowed.filter((one) => one !== 'followEvents')) {
        // What the deputy could really do here would be done: only what needs a body is sent one that is wrong.
        if (['removeEvening', 'leaveChoir'].includes(name)) continue;
        const { status, body } = await call(agent, name);
        expect([name, status]).not.toEqual([name, 403]);
        if (status >= 400) {
          const { code } = errorBody.parse(body).error;
          expect([name, errorsOf(described(name))]).toEqual([name, expect.arrayContaining([code])]);
        }
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

  it('reads no body of whoever may not send one: not even a broken or a huge one', async () => {
    const path = `/api/choirs/${owner.choir}/evenings`;
    const broken = await reader.agent.post(path).type('application/json').send('{"date":');
    expect(broken.status).toBe(403);
    const huge = await supertest(app)
      .post(path)
      .type('application/json')
      .send(`"${'x'.repeat(4_000_000)}"`);
    expect(huge.status).toBe(401);
    const signedOut = await supertest(app)
      .post('/api/session')
      .type('application/json')
      .send(JSON.stringify({ email: 'x'.repeat(20_000), password: 'x' }))
      .expect(413);
    expect(errorBody.parse(signedOut.body).error.code).toBe('too_large');
  });

  it('is described for other programs', async () => {
    const { body } = await supertest(app).get('/api/openapi.json').expect(200);
    const { openapi, paths: described_ } = body as {
      openapi: string;
      paths: Record<string, Record<string, { operationId: string }>>;
    };
    expect(openapi).toBe('3.1.0');
    const told = Object.values(described_).flatMap((one) =>
      Object.values(one).map(({ operationId }) => operationId),
    );
    expect(told.sort()).toEqual([...names].sort());
  });
});
