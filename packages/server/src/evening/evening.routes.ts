import { newEveningSchema } from '@wide-fern/contract';
import { inChoir, type Route } from '../http/route';
import { addEvening, findEvening, listEvenings, showEvening } from './evening.service';

export const eveningRoutes: readonly Route[] = [
  inChoir('reader', {
    method: 'get',
    path: '/choirs/:choir/evenings',
    handle: async ({ em, choir }) => ({ body: await listEvenings(em, choir) }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: '/choirs/:choir/evenings',
    body: newEveningSchema,
    handle: async ({ em, choir, body }) => ({
      status: 201,
      body: await showEvening(em, choir, await addEvening(em, choir, body)),
    }),
  }),
  inChoir('reader', {
    method: 'get',
    path: '/choirs/:choir/evenings/:evening',
    handle: async ({ em, choir, params }) => ({
      body: await showEvening(em, choir, await findEvening(em, choir, params.evening!)),
    }),
  }),
];
