import { welcome } from '../account/account.routes';
import { endpoint, type Route } from '../access/endpoint';
import { notFound } from '../http/problem';
import { makeDemo } from './seed';
import { throwOldDemosAway } from './demo.service';

/** Whoever looks around gets a choir of their own for a day. */
export const demoRoutes = (hasDemo: boolean): readonly Route[] => [
  endpoint('enterDemo', async ({ em, userAgent }) => {
    if (!hasDemo) throw notFound('demo');
    await throwOldDemosAway(em);
    const { director, until } = await makeDemo(em);
    return welcome(em, director, { userAgent, until }, hasDemo);
  }),
];
