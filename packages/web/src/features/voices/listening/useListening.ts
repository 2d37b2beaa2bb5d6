import type { MidiNote } from '@wide-fern/core';
import { hear, judged, waitFor, type Heard, type Holding, type PitchFrame } from '@wide-fern/sound';
import { useCallback, useEffect, useRef, useState } from 'react';
import { openWorker, type Opened } from '@wide-fern/client';
import type { PitchApi } from './pitch.worker';
import { NoSound, type OpenSource, type Source } from './source';

/** What listening has come to. */
export type Listening =
  | { readonly kind: 'off' }
  | { readonly kind: 'opening' }
  | { readonly kind: 'on'; readonly heard: Heard }
  | { readonly kind: 'refused'; readonly message: string };

/**
 * Listens for one wanted note after the other. While it is on, `onJudged` is told once for each
 * note what was made of it: easy when it was held for a second, and, where the check goes on by
 * itself, came out or not there after a while.
 */
export function useListening({
  wanted,
  paused,
  onJudged,
}: {
  /** Undefined while no note is asked for. */
  readonly wanted: MidiNote | undefined;
  /** While the page itself sounds, it does not listen. */
  readonly paused: boolean;
  readonly onJudged: (note: MidiNote, verdict: 'easy' | 'came-out' | 'no') => void;
}) {
  const [state, setState] = useState<Listening>({ kind: 'off' });
  const open = useRef<{ source: Source; worker: Opened<PitchApi> }>(undefined);
  const holding = useRef<Holding>(undefined);
  const told = useRef(false);
  const now = useRef({ wanted, paused, onJudged });
  useEffect(() => {
    now.current = { wanted, paused, onJudged };
  }, [wanted, paused, onJudged]);

  const stop = useCallback(() => {
    open.current?.source.stop();
    open.current?.worker.end();
    open.current = undefined;
    setState({ kind: 'off' });
  }, []);

  const start = useCallback(
    async (openSource: OpenSource) => {
      stop();
      setState({ kind: 'opening' });
      const worker = openWorker<PitchApi>(
        () => new Worker(new URL('./pitch.worker.ts', import.meta.url), { type: 'module' }),
      );
      const hearFrames = (frames: readonly PitchFrame[]) => {
        const { wanted: note, onJudged: tell } = now.current;
        if (note === undefined) return;
        const before = holding.current?.wanted === note ? holding.current : waitFor(note);
        if (before !== holding.current) told.current = false;
        const after = frames.reduce(hear, before);
        holding.current = after;
        setState({ kind: 'on', heard: after.heard });
        const verdict = judged(after);
        if (verdict && !told.current) {
          told.current = true;
          tell(note, verdict);
        }
      };
      try {
        const source = await openSource((samples) => {
          if (now.current.paused) return;
          // What was asked of a worker that has been ended meanwhile is not heard.
          worker.ask((api) => api.push(samples)).then(hearFrames, () => undefined);
        });
        await worker.ask((api) => api.begin(source.sampleRate));
        open.current = { source, worker };
      } catch (error) {
        worker.end();
        const message =
          error instanceof NoSound ? error.message : 'Nothing can be heard here. Answer by hand.';
        setState({ kind: 'refused', message });
        return;
      }
      if (now.current.wanted !== undefined) open.current.source.want(now.current.wanted);
      setState({ kind: 'on', heard: { kind: 'waiting' } });
    },
    [stop],
  );

  // Each new note is waited for from the beginning.
  useEffect(() => {
    if (wanted === undefined || paused) return;
    holding.current = undefined;
    open.current?.source.want(wanted);
  }, [wanted, paused]);
  useEffect(() => stop, [stop]);
  return { state, start, stop };
}
