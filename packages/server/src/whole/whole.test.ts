import { readFileSync } from 'node:fs';
import { errorBody, wholeChoirSchema, z, type Session, type WholeChoir } from '@wide-fern/contract';
import type { Express } from 'express';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import supertest from 'supertest';
import { Plan } from '../db/entities/plan';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  join,
  planPath,
  signUp,
  testApp,
  typedPiece,
  type Person,
} from '../testing/people';
import { scoreName, textName } from './giveOut';
import { kinds, tableOf } from './tables';

const here = testDatabase();
const elsewhere = testDatabase();

type Agent = Person['agent'];
type Files = Record<string, Uint8Array>;

/** A choir's file as it comes, and what lies in it. */
async function giveOut(agent: Agent, choir: string) {
  const { body, headers } = await agent
    .get(`/api/choirs/${choir}/everything`)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  const bytes = body as Buffer;
  const files: Files = unzipSync(bytes);
  const whole = JSON.parse(strFromU8(files[textName]!)) as WholeChoir;
  return { bytes, files, whole, name: String(headers['content-disposition']) };
}
const bringIn = (agent: Agent, bytes: Uint8Array) =>
  agent
    .post('/api/choirs')
    .set('Content-Type', 'application/octet-stream')
    .send(Buffer.from(bytes));
const withText = (files: Files, whole: unknown): Uint8Array =>
  zipSync({ ...files, [textName]: strToU8(JSON.stringify(whole)) });

