import {
  awaitedSchema,
  judgingSchema,
  judgingsSchema,
  largestRecording,
  openJudgingSchema,
  recordingQuerySchema,
  settleJudgingSchema,
} from '../judging';
import { judgingCardSchema } from '../piece';
import type { Endpoints } from './described';

/** Runs of a piece that several judge, with their recordings. */
export const judgings = {
  listAwaited: { access: 'reader', reply: awaitedSchema, errors: [] },
  listJudgings: { access: 'reader', reply: judgingsSchema, errors: [] },
  /** Under an id of the caller's choice: asked twice, there is one. */
  openJudging: {
    access: 'deputy',
    body: openJudgingSchema,
    reply: judgingSchema,
    errors: ['invalid', 'too_many'],
  },
  removeJudging: { access: 'deputy', errors: [] },
  /** One's own, in place of what one handed in before. */
  handInCard: {
    access: 'reader',
    body: judgingCardSchema,
    reply: judgingSchema,
    errors: ['invalid', 'judging_over', 'too_many'],
  },
  settleJudging: {
    access: 'deputy',
    body: settleJudgingSchema,
    reply: judgingSchema,
    errors: ['invalid', 'judging_over', 'too_many'],
  },
  keepRecording: {
    access: 'deputy',
    query: recordingQuerySchema,
    file: { most: largestRecording, what: 'recording' },
    reply: judgingSchema,
    limited: 'calls',
    errors: ['invalid', 'too_large', 'too_busy', 'too_many', 'too_many_attempts'],
  },
  showRecording: { access: 'reader', reply: 'file', errors: [] },
  removeRecording: { access: 'deputy', errors: [] },
} as const satisfies Endpoints;
