import {
  changeChoirSchema,
  changeMemberSchema,
  choirSchema,
  closeChoirSchema,
  invitationSchema,
  inviteSchema,
  memberSchema,
  newInvitationSchema,
  recordSchema,
  roomSchema,
} from '../choir';
import { sessionSchema } from '../account';
import { pageOf, pageQuerySchema } from '../page';
import { uuid } from '../common';
import { largestChoirFile } from '../wholeChoir';
import { z } from '../zod';
import { type Endpoints } from './described';

/** A choir itself: what it is called, who belongs to it, and what was done in it. */
export const choirs = {
  showChoir: { access: 'reader', reply: choirSchema, errors: [] },
  changeChoir: {
    access: 'director',
    body: changeChoirSchema,
    reply: choirSchema,
    errors: ['invalid', 'too_many'],
  },
  showRoom: { access: 'deputy', reply: roomSchema, errors: [] },
  listMembers: { access: 'deputy', reply: z.array(memberSchema), errors: [] },
  changeMember: {
    access: 'director',
    body: changeMemberSchema,
    reply: memberSchema,
    errors: ['invalid', 'last_director', 'demo_choir'],
  },
  removeMember: { access: 'director', errors: ['last_director', 'demo_choir'] },
  bringMemberBack: { access: 'director', reply: memberSchema, errors: ['demo_choir'] },
  leaveChoir: {
    access: 'reader',
    reply: sessionSchema,
    errors: ['last_director', 'demo_choir'],
  },
  listInvitations: { access: 'director', reply: z.array(invitationSchema), errors: [] },
  invite: {
    access: 'director',
    body: inviteSchema,
    reply: newInvitationSchema,
    makes: true,
    limited: 'calls',
    errors: ['invalid', 'too_many', 'demo_choir', 'too_many_attempts'],
  },
  takeInvitationBack: { access: 'director', errors: ['not_found'] },
  closeChoir: {
    access: 'director',
    body: closeChoirSchema,
    reply: choirSchema,
    errors: ['invalid', 'demo_choir'],
  },
  keepChoir: { access: 'director', reply: choirSchema, errors: [] },
  /** Everything a choir has, in one file, and a choir made of such a file. */
  giveOutChoir: { access: 'director', reply: 'file', errors: [] },
  bringChoirIn: {
    access: 'signed-in',
    file: { most: largestChoirFile, what: 'choir' },
    reply: z.object({ choir: uuid }),
    makes: true,
    limited: 'calls',
    errors: ['invalid', 'demo_account', 'too_large', 'too_busy', 'too_many_attempts'],
  },
  listRecords: {
    access: 'director',
    query: pageQuerySchema,
    reply: pageOf(recordSchema),
    errors: ['invalid'],
  },
} as const satisfies Endpoints;
