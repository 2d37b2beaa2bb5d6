import { randomUUID } from 'node:crypto';
import {
  described,
  errorBody,
  paths,
  placeOf,
  z,
  type EndpointName,
  type Singer,
} from '@wide-fern/contract';
import { exercises } from '@wide-fern/catalogue';
import { mixedChoir } from '@wide-fern/core';
import { seeded } from '@wide-fern/sound';
import supertest from 'supertest';
import { testDatabase } from './testing/database';
import { addEvening, documentOf, planPath, signUp, testApp, typedEvening } from './testing/people';

/** How many requests are made: few in the usual run, many when that is asked for. */
const requests = Number(process.env.FUZZ_REQUESTS ?? 2000);
const seed = Number(process.env.FUZZ_SEED ?? 20261128);

const database = testDatabase();

type Random = () => number;
const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)]!;

/** Values that have broken programs before. */
const hostile: readonly unknown[] = [
  '\u0000',
  'a\u0000b',
  '\ud800',
  'x\udfff',
  '🌿',
  '',
  ' ',
  'x'.repeat(5000),
  '__proto__',
  'constructor',
  'toString',
  '2026-02-30',
  '0000-01-01',
  '9999-12-31',
  '1899-12-31',
  "'; drop table choir; --",
  '../../etc/passwd',
  null,
  true,
  -1,
  0,
  1.5,
  1e308,
  2 ** 53,
  -(2 ** 31) - 1,
  2 ** 31,
  [],
  {},
  [[[[[[[[[['deep']]]]]]]]]],
  { toString: 1 },
];

interface JsonSchema {
  readonly type?: string;
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly allOf?: readonly JsonSchema[];
  readonly format?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly items?: JsonSchema;
  readonly prefixItems?: readonly JsonSchema[];
  readonly minItems?: number;
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: JsonSchema | boolean;
  readonly $ref?: string;
}

/** A value that a schema most likely takes. */
function fitting(schema: JsonSchema, random: Random, ids: readonly string[], depth = 0): unknown {
  const go = (inner: JsonSchema) => fitting(inner, random, ids, depth + 1);
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return pick(random, schema.enum);
  const choices = schema.anyOf ?? schema.oneOf;
  if (choices) return go(pick(random, choices));
  if (schema.allOf?.[0]) return go(schema.allOf[0]);
  switch (schema.type) {
    case 'string':
      if (schema.format === 'uuid') return random() < 0.9 ? pick(random, ids) : randomUUID();
      if (schema.format === 'date') return pick(random, ['2026-12-01', '2030-05-07', '2028-02-29']);
      if (schema.format === 'date-time') return '2026-12-01T19:30:00.000Z';
      return pick(random, [
        'warm-up',
        'S',
        'A',
        'T',
        'B',
        '19:30',
        '21:30',
        'Slate',
        'C4',
        'Ash Tarn',
      ]);
    case 'integer':
    case 'number': {
      const { minimum: low = 0, maximum: high = 127 } = schema;
      const value = low + random() * (Math.min(high, low + 200) - low);
      return schema.type === 'integer' ? Math.round(value) : value;
    }
    case 'boolean':
      return random() < 0.5;
    case 'null':
      return null;
    case 'array': {
      if (schema.prefixItems) {
        const all = schema.prefixItems.map(go);
        return all.every((one) => typeof one === 'number') ? all.sort((a, b) => a - b) : all;
      }
      const count = Math.max(schema.minItems ?? 0, depth > 6 ? 0 : Math.floor(random() * 3));
      return Array.from({ length: count }, () => go(schema.items ?? {}));
    }
    case 'object': {
      const { properties = {}, required = [], additionalProperties } = schema;
      const named = Object.entries(properties).flatMap(([name, inner]) =>
        required.includes(name) || random() < 0.7 ? [[name, go(inner)]] : [],
      );
      const more =
        typeof additionalProperties === 'object' && random() < 0.7
          ? [[pick(random, ['S', 'A', 'toString', 'constructor']), go(additionalProperties)]]
          : [];
      return Object.fromEntries([...named, ...more]) as unknown;
    }
    default:
      return pick(random, hostile);
  }
}

/** The same with one of its values replaced by a hostile one. */
function spoilt(value: unknown, random: Random): unknown {
  if (typeof value !== 'object' || value === null || random() < 0.15) return pick(random, hostile);
  const names = Object.keys(value);
  if (names.length === 0) return pick(random, hostile);
  const name = pick(random, names);
  const inner = spoilt((value as Record<string, unknown>)[name], random);
  return Array.isArray(value)
    ? value.map((one: unknown, i) => (String(i) === name ? inner : one))
    : { ...value, [name]: inner };
}

const bodies = new Map<EndpointName, JsonSchema>();
function bodySchema(name: EndpointName): JsonSchema | undefined {
  const { body } = described(name);
  if (!body) return undefined;
  const known =
    bodies.get(name) ??
    (z.toJSONSchema(body, { io: 'input', unrepresentable: 'any', reused: 'inline' }) as JsonSchema);
  bodies.set(name, known);
  return known;
}

/** What ends or changes a session is tried without one. */
const alone: readonly EndpointName[] = ['signOut', 'signOutEverywhere', 'changePassword', 'signUp'];
/** A stream never ends, and the door of the demo takes nothing that could be wrong. */
const untried: readonly EndpointName[] = ['followEvents', 'enterDemo'];
const names = (Object.keys(paths) as EndpointName[]).filter((name) => !untried.includes(name));

