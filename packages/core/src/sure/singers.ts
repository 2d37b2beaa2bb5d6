import type { MidiNote, PitchRange, Semitones } from '../units';
import { normalBelow } from './normal';

/** A singer as an evening may find them. */
export interface UnsureSinger {
  readonly comfort: PitchRange;
  /** How much the limits differ from day to day. */
  readonly sigma: Semitones;
  /** The chance to be present. */
  readonly present: number;
}

/** How sure it is that a section is comfortable. */
export interface SectionSureness {
  /** Expected comfortable singers over expected present ones; 0 where nobody is expected. */
  readonly expected: number;
  /** The chance that fewer of those present than the wanted share are comfortable; nobody present counts as that. */
  readonly tooFew: number;
}

/** The spread where nobody was checked often, and how many checks that is worth. */
const priorSigma = 1;
const priorChecks = 3;

/** The day-to-day spread of a singer's limit, from the own checks of it. */
export function spreadOf(checks: readonly MidiNote[]): Semitones {
  const mean = checks.reduce((sum, note) => sum + note, 0) / Math.max(1, checks.length);
  const squares = checks.reduce((sum, note) => sum + (note - mean) ** 2, 0);
  return Math.sqrt((priorChecks * priorSigma ** 2 + squares) / (priorChecks + checks.length));
}

/** How much both limits of a singer differ from day to day: as much as the less steady one. */
export const spreadOfLimits = (checks: readonly PitchRange[]): Semitones =>
  Math.max(spreadOf(checks.map(([low]) => low)), spreadOf(checks.map(([, high]) => high)));

/** The chance to be present, from the last ten evenings of which there were so many. */
export const presenceOf = (here: number, counted: number): number => (1 + here) / (2 + counted);

/**
 * The chance that a singer is present: certain where it was said, else from the last evenings. Where there were
 * none, everybody is taken to be here, as the sections are told.
 */
export function presenceChance({
  said,
  here,
  counted,
}: {
  readonly said: boolean | undefined;
  readonly here: number;
  readonly counted: number;
}): number {
  if (said !== undefined) return said ? 1 : 0;
  return counted === 0 ? 1 : presenceOf(here, counted);
}

/** The chance that a singer is comfortable from the lowest to the highest note. */
function comfortableChance(
  { comfort: [low, high], sigma }: Pick<UnsureSinger, 'comfort' | 'sigma'>,
  [lowest, highest]: PitchRange,
): number {
  const within = (room: number): number =>
    sigma === 0 ? (room >= 0 ? 1 : 0) : normalBelow((room + 0.5) / sigma);
  return within(lowest - low) * within(high - highest);
}

/**
 * How sure it is that a section is comfortable (docs/model.md, section 14): the joint distribution of how many
 * are present and how many of those are comfortable, over independent singers.
 */
export function sectionSureness(
  singers: readonly UnsureSinger[],
  span: PitchRange,
  wanted: number,
): SectionSureness {
  // By the number present, then by the number comfortable.
  let joint: number[][] = [[1]];
  let expectedHere = 0;
  let expectedEasy = 0;
  for (const singer of singers) {
    const easy = comfortableChance(singer, span);
    const { present } = singer;
    expectedHere += present;
    expectedEasy += present * easy;
    const next = Array.from({ length: joint.length + 1 }, (_, here) =>
      Array.from({ length: here + 1 }, () => 0),
    );
    joint.forEach((row, here) => {
      row.forEach((chance, comfortable) => {
        next[here]![comfortable]! += chance * (1 - present);
        next[here + 1]![comfortable]! += chance * present * (1 - easy);
        next[here + 1]![comfortable + 1]! += chance * present * easy;
      });
    });
    joint = next;
  }
  let tooFew = joint[0]![0]!;
  joint.forEach((row, here) => {
    row.forEach((chance, comfortable) => {
      if (here > 0 && comfortable < wanted * here - 1e-9) tooFew += chance;
    });
  });
  return {
    expected: expectedHere > 0 ? expectedEasy / expectedHere : 0,
    tooFew: Math.min(1, tooFew),
  };
}
