import { welcome } from '../account/account.routes';
import { endpoint, type Route } from '../access/endpoint';
import { notFound } from '../http/problem';
import { findDemoDirector } from './demo.service';

export const demoRoutes: readonly Route[] = [
  endpoint('enterDemo', async ({ em }) => {
    const director = await findDemoDirector(em);
    if (!director) throw notFound('demo');
    return welcome(em, director);
  }),
];
