/** Works out every way of every exercise for an evening, away from the page; it remembers them. */
import { exercises } from '@wide-fern/catalogue';
import { rememberedWays, weigh, type BuildRequest, type Weighed } from '@wide-fern/plan';
import { expose } from 'comlink';

const ways = rememberedWays();

const weighed = (request: BuildRequest): Weighed =>
  weigh(request, [...exercises, ...request.own], ways);
const api = {
  weigh: weighed,
  /** Only remembers what it worked out. */
  prepare: (request: BuildRequest): void => void weighed(request),
};
export type WeighApi = typeof api;
expose(api);
