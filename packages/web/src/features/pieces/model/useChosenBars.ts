import { useCallback, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { readBars, writeBars, type Choosing } from './bars';

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
