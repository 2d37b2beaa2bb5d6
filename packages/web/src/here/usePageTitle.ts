import { useEffect, type RefObject } from 'react';

/** A heading longer than this is a sentence: its beginning names the page. */
const longest = 50;

/**
 * Names the browser's tab after the page: its heading and the choir. The heading may come later, or
 * change with what is chosen, so it is watched.
 */
export function usePageTitle(page: RefObject<HTMLElement | null>, choir: string): void {
  useEffect(() => {
    const main = page.current;
    if (!main) return;
    const name = () => {
      const heading = main.querySelector('h1')?.textContent?.trim() ?? '';
      const named = heading.length > longest ? (heading.split(/[:.]/)[0] ?? '') : heading;
      document.title = named === '' || named === choir ? choir : `${named} · ${choir}`;
    };
    name();
    const watch = new MutationObserver(name);
    watch.observe(main, { childList: true, subtree: true, characterData: true });
    return () => watch.disconnect();
  }, [page, choir]);
}
