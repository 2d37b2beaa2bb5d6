/** @jest-environment node */
import { readFileSync } from 'node:fs';

const source = readFileSync(`${import.meta.dirname}/../../public/offline.js`, 'utf8');
const place = 'http://choir.test';
const address = `${place}/api/choirs/one/evenings`;

/** What a browser has of caches, for one worker. What is put takes its place once `stored` is over. */
function cachesOf(stored: () => Promise<void>) {
  const kept = new Map<string, Map<string, Response>>();
  const urlOf = (request: Request | string) =>
    new URL(typeof request === 'string' ? request : request.url, place).href;
  const open = (name: string) => {
    const held = kept.get(name) ?? new Map<string, Response>();
    kept.set(name, held);
    return Promise.resolve({
      put: async (request: Request | string, response: Response) => {
        const { status, headers } = response;
        const body = await response.text();
        await stored();
        held.set(urlOf(request), new Response(body, { status, headers }));
      },
      delete: (request: Request | string) => Promise.resolve(held.delete(urlOf(request))),
      keys: () => Promise.resolve([...held.keys()].map((url) => new Request(url))),
    });
  };
  const match = (request: Request | string, { cacheName }: { cacheName: string }) =>
    Promise.resolve(kept.get(cacheName)?.get(urlOf(request))?.clone());
  return { open, match };
}

const away = () => Promise.reject(new TypeError('The network is away.'));

/** The worker, in front of a server that answers as it is told. */
function worker() {
  const heard = new Map<string, (event: object) => void>();
  const server: { answer: () => Promise<Response> } = { answer: away };
  const disk: { stored: () => Promise<void> } = { stored: () => Promise.resolve() };
  const self = {
    location: { origin: place },
    addEventListener: (kind: string, hear: (event: object) => void) => heard.set(kind, hear),
  };
  // eslint-disable-next-line @typescript-eslint/no-implied-eval -- it is a script, not a module
  const run = new Function('self', 'caches', 'fetch', source) as (...world: unknown[]) => void;
  const caches = cachesOf(() => disk.stored());
  run(self, caches, () => server.answer());
  const ask = async () => {
    let given: Promise<Response> | undefined;
    heard.get('fetch')!({
      request: new Request(address),
      respondWith: (response: Promise<Response>) => (given = response),
    });
    return (await given)!;
  };
  return { server, disk, ask };
}
const json = (body: BodyInit) =>
  Promise.resolve(new Response(body, { headers: { 'Content-Type': 'application/json' } }));

describe('the worker that keeps what was opened', () => {
  it('gives the last answer where the server cannot be reached, marked with its time', async () => {
    const { server, ask } = worker();
    server.answer = () => json('["first"]');
    await (await ask()).text();
    server.answer = away;
    const kept = await ask();
    expect(await kept.text()).toBe('["first"]');
    expect(Date.parse(kept.headers.get('X-Kept-At')!)).not.toBeNaN();
  });

  it('keeps it until all of a newer one is here: a page that is left calls off what it asked for', async () => {
    const { server, ask } = worker();
    server.answer = () => json('["first"]');
    await (await ask()).text();
    const cutOff = new ReadableStream({
      start: (body) => {
        body.enqueue(new TextEncoder().encode('["sec'));
        body.error(new TypeError('The page was left.'));
      },
    });
    server.answer = () => json(cutOff);
    await ask()
      .then((half) => half.text())
      .catch(() => undefined);
    server.answer = away;
    expect(await (await ask()).text()).toBe('["first"]');
    server.answer = () => json('["second"]');
    await (await ask()).text();
    server.answer = away;
    expect(await (await ask()).text()).toBe('["second"]');
  });

  it('has the older one to give while the newer one is being stored', async () => {
    const { server, disk, ask } = worker();
    server.answer = () => json('["first"]');
    await (await ask()).text();
    let store = () => undefined as void;
    const begun = new Promise<void>((said) => {
      disk.stored = () => {
        said();
        return new Promise((done) => (store = done));
      };
    });
    server.answer = () => json('["second"]');
    const newer = ask();
    await begun;
    server.answer = away;
    expect(await (await ask()).text()).toBe('["first"]');
    store();
    expect(await (await newer).text()).toBe('["second"]');
    expect(await (await ask()).text()).toBe('["second"]');
  });
});
