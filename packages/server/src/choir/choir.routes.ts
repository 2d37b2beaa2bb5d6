import type { Choir as ChoirView } from '@wide-fern/contract';
import { usualPhrase } from '@wide-fern/core';
import { endpoint, type Route } from '../access/endpoint';
import type { Choir } from '../db/entities/choir';
import { addMember, changeRole, listMembers, removeMember } from './choir.service';

const asChoir = ({ id, name, timeZone, accidentals, phraseSeconds }: Choir): ChoirView => ({
  id,
  name,
  timeZone,
  accidentals: accidentals ?? 'flats',
  phraseSeconds: phraseSeconds ?? usualPhrase.mixed,
});

export const choirRoutes: readonly Route[] = [
  endpoint('showChoir', ({ choir }) => Promise.resolve(asChoir(choir))),
  endpoint('changeChoir', async ({ em, choir, body }) => {
    choir.phraseSeconds = body.phraseSeconds;
    await em.flush();
    return asChoir(choir);
  }),
  endpoint('listMembers', ({ em, choir }) => listMembers(em, choir)),
  endpoint('addMember', ({ em, choir, body }) => addMember(em, choir, body)),
  endpoint('changeMember', ({ em, choir, params, body }) =>
    changeRole(em, choir, params.member, body.role),
  ),
  endpoint('removeMember', ({ em, choir, params }) => removeMember(em, choir, params.member)),
];
