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
  endpoint('savePlan', async (call) => {
    const { em, account, params, body } = call;
    const saved = await savePlanOver(em, { ...params, account }, body);
    if (saved) return saved;
    const { choir } = call;
    const evening = await findEvening(em, choir, params.evening);
    return savePlan(em, { choir, item: params.item, account, evening }, body);
  }),
  endpoint('listPlanVersions', async ({ em, choir, params, query }) => {
    const evening = await findEvening(em, choir, params.evening);
    return listPlanVersions(em, { choir, evening, item: params.item }, query.after);
  }),
];
