import { z } from './zod';

/** Every error the interface answers with, and its status: a closed list. */
export const errorStatus = {
  bad_json: 400,
  bad_request: 400,
  invalid: 400,
  sign_in_first: 401,
  wrong_password: 401,
  demo_account: 403,
  not_allowed: 403,
  other_origin: 403,
  wrong_present_password: 403,
  no_such_account: 404,
  not_found: 404,
  changed_meanwhile: 409,
  email_taken: 409,
  file_gone: 409,
  has_plan: 409,
  last_director: 409,
  singers_left: 409,
  too_many: 409,
  too_large: 413,
  unreadable_score: 422,
  too_many_attempts: 429,
  unexpected: 500,
  database_away: 503,
  too_busy: 503,
} as const;
export type ErrorCode = keyof typeof errorStatus;
const codes = Object.keys(errorStatus) as [ErrorCode, ...ErrorCode[]];

/** The one shape of every error the server answers with. */
export const errorBody = z.object({
  error: z.object({
    /** A word programs can tell apart: «not_found». */
    code: z.enum(codes),
    /** What happened and what to do, for a person. */
    message: z.string(),
    /** Messages for single fields of what was sent. */
    fields: z.record(z.string(), z.string()).optional(),
  }),
});
export type ErrorBody = z.infer<typeof errorBody>;
