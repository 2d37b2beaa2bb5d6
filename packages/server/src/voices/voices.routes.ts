import { recordNow } from '../keeping/records';
import { endpoint, type Route } from '../access/endpoint';
import { saveParts } from './parts.service';
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

/** Readers see sections; who leads sees persons; who directs decides about both. */
export const voicesRoutes: readonly Route[] = [
  endpoint('showVoices', ({ em, choir, role }) => showVoices(em, choir, role)),
  endpoint('saveVoices', ({ em, choir, body }) => saveVoices(em, choir, body)),
  endpoint('saveParts', async ({ em, choir, body }) => {
    await saveParts(em, choir, body);
    em.clear();
    return showVoices(em, choir);
  }),
  endpoint('listSingers', ({ em, choir, query }) => listSingers(em, choir, query.after)),
  endpoint('storeSingers', ({ em, choir, body }) => storeSingers(em, choir, body)),
  endpoint('keepChecks', ({ em, choir, body }) => keepChecks(em, choir, body)),
  endpoint('changeSinger', ({ em, choir, params, body }) =>
    changeSinger(em, choir, params.singer, body),
  ),
  // Who it was is not kept: what is deleted of a person is gone.
  endpoint('deleteSinger', async ({ em, choir, account, params }) => {
    await deleteSinger(em, choir, params.singer);
    await recordNow(em, { choir, by: account, kind: 'deleted', about: 'a singer' });
  }),
  endpoint('exportSinger', async ({ em, choir, account, params }) => {
    const singer = await exportSinger(em, choir, params.singer);
    await recordNow(em, {
      choir,
      by: account,
      kind: 'exported',
      about: 'what is kept of a singer',
    });
    return singer;
  }),
  endpoint('listChecks', ({ em, choir, params, query }) =>
    listChecks(em, choir, params.singer, query.after),
  ),
  endpoint('dropCheck', ({ em, choir, params }) =>
    dropCheck(em, choir, params.singer, params.check),
  ),
];
