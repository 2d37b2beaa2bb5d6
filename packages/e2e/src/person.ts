import { randomUUID } from 'node:crypto';
import { exercises } from '@wide-fern/catalogue';
import { emptyDocument } from '@wide-fern/plan';
import type {
  Evening,
  NewInvitation,
  PlanDocument,
  Role,
  Session,
  Singer,
  SingerFields,
  StoreEvening,
} from '@wide-fern/contract';
import {
  expect,
  type APIRequestContext,
  type Browser,
  type BrowserContext,
  type Page,
} from '@playwright/test';

/** A person with a choir of their own, so that tests do not meet in the same plan. */
export interface Person {
  readonly context: BrowserContext;
  readonly request: APIRequestContext;
  readonly email: string;
  readonly password: string;
  readonly choir: string;
}

/** What went wrong in a page that nobody looked at: errors, refused styles, requests that leave. */
const complaints = new WeakMap<BrowserContext, string[]>();

function listen(page: Page, said: string[]): void {
  page.on('console', (message) => {
    // A refused request is also said there; tests that provoke one check the page's own words.
    if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) {
      said.push(message.text());
    }
  });
  page.on('pageerror', (error) => said.push(String(error)));
  page.on('request', (request) => {
    const { protocol, hostname } = new URL(request.url());
    if (protocol.startsWith('http') && hostname !== '127.0.0.1') said.push(`left for ${hostname}`);
  });
}

/** A browser context whose pages are listened to. */
export async function newContext(
  browser: Browser,
  options: Parameters<Browser['newContext']>[0] = {},
): Promise<BrowserContext> {
  const context = await browser.newContext(options);
  const said: string[] = [];
  complaints.set(context, said);
  context.on('page', (page) => listen(page, said));
  await context.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', (event) => {
      console.error(`policy: ${event.violatedDirective} ${event.blockedURI}`);
    });
  });
  return context;
}

/** Fails when a page of this context complained. */
export function expectNoComplaints(context: BrowserContext): void {
  expect(complaints.get(context) ?? []).toEqual([]);
}

/** Signs a new person up through the interface the pages use. */
export async function newPerson(
  browser: Browser,
  options: Parameters<Browser['newContext']>[0] = {},
): Promise<Person> {
  const context = await newContext(browser, options);
  const email = `${randomUUID()}@example.org`;
  const password = 'a long enough password';
  const response = await context.request.post('/api/accounts', {
    data: { name: 'Wren Aldous', email, password, choir: 'Test Choir', timeZone: 'Europe/London' },
  });
  expect(response.status()).toBe(201);
  const session = (await response.json()) as Session;
  return { context, request: context.request, email, password, choir: session.choirs[0]!.id };
}

/** Takes another person into a choir as they really come: invited, and accepting. */
export async function join(owner: Person, other: Person, role: Role): Promise<void> {
  const invited = await owner.request.post(`/api/choirs/${owner.choir}/invitations`, {
    data: { role, note: '' },
  });
  expect(invited.status()).toBe(201);
  const { code } = (await invited.json()) as NewInvitation;
  const joined = await other.request.post('/api/invitation/accepted', { data: { secret: code } });
  expect(joined.status()).toBe(200);
}

/** An evening with nothing on it but a quarter of an hour for the warm-up. */
const typedEvening = (date: string): StoreEvening => ({
  name: null,
  date,
  start: '19:30',
  end: '21:30',
  place: 'Hall',
  occasion: 'evening after work',
  forbids: [],
  agenda: [{ id: 'warm-up', kind: 'warm-up', title: 'Warm-up', minutes: 15, piece: null }],
});

/** An evening of a person's choir tomorrow, with a quarter of an hour for the warm-up, and what else is on it. */
export async function newEvening(
  { request, choir }: Person,
  days = 1,
  more: StoreEvening['agenda'] = [],
): Promise<Evening> {
  const date = new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  const evening = typedEvening(date);
  const response = await request.post(`/api/choirs/${choir}/evenings`, {
    data: { ...evening, agenda: [...evening.agenda, ...more] },
  });
  expect(response.status()).toBe(201);
  return (await response.json()) as Evening;
}

export const planAddress = (person: Person, evening: Evening): string =>
  `/api/choirs/${person.choir}/evenings/${evening.id}/plans/warm-up`;

/** Stores a first plan of some built-in exercises. */
export async function storePlan(
  person: Person,
  evening: Evening,
  ids: readonly string[],
): Promise<PlanDocument> {
  const document: PlanDocument = {
    ...emptyDocument(evening.tonight),
    segments: ids.map((id, i) => {
      const exercise = exercises.find((one) => one.id === id)!;
      return { id: `s${i}`, exercise, choices: { ...exercise.usual, start: null } };
    }),
  };
  const response = await person.request.put(planAddress(person, evening), {
    data: { version: 0, document, edits: [] },
  });
  expect(response.status()).toBe(200);
  return document;
}

/** The names in the strip, in order, once there is a strip. */
export async function segmentNames(page: Page): Promise<string[]> {
  const strip = page.getByRole('list', { name: 'Segments' });
  await strip.waitFor();
  const labels = await strip
    .getByRole('button')
    .evaluateAll((buttons) => buttons.map((button) => button.getAttribute('aria-label') ?? ''));
  // «3. Long s, four rounds, 1:12»: the name ends before what is counted.
  return labels.map((label) => label.replace(/^\d+\. /, '').replace(/, [^,]*.*$/, ''));
}

export const segment = (page: Page, name: string) =>
  page.getByRole('list', { name: 'Segments' }).getByRole('button', { name: new RegExp(name) });

/** Waits until the head says that everything is saved. */
export const saved = (page: Page) =>
  expect(page.getByRole('banner').getByRole('status')).toHaveText(/^saved \d\d:\d\d$/);

/** Puts singers on a person's roster. */
export async function addSingers(
  { request, choir }: Person,
  singers: readonly (Pick<SingerFields, 'name' | 'part'> & Partial<SingerFields>)[],
): Promise<void> {
  const nothingElse = {
    also: [],
    comfort: null,
    reach: null,
    lightTop: null,
    states: [],
    onLeave: false,
    notes: '',
  };
  const add = singers.map((singer) => ({ ...nothingElse, ...singer }));
  const response = await request.post(`/api/choirs/${choir}/singers`, {
    data: { add, change: [] },
  });
  expect(response.status()).toBe(201);
}

/** A person's roster as the server has it, by name. */
export async function singersOf({ request, choir }: Person): Promise<Singer[]> {
  const response = await request.get(`/api/choirs/${choir}/singers`);
  expect(response.status()).toBe(200);
  return ((await response.json()) as { items: Singer[] }).items;
}

/** Lets a browser hear of no changes that others make, as if the stream of them were cut. */
export async function hearNothing({ context }: Person): Promise<void> {
  await context.route('**/api/choirs/*/events*', (route) => route.fulfill({ status: 204 }));
}
