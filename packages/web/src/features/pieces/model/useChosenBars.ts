import { useCallback, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { ChosenBars } from '../drawing/BarStrip';

/** Bars as an address names them: «19-22», «7». */
export function readBars(words: string | null): ChosenBars | undefined {
  const [, from, to] = /^(\d{1,5})(?:-(\d{1,5}))?$/.exec(words ?? '') ?? [];
  if (from === undefined) return undefined;
  const [a, b] = [Number(from), Number(to ?? from)];
  return { from: Math.min(a, b), to: Math.max(a, b) };
}

export const writeBars = ({ from, to }: ChosenBars): string =>
  from === to ? String(from) : `${from}-${to}`;

/** Bars to choose, or how they follow from those chosen before: keys may come faster than the page is drawn. */
export type Choosing = ChosenBars | ((was: ChosenBars) => ChosenBars);

/** The chosen bars, kept in the address, so that a link leads to them. */
export function useChosenBars() {
  const [params, setParams] = useSearchParams();
  const inAddress = params.get('bars');
  const [chosen, setChosen] = useState(() => readBars(inAddress));
  const written = useRef(inAddress);
  // A link to other bars of the same piece.
  useEffect(() => {
    if (inAddress === written.current) return;
    written.current = inAddress;
    setChosen(readBars(inAddress));
  }, [inAddress]);
  useEffect(() => {
    const now = chosen ? writeBars(chosen) : null;
    if (now === null || now === written.current) return;
    written.current = now;
    setParams(
      (was) => {
        was.set('bars', now);
        return was;
      },
      { replace: true, preventScrollReset: true },
    );
  }, [chosen, setParams]);
  const choose = useCallback((next: Choosing) => {
    setChosen((was) => (typeof next === 'function' ? was && next(was) : next));
  }, []);
  return { chosen, choose };
}
