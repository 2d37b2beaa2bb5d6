import type { MidiNote } from '../units';
import { fitOf, type FitState } from '../fit/fit';
import type { Tonight } from './keys';
import type { PlannedSegment } from './planned';
import { computeSegment, type ComputedSegment } from './segment';

/** One part in one key of a ladder that was made for other sections. */
export interface Misfit {
  readonly part: string;
  /** The tonic in the treble octave. */
  readonly tonic: MidiNote;
  readonly state: Exclude<FitState, 'comfortable'>;
  /** The note that lies furthest beyond the comfort. */
  readonly note: MidiNote;
}

/** What other sections mean for one segment. */
export interface KeyChange {
  readonly id: string;
  /** What fitted before, or was less far beyond, and does not fit any more. */
  readonly misfits: readonly Misfit[];
  /** The segment as it would be sung with the sections as they are now. */
  readonly now: ComputedSegment;
  /** Whether the ladder would be another one: other tonics, or parts that do something else. */
  readonly differs: boolean;
}

const whatIsSung = ({ repetitions }: ComputedSegment): string =>
  JSON.stringify(
    repetitions.map(({ tonic, parts }) => [
      tonic,
      parts.map((one) => (one.does === 'sing' ? [one.tonic, one.told] : one.does)),
    ]),
  );

function misfitsOf(before: ComputedSegment, was: Tonight, now: Tonight): Misfit[] {
  const beyond = (tonight: Tonight, part: string, low: MidiNote, high: MidiNote) => {
    const section = tonight.sections.find(({ id }) => id === part);
    if (!section) return undefined;
    const fit = fitOf(section, low, high);
    return { fit, over: Math.max(0, -fit.roomBelow) + Math.max(0, -fit.roomAbove) };
  };
  return before.repetitions.flatMap(({ tonic, parts }) =>
    parts.flatMap((one): Misfit[] => {
      if (one.does !== 'sing' || tonic === undefined) return [];
      const { low, high } = one.fit;
      const then = beyond(was, one.part, low, high);
      const today = beyond(now, one.part, low, high);
      if (!today || today.fit.state === 'comfortable') return [];
      if (then && then.over >= today.over && then.fit.state === today.fit.state) return [];
      const note = today.fit.roomAbove < today.fit.roomBelow ? high : low;
      return [{ part: one.part, tonic, state: today.fit.state, note }];
    }),
  );
}

/**
 * What becomes of a segment whose ladder was made for other sections: which of its keys no longer
 * fit, and how it would be sung now.
 * @param compute computes a segment, or remembers how it was computed
 */
export function keyChange<S extends PlannedSegment>(
  segment: S,
  was: Tonight,
  now: Tonight,
  compute: (segment: S, tonight: Tonight) => ComputedSegment = computeSegment,
): KeyChange {
  const before = compute(segment, was);
  const after = compute(segment, now);
  return {
    id: segment.id,
    misfits: misfitsOf(before, was, now),
    now: after,
    differs: whatIsSung(before) !== whatIsSung(after),
  };
}
