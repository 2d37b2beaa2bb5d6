import {
  changePresenceSchema,
  changeSingerSchema,
  keepChecksSchema,
  savePartsSchema,
  saveVoicesSchema,
  storeSingersSchema,
} from '@wide-fern/contract';
import { findEvening } from '../evening/evening.service';
import { inChoir, type Route } from '../http/route';
import { saveParts } from './parts.service';
import { changePresence, showPresence } from './presence.service';
import {
  changeSinger,
  deleteSinger,
  dropCheck,
  exportSinger,
  keepChecks,
  listChecks,
  listSingers,
  storeSingers,
} from './singers.service';
import { saveVoices, showVoices } from './voices.service';

const voices = '/choirs/:choir/voices';
const singers = '/choirs/:choir/singers';
const presence = '/choirs/:choir/evenings/:evening/presence';

/** Readers see sections; who leads sees persons; who directs decides about both. */
export const voicesRoutes: readonly Route[] = [
  inChoir('reader', {
    method: 'get',
    path: voices,
    handle: async ({ em, choir }) => ({ body: await showVoices(em, choir) }),
  }),
  inChoir('director', {
    method: 'put',
    path: voices,
    body: saveVoicesSchema,
    handle: async ({ em, choir, body }) => ({ body: await saveVoices(em, choir, body) }),
  }),
  inChoir('director', {
    method: 'put',
    path: `${voices}/parts`,
    body: savePartsSchema,
    handle: async ({ em, choir, body }) => {
      await saveParts(em, choir, body);
      em.clear();
      return { body: await showVoices(em, choir) };
    },
  }),
  inChoir('deputy', {
    method: 'get',
    path: singers,
    handle: async ({ em, choir }) => ({ body: await listSingers(em, choir) }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: singers,
    body: storeSingersSchema,
    handle: async ({ em, choir, body }) => ({
      status: 201,
      body: await storeSingers(em, choir, body),
    }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: `${singers}/checks`,
    body: keepChecksSchema,
    handle: async ({ em, choir, body }) => ({
      status: 201,
      body: await keepChecks(em, choir, body),
    }),
  }),
  inChoir('deputy', {
    method: 'put',
    path: `${singers}/:singer`,
    body: changeSingerSchema,
    handle: async ({ em, choir, params, body }) => ({
      body: await changeSinger(em, choir, params.singer!, body),
    }),
  }),
  inChoir('director', {
    method: 'delete',
    path: `${singers}/:singer`,
    handle: async ({ em, choir, params }) => {
      await deleteSinger(em, choir, params.singer!);
      return {};
    },
  }),
  inChoir('director', {
    method: 'get',
    path: `${singers}/:singer/export`,
    handle: async ({ em, choir, params }) => ({
      body: await exportSinger(em, choir, params.singer!),
    }),
  }),
  inChoir('deputy', {
    method: 'get',
    path: `${singers}/:singer/checks`,
    handle: async ({ em, choir, params }) => ({
      body: await listChecks(em, choir, params.singer!),
    }),
  }),
  inChoir('deputy', {
    method: 'delete',
    path: `${singers}/:singer/checks/:check`,
    handle: async ({ em, choir, params }) => ({
      body: await dropCheck(em, choir, params.singer!, params.check!),
    }),
  }),
  inChoir('deputy', {
    method: 'get',
    path: presence,
    handle: async ({ em, choir, params }) => ({
      body: await showPresence(em, await findEvening(em, choir, params.evening!)),
    }),
  }),
  inChoir('deputy', {
    method: 'put',
    path: presence,
    body: changePresenceSchema,
    handle: async ({ em, choir, params, body }) => {
      const evening = await findEvening(em, choir, params.evening!);
      return { body: await changePresence(em, choir, evening, body) };
    },
  }),
];
