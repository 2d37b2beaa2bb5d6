import {
  choirEventSchema,
  missedEvents,
  type ChoirEvent,
  type Happened,
} from '@wide-fern/contract';
import { addressOf } from '../call/call';
import { keyOf } from '../queries';
import { fetchAgain } from './again';
import { readHappened, takeHappened } from './happened';
import { staleAfter } from './stale';

type Told = ChoirEvent | Happened | typeof missedEvents;

/** Marks as stale what a change touches; what is on the screen is fetched at once. */
function apply(choir: string, told: Told): void {
  if (told === missedEvents) {
    fetchAgain({ queryKey: keyOf('showChoir', { choir }) });
    return;
  }
  if (told.kind === 'happened') {
    const { evening, item, run } = told;
    takeHappened(keyOf('showRunEvents', { choir, evening, item, run }), told);
    return;
  }
  for (const stale of staleAfter(choir, told)) fetchAgain(stale);
}

/** Where the last event seen is kept for whichever window opens the stream next. */
const seenKey = (choir: string): string => `wide-fern:seen:${choir}`;

/** The stream itself: one for all windows of this browser, since a browser opens few connections to a server. */
function openStream(choir: string, hear: (told: Told) => void): () => void {
  const seen = localStorage.getItem(seenKey(choir)) ?? undefined;
  const stream = new EventSource(addressOf('followEvents', { choir }, { after: seen }));
  stream.addEventListener('change', ({ data }: MessageEvent<string>) => {
    const event = choirEventSchema.safeParse(JSON.parse(data));
    // A kind that an older page does not know: it fetches everything.
    if (!event.success) hear(missedEvents);
    else {
      localStorage.setItem(seenKey(choir), String(event.data.id));
      hear(event.data);
    }
  });
  stream.addEventListener('happened', ({ data }: MessageEvent<string>) => {
    const happened = readHappened(data);
    if (happened) hear(happened);
  });
  stream.addEventListener(missedEvents, ({ lastEventId }: MessageEvent<string>) => {
    // What is fetched anew now holds all up to this one.
    if (lastEventId) localStorage.setItem(seenKey(choir), lastEventId);
    hear(missedEvents);
  });
  return () => stream.close();
}

/**
 * Follows the changes of a choir and keeps the pages' state true to them. The windows of a browser
 * share one stream: whoever holds the lock reads it and tells the others; when that window closes,
 * another takes over where it ended. Answers with a way to stop.
 */
export function followChoir(choir: string): () => void {
  const channel = new BroadcastChannel(`wide-fern-changes-${choir}`);
  const hear = (told: Told) => apply(choir, told);
  channel.onmessage = ({ data }: MessageEvent<Told>) => hear(data);
  const stopped = new AbortController();
  const lead = () =>
    new Promise<void>((done) => {
      const close = openStream(choir, (told) => {
        channel.postMessage(told);
        hear(told);
      });
      stopped.signal.addEventListener('abort', () => {
        close();
        done();
      });
    });
  // Locks need a secure context; without them each window reads for itself.
  if (navigator.locks) {
    void navigator.locks
      .request(`wide-fern-changes-${choir}`, { signal: stopped.signal }, lead)
      // Called off while it waited for its turn.
      .catch(() => undefined);
  } else void lead();
  return () => {
    stopped.abort();
    channel.close();
  };
}
