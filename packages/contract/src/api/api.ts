import { z } from '../zod';
import { accounts } from './accounts';
import { choirs } from './choirs';
import type { Described } from './described';
import { evenings } from './evenings';
import { exercises } from './exercises';
import type { EndpointName } from './paths';
import { judgings } from './judgings';
import { pieces } from './pieces';
import { voices } from './voices';

/** Every endpoint of the interface. */
export const api = {
  ...accounts,
  ...choirs,
  ...evenings,
  ...exercises,
  ...judgings,
  ...pieces,
  ...voices,
  followEvents: {
    access: 'reader',
    query: z.object({ after: z.string().max(20).optional() }),
    reply: 'events',
    errors: ['invalid'],
  },
} as const satisfies Readonly<Record<EndpointName, Described>>;
export type Api = typeof api;

type Schema<N extends EndpointName, K extends 'query' | 'body' | 'reply'> = Api[N] extends {
  readonly [P in K]: infer S;
}
  ? S
  : undefined;

/** What an endpoint takes as its body; undefined where it takes none, bytes where it takes a file. */
export type BodyOf<N extends EndpointName> = Api[N] extends { readonly file: object }
  ? Uint8Array
  : Schema<N, 'body'> extends z.ZodType
    ? z.infer<Schema<N, 'body'>>
    : undefined;

/** What an endpoint answers with. */
export type ReplyOf<N extends EndpointName> =
  Schema<N, 'reply'> extends z.ZodType
    ? z.infer<Schema<N, 'reply'>>
    : Schema<N, 'reply'> extends 'file'
      ? { readonly name: string } & (
          | { readonly bytes: Uint8Array }
          // Piece by piece, where all of it at once would be much.
          | { readonly chunks: AsyncIterable<Uint8Array> }
        )
      : undefined;

/** What may stand behind the question mark of an endpoint. */
export type QueryOf<N extends EndpointName> =
  Schema<N, 'query'> extends z.ZodType ? z.infer<Schema<N, 'query'>> : undefined;

/** An endpoint's description, with everything that not all have. */
export const described = (name: EndpointName): Described => api[name];
