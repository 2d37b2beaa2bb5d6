import {
  addMemberSchema,
  changeChoirSchema,
  changeMemberSchema,
  changePasswordSchema,
  choirSchema,
  memberSchema,
  sessionSchema,
  signInSchema,
  signUpSchema,
  type Role,
} from '../account';
import type { ErrorCode } from '../errorCodes';
import {
  changeEveningSchema,
  copyEveningSchema,
  eveningSchema,
  eveningSummarySchema,
  manyEveningsSchema,
  storeEveningSchema,
  storeTemplateSchema,
  templateSchema,
} from '../evening';
import { exerciseSchema } from '../exercise';
import {
  changeExerciseSchema,
  choirExercisesSchema,
  exerciseMarkSchema,
  exerciseVersionSchema,
  storedExercisesSchema,
  storeExercisesSchema,
} from '../ownExercises';
import { pageOf, pageQuerySchema } from '../page';
import {
  changePieceSchema,
  judgementBodySchema,
  judgementSchema,
  keptFileSchema,
  largestScoreFile,
  pieceMarkBodySchema,
  pieceMarkSchema,
  pieceSchema,
  pieceSummarySchema,
  storePieceSchema,
} from '../piece';
import { planSchema, planVersionSchema, savePlanSchema } from '../savedPlan';
import {
  changePresenceSchema,
  changeSingerSchema,
  keepChecksSchema,
  keptCheckSchema,
  presenceSchema,
  savePartsSchema,
  saveVoicesSchema,
  singerExportSchema,
  singerSchema,
  storeSingersSchema,
  voicesSchema,
} from '../voices';
import { z } from '../zod';
import type { EndpointName } from './paths';

/** Who may call: anyone, whoever is signed in, or a member of the choir with at least a role. */
export type Access = 'anyone' | 'signed-in' | Role;

/** Everything about an endpoint but its place, which `paths` gives. */
export interface Described {
  readonly access: Access;
  /** What stands behind the question mark. */
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** The body is a file of at most so many bytes. */
  readonly file?: number;
  /** What is answered; nothing (204) when it is not said, a file, or a stream of events. */
  readonly reply?: z.ZodType | 'file' | 'events';
  /** Answered with 201: something new came to be. */
  readonly makes?: true;
  /** Attempts are counted and limited. */
  readonly limited?: true;
  /** The errors of its own, beside those that every endpoint of its access can answer with. */
  readonly errors: readonly ErrorCode[];
}

const changed: readonly ErrorCode[] = ['invalid', 'changed_meanwhile'];

