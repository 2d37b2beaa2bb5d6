import { tonicName, type NoteWriting, type RunState, type SegmentRecord } from '@wide-fern/core';
import type { Evaluated, EvaluatedPlan } from '@wide-fern/plan';
import { counted, listInWords } from '../counting';
import { wordingFor } from '../plan/words';
import { lengthInFigures } from '../time';
import { managedWords } from './touch';

/** What really happened of a segment, beside what was planned. */
export interface Happened {
  readonly id: string;
  readonly name: string;
  /** «1:20», as planned and as it was; null where it was not led. */
  readonly planned: string;
  readonly real: string | null;
  /** «talk 0:22, sung 0:58» */
  readonly times: string;
  /** «up to F, E twice, a semitone lower from D; three keys left out» */
  readonly keys: string;
  /** «sopranos strained; most managed» */
  readonly noticed: string;
}

function keysInWords(
  { segment, computed }: Evaluated,
  { keys }: SegmentRecord,
  plan: EvaluatedPlan,
  writing: NoteWriting,
): string {
  const planned = computed.repetitions.flatMap(({ tonic }) => tonic ?? []);
  if (planned.length === 0) return '';
  if (keys.length === 0) return 'nothing sung';
  const wording = wordingFor(plan.document.tonight.sections, segment, writing);
  const name = (tonic: number) => tonicName(tonic, wording.mode, wording.writing);
  const sung = keys.flatMap(({ tonic }) => tonic ?? []);
  const again = keys.filter(({ times }) => times > 1);
  const missing = planned.filter((_, i) => keys.every(({ key }) => key !== i)).length;
  const moved = keys.filter(({ key, tonic }) => tonic !== null && tonic !== planned[key]);
  return [
    `${name(sung[0]!)}${sung.length > 1 ? ` to ${name(sung.at(-1)!)}` : ''}`,
    ...(again.length > 0
      ? [`${listInWords(again.map(({ tonic }) => name(tonic ?? 0)))} more than once`]
      : []),
    ...(moved.length > 0 ? [`${counted(moved.length, 'key', 'keys')} moved`] : []),
    ...(missing > 0 ? [`${counted(missing, 'key', 'keys')} left out`] : []),
  ].join(', ');
}

function noticedInWords({ marks, managed }: SegmentRecord, plan: EvaluatedPlan): string {
  const { sections } = plan.document.tonight;
  const said = marks.map(({ part, word }) => {
    const who = sections.find(({ id }) => id === part)?.many;
    return who ? `${who} ${word}` : word;
  });
  return [...said, ...managed.map((how) => managedWords[how])].join('; ');
}

/** What happened, segment by segment in the plan's order; what was not led is said too. */
export function happened(plan: EvaluatedPlan, state: RunState, writing: NoteWriting): Happened[] {
  const records = new Map(state.records.map((one) => [one.id, one]));
  return plan.segments.map((one) => {
    const { id, exercise } = one.segment;
    const record = records.get(id);
    const base = {
      id,
      name: exercise.name,
      planned: lengthInFigures(one.computed.seconds),
    };
    if (!record) return { ...base, real: null, times: '', keys: '', noticed: '' };
    const { talk, singing, coach, after } = record;
    const said = talk + coach + after;
    return {
      ...base,
      real: lengthInFigures(said + singing),
      times: [
        ...(said >= 0.5 ? [`talk ${lengthInFigures(said)}`] : []),
        ...(singing >= 0.5 ? [`done ${lengthInFigures(singing)}`] : []),
      ].join(', '),
      keys: keysInWords(one, record, plan, writing),
      noticed: noticedInWords(record, plan),
    };
  });
}

/** «Led in 13:40, talk 3:10 of it. Planned: 14:21.» */
export function happenedInAll(plan: EvaluatedPlan, { records }: Pick<RunState, 'records'>): string {
  const sum = (of: (record: SegmentRecord) => number) =>
    records.reduce((total, record) => total + of(record), 0);
  const talk = sum(({ talk: before, coach, after }) => before + coach + after);
  const real = talk + sum(({ singing }) => singing);
  return (
    `Led in ${lengthInFigures(real)}, ${lengthInFigures(talk)} of it talk. ` +
    `Planned: ${lengthInFigures(plan.total)}.`
  );
}
