import { endpoint, type Route } from '../access/endpoint';
import { findEvening } from '../evening/evening.service';
import { changePresence, showPresence } from './presence.service';
import { showSureness } from './sureness.service';

/** Who is here, and how sure that is, is about persons: for those who lead. */
export const presenceRoutes: readonly Route[] = [
  endpoint('showPresence', async ({ em, choir, params }) =>
    showPresence(em, await findEvening(em, choir, params.evening)),
  ),
  endpoint('changePresence', async ({ em, choir, params, body }) =>
    changePresence(em, choir, await findEvening(em, choir, params.evening), body),
  ),
  endpoint('showSureness', async ({ em, choir, params }) =>
    showSureness(em, choir, await findEvening(em, choir, params.evening)),
  ),
];
