import { isToldToHold, pathOf, patternOf } from '../ladder';
import type { MidiNote } from '../units';
import type { SegmentKeys } from './keys';
import type { Aim } from './planned';

/** Whether a ladder comes to where its bars are written, or what it reaches instead. */
export type AimReached =
  | { readonly kind: 'reached'; readonly part: string; readonly highest: MidiNote }
  | {
      readonly kind: 'short';
      readonly part: string;
      /** The highest note as written, and the highest this ladder brings; undefined when the part sings nothing. */
      readonly wanted: MidiNote;
      readonly highest: MidiNote | undefined;
      /** How high, or low, the part's reach goes where that is what prevents it. */
      readonly limit: { readonly end: 'top' | 'bottom'; readonly note: MidiNote } | undefined;
    };

/** What the ladder of bars reaches of them as written. Undefined without an aim or without a ladder's keys. */
export function aimReached(aim: Aim | undefined, keys: SegmentKeys): AimReached | undefined {
  if (!aim || keys.kind !== 'ladder') return undefined;
  const { problem, sung } = keys;
  const section = problem.sections.find(({ id }) => id === aim.part);
  if (!section) return undefined;
  const { lowest, highest } = patternOf(problem, aim.part);
  const at = (tonic: MidiNote, note: number) => tonic + section.octave + note;
  const moves = sung ? (pathOf(sung, aim.part)?.moves ?? []) : [];
  const tonics = (sung?.tonics ?? []).filter(
    (_, i) => moves[i] === section.octave && !isToldToHold(problem, aim.part, i),
  );
  const wanted = at(aim.tonic, highest);
  if (tonics.includes(aim.tonic)) return { kind: 'reached', part: aim.part, highest: wanted };
  const [low, high] = section.reach;
  const limit =
    wanted > high
      ? ({ end: 'top', note: high } as const)
      : at(aim.tonic, lowest) < low
        ? ({ end: 'bottom', note: low } as const)
        : undefined;
  const best = tonics.length > 0 ? at(Math.max(...tonics), highest) : undefined;
  return { kind: 'short', part: aim.part, wanted, highest: best, limit };
}
