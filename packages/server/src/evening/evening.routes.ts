import {
  changeEveningSchema,
  copyEveningSchema,
  manyEveningsSchema,
  storeEveningSchema,
  storeTemplateSchema,
} from '@wide-fern/contract';
import { inChoir, type Route } from '../http/route';
import {
  addEvenings,
  changeEvening,
  copyEvening,
  findEvening,
  listEvenings,
  removeEvening,
  showEvening,
} from './evening.service';
import { addTemplate, listTemplates, removeTemplate } from './templates.service';

const evenings = '/choirs/:choir/evenings';
const one = `${evenings}/:evening`;
const templates = '/choirs/:choir/templates';

export const eveningRoutes: readonly Route[] = [
  inChoir('reader', {
    method: 'get',
    path: evenings,
    handle: async ({ em, choir }) => ({ body: await listEvenings(em, choir) }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: evenings,
    body: storeEveningSchema,
    handle: async ({ em, choir, body }) => {
      const [evening] = await addEvenings(em, choir, [body]);
      return { status: 201, body: await showEvening(em, choir, evening!) };
    },
  }),
  inChoir('deputy', {
    method: 'post',
    path: '/choirs/:choir/many-evenings',
    body: manyEveningsSchema,
    handle: async ({ em, choir, body }) => {
      const made = await addEvenings(em, choir, body.evenings);
      return { status: 201, body: { added: made.length } };
    },
  }),
  inChoir('reader', {
    method: 'get',
    path: one,
    handle: async ({ em, choir, params }) => ({
      body: await showEvening(em, choir, await findEvening(em, choir, params.evening!)),
    }),
  }),
  inChoir('deputy', {
    method: 'put',
    path: one,
    body: changeEveningSchema,
    handle: async ({ em, choir, params, body }) => {
      const evening = await changeEvening(em, choir, params.evening!, body);
      return { body: await showEvening(em, choir, evening) };
    },
  }),
  inChoir('deputy', {
    method: 'delete',
    path: one,
    handle: async ({ em, choir, params }) => {
      await removeEvening(em, choir, params.evening!);
      return {};
    },
  }),
  inChoir('deputy', {
    method: 'post',
    path: `${one}/copies`,
    body: copyEveningSchema,
    handle: async ({ em, choir, account, params, body }) => ({
      status: 201,
      body: await copyEvening(em, { choir, account, evening: params.evening! }, body),
    }),
  }),
  inChoir('reader', {
    method: 'get',
    path: templates,
    handle: async ({ em, choir }) => ({ body: await listTemplates(em, choir) }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: templates,
    body: storeTemplateSchema,
    handle: async ({ em, choir, body }) => ({
      status: 201,
      body: await addTemplate(em, choir, body),
    }),
  }),
  inChoir('deputy', {
    method: 'delete',
    path: `${templates}/:template`,
    handle: async ({ em, choir, params }) => {
      await removeTemplate(em, choir, params.template!);
      return {};
    },
  }),
];
