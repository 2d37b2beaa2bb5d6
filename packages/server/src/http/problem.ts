import type { ErrorBody } from '@wide-fern/contract';

/** An answer that is not what was asked for: a status, a code for programs, and words for a person. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields?: Readonly<Record<string, string>>,
  ) {
    super(message);
  }

  get body(): ErrorBody {
    return {
      error: {
        code: this.code,
        message: this.message,
        ...(this.fields ? { fields: this.fields } : {}),
      },
    };
  }
}

export const notFound = (what = 'This') =>
  new Problem(404, 'not_found', `${what} is not here, or not yours to see.`);
export const signInFirst = () => new Problem(401, 'sign_in_first', 'Sign in to go on.');
export const notAllowed = (
  message = 'Your role in this choir does not allow this; ask a director.',
) => new Problem(403, 'not_allowed', message);