describe('whatever is sent', () => {
  it('is answered, and never with an error of the server', async () => {
    const app = testApp(database);
    const person = await signUp(app);
    const { agent, choir } = person;
    const at = `/api/choirs/${choir}`;
    const evening = await addEvening(person);
    await agent
      .put(planPath(choir, evening.id))
      .send({ version: 0, document: documentOf(evening, ['coat-off', 'pulley']), edits: [] })
      .expect(200);
    const sent = {
      piece: {
        title: 'Slate',
        composer: '',
        language: '',
        tempo: null,
        transpose: 0,
        notes: '',
        ranges: { S: [62, 77] },
        score: null,
      },
    };
    const singer = { part: 'S', also: [], comfort: [62, 79], reach: [59, 81], lightTop: null };
    const rest = { states: [], onLeave: false, notes: '' };
    const singers = await agent
      .post(`${at}/singers`)
      .send({ add: [{ name: 'Ash Tarn', ...singer, ...rest }], change: [] })
      .expect(201);
    const { date: _, ...template } = typedEvening({ name: 'As usual' });
    const kept = await agent.post(`${at}/templates`).send(template).expect(201);
    const piece = await agent.post(`${at}/pieces`).send(sent.piece).expect(201);
    const idOf = ({ body }: supertest.Response) => (body as { id: string }).id;
    const [ash] = singers.body as Singer[];
    const ids = [evening.id, ash!.id, idOf(kept), idOf(piece), randomUUID()];
    const named: Readonly<Record<string, readonly string[]>> = {
      choir: [choir],
      evening: [evening.id],
      singer: [ash!.id],
      piece: [idOf(piece)],
      template: [idOf(kept)],
      judging: [randomUUID()],
      item: ['warm-up', 'warm-up', 'cool-down', 'toString', '%00'],
      exercise: ['pulley', 'coat-off', '__proto__', 'a%00'],
    };
    const word = { parts: ['S'], skill: 'legato', note: 'here' };
    const { comfort, reach } = singer;
    /** What each of these endpoints takes, to be spoilt in one place. */
    const samples: Partial<Record<EndpointName, unknown>> = {
      addEvening: typedEvening(),
      addEvenings: { evenings: [typedEvening({ date: '2031-05-07' })] },
      addTemplate: template,
      changeChoir: { phraseSeconds: 9 },
      invite: { role: 'reader', note: 'for Ash' },
      storeSingers: { add: [{ name: 'Bram Oake', ...singer, ...rest }], change: [] },
      keepChecks: {
        checks: [{ singer: ash!.id, comfort, reach, lightTop: null, means: 'by-ear' }],
      },
      changePresence: {
        condition: 'rested',
        singers: [{ singer: ash!.id, away: true, states: ['ill'] }],
      },
      addPiece: sent.piece,
      addMark: { fromBar: 1, toBar: 2, ...word },
      addJudgement: {
        judgedOn: '2026-12-01',
        scores: [{ skill: 'legato', score: 3, note: 'better' }],
        target: 'legato',
      },
      openJudging: { judgedOn: '2026-12-01', skills: ['legato'], group: 'few', tried: '' },
      storeExercises: { exercises: [{ ...exercises[3]!, id: 'ours', name: 'Ours' }] },
      markExercise: { favourite: true, hidden: false, note: 'a word' },
      saveParts: { parts: mixedChoir, moves: {} },
      copyEvening: { dates: ['2031-06-07'], withPlans: false },
    };
    const stranger = supertest.agent(app);
    const random = seeded(seed);
    const broken: string[] = [];
    const done = new Set<EndpointName>();
    // First each of them once as it is, so that what follows finds something.
    const asTheyAre = Object.keys(samples) as EndpointName[];
    for (let i = 0; i < requests; i += 1) {
      const isSound = i < asTheyAre.length;
      const name = isSound ? asTheyAre[i]! : pick(random, names);
      const { method, path } = placeOf(name);
      // What is thrown away would be missed by all that follow.
      const whole = method !== 'DELETE' && random() < 0.97;
      const address = path.replace(/:(\w+)/g, (__, key: string) =>
        isSound
          ? (named[key] ?? ids)[0]!
          : key !== 'choir' && random() < 0.02
            ? '%ED%A0%80'
            : whole || key === 'choir'
              ? pick(random, named[key] ?? ids)
              : randomUUID(),
      );
      const query =
        !isSound && random() < 0.15 ? `?after=${encodeURIComponent('a\u0000')}&limit=-1` : '';
      const who = alone.includes(name) || (!isSound && random() < 0.05) ? stranger : agent;
      const verb = method.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
      const request = who[verb](`/api${address}${query}`);
      const schema = bodySchema(name);
      let body: unknown;
      if (described(name).file !== undefined) {
        body = `${Math.floor(random() * 90)} bytes of nothing`;
        request.set('Content-Type', 'application/octet-stream').send(body as string);
      } else if (schema) {
        const fits =
          name in samples && (isSound || random() < 0.7)
            ? samples[name]
            : fitting(schema, random, ids);
        body = !isSound && random() < 0.7 ? spoilt(fits, random) : fits;
        request.set('Content-Type', 'application/json').send(JSON.stringify(body));
      }
      const answer = await request;
      const { status } = answer;
      if (status < 300) done.add(name);
      const said =
        status >= 400 && !errorBody.safeParse(answer.body).success ? ', not in our shape' : '';
      if (status >= 500 || said) {
        broken.push(
          `${status}${said} ${name} ${address}${query} ${JSON.stringify(body)?.slice(0, 300)} ${JSON.stringify(answer.body)}`,
        );
      }
    }
    expect(broken).toEqual([]);
    // What is tried gets through as well: not everything is refused at the door.
    expect(Object.keys(samples).filter((name) => !done.has(name as EndpointName))).toEqual([]);
  }, 600_000);
});
