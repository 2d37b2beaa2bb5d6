import type { Offer } from '@wide-fern/plan';
import { offerChanges, type OfferContext } from '../building/offer';
import type { Clock } from '../plan/words';

/** One line that says what is offered while it is led, and when it ends then and as it stands. */
export function lateInWords(
  offer: Offer,
  context: Pick<OfferContext, 'segments'>,
  clock: Clock,
  /** Moments in milliseconds. */
  ends: { readonly taken: number; readonly asItStands: number },
): { readonly offer: string; readonly asItStands: string } {
  const changes = offerChanges(offer, context).map((line) => line.replace(/\.$/, ''));
  return {
    offer: `${changes.join('; ')}: ends ${clock.second(ends.taken)}.`,
    asItStands: `as it stands ${clock.second(ends.asItStands)}`,
  };
}
