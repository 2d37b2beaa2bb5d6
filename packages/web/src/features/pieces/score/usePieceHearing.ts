import { useCallback, useEffect, useRef, useState } from 'react';
import { NoSound } from '../../../music/hearing/noSound';
import type { Playing } from '../../../music/hearing/player';
import type { Asks } from '../../../here/score/messages';
import type { ScoreWorker } from '../../../here/score/scoreWorker';

export type PieceHearing =
  | { readonly kind: 'silent' }
  | { readonly kind: 'opening' }
  | { readonly kind: 'playing' }
  | { readonly kind: 'failed'; readonly message: string };

/** So many bars are fetched and scheduled at once. */
const barsAtOnce = 16;
/** What goes on is fetched this long before what sounds has ended, in seconds. */
const early = 3;

/** How a piece is heard. */
export interface Wanted extends Omit<
  Asks['listen']['asked'],
  'from' | 'count' | 'countIn' | 'parts'
> {
  readonly parts: readonly string[];
  readonly loud: string | null;
}

/**
 * Plays a piece from a bar on, stretch by stretch on the audio clock, and says which written bar
 * sounds.
 */
export function usePieceHearing(
  worker: ScoreWorker,
  wanted: Wanted,
  onBar: (place: number | undefined) => void,
) {
  const [state, setState] = useState<PieceHearing>({ kind: 'silent' });
  const turn = useRef(0);
  const playing = useRef<Playing[]>([]);

  const stop = useCallback(() => {
    turn.current += 1;
    for (const one of playing.current) one.stop();
    playing.current = [];
    onBar(undefined);
    setState((was) => (was.kind === 'silent' ? was : { kind: 'silent' }));
  }, [onBar]);

  const begin = useCallback(
    async (bar: number, countIn: boolean) => {
      stop();
      const mine = turn.current;
      const isMine = () => mine === turn.current;
      setState({ kind: 'opening' });
      const { loud, ...rest } = wanted;
      const fetch = (from: Asks['listen']['asked']['from'], counts: boolean) =>
        worker.ask('listen', { ...rest, from, count: barsAtOnce, countIn: counts });
      const goOn = async (
        stretch: Asks['listen']['answer'],
        after: number | undefined,
      ): Promise<void> => {
        const { play } = await import('../../../music/hearing/player');
        const opened = await play(stretch.programme, loud, 0, after);
        if (!isMine()) {
          opened.stop();
          return;
        }
        playing.current = [...playing.current.slice(-1), opened];
        setState((was) => (was.kind === 'playing' ? was : { kind: 'playing' }));
        let hasAsked = false;
        let shown = -1;
        const follow = () => {
          if (!isMine()) return;
          const at = opened.at();
          const { programme, bars, next } = stretch;
          const place = programme.places.findLastIndex((begins) => at >= begins - 0.05);
          if (place >= 0 && place !== shown && at <= programme.seconds) {
            shown = place;
            onBar(bars[place]);
          }
          if (next !== null && !hasAsked && at > programme.seconds - early) {
            hasAsked = true;
            void fetch({ place: next }, false).then(
              (more) => (isMine() ? goOn(more, opened.ends) : undefined),
              () => stop(),
            );
          }
          if (at > programme.seconds + 0.3) {
            if (next === null) stop();
            return;
          }
          requestAnimationFrame(follow);
        };
        follow();
      };
      try {
        const first = await fetch({ bar }, countIn);
        if (isMine()) await goOn(first, undefined);
      } catch (error) {
        if (!isMine()) return;
        const message = error instanceof NoSound ? error.message : new NoSound().message;
        setState({ kind: 'failed', message });
      }
    },
    [worker, wanted, onBar, stop],
  );

  // What is heard otherwise begins anew.
  useEffect(() => stop, [wanted, stop]);
  return { state, begin, stop };
}
