import {
  addMemberSchema,
  changeChoirSchema,
  changeMemberSchema,
  type Choir as ChoirView,
} from '@wide-fern/contract';
import { usualPhrase } from '@wide-fern/core';
import { inChoir, type Route } from '../http/route';
import type { Choir } from './choir.entity';
import { addMember, changeRole, listMembers, removeMember } from './choir.service';

const asChoir = ({ id, name, timeZone, accidentals, phraseSeconds }: Choir): ChoirView => ({
  id,
  name,
  timeZone,
  accidentals: accidentals ?? 'flats',
  phraseSeconds: phraseSeconds ?? usualPhrase.mixed,
});

export const choirRoutes: readonly Route[] = [
  inChoir('reader', {
    method: 'get',
    path: '/choirs/:choir',
    handle: ({ choir }) => {
      return Promise.resolve({ body: asChoir(choir) });
    },
  }),
  inChoir('director', {
    method: 'put',
    path: '/choirs/:choir',
    body: changeChoirSchema,
    handle: async ({ em, choir, body }) => {
      choir.phraseSeconds = body.phraseSeconds;
      await em.flush();
      return { body: asChoir(choir) };
    },
  }),
  inChoir('deputy', {
    method: 'get',
    path: '/choirs/:choir/members',
    handle: async ({ em, choir }) => ({ body: await listMembers(em, choir) }),
  }),
  inChoir('director', {
    method: 'post',
    path: '/choirs/:choir/members',
    body: addMemberSchema,
    handle: async ({ em, choir, body }) => ({
      status: 201,
      body: await addMember(em, choir, body),
    }),
  }),
  inChoir('director', {
    method: 'put',
    path: '/choirs/:choir/members/:member',
    body: changeMemberSchema,
    handle: async ({ em, choir, params, body }) => ({
      body: await changeRole(em, choir, params.member!, body.role),
    }),
  }),
  inChoir('director', {
    method: 'delete',
    path: '/choirs/:choir/members/:member',
    handle: async ({ em, choir, params }) => {
      await removeMember(em, choir, params.member!);
      return {};
    },
  }),
];
