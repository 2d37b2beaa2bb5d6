// Figures that pages need without the schemas that check them.

/** The limits within which a segment's figures may be chosen; the fields' messages name them. */
export const choiceLimits = {
  tempo: [20, 240],
  tempoStep: [-20, 20],
  repetitions: [1, 24],
  verses: [1, 8],
  step: [1, 12],
  talk: [0, 600],
  pause: [1, 300],
} as const satisfies Record<string, readonly [number, number]>;

/** More segments than this nobody leads in one warm-up. */
export const mostSegments = 40;

/** One save brings at most so many small changes: each segment moved, and chosen for. */
export const mostChanges = 2 * mostSegments;

/** The shape of documents as they are now; older ones are brought up to it when they are read. */
export const planSchemaVersion = 4;

/** More touches than this nobody needs for one warm-up. */
export const mostRunEvents = 2000;

/** More facts than this about one save nobody reads; what is left out shows in the document. */
export const mostFacts = 40;

/** What is noted of a warm-up at its end has so many characters; in the middle of it there is less room. */
export const mostNoted = 400;
/** So many counts longer or shorter one touch makes a round of breath. */
export const mostLonger = 8;

/** Events of a run that a screen sent which may only step are named so. */
export const stepPrefix = 'step-';

/** What is touched in a run lies so long after its beginning at most (ms): a day. */
export const longestRun = 86_400_000;
