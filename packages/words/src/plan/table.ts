import { hasKeys, noteInKey, tonicName, type NoteWriting } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { capitalise } from '../counting';
import { wordingFor, type Clock } from './words';

/** One key, round or time of a plan, as a row of words. */
export interface WeaveRow {
  readonly clock: string;
  readonly name: string;
  /** The key; nothing where there is none. */
  readonly key: string;
  /** What each part does, in the order of the parts. */
  readonly parts: readonly string[];
}

const states = { comfortable: '', edge: ', at the edge', out: ', out of reach' } as const;

/** The picture of a plan in words: when, which key, and what each part sings there. */
export function weaveRows(
  { segments, document }: EvaluatedPlan,
  start: number,
  clock: Clock,
  writing: NoteWriting,
): WeaveRow[] {
  const { sections } = document.tonight;
  return segments.flatMap(({ segment, computed }) => {
    const { mode } = wordingFor(sections, segment, writing);
    const { name, music } = segment.exercise;
    const at = (seconds: number) => clock.second(start + Math.round(seconds) * 1000);
    const { placed, repetitions } = computed;
    if (!hasKeys(music) || repetitions.length === 0) {
      return [{ clock: at(placed.from), name, key: '', parts: sections.map(() => '') }];
    }
    return repetitions.map(({ at: from, tonic, parts }) => ({
      clock: at(placed.from + from),
      name,
      key: tonic === undefined ? '' : tonicName(tonic, mode, writing),
      parts: sections.map(({ id }) => {
        const sounding = parts.find(({ part }) => part === id);
        if (!sounding || sounding.does === 'rest') return 'rests';
        if (sounding.does === 'own') return 'the own note';
        const { fit, away, told } = sounding;
        const note = (midi: number) => noteInKey(midi, tonic ?? 0, mode, writing);
        const span = fit.low === fit.high ? note(fit.low) : `${note(fit.low)} to ${note(fit.high)}`;
        const octave = away === 0 ? '' : `, an octave ${away < 0 ? 'down' : 'up'}`;
        const holds = told === 'hold' ? 'holds ' : '';
        return `${holds}${span}${octave}${states[fit.state]}`;
      }),
    }));
  });
}

/** The heads of its columns. */
export const weaveHeads = ({ document }: EvaluatedPlan): string[] => [
  'At',
  'Exercise',
  'Key',
  ...document.tonight.sections.map(({ many }) => capitalise(many)),
];