/** Every endpoint of the interface. */
export const api = {
  showSession: { access: 'anyone', reply: sessionSchema, errors: [] },
  signIn: {
    access: 'anyone',
    body: signInSchema,
    reply: sessionSchema,
    limited: true,
    errors: ['invalid', 'wrong_password', 'too_many_attempts'],
  },
  enterDemo: { access: 'anyone', reply: sessionSchema, errors: ['not_found'] },
  signOut: { access: 'anyone', errors: [] },
  signUp: {
    access: 'anyone',
    body: signUpSchema,
    reply: sessionSchema,
    makes: true,
    limited: true,
    errors: ['invalid', 'email_taken', 'too_many_attempts'],
  },
  signOutEverywhere: { access: 'signed-in', errors: [] },
  changePassword: {
    access: 'signed-in',
    body: changePasswordSchema,
    limited: true,
    errors: ['invalid', 'wrong_present_password', 'demo_account', 'too_many_attempts'],
  },

  showChoir: { access: 'reader', reply: choirSchema, errors: [] },
  changeChoir: {
    access: 'director',
    body: changeChoirSchema,
    reply: choirSchema,
    errors: ['invalid'],
  },
  listMembers: { access: 'deputy', reply: z.array(memberSchema), errors: [] },
  addMember: {
    access: 'director',
    body: addMemberSchema,
    reply: memberSchema,
    makes: true,
    errors: ['invalid', 'no_such_account', 'last_director'],
  },
  changeMember: {
    access: 'director',
    body: changeMemberSchema,
    reply: memberSchema,
    errors: ['invalid', 'last_director'],
  },
  removeMember: { access: 'director', errors: ['last_director'] },

  listEvenings: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(eveningSummarySchema),
    errors: ['invalid'],
  },
  addEvening: {
    access: 'deputy',
    body: storeEveningSchema,
    reply: eveningSchema,
    makes: true,
    errors: ['invalid'],
  },
  addEvenings: {
    access: 'deputy',
    body: manyEveningsSchema,
    reply: z.object({ added: z.int() }),
    makes: true,
    errors: ['invalid'],
  },
  showEvening: { access: 'reader', reply: eveningSchema, errors: [] },
  changeEvening: {
    access: 'deputy',
    body: changeEveningSchema,
    reply: eveningSchema,
    errors: [...changed, 'has_plan'],
  },
  removeEvening: { access: 'deputy', errors: [] },
  copyEvening: {
    access: 'deputy',
    body: copyEveningSchema,
    reply: z.array(eveningSummarySchema),
    makes: true,
    errors: ['invalid'],
  },
  listTemplates: { access: 'reader', reply: z.array(templateSchema), errors: [] },
  addTemplate: {
    access: 'deputy',
    body: storeTemplateSchema,
    reply: templateSchema,
    makes: true,
    errors: ['invalid', 'too_many'],
  },
  removeTemplate: { access: 'deputy', errors: [] },

  showPlan: { access: 'reader', reply: z.object({ plan: planSchema.nullable() }), errors: [] },
  savePlan: { access: 'deputy', body: savePlanSchema, reply: planSchema, errors: changed },
  listPlanVersions: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(planVersionSchema),
    errors: ['invalid'],
  },

  showExercises: { access: 'reader', reply: choirExercisesSchema, errors: [] },
  storeExercises: {
    access: 'deputy',
    body: storeExercisesSchema,
    reply: storedExercisesSchema,
    makes: true,
    errors: ['invalid', 'too_many'],
  },
  changeExercise: {
    access: 'deputy',
    body: changeExerciseSchema,
    reply: exerciseSchema,
    errors: changed,
  },
  removeExercise: { access: 'deputy', errors: [] },
  bringExerciseBack: { access: 'deputy', errors: [] },
  listExerciseVersions: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(exerciseVersionSchema),
    errors: ['invalid'],
  },
  markExercise: {
    access: 'deputy',
    body: exerciseMarkSchema,
    reply: exerciseMarkSchema,
    errors: ['invalid'],
  },

  listPieces: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(pieceSummarySchema),
    errors: ['invalid'],
  },
  addPiece: {
    access: 'deputy',
    body: storePieceSchema,
    reply: pieceSchema,
    makes: true,
    errors: ['invalid', 'file_gone', 'too_many', 'unreadable_score', 'too_busy'],
  },
  keepScoreFile: {
    access: 'deputy',
    query: z.object({ name: z.string().max(400).optional() }),
    file: largestScoreFile,
    reply: keptFileSchema,
    makes: true,
    errors: ['invalid', 'too_large'],
  },
  showPiece: { access: 'reader', reply: pieceSchema, errors: [] },
  changePiece: {
    access: 'deputy',
    body: changePieceSchema,
    reply: pieceSchema,
    errors: [...changed, 'file_gone', 'unreadable_score', 'too_busy'],
  },
  removePiece: { access: 'deputy', errors: [] },
  showScoreFile: { access: 'reader', reply: 'file', errors: [] },
  addMark: {
    access: 'deputy',
    body: pieceMarkBodySchema,
    reply: pieceMarkSchema,
    makes: true,
    errors: ['invalid'],
  },
  changeMark: {
    access: 'deputy',
    body: pieceMarkBodySchema,
    reply: pieceMarkSchema,
    errors: ['invalid'],
  },
  removeMark: { access: 'deputy', errors: [] },
  addJudgement: {
    access: 'deputy',
    body: judgementBodySchema,
    reply: judgementSchema,
    makes: true,
    errors: ['invalid'],
  },
  removeJudgement: { access: 'deputy', errors: [] },

  showVoices: { access: 'reader', reply: voicesSchema, errors: [] },
  saveVoices: {
    access: 'director',
    body: saveVoicesSchema,
    reply: voicesSchema,
    errors: ['invalid'],
  },
  saveParts: {
    access: 'director',
    body: savePartsSchema,
    reply: voicesSchema,
    errors: ['invalid', 'singers_left'],
  },
  listSingers: {
    access: 'deputy',
    query: pageQuerySchema,
    reply: pageOf(singerSchema),
    errors: ['invalid'],
  },
  storeSingers: {
    access: 'deputy',
    body: storeSingersSchema,
    reply: z.array(singerSchema),
    makes: true,
    errors: [...changed, 'too_many'],
  },
  keepChecks: {
    access: 'deputy',
    body: keepChecksSchema,
    reply: z.array(singerSchema),
    makes: true,
    errors: ['invalid'],
  },
  changeSinger: {
    access: 'deputy',
    body: changeSingerSchema,
    reply: singerSchema,
    errors: changed,
  },
  deleteSinger: { access: 'director', errors: [] },
  exportSinger: { access: 'director', reply: singerExportSchema, errors: [] },
  listChecks: {
    access: 'deputy',
    query: pageQuerySchema,
    reply: pageOf(keptCheckSchema),
    errors: ['invalid'],
  },
  dropCheck: { access: 'deputy', reply: singerSchema, errors: [] },
  showPresence: { access: 'deputy', reply: presenceSchema, errors: [] },
  changePresence: {
    access: 'deputy',
    body: changePresenceSchema,
    reply: presenceSchema,
    errors: ['invalid'],
  },

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
export type BodyOf<N extends EndpointName> = Api[N] extends { readonly file: number }
  ? Uint8Array
  : Schema<N, 'body'> extends z.ZodType
    ? z.infer<Schema<N, 'body'>>
    : undefined;

/** What an endpoint answers with. */
export type ReplyOf<N extends EndpointName> =
  Schema<N, 'reply'> extends z.ZodType
    ? z.infer<Schema<N, 'reply'>>
    : Schema<N, 'reply'> extends 'file'
      ? { readonly name: string; readonly bytes: Uint8Array }
      : undefined;

/** What may stand behind the question mark of an endpoint. */
export type QueryOf<N extends EndpointName> =
  Schema<N, 'query'> extends z.ZodType ? z.infer<Schema<N, 'query'>> : undefined;

/** An endpoint's description, with everything that not all have. */
export const described = (name: EndpointName): Described => api[name];
