import type { BreathChange } from '../breath/moment';
import type { MidiNote, Seconds, Semitones } from '../units';
import type { LedSegment, Managing } from './act';

/** A key as it was sung. */
export interface SungKey {
  readonly key: number;
  /** As it sounded, lowered or raised; null for what has none. */
  readonly tonic: MidiNote | null;
  /** How often. */
  readonly times: number;
}

/** What was noticed while it went on. */
export interface Marked {
  readonly part: string | null;
  readonly word: string;
  /** The key it was said in; null before the first. */
  readonly key: number | null;
  /** As that key sounded then. */
  readonly tonic: MidiNote | null;
}

/** What really happened of a segment: its time by what it was spent on, and what was sung. */
export interface SegmentRecord {
  readonly id: string;
  /** From its opening until its first key. */
  readonly talk: Seconds;
  readonly singing: Seconds;
  /** Between keys. */
  readonly coach: Seconds;
  /** From its last key on. */
  readonly after: Seconds;
  /** In the order sung; going back to a key is sung once more. */
  readonly keys: readonly SungKey[];
  readonly marks: readonly Marked[];
  readonly managed: readonly Managing[];
}

/** Where a run has got to, and what happened so far. */
export interface RunState {
  /** As it is led from now on: what was, and what remains. */
  readonly segments: readonly LedSegment[];
  /** The place of the open segment; -1 before the first. */
  readonly open: number;
  /** The present key of it; null while it is explained. */
  readonly key: number | null;
  /** By how much it is sung lower or higher than planned from here. */
  readonly shift: Semitones;
  readonly isHeld: boolean;
  readonly isTalking: boolean;
  readonly isPaused: boolean;
  readonly isOver: boolean;
  /** Talk within the present key, which is told apart when the key is over. */
  readonly talked: Seconds;
  /** Since the run began, pauses and all; until its end. */
  readonly elapsed: Seconds;
  /** In pauses, and before the first segment. */
  readonly idle: Seconds;
  /** Since the present key, or the explaining, began; talk in between and pauses left out. */
  readonly spent: Seconds;
  /** By how much the rounds of the present breath were made longer or shorter while it went on. */
  readonly longer: readonly BreathChange[];
  /** Of segments that were opened, in the order they first were. */
  readonly records: readonly SegmentRecord[];
  /** What was noted of the whole when it was over. */
  readonly notes: readonly string[];
}
