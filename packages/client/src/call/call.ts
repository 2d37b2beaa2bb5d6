import {
  errorStatus,
  placeOf,
  type BodyOf,
  type EndpointName,
  type ErrorBody,
  type ErrorCode,
  type Page,
  type ParamsOf,
  type QueryOf,
  type ReplyOf,
} from '@wide-fern/contract';
import { noteAnswer, noteStored } from '../device/offline';

/** What the server refused, or that it could not be reached (status 0). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: ErrorCode | 'unreachable',
    message: string,
    readonly fields: Readonly<Record<string, string>> = {},
  ) {
    super(message);
  }

  /** Something broke on the server: once may be chance, twice is a fault that asking again does not mend. */
  get isFault(): boolean {
    return this.status === 500;
  }

  /** Trying again may help: no connection, or the server is in trouble. */
  get mayPass(): boolean {
    return this.status === 0 || this.status >= 500 || this.status === 429;
  }
}

/** How long an answer may take that is only read, in ms. */
const longestWait = 30_000;

const unreachable = () =>
  new ApiError(
    0,
    'unreachable',
    'The server cannot be reached. Nothing is lost; try again when it is back.',
  );

async function asError(response: Response): Promise<ApiError> {
  const body = (await response.json().catch(() => undefined)) as Partial<ErrorBody> | undefined;
  // Told apart by hand: the schema would come along with every first page.
  if (body?.error && body.error.code in errorStatus) {
    const { code, message, fields } = body.error;
    return new ApiError(response.status, code, message, fields);
  }
  return new ApiError(
    response.status,
    'unexpected',
    'The server answered in a way we do not understand. Try again in a moment.',
  );
}

type OrNothing<K extends string, T> = undefined extends T
  ? { readonly [P in K]?: undefined }
  : { readonly [P in K]: T };
type Known<N extends EndpointName> =
  Record<never, never> extends ParamsOf<N>
    ? { readonly params?: undefined }
    : { readonly params: ParamsOf<N> };

/** What a call of an endpoint needs: what stands in its path, behind its question mark, and its body. */
export type Asked<N extends EndpointName> = Known<N> &
  (BodyOf<N> extends Uint8Array ? { readonly body: Blob } : OrNothing<'body', BodyOf<N>>) & {
    readonly query?: QueryOf<N>;
    readonly signal?: AbortSignal;
  };

/** The address of an endpoint with everything filled in. */
export function addressOf(
  name: EndpointName,
  params: Readonly<Record<string, string>> = {},
  query: Readonly<Record<string, string | undefined>> = {},
): string {
  const path = placeOf(name).path.replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(params[key] ?? ''),
  );
  const given = Object.entries(query).flatMap(([key, value]) =>
    value === undefined ? [] : [[key, value]],
  );
  return `/api${path}${given.length > 0 ? `?${new URLSearchParams(given).toString()}` : ''}`;
}

const bodyOf = (body: unknown): { body?: BodyInit; headers?: Record<string, string> } => {
  if (body === undefined) return {};
  if (body instanceof Blob) {
    return { body, headers: { 'Content-Type': 'application/octet-stream' } };
  }
  return { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } };
};

async function fetched<N extends EndpointName>(name: N, asked: Asked<N>): Promise<Response> {
  const { params, query, body, signal } = asked as {
    params?: Record<string, string>;
    query?: Record<string, string | undefined>;
    body?: unknown;
    signal?: AbortSignal;
  };
  const { method } = placeOf(name);
  // What is only looked at does not wait for ever.
  const limit = new AbortController();
  const timer = method === 'GET' ? setTimeout(() => limit.abort(), longestWait) : undefined;
  signal?.addEventListener('abort', () => limit.abort());
  if (signal?.aborted) limit.abort();
  const address = addressOf(name, params, query);
  let response: Response;
  try {
    response = await fetch(address, {
      method,
      credentials: 'same-origin',
      ...bodyOf(body),
      signal: limit.signal,
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw unreachable();
  } finally {
    clearTimeout(timer);
  }
  noteAnswer(response);
  if (!response.ok) throw await asError(response);
  if (method !== 'GET') noteStored(address);
  return response;
}

/**
 * Calls an endpoint of the server. What comes back is what the contract promises: the server's tests
 * hold every reply against it.
 * @throws ApiError for whatever is not a success; a DOMException when it was called off.
 * @example const evening = await call('showEvening', { params: { choir, evening: id } });
 */
export async function call<N extends EndpointName>(name: N, asked: Asked<N>): Promise<ReplyOf<N>> {
  const response = await fetched(name, asked);
  return (response.status === 204 ? undefined : await response.json()) as ReplyOf<N>;
}

/** Fetches a file. */
export async function callFile<N extends 'showScoreFile' | 'showRecording' | 'giveOutChoir'>(
  name: N,
  asked: Asked<N>,
): Promise<Uint8Array<ArrayBuffer>> {
  const response = await fetched(name, asked);
  return new Uint8Array(await response.arrayBuffer());
}

/** The endpoints that answer with a page of a list, and what one of its items is. */
export type PagedName = {
  [N in EndpointName]: ReplyOf<N> extends Page<unknown> ? N : never;
}[EndpointName];
export type ItemOf<N extends PagedName> = ReplyOf<N> extends Page<infer Item> ? Item : never;

/** Every item of a list, page after page. */
export async function callAll<N extends PagedName>(name: N, asked: Asked<N>): Promise<ItemOf<N>[]> {
  const items: ItemOf<N>[] = [];
  for (let after: string | undefined; ;) {
    const query = after === undefined ? {} : { after };
    const page = (await call(name, { ...asked, query } as unknown as Asked<N>)) as Page<ItemOf<N>>;
    items.push(...page.items);
    if (page.next === null) return items;
    after = page.next;
  }
}

/** What browsers call it when a part of the application could not be fetched. */
const isUnfetched = (error: unknown): boolean =>
  error instanceof TypeError && /import(ed|ing)\b.*\bmodule/i.test(error.message);

/** What to tell a person about an error of any kind. */
export function messageOf(error: unknown): string {
  if (error instanceof ApiError) return error.message;
  if (isUnfetched(error)) {
    return 'This page was not opened on this device before, and the server cannot be reached. Try again when it is back.';
  }
  return 'Something went wrong in this page. Load it again; what was saved is safe.';
}
