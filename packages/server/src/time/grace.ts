/** So long what somebody had deleted can still be kept. */
const graceDays = 14;

/** When something is deleted that somebody asks to delete now. */
export const inTwoWeeks = (now = new Date()): Date =>
  new Date(now.getTime() + graceDays * 24 * 60 * 60_000);
