import { errorStatus, type ErrorCode } from './errorCodes';
import { z } from './zod';

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
