import { answerSchema, sendAnswerSchema } from '../answers';
import { secretSchema } from '../account';
import {
  changeEveningSchema,
  copyEveningSchema,
  eveningSchema,
  eveningSummarySchema,
  manyEveningsSchema,
  storeEveningSchema,
  storeTemplateSchema,
  templateSchema,
} from '../evening';
import { followedSchema, stepRunSchema } from '../followed';
import { logbookQuerySchema, logbookSchema } from '../logbook';
import { pageOf, pageQuerySchema } from '../page';
import { uuid } from '../common';
import { ledOnceSchema, runNewsSchema, runSchema, runSummarySchema, sendRunSchema } from '../run';
import {
  changePlanSchema,
  keepPlanSchema,
  keptPlanSchema,
  linkedPlanSchema,
  practiceSchema,
  makePlanLinkSchema,
  newPlanLinkSchema,
  planLinkSchema,
  planSchema,
  planVersionSchema,
  savePlanSchema,
  storedPlanSchema,
  wholeKeptPlanSchema,
  wholeVersionSchema,
} from '../savedPlan';
import { z } from '../zod';
import { changed, type Endpoints } from './described';

/** Evenings, their templates and the plans of their warm-ups. */
export const evenings = {
  listEvenings: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(eveningSummarySchema),
    errors: ['invalid'],
  },
  addEvening: {
    access: 'deputy',
    body: storeEveningSchema,
    reply: eveningSchema,
    makes: true,
    errors: ['invalid'],
  },
  addEvenings: {
    access: 'deputy',
    body: manyEveningsSchema,
    reply: z.object({ added: z.int() }),
    makes: true,
    errors: ['invalid'],
  },
  showEvening: { access: 'reader', reply: eveningSchema, errors: [] },
  changeEvening: {
    access: 'deputy',
    body: changeEveningSchema,
    reply: eveningSchema,
    errors: [...changed, 'has_plan'],
  },
  removeEvening: { access: 'deputy', errors: [] },
  copyEvening: {
    access: 'deputy',
    body: copyEveningSchema,
    reply: z.array(eveningSummarySchema),
    makes: true,
    errors: ['invalid'],
  },
  listTemplates: { access: 'reader', reply: z.array(templateSchema), errors: [] },
  addTemplate: {
    access: 'deputy',
    body: storeTemplateSchema,
    reply: templateSchema,
    makes: true,
    errors: ['invalid', 'too_many'],
  },
  removeTemplate: { access: 'deputy', errors: [] },

  showPlan: { access: 'reader', reply: z.object({ plan: planSchema.nullable() }), errors: [] },
  savePlan: { access: 'deputy', body: savePlanSchema, reply: storedPlanSchema, errors: changed },
  changePlan: {
    access: 'deputy',
    body: changePlanSchema,
    reply: storedPlanSchema,
    errors: changed,
  },
  listPlanVersions: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(planVersionSchema),
    errors: ['invalid'],
  },
  listKeptPlans: { access: 'deputy', reply: z.array(keptPlanSchema), errors: [] },
  keepPlan: {
    access: 'deputy',
    body: keepPlanSchema,
    reply: keptPlanSchema,
    makes: true,
    errors: ['invalid', 'too_many'],
  },
  showKeptPlan: { access: 'deputy', reply: wholeKeptPlanSchema, errors: [] },
  removeKeptPlan: { access: 'deputy', errors: [] },
  listPlanLinks: { access: 'deputy', reply: z.array(planLinkSchema), errors: [] },
  makePlanLink: {
    access: 'deputy',
    body: makePlanLinkSchema,
    reply: newPlanLinkSchema,
    makes: true,
    errors: ['invalid', 'too_many'],
  },
  endPlanLink: { access: 'deputy', errors: [] },
  openPlanLink: {
    access: 'anyone',
    body: secretSchema,
    reply: linkedPlanSchema,
    limited: 'failures',
    errors: ['invalid', 'not_found', 'too_many_attempts'],
  },
  openPractice: {
    access: 'anyone',
    body: secretSchema,
    reply: practiceSchema,
    limited: 'failures',
    errors: ['invalid', 'not_found', 'too_many_attempts'],
  },
  sendAnswer: {
    access: 'anyone',
    body: sendAnswerSchema,
    limited: 'failures',
    errors: ['invalid', 'not_found', 'too_many', 'too_many_attempts'],
  },
  listAnswers: { access: 'deputy', reply: z.array(answerSchema), errors: [] },
  dropAnswer: { access: 'deputy', errors: [] },
  listRuns: { access: 'reader', reply: z.array(runSummarySchema), errors: [] },
  showRun: { access: 'reader', reply: runSchema, errors: [] },
  showRunEvents: {
    access: 'reader',
    reply: runNewsSchema,
    errors: [],
  },
  openRunLink: {
    access: 'anyone',
    body: secretSchema,
    reply: z.object({ link: uuid }),
    limited: 'failures',
    errors: ['invalid', 'not_found', 'too_many_attempts'],
  },
  showFollowed: { access: 'anyone', reply: followedSchema, errors: ['not_found'] },
  showFollowedEvents: {
    access: 'anyone',
    reply: runNewsSchema,
    errors: ['not_found'],
  },
  followRun: { access: 'anyone', reply: 'events', errors: ['not_found', 'too_many'] },
  stepRun: {
    access: 'anyone',
    body: stepRunSchema,
    reply: z.object({ done: z.boolean() }),
    errors: ['invalid', 'not_found', 'not_allowed', 'too_many'],
  },
  listLedOnce: { access: 'reader', reply: z.array(ledOnceSchema), errors: [] },
  showLogbook: {
    access: 'reader',
    query: logbookQuerySchema,
    reply: logbookSchema,
    errors: ['invalid'],
  },
  sendRun: {
    access: 'deputy',
    body: sendRunSchema,
    reply: z.object({ events: z.int().min(0) }),
    errors: ['invalid', 'too_many'],
  },
  showPlanVersion: { access: 'reader', reply: wholeVersionSchema, errors: [] },
} as const satisfies Endpoints;
