import { endpoint, type Route } from '../access/endpoint';
import { describeSession } from '../access/describe';
import { changeChoir, closeChoir, keepChoir, showChoir } from './choir.service';
import { invite, listInvitations, takeInvitationBack } from './invitations.service';
import {
  bringMemberBack,
  changeRole,
  leaveChoir,
  listMembers,
  removeMember,
} from './members.service';
import { listRecords } from '../keeping/records';
import { showRoom } from '../keeping/room';

export const choirRoutes = (hasDemo: boolean): readonly Route[] => [
  endpoint('showChoir', ({ choir }) => Promise.resolve(showChoir(choir))),
  endpoint('changeChoir', ({ em, body, ...acting }) => changeChoir(em, acting, body)),
  endpoint('closeChoir', ({ em, body, ...acting }) => closeChoir(em, acting, body.name)),
  endpoint('keepChoir', ({ em, ...acting }) => keepChoir(em, acting)),
  endpoint('showRoom', ({ em, choir }) => showRoom(em, choir)),
  endpoint('listMembers', ({ em, ...acting }) => listMembers(em, acting)),
  endpoint('changeMember', ({ em, params, body, ...acting }) =>
    changeRole(em, acting, params.member, body.role),
  ),
  endpoint('removeMember', ({ em, params, ...acting }) => removeMember(em, acting, params.member)),
  endpoint('bringMemberBack', ({ em, params, ...acting }) =>
    bringMemberBack(em, acting, params.member),
  ),
  endpoint('leaveChoir', async ({ em, ...acting }) => {
    await leaveChoir(em, acting);
    return describeSession(em, acting.account, hasDemo);
  }),
  endpoint('listInvitations', ({ em, choir }) => listInvitations(em, choir)),
  endpoint('invite', ({ em, body, ...acting }) => invite(em, acting, body)),
  endpoint('takeInvitationBack', ({ em, params, ...acting }) =>
    takeInvitationBack(em, acting, params.invitation),
  ),
  endpoint('listRecords', ({ em, choir, query }) => listRecords(em, choir, query.after)),
];
