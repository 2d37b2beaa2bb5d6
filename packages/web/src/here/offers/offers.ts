import { openWorker, type Opened } from '@wide-fern/client';
import type { Exercise } from '@wide-fern/contract';
import type { BuildRequest, Offer, Standing } from '@wide-fern/plan';
import type { OfferApi } from './offer.worker';

/** Whoever seeks offers: a worker of its own, opened when it is first asked. */
export interface Offers {
  readonly offer: (
    request: BuildRequest,
    standing: Standing,
    favourites: readonly Exercise[],
  ) => Promise<Offer | undefined>;
  /** Ends what it is at. */
  readonly end: () => void;
}

export function workerOffers(): Offers {
  let worker: Opened<OfferApi> | undefined;
  return {
    offer: (...asked) => {
      worker ??= openWorker(
        () => new Worker(new URL('./offer.worker.ts', import.meta.url), { type: 'module' }),
      );
      return worker.ask(async (api): Promise<Offer | undefined> => api.offer(...asked));
    },
    end: () => {
      worker?.end();
      worker = undefined;
    },
  };
}
