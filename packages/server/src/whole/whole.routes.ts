import { endpoint, type Route } from '../access/endpoint';
import { bringChoirIn } from './bringIn';
import { giveOutChoir } from './giveOut';

export const wholeRoutes: readonly Route[] = [
  endpoint('giveOutChoir', ({ em, ...acting }) => giveOutChoir(em, acting)),
  endpoint('bringChoirIn', ({ em, account, body }) => bringChoirIn(em, account, body)),
];
