import { described, type Described, type EndpointName, type z } from '@wide-fern/contract';
import { problemWords } from '@wide-fern/words';
import express, { type Request, type RequestHandler, type Response } from 'express';
import { problem, Problem } from './problem';
import { findUnstorable } from './storable';

/** The largest body that is read: a roster of 2,000 singers or a plan of forty long segments stay below. */
const jsonLimit = '3mb';
/** Whoever is signed out sends names and passwords, nothing large. */
const openLimit = '16kb';

const run = (handler: RequestHandler, request: Request, response: Response): Promise<void> =>
  new Promise((done, failed) => {
    void handler(request, response, (error?: unknown) => {
      if (error === undefined) done();
      else failed(error instanceof Error ? error : new Error('This body could not be read.'));
    });
  });

/**
 * Bodies without an escaped sign: what cannot be kept can only be written as one, since nobody writes
 * it as itself (a control character is no JSON, half a character no UTF-8).
 */
const plain = new WeakSet<object>();
const verify = (request: object, _response: object, body: Buffer): void => {
  if (!body.includes('\\u')) plain.add(request);
};
const json = express.json({ limit: jsonLimit, verify });
const smallJson = express.json({ limit: openLimit, verify });

/** Reads what was sent, once it is known that the caller may send it. */
export async function readBody(
  one: Described,
  request: Request,
  response: Response,
): Promise<void> {
  if (one.body) {
    await run(one.access === 'anyone' ? smallJson : json, request, response);
  }
}

/** Refuses what no database can keep, before any schema is asked. */
function refuseUnstorable(value: unknown): void {
  const found = findUnstorable(value);
  if (!found) return;
  if (found.why === 'depth') throw problem('invalid', { what: 'body' });
  throw problem('invalid', { what: 'signs' }).at(found.at.join('.') || 'body');
}

/** What was sent as its schema has it; what is wrong is named field by field. */
function checked(schema: z.ZodType, value: unknown, isPlain = false): unknown {
  if (!isPlain) refuseUnstorable(value);
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const fields: Record<string, string> = {};
  for (const { path, message } of result.error.issues.slice(0, 20)) {
    fields[path.join('.') || 'body'] ??= message;
  }
  const [first] = Object.values(fields);
  throw new Problem('invalid', first ?? problemWords.invalid({ what: 'body' }), fields);
}

/** The body of a request as its endpoint takes it; files are received by themselves. */
export function checkedBody(name: EndpointName, request: Request): unknown {
  const { body } = described(name);
  if (!body) return undefined;
  if (request.body === undefined) throw problem('bad_json', 'missing');
  return checked(body, request.body, plain.has(request));
}

/** What stands behind the question mark, the first of each name. */
export function checkedQuery(name: EndpointName, { query }: Request): unknown {
  const schema = described(name).query;
  if (!schema) return undefined;
  const first = Object.entries(query).flatMap(([key, value]) => {
    const one: unknown = Array.isArray(value) ? value[0] : value;
    return typeof one === 'string' ? [[key, one]] : [];
  });
  return checked(schema, Object.fromEntries(first));
}
