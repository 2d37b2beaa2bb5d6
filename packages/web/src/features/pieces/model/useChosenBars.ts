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

/** The chosen bars, kept in the address, so that a link leads to them. */
export function useChosenBars() {
  const [params, setParams] = useSearchParams();
  const chosen = readBars(params.get('bars'));
  const choose = (bars: ChosenBars) => {
    setParams(
      (was) => {
        was.set('bars', writeBars(bars));
        return was;
      },
      { replace: true, preventScrollReset: true },
    );
  };
  return { chosen, choose };
}
