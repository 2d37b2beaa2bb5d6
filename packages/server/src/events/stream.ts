import { missedEvents } from '@wide-fern/contract';
import type { Request, Response } from 'express';
import type { Backlog } from './backlog';
import type { ChangeHub, Told } from './hub';

/** Something is sent at least so often, so that a dead connection is noticed. */
const beat = 20_000;
/** A browser that lost the stream tries again after so long. */
const retry = 1_000;

/** @param from the event that whoever missed some may go on from, once all is fetched anew */
function written(told: Told, from?: number): string {
  if (told === 'missed') {
    const id = from === undefined ? '' : `id: ${from}\n`;
    return `${id}event: ${missedEvents}\ndata: \n\n`;
  }
  const data = JSON.stringify(told);
  if (told.kind === 'happened') return `event: ${told.kind}\ndata: ${data}\n\n`;
  return `id: ${told.id}\nevent: change\ndata: ${data}\n\n`;
}

/** A stream of changes to one caller. */
export interface StreamOf {
  readonly choir: string;
  /** What was told since the caller heard last; without it whoever follows asks when the stream opens. */
  readonly backlog?: () => Promise<Backlog>;
  /** What of a change is told; undefined for what is not. */
  readonly tells?: (told: Told) => Told | undefined;
  /** Whether the caller may still hear of changes; asked again and again. */
  readonly maySee: () => Promise<boolean>;
}

/** Sends what changes in a choir for as long as the connection lasts and its caller may hear of it. */
export async function streamChanges(
  hub: ChangeHub,
  { choir, backlog, tells = (told) => told, maySee }: StreamOf,
  request: Request,
  response: Response,
): Promise<void> {
  // Nothing is missed between the backlog and what is told from now on: what comes meanwhile waits.
  let waiting: Told[] | undefined = [];
  let sent = 0;
  const send = (one: Told, from?: number) => {
    const told = tells(one);
    if (told === undefined) return;
    if (told !== 'missed' && told.kind !== 'happened') {
      if (told.id <= sent) return;
      sent = told.id;
    }
    response.write(written(told, from));
  };
  const stop = await hub.subscribe(choir, (told) => {
    if (waiting) waiting.push(told);
    else send(told);
  });
  const pulse = setInterval(() => {
    response.write(': \n\n');
    void maySee()
      .then((may) => {
        if (!may) response.end();
      })
      // The database is away: whoever may read is asked at the next beat.
      .catch(() => undefined);
  }, beat);
  const end = () => {
    clearInterval(pulse);
    stop();
  };
  request.once('close', end);
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store',
    'X-Accel-Buffering': 'no',
  });
  response.write(`retry: ${retry}\n\n`);
  const since = await backlog?.();
  for (const told of since?.told ?? []) send(told, since?.from);
  for (const told of waiting) send(told);
  waiting = undefined;
}
