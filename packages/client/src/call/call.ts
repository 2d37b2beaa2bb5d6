import type { ErrorBody } from '@wide-fern/contract';

/** What the server refused, or that it could not be reached (status 0). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: Readonly<Record<string, string>> = {},
  ) {
    super(message);
  }

  /** Trying again may help: no connection, or the server is in trouble. */
  get mayPass(): boolean {
    return this.status === 0 || this.status >= 500 || this.status === 429;
  }
}

const unreachable = () =>
  new ApiError(
    0,
    'unreachable',
    'The server cannot be reached. Nothing is lost; try again when it is back.',
  );

async function asError(response: Response): Promise<ApiError> {
  try {
    const { error } = (await response.json()) as ErrorBody;
    return new ApiError(response.status, error.code, error.message, error.fields);
  } catch {
    return new ApiError(
      response.status,
      'unexpected',
      'The server answered in a way we do not understand. Try again in a moment.',
    );
  }
}

interface Asking {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly body?: unknown;
  readonly signal?: AbortSignal;
}

/** Asks the server; throws an ApiError for whatever is not a success. */
export async function ask<T>(
  path: string,
  { method = 'GET', body, signal }: Asking = {},
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw unreachable();
  }
  if (!response.ok) throw await asError(response);
  if (response.status === 204) return undefined as T;
  return (await response.json()) as T;
}

/** Fetches a file as it is. */
export async function askFile(
  path: string,
  signal?: AbortSignal,
): Promise<Uint8Array<ArrayBuffer>> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      credentials: 'same-origin',
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw unreachable();
  }
  if (!response.ok) throw await asError(response);
  return new Uint8Array(await response.arrayBuffer());
}

/** Hands a file in. */
export async function sendFile<T>(path: string, bytes: Blob): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method: 'POST',
      credentials: 'same-origin',
      body: bytes,
      headers: { 'Content-Type': 'application/octet-stream' },
    });
  } catch {
    throw unreachable();
  }
  if (!response.ok) throw await asError(response);
  return (await response.json()) as T;
}

/** What to tell a person about an error of any kind. */
export const messageOf = (error: unknown): string =>
  error instanceof ApiError
    ? error.message
    : 'Something went wrong in this page. Load it again; what was saved is safe.';
