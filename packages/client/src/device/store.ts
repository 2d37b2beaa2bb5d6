import type { z } from '@wide-fern/contract';
import { createStore } from 'zustand/vanilla';

/** Everything this program keeps on a device begins so. */
const all = 'wide-fern:';
const asidePrefix = `${all}aside:`;

/** Something that was kept on this device and cannot be read any more. It is not thrown away unseen. */
export interface SetAside {
  /** The key under which it lies now. */
  readonly key: string;
  /** What it was: «plan», «check». */
  readonly kind: string;
  readonly text: string;
}

const kindOf = (key: string): string => key.slice(asidePrefix.length).split(':')[0] ?? '';

function findAside(): readonly SetAside[] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(asidePrefix))
    .sort()
    .map((key) => ({ key, kind: kindOf(key), text: localStorage.getItem(key) ?? '' }));
}

/** What lies aside on this device, for a page to say. */
export const asideStore = createStore<{ readonly aside: readonly SetAside[] }>(() => ({
  aside: findAside(),
}));

/** Forgets what lies aside, once a person has said so. */
export function forgetAside(key: string): void {
  localStorage.removeItem(key);
  asideStore.setState({ aside: findAside() });
}

function putAside(key: string, text: string): void {
  try {
    localStorage.setItem(`${asidePrefix}${key.slice(all.length)}`, text);
    localStorage.removeItem(key);
  } catch {
    // A full device: it stays where it lies.
    return;
  }
  asideStore.setState({ aside: findAside() });
}

/** Values of one kind on this device, each by who and what they belong to. */
export interface Kept<T> {
  /** The value, or undefined when none is kept; one that cannot be read is put aside, and that is said. */
  readonly read: (...ids: readonly string[]) => T | undefined;
  /**
   * Keeps a value; undefined forgets it. A full device is no reason to stop: the page has it still, and
   * false says that only the page has.
   */
  readonly keep: (ids: readonly string[], value: T | undefined) => boolean;
  /** Every value whose ids begin with these, with the ids that follow. */
  readonly below: (
    ...ids: readonly string[]
  ) => { readonly ids: readonly string[]; readonly value: T }[];
}

/**
 * The one way to keep something small on this device. What is read is checked, since it may be of an
 * older version of the program, or damaged.
 * @param kind one word, not used for anything else
 * @param read gives what was kept as it is now, or undefined when it cannot be
 */
export function keptOnDevice<T>(kind: string, read: (stored: unknown) => T | undefined): Kept<T> {
  const start = `${all}${kind}:`;
  const keyFor = (ids: readonly string[]): string => start + ids.join(':');
  // What was read or kept last need not be read again while its text is the same.
  const seen = new Map<string, { readonly text: string; readonly value: T }>();
  const readKey = (key: string): T | undefined => {
    const text = localStorage.getItem(key);
    if (text === null) return undefined;
    const last = seen.get(key);
    if (last?.text === text) return last.value;
    let found: T | undefined;
    try {
      found = read(JSON.parse(text));
    } catch {
      // No JSON: damaged like anything else that cannot be read.
    }
    if (found === undefined) putAside(key, text);
    else seen.set(key, { text, value: found });
    return found;
  };
  return {
    read: (...ids) => readKey(keyFor(ids)),
    keep: (ids, value) => {
      try {
        const key = keyFor(ids);
        if (value === undefined) {
          localStorage.removeItem(key);
          seen.delete(key);
        } else {
          const text = JSON.stringify(value);
          localStorage.setItem(key, text);
          seen.set(key, { text, value });
        }
        return true;
      } catch {
        // Quota, or a private window.
        return false;
      }
    },
    below: (...ids) =>
      Object.keys(localStorage)
        .filter((key) => key.startsWith(keyFor([...ids, ''])))
        .flatMap((key) => {
          const value = readKey(key);
          const rest = key.slice(keyFor([...ids, '']).length).split(':');
          return value === undefined ? [] : [{ ids: rest, value }];
        }),
  };
}

/** What holds names of persons: whoever signs out leaves none behind. */
const personal = ['list', 'easy'];

/** Forgets what is kept on this device of persons. */
export function forgetPersonal(): void {
  for (const key of Object.keys(localStorage)) {
    if (personal.some((kind) => key.startsWith(`${all}${kind}:`))) localStorage.removeItem(key);
  }
}

/** A way to read what a schema describes. */
export const bySchema =
  <T>(schema: z.ZodType<T>) =>
  (stored: unknown): T | undefined => {
    const read = schema.safeParse(stored);
    return read.success ? read.data : undefined;
  };

/**
 * A way to read what has the shape of a beginning: every name it has, of the same kind of value. What
 * a newer form asks for and an older one did not keep is as it begins.
 */
export const byShape =
  <T extends object>(begun: T) =>
  (stored: unknown): T | undefined => {
    if (typeof stored !== 'object' || stored === null) return undefined;
    const value = { ...begun, ...stored };
    const isSound = (Object.keys(begun) as (keyof T)[]).every((name) => {
      const was = begun[name];
      return was === undefined || was === null || typeof value[name] === typeof was;
    });
    return isSound ? value : undefined;
  };
