import { choirEventSchema, missedEvents } from '@wide-fern/contract';
import { addressOf } from '../call/call';
import { followedEventsQuery, followedQuery } from '../queries';
import { fetchAgain } from './again';
import { readHappened, takeHappened, wasTold } from './happened';

/**
 * Hears of what happens in the run that a screen follows by a link, and keeps what is shown true to it.
 * @param isGoing whether a run goes on: else another one may have begun
 * @param onHeard told whether anything is heard
 * @returns a way to stop
 */
export function followScreen(
  link: string,
  isGoing: boolean,
  onHeard: (isHeard: boolean) => void,
): () => void {
  const { queryKey } = followedQuery(link);
  const stream = new EventSource(addressOf('followRun', { link }));
  const all = () => fetchAgain({ queryKey });
  stream.addEventListener('change', ({ data }: MessageEvent<string>) => {
    const { success, data: event } = choirEventSchema.safeParse(JSON.parse(data));
    if (!success || !isGoing) all();
    else if (event.run === undefined) fetchAgain({ queryKey: [...queryKey, 'run-events'] });
    else {
      fetchAgain({
        queryKey: followedEventsQuery(link, event.run).queryKey,
        holds: (known) => wasTold(event, known),
      });
    }
  });
  stream.addEventListener('happened', ({ data }: MessageEvent<string>) => {
    const happened = readHappened(data);
    if (happened) takeHappened(followedEventsQuery(link, happened.run).queryKey, happened);
  });
  stream.addEventListener(missedEvents, all);
  // After a break nobody knows what was missed.
  stream.addEventListener('open', () => {
    onHeard(true);
    all();
  });
  stream.addEventListener('error', () => {
    onHeard(false);
    // A code that was taken back is refused: then that is said.
    all();
  });
  return () => stream.close();
}
