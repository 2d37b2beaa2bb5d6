import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { createdColumn, idColumn } from './columns';

/** What stands in place of a hash for people of the demo, who have no password. */
export const noPassword = '!';

/** A person who can sign in. */
export const Account = defineEntity({
  name: 'Account',
  properties: {
    id: idColumn(),
    email: p.string().length(254).unique(),
    name: p.string().length(80),
    passwordHash: p.string().length(255),
    /** What the phone counts with; null without a second factor. */
    factorSecret: p.string().length(64).nullable(),
    /** One that was shown and is not confirmed yet. */
    factorOffered: p.string().length(64).nullable(),
    /** The last half minute whose digits were used: no digits are good twice. */
    factorStep: p.integer().nullable(),
    /** Hashes of the kept codes that are still good. */
    keptCodes: p.json<string[]>().defaultRaw(`'[]'`),
    /** When it is deleted with everything; null while nobody asked for that. */
    closesAt: p.datetime().nullable(),
    createdAt: createdColumn(),
  },
});
export type Account = InferEntity<typeof Account>;

/** One signed-in browser. The id is the hash of the cookie's token, so a copy of the table signs nobody in. */
export const AccountSession = defineEntity({
  name: 'AccountSession',
  properties: {
    id: p.string().length(64).primary(),
    account: () => p.manyToOne(Account).deleteRule('cascade').index(),
    /** «Firefox on Linux», as far as it said. */
    browser: p.string().length(80).default(''),
    createdAt: createdColumn(),
    /** When it last asked for something, to the hour. */
    lastSeenAt: createdColumn(),
    expiresAt: p.datetime().index(),
  },
});
export type AccountSession = InferEntity<typeof AccountSession>;

/** What a mail lets one person do once. The id is the hash of what stands in the mail's link. */
export const AccountSecret = defineEntity({
  name: 'AccountSecret',
  properties: {
    id: p.string().length(64).primary(),
    account: () => p.manyToOne(Account).deleteRule('cascade').index(),
    purpose: p.enum(['password', 'email'] as const),
    /** The e-mail that is used once it is confirmed. */
    email: p.string().length(254).nullable(),
    expiresAt: p.datetime().index(),
  },
});
export type AccountSecret = InferEntity<typeof AccountSecret>;

/** How often something was tried in the present window: sign-in attempts of an address or an e-mail. */
export const Attempt = defineEntity({
  name: 'Attempt',
  properties: {
    key: p.string().length(120).primary(),
    hits: p.integer(),
    /** How often in a row there were too many: each makes the wait longer. */
    strikes: p.integer().default(0),
    resetsAt: p.datetime().index(),
  },
});
export type Attempt = InferEntity<typeof Attempt>;
