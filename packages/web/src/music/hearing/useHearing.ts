import type { Listening, Programme, Seconds } from '@wide-fern/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { NoSound } from './noSound';
import type { Playing } from './player';

export type Hearing =
  | { readonly kind: 'silent' }
  | { readonly kind: 'opening' }
  | { readonly kind: 'playing'; readonly key: number }
  | { readonly kind: 'failed'; readonly message: string };

/** Plays an exercise (nothing while there is none) and says which key it is in; a change of tempo or of the loud part goes on from there. */
export function useHearing(listening: Listening | undefined, tempo: number, loud: string | null) {
  const [state, setState] = useState<Hearing>({ kind: 'silent' });
  const playing = useRef<Playing>(undefined);
  const turn = useRef(0);
  const score = listening?.score;

  const stop = useCallback(() => {
    turn.current += 1;
    playing.current?.stop();
    playing.current = undefined;
    setState((was) => (was.kind === 'silent' ? was : { kind: 'silent' }));
  }, []);

  const begin = useCallback(
    async (from: Seconds = 0) => {
      if (!listening) return;
      turn.current += 1;
      const mine = turn.current;
      playing.current?.stop();
      setState((was) => (was.kind === 'playing' ? was : { kind: 'opening' }));
      let piece: Programme;
      try {
        // The instruments come along when something is heard.
        const { play, programme } = await import('./player');
        piece = programme(listening, tempo);
        const opened = await play(piece, loud, from);
        if (mine !== turn.current) {
          opened.stop();
          return;
        }
        playing.current = opened;
      } catch (error) {
        if (mine !== turn.current) return;
        const message = error instanceof NoSound ? error.message : new NoSound().message;
        setState({ kind: 'failed', message });
        return;
      }
      const follow = () => {
        if (mine !== turn.current || !playing.current) return;
        const at = playing.current.at();
        if (at > piece.seconds + 0.3) {
          stop();
          return;
        }
        const key = Math.max(
          0,
          piece.keys.findLastIndex((begins) => at >= begins - 0.3),
        );
        setState((was) =>
          was.kind === 'playing' && was.key === key ? was : { kind: 'playing', key },
        );
        requestAnimationFrame(follow);
      };
      follow();
    },
    [listening, tempo, loud, stop],
  );

  // What plays goes on at the same beat when tempo or loud part change.
  const before = useRef({ tempo, loud, score });
  useEffect(() => {
    const was = before.current;
    before.current = { tempo, loud, score };
    if (!playing.current) return;
    if (was.score !== score) stop();
    else if (was.tempo !== tempo || was.loud !== loud) {
      void begin((Math.max(0, playing.current.at()) * was.tempo) / tempo);
    }
  }, [tempo, loud, score, begin, stop]);
  useEffect(() => stop, [stop]);
  return { state, begin, stop };
}
