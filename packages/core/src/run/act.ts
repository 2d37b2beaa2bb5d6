import type { BreathLonger } from '../breath/moment';
import type { MidiNote, Seconds, Semitones } from '../units';

/** A key, or what is done once: how long it is sung, and what comes before the next one. */
export interface LedKey {
  /** Null for what has none. */
  readonly tonic: MidiNote | null;
  readonly seconds: Seconds;
  /** With the breath and the chord that follow it; for the last one just its seconds. */
  readonly span: Seconds;
  /** What is said or rested after that, as it is planned; nothing after the last one. */
  readonly wait: Seconds;
}

/** A segment as it is led: what is said, then key after key. What has no keys is one thing without a tonic. */
export interface LedSegment {
  readonly id: string;
  readonly talk: Seconds;
  readonly keys: readonly LedKey[];
  /** What is said at its end. */
  readonly after: Seconds;
}

/** What is marked of a part that strained. */
export const strainedWord = 'strained';

/** How many managed it. */
export const managing = ['all', 'most', 'few'] as const;
export type Managing = (typeof managing)[number];

/** Why what remains was put anew. */
export const renewing = ['offer', 'here'] as const;

/** What happened while a warm-up was led (docs/model.md, section 12). */
export type RunAct =
  /** A segment was opened: it is explained now. */
  | { readonly kind: 'opened'; readonly segment: string }
  /** A key of it began, counted from 0. */
  | { readonly kind: 'began'; readonly key: number }
  /** The same key once more. */
  | { readonly kind: 'again' }
  /** From the present key on lower or higher. */
  | { readonly kind: 'shifted'; readonly semitones: Semitones }
  /** The present key stays as long as it is wanted. */
  | { readonly kind: 'held' }
  | { readonly kind: 'talking'; readonly on: boolean }
  | { readonly kind: 'paused' }
  | { readonly kind: 'resumed' }
  /** Of the open segment, or of one that is named; when all is over and none is named, of the whole. */
  | {
      readonly kind: 'marked';
      readonly part: string | null;
      readonly word: string;
      readonly segment?: string | undefined;
    }
  | {
      readonly kind: 'managed';
      readonly how: Managing;
      readonly segment?: string | undefined;
      /** What comes of it for the rounds of breath that are still to begin. */
      readonly longer?: (BreathLonger & { readonly seconds: Seconds }) | undefined;
    }
  /** What remains is led so from now on; the open segment may stand first. */
  | {
      readonly kind: 'renewed';
      readonly why: (typeof renewing)[number];
      readonly rest: readonly LedSegment[];
    }
  /** An earlier event never was. */
  | { readonly kind: 'undone'; readonly event: string }
  | { readonly kind: 'ended' };

/** One event of a run. */
export interface RunEvent {
  /** Made where it happened, and told apart by it ever after. */
  readonly id: string;
  /** Its number in the run, from 0. */
  readonly n: number;
  /** Since the run began, in milliseconds of a clock that never goes back. */
  readonly at: number;
  readonly act: RunAct;
}

const inOrder = (one: RunEvent, other: RunEvent): number =>
  one.at - other.at || one.n - other.n || (one.id < other.id ? -1 : one.id > other.id ? 1 : 0);

/** Events as they count: each once, in order, whoever sent them and how often. */
export function ordered<E extends RunEvent>(events: readonly E[]): E[] {
  const once = new Map<string, E>();
  for (const event of [...events].sort(inOrder)) {
    if (!once.has(event.id)) once.set(event.id, event);
  }
  return [...once.values()];
}

/**
 * Of ordered events, those that were not undone. What undid something may itself be undone, by an event
 * that came later.
 */
export function effective(events: readonly RunEvent[]): RunEvent[] {
  const gone = new Set<string>();
  for (let i = events.length - 1; i >= 0; i -= 1) {
    const { id, act } = events[i]!;
    if (act.kind === 'undone' && !gone.has(id)) gone.add(act.event);
  }
  return events.filter(({ id, act }) => act.kind !== 'undone' && !gone.has(id));
}

/** What happened last and was not undone, sent however; undefined where nothing did. */
export const lastDone = <E extends RunEvent>(events: readonly E[]): E | undefined =>
  effective(ordered(events)).at(-1) as E | undefined;
