import { dropAnswer, listAnswers, sendAnswer } from './answers.service';
import { endpoint, type Route } from '../access/endpoint';
import { findEvening } from '../evening/evening.service';
import { notFound, problem } from '../http/problem';
import { seesPersons } from '../voices/discreet';
import { discreetPlan } from './discreetPlan';
import { keepPlan, listKeptPlans, removeKeptPlan, showKeptPlan } from './keptPlans.service';
import {
  endPlanLink,
  listPlanLinks,
  makePlanLink,
  openPlanLink,
  openPractice,
} from './planLinks.service';
import { checkItem, listPlanVersions, showPlan, showPlanVersion } from './plan.service';
import { beginPlan, changePlanOver, savePlanOver } from './savePlan.service';

export const planRoutes: readonly Route[] = [
  endpoint('showPlan', async ({ em, choir, role, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    const plan = await showPlan(em, choir, evening, params.item);
    return { plan: plan && !seesPersons(role) ? await discreetPlan(em, choir, plan) : plan };
  }),
  endpoint('savePlan', async (call) => {
    const { em, caller, params, body } = call;
    const saved = await savePlanOver(em, { ...params, caller }, body);
    if (saved) return saved;
    const { choir, account } = call;
    const evening = await findEvening(em, choir, params.evening);
    return beginPlan(em, { choir, item: params.item, account, evening }, body);
  }),
  endpoint('changePlan', async (call) => {
    const { em, caller, params, body } = call;
    const saved = await changePlanOver(em, { ...params, caller }, body);
    if (saved) return saved;
    checkItem(await findEvening(em, call.choir, params.evening), params.item);
    throw problem('changed_meanwhile');
  }),
  endpoint('listPlanVersions', async ({ em, choir, params, query }) => {
    const evening = await findEvening(em, choir, params.evening);
    return listPlanVersions(em, { choir, evening, item: params.item }, query.after);
  }),
  endpoint('listKeptPlans', ({ em, choir }) => listKeptPlans(em, choir)),
  endpoint('keepPlan', ({ em, choir, account, body }) => keepPlan(em, { choir, account }, body)),
  endpoint('showKeptPlan', ({ em, choir, params }) => showKeptPlan(em, choir, params.template)),
  endpoint('removeKeptPlan', ({ em, choir, params }) => removeKeptPlan(em, choir, params.template)),
  endpoint('listPlanLinks', async ({ em, choir, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    return listPlanLinks(em, { choir, evening, item: params.item });
  }),
  endpoint('makePlanLink', async ({ em, choir, params, body }) => {
    const evening = await findEvening(em, choir, params.evening);
    return makePlanLink(em, { choir, evening, item: params.item }, body);
  }),
  endpoint('endPlanLink', async ({ em, choir, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    return endPlanLink(em, { choir, evening, item: params.item }, params.link);
  }),
  endpoint('openPractice', ({ em, body }) => openPractice(em, body.secret)),
  endpoint('sendAnswer', ({ em, params, body }) => sendAnswer(em, params.answer, body)),
  endpoint('listAnswers', ({ em, choir }) => listAnswers(em, choir)),
  endpoint('dropAnswer', ({ em, choir, params }) => dropAnswer(em, choir, params.answer)),
  endpoint('openPlanLink', ({ em, body }) => openPlanLink(em, body.secret)),
  endpoint('showPlanVersion', async ({ em, choir, role, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    const where = { choir, evening, item: params.item };
    const one = await showPlanVersion(em, where, versionIn(params.version));
    return seesPersons(role) ? one : discreetPlan(em, choir, one);
  }),
];

/** A version by its number in an address; one that cannot be is not there. */
function versionIn(words: string): number {
  const version = /^\d{1,9}$/.test(words) ? Number(words) : 0;
  if (version < 1) throw notFound('version');
  return version;
}
