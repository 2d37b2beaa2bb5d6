/** The browser's side of the server, without React. */
export * from './call/call';
export { forgetLarge } from './device/large';
export * from './device/offline';
export * from './device/store';
export * from './device/windows';
export * from './exercises';
export * from './plan/acts';
export * from './plan/beginPlan';
export * from './plan/planStore';
export * from './plan/putInto';
export * from './plan/session';
export { withPending } from './presence/pending';
export * from './presence/presence';
export * from './queries';
export * from './run/keptRun';
export * from './run/leadRun';
export * from './workers/open';
export * from './workers/within';
