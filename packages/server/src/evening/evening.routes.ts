import { endpoint, type Route } from '../access/endpoint';
import { Written } from '../http/endpoint';
import { remembered } from '../tonight/remembered';
import { seesPersons } from '../voices/discreet';
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

export const eveningRoutes: readonly Route[] = [
  endpoint('listEvenings', ({ em, choir, query }) => listEvenings(em, choir, query.after)),
  endpoint('addEvening', async ({ em, choir, body }) => {
    const [evening] = await addEvenings(em, choir, [body]);
    return showEvening(em, choir, evening!);
  }),
  endpoint('addEvenings', async ({ em, choir, body }) => {
    const made = await addEvenings(em, choir, body.evenings);
    return { added: made.length };
  }),
  endpoint('showEvening', async (call) => {
    const { em, role, params } = call;
    const key = `${params.choir} ${params.evening} ${seesPersons(role)}`;
    const make = async () => {
      const { choir } = call;
      return showEvening(em, choir, await findEvening(em, choir, params.evening), role);
    };
    return new Written(await remembered(em, { choir: params.choir, key }, make));
  }),
  endpoint('changeEvening', async ({ em, choir, params, body }) =>
    showEvening(em, choir, await changeEvening(em, choir, params.evening, body)),
  ),
  endpoint('removeEvening', ({ em, params, ...acting }) =>
    removeEvening(em, acting, params.evening),
  ),
  endpoint('copyEvening', ({ em, choir, account, params, body }) =>
    copyEvening(em, { choir, account, evening: params.evening }, body),
  ),
  endpoint('listTemplates', ({ em, choir }) => listTemplates(em, choir)),
  endpoint('addTemplate', ({ em, choir, body }) => addTemplate(em, choir, body)),
  endpoint('removeTemplate', ({ em, choir, params }) => removeTemplate(em, choir, params.template)),
];