describe('everything of a choir in one file', () => {
  let app: Express;
  let fresh: Express;
  let demo: Agent;
  let given: Awaited<ReturnType<typeof giveOut>>;
  let choir: string;
  let changed: string;
  beforeAll(async () => {
    app = testApp(here);
    fresh = testApp(elsewhere);
    demo = supertest.agent(app);
    const { body } = await demo.post('/api/session/demo').expect(200);
    choir = (body as Session).choirs[0]!.id;
    // A score as it was handed in, whatever is in it.
    await demo
      .post(`/api/choirs/${choir}/score-files?name=odd%20name.mxl`)
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from([0, 1, 2, 255]))
      .expect(201);
    // A plan of which something changed since it was stored whole.
    const plans = await here.orm.em
      .fork()
      .find(Plan, { choir }, { populate: ['evening'], orderBy: { id: 'asc' } });
    const [one] = plans.filter(({ document }) => document.segments.length > 0);
    const path = planPath(choir, one!.evening.id, one!.item);
    // The first by another hand than the one that stored it is stored whole.
    for (const [i, talk] of [11, 77].entries()) {
      const { id } = one!.document.segments[0]!;
      await demo
        .post(`${path}/changes`)
        .send({
          ...{ version: one!.version + i, edits: [] },
          changes: [{ kind: 'choose', id, choices: { talk } }],
        })
        .expect(200);
    }
    changed = one!.id;
    given = await giveOut(demo, choir);
  });

  it('has plans as they are now, whatever was stored of them whole', () => {
    const plan = given.whole.plans.find(({ id }) => id === changed)!;
    expect(plan.document.segments[0]!.choices.talk).toBe(77);
  });

  it('has a published schema that is the one in force', () => {
    const published = new URL('../../../../docs/choir.schema.json', import.meta.url);
    const inForce = z.toJSONSchema(wholeChoirSchema, { target: 'draft-2020-12', reused: 'ref' });
    expect(JSON.parse(readFileSync(published, 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(inForce)),
    );
  });

  it('is as its schema says, and has all that the demo has', () => {
    const { whole, name } = given;
    const read = wholeChoirSchema.safeParse(whole);
    expect(read.error).toBeUndefined();
    expect(name).toMatch(/choir-\d{4}-\d\d-\d\d\.zip/);
    for (const kind of ['singers', 'evenings', 'plans', 'runs', 'runEvents', 'pieces'] as const) {
      expect([kind, whole[kind].length > 0]).toEqual([kind, true]);
    }
    const text = JSON.stringify(whole);
    expect(text).not.toMatch(/password|@quarrylane/i);
  });

  it('is brought into a fresh installation as it was, and given out of there the same', async () => {
    const person = await signUp(fresh);
    const { body } = await bringIn(person.agent, given.bytes).expect(201);
    const { choir: made } = body as { choir: string };
    const again = await giveOut(person.agent, made);
    expect(again.whole).toEqual(given.whole);
    expect(Object.keys(again.files).sort()).toEqual(Object.keys(given.files).sort());
    const [score] = given.whole.scores.filter((one) => one.name === 'odd name.mxl');
    expect([...again.files[scoreName(score!.id)]!]).toEqual([0, 1, 2, 255]);
    // What is read of it is the same too: evenings, a plan, the logbook that was worked out anew.
    const [last] = given.whole.runs.map(({ evening }) => evening);
    const both = async (path: string) => [
      (await demo.get(`/api/choirs/${choir}${path}`).expect(200)).body as unknown,
      (await person.agent.get(`/api/choirs/${made}${path}`).expect(200)).body as unknown,
    ];
    for (const path of ['/voices', '/evenings', `/evenings/${last}`, '/pieces', '/led']) {
      const [mine, theirs] = await both(path);
      expect(theirs).toEqual(mine);
    }
  });

  it('has other ids where it is here already, and both choirs stay', async () => {
    const person = await signUp(app);
    const { body } = await bringIn(person.agent, given.bytes).expect(201);
    const { choir: made } = body as { choir: string };
    const again = await giveOut(person.agent, made);
    for (const kind of kinds) {
      expect([kind, again.whole[kind].length]).toEqual([kind, given.whole[kind].length]);
      if (!tableOf(kind).ownIds) continue;
      const before = new Set(given.whole[kind].map(({ id }) => id));
      expect(again.whole[kind].some(({ id }) => before.has(id))).toBe(false);
    }
    const pieces = new Set(again.whole.pieces.map(({ id }) => id));
    const named = again.whole.evenings.flatMap(({ agenda }) =>
      agenda.flatMap((one) => one.piece ?? []),
    );
    expect(named.length).toBeGreaterThan(0);
    expect(named.every((id) => pieces.has(id))).toBe(true);
    expect((await giveOut(demo, choir)).whole).toEqual(given.whole);
  });

  it('of before runs were judged together is read as well', async () => {
    const person = await signUp(fresh);
    const { judgings, judgingCards, ...before } = given.whole;
    expect([judgings.length, judgingCards.length]).toEqual([3, 8]);
    const { body } = await bringIn(person.agent, withText(given.files, before)).expect(201);
    const { whole } = await giveOut(person.agent, (body as { choir: string }).choir);
    expect([whole.judgings, whole.judgingCards]).toEqual([[], []]);
    expect(whole.judgements).toHaveLength(given.whole.judgements.length);
  });

  it('is for directors to give out, and for nobody of the demo to bring in', async () => {
    const [owner, other] = [await signUp(app), await signUp(app)];
    await join(owner, other, 'deputy');
    await other.agent.get(`/api/choirs/${owner.choir}/everything`).expect(403);
    const { body } = await bringIn(demo, given.bytes).expect(403);
    expect(errorBody.parse(body).error.code).toBe('demo_account');
    await supertest(app).post('/api/choirs').expect(401);
  });

  describe('that means no good', () => {
    let person: Person;
    beforeAll(async () => {
      person = await signUp(fresh);
    });
    const refused = async (bytes: Uint8Array, words: RegExp) => {
      const { body } = await bringIn(person.agent, bytes).expect(400);
      expect(errorBody.parse(body).error.message).toMatch(words);
      const { choirs } = (await person.agent.get('/api/session')).body as Session;
      expect(choirs).toHaveLength(1);
    };

    it('is refused where it is something else, cut off, newer, or lacks a score', async () => {
      await refused(strToU8('no archive'), /no choir’s file/);
      await refused(zipSync({ 'a.txt': strToU8('x') }), /no choir’s file/);
      await refused(zipSync({ [textName]: strToU8('{"format":') }), /damaged/);
      await refused(withText({}, { ...given.whole, version: 99 }), /another version/);
      await refused(withText({}, given.whole), /scores: /);
    });

    it('is refused where one row is not as it should be, and says which', async () => {
      const broken = (change: (whole: WholeChoir) => void) => {
        const whole = structuredClone(given.whole);
        change(whole);
        return withText(given.files, whole);
      };
      await refused(
        broken(({ singers: [one] }) => Object.assign(one!, { name: 'a\u0000b' })),
        /singers\.0\.name/,
      );
      await refused(
        broken(({ evenings: [one] }) => Object.assign(one!, { startsAt: 'soon' })),
        /evenings\.0\.startsAt/,
      );
      await refused(
        broken(({ plans: [one] }) => Object.assign(one!.document, { schema: 999 })),
        /\(plans\)/,
      );
    });

    it('never reaches into another choir', async () => {
      const victim = await signUp(fresh);
      const evening = await addEvening(victim);
      const piece = (
        await victim.agent.post(`/api/choirs/${victim.choir}/pieces`).send(typedPiece()).expect(201)
      ).body as { id: string };
      const whole = structuredClone(given.whole);
      whole.judgements = [
        {
          id: '00000000-0000-4000-8000-00000000abcd',
          ...{ createdAt: '2026-01-01T00:00:00Z', judgedOn: '2026-01-01', target: 'posture' },
          ...{ piece: piece.id, scores: [] },
        },
      ];
      await refused(withText(given.files, whole), /judgements: piece/);
      const plan = structuredClone(given.whole);
      Object.assign(plan.plans[0]!, { evening: evening.id });
      await refused(withText(given.files, plan), /plans: evening/);
    });

    it('is refused before it unfolds to more than a choir may keep', async () => {
      const large = zipSync({ [textName]: new Uint8Array(90_000_000) });
      expect(large.length).toBeLessThan(200_000);
      await refused(large, /more than a choir may keep/);
    });
  });
});
