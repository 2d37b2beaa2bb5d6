import { createServer, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { ApiError, addressOf, call, callAll, messageOf } from './call';

const choir = '2c1f0b7e-5f4e-4c58-9d7a-0a4a6b0f6f11';
const refused = (code: string, message: string, fields?: object) =>
  JSON.stringify({ error: { code, message, fields } });

/** What each address of a small server on loopback answers with. */
let answers: Readonly<Record<string, readonly [status: number, body: string]>> = {};
let asked: { readonly method: string; readonly url: string; readonly body: string }[] = [];
let server: Server;
const real = globalThis.fetch;

async function textOf(request: IncomingMessage): Promise<string> {
  let text = '';
  for await (const part of request.setEncoding('utf8')) text += String(part);
  return text;
}

beforeAll(async () => {
  server = createServer((request, response) => {
    void textOf(request).then((body) => {
      const { method = '', url = '' } = request;
      asked.push({ method, url, body });
      const [status, text] = answers[url] ?? [404, 'nothing'];
      response.writeHead(status, { 'Content-Type': 'application/json' }).end(text || undefined);
    });
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  // A page asks its own origin.
  globalThis.fetch = (input, init) =>
    real(new URL(input as string, `http://127.0.0.1:${port}`), init);
});
afterAll(async () => {
  globalThis.fetch = real;
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
});
beforeEach(() => {
  asked = [];
});

const errorOf = (promise: Promise<unknown>): Promise<ApiError> =>
  promise.then(
    () => Promise.reject(new Error('It was not refused.')),
    (error: unknown) => error as ApiError,
  );

describe('a call', () => {
  it('fills in the path and what stands behind the question mark', () => {
    expect(addressOf('showChoir', { choir })).toBe(`/api/choirs/${choir}`);
    expect(addressOf('showChoir', { choir: 'a/b ?' })).toBe('/api/choirs/a%2Fb%20%3F');
    expect(addressOf('listEvenings', { choir }, { after: '1 2', limit: undefined })).toBe(
      `/api/choirs/${choir}/evenings?after=1+2`,
    );
  });

  it('sends its body as JSON with the method of the endpoint', async () => {
    answers = { [`/api/choirs/${choir}`]: [200, '{"name":"Quarry Lane Singers"}'] };
    const body = { name: 'Quarry Lane Singers' } as never;
    expect(await call('changeChoir', { params: { choir }, body })).toEqual({
      name: 'Quarry Lane Singers',
    });
    expect(asked).toEqual([
      { method: 'PUT', url: `/api/choirs/${choir}`, body: '{"name":"Quarry Lane Singers"}' },
    ]);
  });

  it('answers with nothing where nothing is said', async () => {
    answers = { '/api/session': [204, ''] };
    expect(await call('signOut', {})).toBeUndefined();
  });

  it('refuses with the server’s code, words and fields', async () => {
    answers = {
      '/api/session': [422, refused('invalid', 'Look at the e-mail.', { email: 'Type one.' })],
    };
    const error = await errorOf(call('showSession', {}));
    expect(error).toBeInstanceOf(ApiError);
    expect(error).toMatchObject({
      status: 422,
      code: 'invalid',
      message: 'Look at the e-mail.',
      fields: { email: 'Type one.' },
      mayPass: false,
    });
  });

  it('does not trust an answer that is not ours', async () => {
    answers = { '/api/session': [502, '<html>'] };
    expect(await errorOf(call('showSession', {}))).toMatchObject({
      code: 'unexpected',
      mayPass: true,
    });
    answers = { '/api/session': [400, refused('made_up', 'Nobody knows this code.')] };
    expect(await errorOf(call('showSession', {}))).toMatchObject({ code: 'unexpected' });
  });

  it('says so when there is no server, and that it may pass', async () => {
    const here = globalThis.fetch;
    globalThis.fetch = () => real('http://127.0.0.1:1/');
    const error = await errorOf(call('showSession', {}));
    globalThis.fetch = here;
    expect(error).toMatchObject({ status: 0, code: 'unreachable', mayPass: true });
    expect(messageOf(error)).toContain('cannot be reached');
  });

  it('tells a part of the application that was never fetched from a fault in the page', () => {
    const unfetched = new TypeError('Failed to fetch dynamically imported module: /assets/x.js');
    expect(messageOf(unfetched)).toMatch(/^This page was not opened on this device before/);
    expect(messageOf(new TypeError('x is undefined'))).toMatch(/^Something went wrong/);
  });

  it('that was called off is no error of the server', async () => {
    const off = new AbortController();
    off.abort();
    const error: unknown = await errorOf(call('showSession', { signal: off.signal }));
    expect(error).not.toBeInstanceOf(ApiError);
  });

  it('of a list goes on page after page', async () => {
    const at = `/api/choirs/${choir}/singers`;
    answers = {
      [at]: [200, '{"items":[1,2],"next":"b"}'],
      [`${at}?after=b`]: [200, '{"items":[3],"next":"c"}'],
      [`${at}?after=c`]: [200, '{"items":[],"next":null}'],
    };
    expect(await callAll('listSingers', { params: { choir } })).toEqual([1, 2, 3]);
    expect(asked.map(({ url }) => url)).toEqual([at, `${at}?after=b`, `${at}?after=c`]);
  });
});
