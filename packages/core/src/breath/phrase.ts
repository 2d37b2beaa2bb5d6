import { beatsToSeconds, type Beats, type BeatsPerMinute, type Seconds } from '../units';
import { beatsOf, isNote, type Music, type PatternEvent } from '../exercise/music';

/** How long a group can usually sing on one breath, by what it is used to (docs/model.md, section 7). */
export const usualPhrase = { beginners: 6, mixed: 9, trained: 13 } as const satisfies Record<
  string,
  Seconds
>;

/** What decides where a breath is taken. */
export interface PhraseProblem {
  readonly music: Music;
  readonly tempo: BeatsPerMinute;
  /** Beats to breathe after each repetition; without any the next one follows on the same breath. */
  readonly breathBeats: Beats;
  readonly keyChangeBeats: Beats;
  readonly verses: number;
  readonly keys: number;
}

/** The stretches between breathing places in a line: before the first, between, and after the last. */
function stretches(events: readonly PatternEvent[]): Beats[] {
  const found: Beats[] = [0];
  for (const event of events) {
    if (!isNote(event)) found.push(0);
    else {
      found[found.length - 1]! += event.beats;
      if (event.breathAfter) found.push(0);
    }
  }
  return found;
}

function linesOf(music: Music): (readonly PatternEvent[])[] {
  const one = (beats: Beats): PatternEvent[][] => [[{ offset: 0, beats }]];
  switch (music.kind) {
    case 'pattern':
    case 'round':
      return [music.notes];
    case 'lines':
      return [...music.lines];
    case 'drone':
      // Whoever holds breathes in turn; the moving line is what has to last.
      return music.over.kind === 'line' ? [music.over.notes] : [];
    case 'glide':
    case 'hold':
    case 'chord':
      return one(beatsOf(music));
    default:
      return [];
  }
}

/**
 * The longest time between two places to breathe, in seconds: a breath mark, a rest, or the beats
 * after a repetition. Undefined for what is not sung on one breath.
 */
export function phraseSeconds(problem: PhraseProblem): Seconds | undefined {
  const { music, tempo, breathBeats, keyChangeBeats, verses, keys } = problem;
  const lines = linesOf(music);
  if (lines.length === 0) return undefined;
  const longest = lines.map((line) => {
    const parts = stretches(line);
    const first = parts[0]!;
    const last = parts[parts.length - 1]!;
    const inside = Math.max(...parts);
    if (breathBeats > 0) return inside;
    // Without a breath between, one repetition runs on into the next.
    const times = keyChangeBeats > 0 ? verses : verses * keys;
    if (parts.length === 1) return first * times;
    return times > 1 ? Math.max(inside, last + first) : inside;
  });
  return beatsToSeconds(Math.max(...longest), tempo);
}

/** The tempo from which the longest phrase lasts no longer than is comfortable; whole beats a minute. */
export const tempoForPhrase = (
  seconds: Seconds,
  tempo: BeatsPerMinute,
  comfortable: Seconds,
): BeatsPerMinute => Math.ceil((seconds * tempo) / comfortable - 1e-9);

/** What to do when a phrase outlasts the group's breath. */
export interface BreathAdvice {
  /** How long the longest phrase lasts. */
  readonly seconds: Seconds;
  readonly comfortable: Seconds;
  /** The tempo from which it would be comfortable. */
  readonly tempo: BeatsPerMinute;
}

/**
 * The advice for a phrase that outlasts the group's breath; undefined when it does not
 * (docs/model.md, section 7).
 */
export function breathAdvice(
  problem: PhraseProblem,
  comfortable: Seconds,
): BreathAdvice | undefined {
  const seconds = phraseSeconds(problem);
  if (seconds === undefined || seconds <= comfortable + 1e-9) return undefined;
  return { seconds, comfortable, tempo: tempoForPhrase(seconds, problem.tempo, comfortable) };
}
