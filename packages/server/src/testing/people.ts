import { randomUUID } from 'node:crypto';
import type {
  Evening,
  NewInvitation,
  PlanDocument,
  Role,
  Session,
  StoreEvening,
  StorePiece,
} from '@wide-fern/contract';
import { exercises } from '@wide-fern/catalogue';
import { emptyDocument } from '@wide-fern/plan';
import type { Express } from 'express';
import { pino } from 'pino';
import supertest from 'supertest';
import type { Letter } from '@wide-fern/words';
import { createApp } from '../app';
import type { Mailer } from '../mail/mailer';
import type { testDatabase } from './database';

/** A log that keeps what was written, so that tests can look for what must not be in it. */
export function keptLog() {
  const lines: string[] = [];
  const log = pino({ level: 'trace' }, { write: (line: string) => lines.push(line) });
  return { log, lines };
}

/** Mails that were sent, in place of a way out: to whom, and what. */
export class KeptMails implements Mailer {
  readonly sent: { to: string; letter: Letter }[] = [];
  private readonly waiting: (() => void)[] = [];

  send(to: string, letter: Letter): Promise<void> {
    this.sent.push({ to, letter });
    this.waiting.splice(0).forEach((go) => go());
    return Promise.resolve();
  }

  /** What stands behind the «#» of the link in the next mail to somebody, once it has come. */
  async linkTo(to: string): Promise<string> {
    for (;;) {
      const place = this.sent.findIndex((one) => one.to === to);
      const [mail] = place < 0 ? [] : this.sent.splice(place, 1);
      if (mail) return /#(\S+)/.exec(mail.letter.text)?.[1] ?? '';
      await new Promise<void>((go) => this.waiting.push(go));
    }
  }
}

/** What a test's application rests on; every reply is checked against the contract. */
export const testSettings = (
  database: ReturnType<typeof testDatabase>,
  log = keptLog().log,
): Parameters<typeof createApp>[0] => ({
  orm: database.orm,
  hub: database.hub,
  log,
  checkReplies: true,
  mailer: new KeptMails(),
  publicUrl: 'http://choir.example',
  mostCalls: 10_000,
  // Tests change tables by hand and look at once; what is remembered has tests of its own.
  rememberSeconds: 0,
});

/** The application on a test's own database. */
export const testApp = (database: ReturnType<typeof testDatabase>, log = keptLog().log): Express =>
  createApp(testSettings(database, log));

/** A signed-in browser with a choir of its own. */
export interface Person {
  readonly agent: ReturnType<typeof supertest.agent>;
  readonly email: string;
  readonly choir: string;
}

export const password = 'a long enough password';

export async function signUp(app: Express, name = 'Wren Aldous'): Promise<Person> {
  const agent = supertest.agent(app);
  const email = `${randomUUID()}@example.org`;
  const answer = await agent
    .post('/api/accounts')
    .send({ name, email, password, choir: 'Test Choir', timeZone: 'Europe/London' })
    .expect(201);
  return { agent, email, choir: (answer.body as Session).choirs[0]!.id };
}

/** Takes another person into a choir as they really come: invited, and accepting. */
export async function join(owner: Person, other: Pick<Person, 'agent'>, role: Role): Promise<void> {
  const invited = await owner.agent
    .post(`/api/choirs/${owner.choir}/invitations`)
    .send({ role, note: '' })
    .expect(201);
  const { code } = invited.body as NewInvitation;
  await other.agent.post('/api/invitation/accepted').send({ secret: code }).expect(200);
}

/** An evening with nothing on it but a warm-up. */
export const typedEvening = (wanted: Partial<StoreEvening> = {}): StoreEvening => ({
  name: null,
  date: '2030-05-07',
  start: '19:30',
  end: '21:30',
  place: 'Hall',
  occasion: 'evening after work',
  forbids: [],
  agenda: [{ id: 'warm-up', kind: 'warm-up', title: 'Warm-up', minutes: 15, piece: null }],
  ...wanted,
});

/** A piece that asks little, typed by hand. */
export const typedPiece = (): StorePiece => ({
  title: 'Slate',
  composer: '',
  language: '',
  tempo: null,
  transpose: 0,
  notes: '',
  ranges: { S: [62, 77] },
  score: null,
});

export async function addEvening({ agent, choir }: Person, date = '2030-05-07'): Promise<Evening> {
  const answer = await agent
    .post(`/api/choirs/${choir}/evenings`)
    .send(typedEvening({ date }))
    .expect(201);
  return answer.body as Evening;
}

/** A document with some built-in exercises. */
export const documentOf = (evening: Evening, ids: readonly string[]): PlanDocument => ({
  ...emptyDocument(evening.tonight),
  segments: ids.map((id, i) => {
    const exercise = exercises.find((one) => one.id === id)!;
    return { id: `s${i}`, exercise, choices: { ...exercise.usual, start: null } };
  }),
});

export const planPath = (choir: string, evening: string, item = 'warm-up'): string =>
  `/api/choirs/${choir}/evenings/${evening}/plans/${item}`;
