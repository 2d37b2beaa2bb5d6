import { errorStatus, type ErrorCode } from '../errorCodes';
import { errorBody } from '../errors';
import { z } from '../zod';
import { api, described } from './api';
import type { Described } from './described';
import { placeOf, type EndpointName } from './paths';

type Json = Readonly<Record<string, unknown>>;

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): unknown => {
  const { $schema, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as {
    $schema?: string;
  } & Json;
  void $schema;
  return rest;
};
const json = (schema: unknown): Json => ({ 'application/json': { schema } });

/** The errors an endpoint can answer with: its own, and those of its access. */
export function errorsOf({ access, body, errors }: Described): readonly ErrorCode[] {
  const always: ErrorCode[] = [
    'unexpected',
    'database_away',
    'disk_full',
    'too_large',
    'other_origin',
  ];
  const byAccess: ErrorCode[] =
    access === 'anyone'
      ? []
      : access === 'signed-in'
        ? ['sign_in_first']
        : ['sign_in_first', 'not_found', 'not_allowed'];
  return [
    ...new Set([...errors, ...(body ? (['bad_json'] as const) : []), ...byAccess, ...always]),
  ];
}

function responses(one: Described): Json {
  const { reply, makes } = one;
  const said =
    reply === undefined
      ? { '204': { description: 'Done.' } }
      : {
          [makes ? '201' : '200']: {
            description: makes ? 'Made.' : 'As asked.',
            content:
              reply === 'file'
                ? { 'application/octet-stream': {} }
                : reply === 'events'
                  ? { 'text/event-stream': {} }
                  : json(schemaOf(reply, 'output')),
          },
        };
  const byStatus = new Map<number, ErrorCode[]>();
  for (const code of errorsOf(one)) {
    const status = errorStatus[code];
    byStatus.set(status, [...(byStatus.get(status) ?? []), code]);
  }
  const refused = [...byStatus].map(([status, codes]) => [
    String(status),
    { description: codes.join(', '), content: json({ $ref: '#/components/schemas/Error' }) },
  ]);
  return { ...said, ...(Object.fromEntries(refused) as Json) };
}

function operation(name: EndpointName): Json {
  const one = described(name);
  const { path } = placeOf(name);
  const inPath = [...path.matchAll(/:(\w+)/g)].map(([, param]) => ({
    name: param,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const query = Object.entries(one.query?.shape ?? {}).map(([param, schema]) => ({
    name: param,
    in: 'query',
    required: false,
    schema: schemaOf(schema as z.ZodType, 'input'),
  }));
  const content = one.file
    ? { 'application/octet-stream': {} }
    : one.body && json(schemaOf(one.body, 'input'));
  return {
    operationId: name,
    description: `For ${one.access === 'anyone' ? 'anyone' : one.access === 'signed-in' ? 'whoever is signed in' : `members from ${one.access} on`}.`,
    ...(one.access === 'anyone' ? {} : { security: [{ session: [] }] }),
    ...(inPath.length + query.length > 0 ? { parameters: [...inPath, ...query] } : {}),
    ...(content ? { requestBody: { required: true, content } } : {}),
    responses: responses(one),
  };
}

/** The whole interface as an OpenAPI 3.1 document. */
export function openApi(): Json {
  const paths: Record<string, Record<string, Json>> = {};
  for (const name of Object.keys(api) as EndpointName[]) {
    const { method, path } = placeOf(name);
    const place = path.replace(/:(\w+)/g, '{$1}');
    (paths[place] ??= {})[method.toLowerCase()] = operation(name);
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Wide Fern', version: '0.1.0' },
    servers: [{ url: '/api' }],
    paths,
    components: {
      schemas: { Error: schemaOf(errorBody, 'output') },
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'wide_fern_session' } },
    },
  };
}
