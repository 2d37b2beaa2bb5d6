import { errorStatus, type ErrorBody, type ErrorCode } from '@wide-fern/contract';
import { problemWords, type Thing } from '@wide-fern/words';

/** An answer that is not what was asked for: a code for programs, and words for a person. */
export class Problem extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly fields?: Readonly<Record<string, string>>,
  ) {
    super(message);
  }

  get status(): number {
    return errorStatus[this.code];
  }

  /** The same, said of a field of what was sent. */
  at(field: string): Problem {
    return new Problem(this.code, this.message, { [field]: this.message });
  }

  get body(): ErrorBody {
    const { code, message, fields } = this;
    return { error: { code, message, ...(fields ? { fields: { ...fields } } : {}) } };
  }
}

/** A problem by its code, with the facts that its words need. */
export function problem<C extends ErrorCode>(
  code: C,
  ...facts: Parameters<(typeof problemWords)[C]>
): Problem {
  const inWords = problemWords[code] as (...known: typeof facts) => string;
  return new Problem(code, inWords(...facts));
}

export const notFound = (thing: Thing = 'this') => problem('not_found', thing);
