import { p } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';

/** The id every row has. */
export const idColumn = () =>
  p
    .uuid()
    .primary()
    .onCreate(() => randomUUID());
/** When a row came to be. */
export const createdColumn = () => p.datetime().onCreate(() => new Date());
