import type { ComputedSegment } from '../plan/segment';
import type { MidiNote } from '../units';
import { strainedWord } from './act';
import type { SegmentRecord } from './record';

/** A part that strained in a key. */
export interface Strained {
  readonly part: string;
  readonly tonic: MidiNote;
}

/** Which parts strained in which keys of a segment, each part in its lowest. */
export function strainedIn({ marks }: Pick<SegmentRecord, 'marks'>): Strained[] {
  const lowest = new Map<string, MidiNote>();
  for (const { part, word, tonic } of marks) {
    if (part === null || tonic === null || word !== strainedWord) continue;
    lowest.set(part, Math.min(tonic, lowest.get(part) ?? tonic));
  }
  return [...lowest].map(([part, tonic]) => ({ part, tonic }));
}

/** So many of the last times an exercise was led are looked at. */
const lookedAt = 4;

/** A key that a part gave up, and on which of the times looked at. */
export interface GivenUp extends Strained {
  readonly times: readonly number[];
}

/**
 * What parts gave up of an exercise: of those that strained in the last four times it was led, the lowest key
 * (docs/model.md, section 13). Whoever strained not the last time but two or more before does not count any
 * more: they came through twice since.
 * @param led who strained, the latest time first
 */
export function givenUp(led: readonly (readonly Strained[])[]): GivenUp[] {
  const found = new Map<string, { tonic: MidiNote; times: number[] }>();
  led.slice(0, lookedAt).forEach((strained, time) => {
    for (const { part, tonic } of strained) {
      const known = found.get(part) ?? { tonic, times: [] };
      found.set(part, { tonic: Math.min(known.tonic, tonic), times: [...known.times, time] });
    }
  });
  return [...found]
    .filter(([, { times }]) => Math.min(...times) < 2)
    .map(([part, one]) => ({ part, ...one }));
}

/** Those who sing in a key they gave up, or in a higher one. */
export const singsWhereGivenUp = (
  { repetitions }: Pick<ComputedSegment, 'repetitions'>,
  given: readonly Strained[],
): Strained[] =>
  given.filter((one) =>
    repetitions.some(
      ({ tonic, parts }) =>
        tonic !== undefined &&
        tonic >= one.tonic &&
        parts.some(({ part, does }) => part === one.part && does === 'sing'),
    ),
  );
