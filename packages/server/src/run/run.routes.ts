import { endpoint, type Route } from '../access/endpoint';
import { findEvening } from '../evening/evening.service';
import { discreetPlan } from '../plan/discreetPlan';
import { seesPersons } from '../voices/discreet';
import { discreetEvents } from './discreetEvents';
import { listLedOnce } from './ledOnce';
import { showLogbook } from './logbook';
import { listRuns, sendRun, showRun, showRunEvents } from './run.service';

export const runRoutes: readonly Route[] = [
  endpoint('listRuns', async ({ em, choir, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    return listRuns(em, { choir, evening, item: params.item });
  }),
  endpoint('showRun', async ({ em, choir, role, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    const run = await showRun(em, { choir, evening, item: params.item }, params.run);
    if (seesPersons(role)) return run;
    return {
      ...run,
      head: await discreetPlan(em, choir, run.head),
      events: discreetEvents(run.events),
    };
  }),
  endpoint('showRunEvents', async ({ em, choir, role, params }) => {
    const evening = await findEvening(em, choir, params.evening);
    const found = await showRunEvents(em, { choir, evening, item: params.item }, params.run);
    return seesPersons(role) ? found : { ...found, events: discreetEvents(found.events) };
  }),
  endpoint('listLedOnce', ({ em, choir, role }) =>
    listLedOnce(em, choir, { seesPersons: seesPersons(role) }),
  ),
  endpoint('showLogbook', ({ em, choir, query }) => showLogbook(em, choir, query.weeks)),
  endpoint('sendRun', async ({ em, choir, account, params, body }) => {
    const evening = await findEvening(em, choir, params.evening);
    const place = { choir, evening, item: params.item };
    return sendRun(em, place, { id: params.run, account }, body);
  }),
];
