/**
 * Which browser windows are open. Every window has an id that survives a reload and holds a lock of
 * its name while it lives, so that others can tell whether a draft's window is gone.
 */

const key = 'wide-fern:window';
const lockName = (id: string): string => `wide-fern-window-${id}`;

function ownId(): string {
  const known = sessionStorage.getItem(key);
  if (known) return known;
  const id = newId();
  sessionStorage.setItem(key, id);
  return id;
}

/** An id that nobody else makes. */
export const newId = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('');

/** The same in the form that the server's own ids have. */
export function newUuid(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

export const thisWindow = ownId();

// Locks need a secure context; without them another window's draft counts as left behind, and the
// worst that happens is a question.
void navigator.locks?.request(lockName(thisWindow), () => new Promise<never>(() => undefined));

/** A test whether a window other than this one is open. */
export async function otherOpenWindows(): Promise<(window: string) => boolean> {
  const { held = [] } = (await navigator.locks?.query()) ?? {};
  const names = new Set(held.map(({ name }) => name));
  return (window) => window !== thisWindow && names.has(lockName(window));
}
