import { keptOnDevice } from '@wide-fern/client';
import { buildWishSchema, type BuildWish } from '@wide-fern/contract';

const wishes = keptOnDevice<BuildWish>(
  'building',
  (stored) => buildWishSchema.safeParse(stored).data,
);

/** What was asked of a warm-up on this device, so that a closed page loses nothing. */
export const readWish = (...ids: readonly string[]): BuildWish | undefined => wishes.read(...ids);
export const keepWish = (ids: readonly string[], wish: BuildWish): void =>
  void wishes.keep(ids, wish);
