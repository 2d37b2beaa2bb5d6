import { configure } from '@testing-library/react';
import * as React from 'react';

// A busy machine takes its time; what is there is found at once.
configure({ asyncUtilTimeout: 20_000 });

/**
 * Where each element was made is not kept: React makes an error with its stack for every one of the
 * first ten thousand a second, a quarter of all the time these tests took.
 */
const inside = (React as unknown as Record<string, Record<string, unknown> | undefined>)
  .__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE;
if (inside) {
  Object.defineProperty(inside, 'recentlyCreatedOwnerStacks', {
    get: () => Infinity,
    set: () => undefined,
  });
}
