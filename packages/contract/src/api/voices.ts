import { pageOf, pageQuerySchema } from '../page';
import {
  changePresenceSchema,
  changeSingerSchema,
  keepChecksSchema,
  keptCheckSchema,
  presenceSchema,
  savePartsSchema,
  saveVoicesSchema,
  singerExportSchema,
  singerSchema,
  storeSingersSchema,
  surenessSchema,
  voicesSchema,
} from '../voices';
import { z } from '../zod';
import { changed, type Endpoints } from './described';

/** Parts, singers, their checks, and who is here tonight. */
export const voices = {
  showVoices: { access: 'reader', reply: voicesSchema, errors: [] },
  saveVoices: {
    access: 'director',
    body: saveVoicesSchema,
    reply: voicesSchema,
    errors: ['invalid'],
  },
  saveParts: {
    access: 'director',
    body: savePartsSchema,
    reply: voicesSchema,
    errors: ['invalid', 'singers_left'],
  },
  listSingers: {
    access: 'deputy',
    query: pageQuerySchema,
    reply: pageOf(singerSchema),
    errors: ['invalid'],
  },
  storeSingers: {
    access: 'deputy',
    body: storeSingersSchema,
    reply: z.array(singerSchema),
    makes: true,
    errors: [...changed, 'too_many'],
  },
  keepChecks: {
    access: 'deputy',
    body: keepChecksSchema,
    reply: z.array(singerSchema),
    makes: true,
    errors: ['invalid'],
  },
  changeSinger: {
    access: 'deputy',
    body: changeSingerSchema,
    reply: singerSchema,
    errors: changed,
  },
  deleteSinger: { access: 'director', errors: [] },
  exportSinger: { access: 'director', reply: singerExportSchema, errors: [] },
  listChecks: {
    access: 'deputy',
    query: pageQuerySchema,
    reply: pageOf(keptCheckSchema),
    errors: ['invalid'],
  },
  dropCheck: { access: 'deputy', reply: singerSchema, errors: [] },
  showPresence: { access: 'deputy', reply: presenceSchema, errors: [] },
  changePresence: {
    access: 'deputy',
    body: changePresenceSchema,
    reply: presenceSchema,
    errors: ['invalid'],
  },
  showSureness: { access: 'deputy', reply: surenessSchema, errors: [] },
} as const satisfies Endpoints;
