import type { Role } from '../choir';
import type { ErrorCode } from '../errorCodes';
import type { z } from '../zod';
import type { EndpointName } from './paths';

/** Who may call: anyone, whoever is signed in, or a member of the choir with at least a role. */
export type Access = 'anyone' | 'signed-in' | Role;

/** Everything about an endpoint but its place, which `paths` gives. */
export interface Described {
  readonly access: Access;
  /** What stands behind the question mark. */
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** The body is a file of at most so many bytes, and what it is. */
  readonly file?: { readonly most: number; readonly what: 'score' | 'choir' | 'recording' };
  /** What is answered; nothing (204) when it is not said, a file, or a stream of events. */
  readonly reply?: z.ZodType | 'file' | 'events';
  /** Answered with 201: something new came to be. */
  readonly makes?: true;
  /** What is counted and limited: attempts that fail, or every call. */
  readonly limited?: 'failures' | 'calls';
  /** The errors of its own, beside those that every endpoint of its access can answer with. */
  readonly errors: readonly ErrorCode[];
}

/** What a change can be refused with: bad fields, or another's change meanwhile. */
export const changed: readonly ErrorCode[] = ['invalid', 'changed_meanwhile'];

/** Some of the endpoints, each with everything about it. */
export type Endpoints = Readonly<Partial<Record<EndpointName, Described>>>;
