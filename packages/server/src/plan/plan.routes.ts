import { endpoint, type Route } from '../access/endpoint';
import { findEvening } from '../evening/evening.service';
import { seesPersons } from '../voices/discreet';
import { discreetPlan } from './discreetPlan';
import { listPlanVersions, savePlan, savePlanOver, showPlan } from './plan.service';

export const planRoutes: readonly Route[] = [
  endpoint('showPlan', async ({ em, choir, role, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    const plan = await showPlan(em, choir, evening, params.item);
    return { plan: plan && !seesPersons(role) ? await discreetPlan(em, choir, plan) : plan };
  }),
  endpoint('savePlan', async ({ em, account, choir, params, body }) => {
    const where = { choir, item: params.item, account };
    const saved = await savePlanOver(em, { ...where, evening: params.evening }, body);
    if (saved) return saved;
    const evening = await findEvening(em, choir, params.evening);
    return savePlan(em, { ...where, evening }, body);
  }),
  endpoint('listPlanVersions', async ({ em, choir, params, query }) => {
    const evening = await findEvening(em, choir, params.evening);
    return listPlanVersions(em, { choir, evening, item: params.item }, query.after);
  }),
];
