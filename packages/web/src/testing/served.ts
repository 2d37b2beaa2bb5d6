import {
  described,
  paths,
  z,
  type BodyOf,
  type EndpointName,
  type ErrorCode,
  type ReplyOf,
} from '@wide-fern/contract';

/** One request as it came. */
export interface Request {
  readonly name: EndpointName;
  readonly params: Readonly<Record<string, string>>;
  readonly query: Readonly<Record<string, string>>;
  readonly body: unknown;
}
type Answer<N extends EndpointName> = (
  asked: Omit<Request, 'body'> & { readonly body: BodyOf<N> },
) => ReplyOf<N>;
export type Answers = { readonly [N in EndpointName]?: Answer<N> };

/** What an answer throws when the server refuses. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: ErrorCode,
    message: string,
    readonly fields?: Readonly<Record<string, string>>,
  ) {
    super(message);
  }
}

/** The endpoint that an address names, with what stands in its path. */
function endpointOf(method: string, path: string) {
  for (const [name, place] of Object.entries(paths)) {
    const [wanted, pattern] = place.split(' ') as [string, string];
    const keys = [...pattern.matchAll(/:(\w+)/g)].map(([, key]) => key!);
    const found = new RegExp(`^/api${pattern.replace(/:\w+/g, '([^/]+)')}$`).exec(path);
    if (wanted === method && found) {
      const params = Object.fromEntries(keys.map((key, i) => [key, found[i + 1]!]));
      return { name: name as EndpointName, params };
    }
  }
  throw new Error(`Nothing stands at ${method} ${path}.`);
}

const json = (status: number, body: unknown): Response =>
  new Response(body === undefined ? null : JSON.stringify(body), {
    status: body === undefined ? 204 : status,
    headers: { 'Content-Type': 'application/json' },
  });

const bodyOf = (body: unknown): unknown => (typeof body === 'string' ? JSON.parse(body) : body);

/**
 * A server for pages under test, in place of the network: it holds bodies and its own answers to the
 * contract, and remembers what was asked. Whatever it has no answer for cannot be reached.
 */
export function serve(answers: Answers): { readonly asked: Request[]; answers: Answers } {
  const server = { asked: [] as Request[], answers };
  globalThis.fetch = async (input, init) => {
    const { pathname, searchParams } = new URL(input as string, 'http://choir.test');
    const { name, params } = endpointOf(init?.method ?? 'GET', pathname);
    const request = {
      name,
      params,
      query: Object.fromEntries(searchParams),
      body: bodyOf(init?.body),
    };
    server.asked.push(request);
    const answer = server.answers[name] as ((asked: Request) => unknown) | undefined;
    await Promise.resolve();
    if (!answer) throw new TypeError('The network is away.');
    const { body, reply } = described(name);
    if (body) body.parse(request.body);
    try {
      const said = answer(request);
      return json(200, reply instanceof z.ZodType ? reply.parse(said) : undefined);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      const { status, code, message, fields } = error;
      return json(status, { error: { code, message, fields } });
    }
  };
  return server;
}
