import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { createdColumn, idColumn } from './columns';

/** A person who can sign in. */
export const Account = defineEntity({
  name: 'Account',
  properties: {
    id: idColumn(),
    email: p.string().length(254).unique(),
    name: p.string().length(80),
    passwordHash: p.string().length(255),
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
    createdAt: createdColumn(),
    expiresAt: p.datetime().index(),
  },
});
export type AccountSession = InferEntity<typeof AccountSession>;

/** How often something was tried in the present window: sign-in attempts of an address or an e-mail. */
export const Attempt = defineEntity({
  name: 'Attempt',
  properties: {
    key: p.string().length(120).primary(),
    hits: p.integer(),
    resetsAt: p.datetime().index(),
  },
});
export type Attempt = InferEntity<typeof Attempt>;
