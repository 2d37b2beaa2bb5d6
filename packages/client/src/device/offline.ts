import { createStore } from 'zustand/vanilla';

/** Whether what is shown is older than it might be: when the last kept answer was fetched; null while the server answers. */
export const keptStore = createStore<{ readonly keptAt: string | null }>()(() => ({
  keptAt: null,
}));

/** Every answer of the server says whether it is one, or one that was kept. */
export function noteAnswer(response: Pick<Response, 'headers'>): void {
  const keptAt = response.headers.get('X-Kept-At');
  if (keptAt !== keptStore.getState().keptAt) keptStore.setState({ keptAt });
}

/** Something was stored: what is kept of it is old. */
export function noteStored(address: string): void {
  if (!('serviceWorker' in navigator)) return;
  navigator.serviceWorker.controller?.postMessage({ stored: address.split('?')[0] });
}

/**
 * Lets what was opened be read without a connection (`public/offline.js`). Where the browser has no
 * such worker, or the page is not a secure one, everything else goes on as it is.
 */
export async function keepReadable(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  try {
    await navigator.serviceWorker.register('/offline.js');
    const { active } = await navigator.serviceWorker.ready;
    const loaded = performance
      .getEntriesByType('resource')
      .map(({ name }) => name)
      .filter((url) => new URL(url).pathname.startsWith('/assets/'));
    active?.postMessage({ assets: loaded });
  } catch {
    // A private window may refuse it.
  }
}

/** Forgets the answers that are kept on this device. */
export async function forgetAnswers(): Promise<void> {
  if ('caches' in globalThis) await caches.delete('wide-fern-answers');
}
