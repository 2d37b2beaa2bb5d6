import { savePlanSchema } from '@wide-fern/contract';
import { findEvening } from '../evening/evening.service';
import { inChoir, type Route } from '../http/route';
import { savePlan, showPlan } from './plan.service';

const path = '/choirs/:choir/evenings/:evening/plans/:item';

export const planRoutes: readonly Route[] = [
  inChoir('reader', {
    method: 'get',
    path,
    handle: async ({ em, choir, params }) => {
      const evening = await findEvening(em, choir, params.evening!);
      return { body: { plan: await showPlan(em, choir, evening, params.item!) } };
    },
  }),
  inChoir('deputy', {
    method: 'put',
    path,
    body: savePlanSchema,
    handle: async ({ em, account, choir, params, body }) => {
      const evening = await findEvening(em, choir, params.evening!);
      const where = { choir, evening, item: params.item!, account };
      return { body: await savePlan(em, where, body) };
    },
  }),
];
