import type { MidiNote, Seconds } from '@wide-fern/core';
import type { PitchFrame } from './frame';
import { hearing } from './listen';

/** When a wanted note counts as sung, and when something else is said. */
export const holdRules = {
  /** So near, in cents, and so long, in seconds: the note is held. */
  within: 60,
  held: 1,
  /** A gap no longer than this does not break a held note. */
  gap: 0.06,
  /** So long in another octave, or on another note: it is said. */
  elsewhere: 0.4,
  /** So long without a sound, or with nothing but noise: it is said. */
  silence: 4,
  noise: 2,
  /** A note that was near for so long in all, without being held, came out. */
  cameOut: 0.3,
  /** After so long without holding it, a check that goes on by itself goes on. */
  patience: 8,
} as const;

/** What is heard while a note is wanted. */
export type Heard =
  | { readonly kind: 'waiting' }
  | { readonly kind: 'near'; readonly cents: number; readonly held: Seconds }
  | { readonly kind: 'held' }
  | { readonly kind: 'octave'; readonly way: 'lower' | 'higher' }
  | { readonly kind: 'other'; readonly note: MidiNote; readonly cents: number }
  | { readonly kind: 'silence' }
  | { readonly kind: 'noise' };

/** A wanted note and what has been heard since it was asked for. */
export interface Holding {
  readonly wanted: MidiNote;
  readonly heard: Heard;
  /** Seconds of audio since the note was asked for. */
  readonly listened: Seconds;
  /** Seconds in all within reach of the wanted note. */
  readonly near: Seconds;
  /** The present run of the same kind: near, an octave away, elsewhere, silent, noisy. */
  readonly run: { readonly kind: RunKind; readonly seconds: Seconds; readonly gap: Seconds };
  /** When the last frame was, or null before the first. */
  readonly at: Seconds | null;
}
type RunKind = 'near' | 'lower' | 'higher' | 'other' | 'silence' | 'noise';

/** Begins to wait for a note. */
export const waitFor = (wanted: MidiNote): Holding => ({
  wanted,
  heard: { kind: 'waiting' },
  listened: 0,
  near: 0,
  run: { kind: 'silence', seconds: 0, gap: 0 },
  at: null,
});

const centsFrom = (wanted: MidiNote, { midi, cents }: PitchFrame): number =>
  midi === null ? NaN : 100 * (midi - wanted) + (cents ?? 0);

function kindOf(wanted: MidiNote, frame: PitchFrame): RunKind {
  if (frame.midi === null) return frame.level < hearing.quietest + 20 ? 'silence' : 'noise';
  const cents = centsFrom(wanted, frame);
  if (Math.abs(cents) <= holdRules.within) return 'near';
  if (Math.abs(cents + 1200) <= holdRules.within) return 'lower';
  if (Math.abs(cents - 1200) <= holdRules.within) return 'higher';
  return 'other';
}

function heardFrom(holding: Holding, frame: PitchFrame, kind: RunKind, seconds: Seconds): Heard {
  const { wanted, heard } = holding;
  if (heard.kind === 'held') return heard;
  const cents = Math.round(centsFrom(wanted, frame));
  switch (kind) {
    case 'near':
      if (seconds >= holdRules.held) return { kind: 'held' };
      return { kind: 'near', cents: Number.isNaN(cents) ? 0 : cents, held: seconds };
    case 'lower':
    case 'higher':
      return seconds >= holdRules.elsewhere ? { kind: 'octave', way: kind } : heard;
    case 'other':
      return seconds >= holdRules.elsewhere && frame.midi !== null
        ? { kind: 'other', note: frame.midi, cents }
        : heard;
    case 'silence':
      return seconds >= holdRules.silence ? { kind: 'silence' } : heard;
    case 'noise':
      return seconds >= holdRules.noise ? { kind: 'noise' } : heard;
  }
}

/** Takes the next frame into account: a note within 60 cents for a second is held. */
export function hear(holding: Holding, frame: PitchFrame): Holding {
  const { wanted, at, run } = holding;
  const step = at === null ? 0 : Math.max(0, frame.seconds - at);
  const kind = kindOf(wanted, frame);
  const isGap = run.kind === 'near' && kind !== 'near' && run.gap + step <= holdRules.gap;
  const next =
    kind === run.kind
      ? { kind, seconds: run.seconds + step, gap: 0 }
      : isGap
        ? { ...run, gap: run.gap + step }
        : { kind, seconds: 0, gap: 0 };
  return {
    wanted,
    heard: isGap ? holding.heard : heardFrom(holding, frame, next.kind, next.seconds),
    listened: holding.listened + step,
    near: holding.near + (kind === 'near' ? step : 0),
    run: next,
    at: frame.seconds,
  };
}

/**
 * What a check that goes on by itself makes of a note: easy once it is held; after eight seconds
 * without that, it came out if it was near for a while, else it is not there. Null while it waits.
 */
export function judged(holding: Holding): 'easy' | 'came-out' | 'no' | null {
  if (holding.heard.kind === 'held') return 'easy';
  if (holding.listened < holdRules.patience) return null;
  return holding.near >= holdRules.cameOut ? 'came-out' : 'no';
}
