import {
  addMemberSchema,
  changeChoirSchema,
  changeMemberSchema,
  changePasswordSchema,
  choirSchema,
  memberSchema,
  sessionSchema,
  signInSchema,
  signUpSchema,
} from '../account';
import { z } from '../zod';
import { type Endpoints } from './described';

/** Accounts, and the choirs and members they belong to. */
export const accounts = {
  showSession: { access: 'anyone', reply: sessionSchema, errors: [] },
  signIn: {
    access: 'anyone',
    body: signInSchema,
    reply: sessionSchema,
    limited: true,
    errors: ['invalid', 'wrong_password', 'too_many_attempts'],
  },
  enterDemo: { access: 'anyone', reply: sessionSchema, errors: ['not_found'] },
  signOut: { access: 'anyone', errors: [] },
  signUp: {
    access: 'anyone',
    body: signUpSchema,
    reply: sessionSchema,
    makes: true,
    limited: true,
    errors: ['invalid', 'email_taken', 'too_many_attempts'],
  },
  signOutEverywhere: { access: 'signed-in', errors: [] },
  changePassword: {
    access: 'signed-in',
    body: changePasswordSchema,
    limited: true,
    errors: ['invalid', 'wrong_present_password', 'demo_account', 'too_many_attempts'],
  },

  showChoir: { access: 'reader', reply: choirSchema, errors: [] },
  changeChoir: {
    access: 'director',
    body: changeChoirSchema,
    reply: choirSchema,
    errors: ['invalid'],
  },
  listMembers: { access: 'deputy', reply: z.array(memberSchema), errors: [] },
  addMember: {
    access: 'director',
    body: addMemberSchema,
    reply: memberSchema,
    makes: true,
    errors: ['invalid', 'no_such_account', 'last_director', 'demo_choir'],
  },
  changeMember: {
    access: 'director',
    body: changeMemberSchema,
    reply: memberSchema,
    errors: ['invalid', 'last_director', 'demo_choir'],
  },
  removeMember: { access: 'director', errors: ['last_director', 'demo_choir'] },
} as const satisfies Endpoints;
