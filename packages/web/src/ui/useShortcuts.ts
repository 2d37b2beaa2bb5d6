import { useLayoutEffect } from 'react';

/** What a key does, by its name; the list is shown by «?». */
export interface Shortcut {
  readonly keys: string;
  readonly words: string;
  readonly match: (event: KeyboardEvent) => boolean;
  readonly act: (event: KeyboardEvent) => void;
}

/** A plain letter or sign, without a modifier that belongs to the platform. */
export const letter =
  (key: string) =>
  (event: KeyboardEvent): boolean =>
    event.key === key && !event.ctrlKey && !event.metaKey && !event.altKey;

/** Whether a key belongs to a field that has the focus. */
function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement) return target.type !== 'checkbox';
  return target.isContentEditable || ['TEXTAREA', 'SELECT'].includes(target.tagName);
}

/** Listens for shortcuts while the page is open. Letters never fire while a field has the focus. */
export function useShortcuts(shortcuts: readonly Shortcut[], enabled: boolean): void {
  // Before the page is painted: what is seen can already be steered.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || isTyping(event.target)) return;
      const platform = event.ctrlKey || event.metaKey;
      if (!enabled && !platform && event.key.length === 1 && event.key !== '?') return;
      const found = shortcuts.find(({ match }) => match(event));
      if (!found) return;
      event.preventDefault();
      found.act(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [shortcuts, enabled]);
}

const key = 'wide-fern:letters';
/** Whether single letters act; some people type by voice and want them off. */
export const lettersOn = (): boolean => localStorage.getItem(key) !== 'off';
export const setLettersOn = (on: boolean): void => localStorage.setItem(key, on ? 'on' : 'off');
