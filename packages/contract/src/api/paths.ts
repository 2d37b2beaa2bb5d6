/**
 * Where each endpoint stands, below /api: method and path. Without schemas, so that the pages hold
 * it in a few bytes; `api.ts` says everything else.
 */
export const paths = {
  showSession: 'GET /session',
  signIn: 'POST /session',
  enterDemo: 'POST /session/demo',
  signOut: 'DELETE /session',
  signUp: 'POST /accounts',
  signOutEverywhere: 'DELETE /sessions',
  listBrowsers: 'GET /sessions',
  signBrowserOut: 'DELETE /sessions/:browser',
  changePassword: 'PUT /account/password',
  changeName: 'PUT /account/name',
  changeEmail: 'PUT /account/email',
  confirmEmail: 'POST /account/email/confirmed',
  forgetPassword: 'POST /account/password/forgotten',
  renewPassword: 'POST /account/password/renewed',
  beginSecondFactor: 'POST /account/second-factor',
  keepSecondFactor: 'PUT /account/second-factor',
  endSecondFactor: 'POST /account/second-factor/ended',
  closeAccount: 'POST /account/closing',
  keepAccount: 'DELETE /account/closing',
  lookAtInvitation: 'POST /invitation',
  acceptInvitation: 'POST /invitation/accepted',

  showChoir: 'GET /choirs/:choir',
  changeChoir: 'PUT /choirs/:choir',
  showRoom: 'GET /choirs/:choir/room',
  listMembers: 'GET /choirs/:choir/members',
  changeMember: 'PUT /choirs/:choir/members/:member',
  removeMember: 'DELETE /choirs/:choir/members/:member',
  bringMemberBack: 'POST /choirs/:choir/members/:member/back',
  leaveChoir: 'DELETE /choirs/:choir/membership',
  listInvitations: 'GET /choirs/:choir/invitations',
  invite: 'POST /choirs/:choir/invitations',
  takeInvitationBack: 'DELETE /choirs/:choir/invitations/:invitation',
  closeChoir: 'POST /choirs/:choir/closing',
  keepChoir: 'DELETE /choirs/:choir/closing',
  listRecords: 'GET /choirs/:choir/records',
  giveOutChoir: 'GET /choirs/:choir/everything',
  bringChoirIn: 'POST /choirs',

  listEvenings: 'GET /choirs/:choir/evenings',
  addEvening: 'POST /choirs/:choir/evenings',
  addEvenings: 'POST /choirs/:choir/many-evenings',
  showEvening: 'GET /choirs/:choir/evenings/:evening',
  changeEvening: 'PUT /choirs/:choir/evenings/:evening',
  removeEvening: 'DELETE /choirs/:choir/evenings/:evening',
  copyEvening: 'POST /choirs/:choir/evenings/:evening/copies',
  listTemplates: 'GET /choirs/:choir/templates',
  addTemplate: 'POST /choirs/:choir/templates',
  removeTemplate: 'DELETE /choirs/:choir/templates/:template',

  showPlan: 'GET /choirs/:choir/evenings/:evening/plans/:item',
  savePlan: 'PUT /choirs/:choir/evenings/:evening/plans/:item',
  changePlan: 'POST /choirs/:choir/evenings/:evening/plans/:item/changes',
  listPlanVersions: 'GET /choirs/:choir/evenings/:evening/plans/:item/versions',
  listKeptPlans: 'GET /choirs/:choir/kept-plans',
  keepPlan: 'POST /choirs/:choir/kept-plans',
  showKeptPlan: 'GET /choirs/:choir/kept-plans/:template',
  removeKeptPlan: 'DELETE /choirs/:choir/kept-plans/:template',
  showPlanVersion: 'GET /choirs/:choir/evenings/:evening/plans/:item/versions/:version',

  listPlanLinks: 'GET /choirs/:choir/evenings/:evening/plans/:item/links',
  makePlanLink: 'POST /choirs/:choir/evenings/:evening/plans/:item/links',
  endPlanLink: 'DELETE /choirs/:choir/evenings/:evening/plans/:item/links/:link',
  openPlanLink: 'POST /plan-link',
  openPractice: 'POST /practice',
  sendAnswer: 'PUT /practice/answers/:answer',
  listAnswers: 'GET /choirs/:choir/answers',
  dropAnswer: 'DELETE /choirs/:choir/answers/:answer',

  listRuns: 'GET /choirs/:choir/evenings/:evening/plans/:item/runs',
  showRun: 'GET /choirs/:choir/evenings/:evening/plans/:item/runs/:run',
  showRunEvents: 'GET /choirs/:choir/evenings/:evening/plans/:item/run-events/:run',
  sendRun: 'PUT /choirs/:choir/evenings/:evening/plans/:item/runs/:run',

  openRunLink: 'POST /run-link',
  showFollowed: 'GET /followed/:link',
  showFollowedEvents: 'GET /followed/:link/run-events/:run',
  followRun: 'GET /followed/:link/events',
  stepRun: 'POST /followed/:link/runs/:run/steps',

  listLedOnce: 'GET /choirs/:choir/led',
  showLogbook: 'GET /choirs/:choir/logbook',

  showExercises: 'GET /choirs/:choir/exercises',
  storeExercises: 'POST /choirs/:choir/exercises',
  changeExercise: 'PUT /choirs/:choir/exercises/:exercise',
  removeExercise: 'DELETE /choirs/:choir/exercises/:exercise',
  bringExerciseBack: 'POST /choirs/:choir/exercises/:exercise/back',
  listExerciseVersions: 'GET /choirs/:choir/exercises/:exercise/versions',
  markExercise: 'PUT /choirs/:choir/exercises/:exercise/mark',

  listPieces: 'GET /choirs/:choir/pieces',
  addPiece: 'POST /choirs/:choir/pieces',
  keepScoreFile: 'POST /choirs/:choir/score-files',
  showPiece: 'GET /choirs/:choir/pieces/:piece',
  changePiece: 'PUT /choirs/:choir/pieces/:piece',
  removePiece: 'DELETE /choirs/:choir/pieces/:piece',
  showScoreFile: 'GET /choirs/:choir/pieces/:piece/score-file',
  addMark: 'POST /choirs/:choir/pieces/:piece/marks',
  changeMark: 'PUT /choirs/:choir/pieces/:piece/marks/:mark',
  removeMark: 'DELETE /choirs/:choir/pieces/:piece/marks/:mark',
  addJudgement: 'POST /choirs/:choir/pieces/:piece/judgements',
  removeJudgement: 'DELETE /choirs/:choir/pieces/:piece/judgements/:judgement',
  listAwaited: 'GET /choirs/:choir/awaited-cards',
  listJudgings: 'GET /choirs/:choir/pieces/:piece/judgings',
  openJudging: 'PUT /choirs/:choir/pieces/:piece/judgings/:judging',
  removeJudging: 'DELETE /choirs/:choir/pieces/:piece/judgings/:judging',
  handInCard: 'PUT /choirs/:choir/pieces/:piece/judgings/:judging/card',
  settleJudging: 'PUT /choirs/:choir/pieces/:piece/judgings/:judging/agreed',
  keepRecording: 'PUT /choirs/:choir/pieces/:piece/judgings/:judging/recording',
  showRecording: 'GET /choirs/:choir/pieces/:piece/judgings/:judging/recording',
  removeRecording: 'DELETE /choirs/:choir/pieces/:piece/judgings/:judging/recording',

  showVoices: 'GET /choirs/:choir/voices',
  saveVoices: 'PUT /choirs/:choir/voices',
  saveParts: 'PUT /choirs/:choir/voices/parts',
  listSingers: 'GET /choirs/:choir/singers',
  storeSingers: 'POST /choirs/:choir/singers',
  keepChecks: 'POST /choirs/:choir/singers/checks',
  changeSinger: 'PUT /choirs/:choir/singers/:singer',
  deleteSinger: 'DELETE /choirs/:choir/singers/:singer',
  exportSinger: 'GET /choirs/:choir/singers/:singer/export',
  listChecks: 'GET /choirs/:choir/singers/:singer/checks',
  dropCheck: 'DELETE /choirs/:choir/singers/:singer/checks/:check',
  showPresence: 'GET /choirs/:choir/evenings/:evening/presence',
  changePresence: 'PUT /choirs/:choir/evenings/:evening/presence',
  showSureness: 'GET /choirs/:choir/evenings/:evening/sureness',

  followEvents: 'GET /choirs/:choir/events',
} as const;

export type Paths = typeof paths;
export type EndpointName = keyof Paths;

type NamesIn<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | NamesIn<Rest>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never;
/** What stands for the names in an endpoint's path. */
export type ParamsOf<N extends EndpointName> = { readonly [P in NamesIn<Paths[N]>]: string };

/** Agenda items, exercises and browsers have ids of their own kind, versions are counted; every other name stands for a UUID. */
export const namedIds: readonly string[] = ['item', 'exercise', 'browser', 'version'];

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** An endpoint's method and its path with the names still in it. */
export function placeOf(name: EndpointName): { readonly method: Method; readonly path: string } {
  const [method, path] = paths[name].split(' ') as [Method, string];
  return { method, path };
}
