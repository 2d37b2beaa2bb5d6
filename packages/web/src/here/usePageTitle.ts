import { useEffect, type RefObject } from 'react';

/** The longest title a tab has. */
const longest = 90;

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
      const title = heading === '' || heading === choir ? choir : `${heading} · ${choir}`;
      document.title = title.length > longest ? `${title.slice(0, longest - 1)}…` : title;
    };
    name();
    const watch = new MutationObserver(name);
    watch.observe(main, { childList: true, subtree: true, characterData: true });
    return () => watch.disconnect();
  }, [page, choir]);
}
