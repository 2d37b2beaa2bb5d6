import { changePresenceSchema, type ChangePresence, type Presence } from '@wide-fern/contract';
import { bySchema, keptOnDevice } from '../device/store';

/**
 * Changes of presence that the server has not acknowledged, kept on this device: a tick in the hall
 * is not lost because the connection is. Ids only, never names; gone once they are stored.
 */
const kept = keptOnDevice('presence', bySchema(changePresenceSchema));

export const readPending = (account: string, evening: string): ChangePresence =>
  kept.read(account, evening) ?? {};

export const isNothing = ({ condition, singers = [] }: ChangePresence): boolean =>
  condition === undefined && singers.length === 0;

export const keepPending = (account: string, evening: string, pending: ChangePresence): void =>
  void kept.keep([account, evening], isNothing(pending) ? undefined : pending);

/** Changes one after the other; the later one counts. */
export function joined(before: ChangePresence, after: ChangePresence): ChangePresence {
  const singers = new Map(before.singers?.map((one) => [one.singer, one]));
  for (const one of after.singers ?? []) singers.set(one.singer, one);
  const condition = after.condition ?? before.condition;
  return {
    ...(condition === undefined ? {} : { condition }),
    ...(singers.size === 0 ? {} : { singers: [...singers.values()] }),
  };
}

/** What is left of the pending changes once some of them were stored; what was changed again since stays. */
export function without(pending: ChangePresence, stored: ChangePresence): ChangePresence {
  const singers = (pending.singers ?? []).filter((one) => !(stored.singers ?? []).includes(one));
  const keepCondition = pending.condition !== undefined && pending.condition !== stored.condition;
  return {
    ...(keepCondition ? { condition: pending.condition } : {}),
    ...(singers.length === 0 ? {} : { singers }),
  };
}

/** Presence as it will be once the pending changes are stored. */
export function withPending(presence: Presence, pending: ChangePresence): Presence {
  const { condition = presence.condition, singers = [] } = joined(presence, pending);
  return { condition, singers };
}
