import {
  noteName,
  type LoadWarning,
  type NoteWriting,
  type PartLoad,
  type PlanLoad,
  type SegmentLoad,
} from '@wide-fern/core';
import type { EvaluatedPlan, Remedy } from '@wide-fern/plan';
import { intervalInWords, listInWords } from '../counting';
import { phaseWords } from '../labels';
import { lengthInFigures } from '../time';

const nameIn = (plan: EvaluatedPlan, id: string): string =>
  plan.segments.find(({ segment }) => segment.id === id)?.segment.exercise.name ?? '';

/** What should be looked at in a plan, as a sentence. */
export function warningInWords(
  warning: LoadWarning,
  plan: EvaluatedPlan,
  writing: NoteWriting,
): string {
  const name = nameIn(plan, warning.segment);
  switch (warning.code) {
    case 'no-break':
      return `From ${name} on, strong singing goes on for ${lengthInFigures(warning.seconds)} without a break.`;
    case 'strong-early': {
      const missing = warning.missing.map((phase) => phaseWords[phase].toLowerCase());
      return `${name} is strong and comes before any ${listInWords(missing)}.`;
    }
    case 'rise':
      return `${name} goes up to ${noteName(warning.top, writing)}, ${intervalInWords(warning.above)} above what was sung before it.`;
  }
}

/** What a remedy is called. */
export function remedyInWords({ act, edit }: Remedy): string {
  switch (act) {
    case 'talk-between':
      return 'rest five seconds between keys';
    case 'fewer':
      return edit.kind === 'choose' ? `only ${edit.choices.repetitions} keys` : 'fewer keys';
    case 'later':
      return 'put it later';
  }
}

/** What is said once beside effort and load. */
export const loadNote =
  'For comparing segments; never a limit for a person. Whoever is hoarse or in pain rests, and asks a doctor.';

/** What a part's singing adds up to in a segment, or in a whole plan, as a row of figures. */
export interface LoadRow {
  readonly part: string;
  /** Sounding, «1:04». */
  readonly sung: string;
  /** Of that in the top three semitones of the comfort, and where the register changes. */
  readonly top: string;
  readonly change: string;
  /** «12 thousand», «150 m». */
  readonly cycles: string;
  readonly way: string;
}

/** What stands over the figures. */
export const loadHeads: Readonly<Record<keyof LoadRow, string>> = {
  part: 'Part',
  sung: 'sings',
  top: 'near its top',
  change: 'at its change',
  cycles: 'swings, thousands',
  way: 'way of the folds, m',
};

const figuresOf = ({
  part,
  seconds,
  topSeconds,
  changeSeconds,
  cycles,
  metres,
}: PartLoad): LoadRow => ({
  part,
  sung: lengthInFigures(seconds),
  top: lengthInFigures(topSeconds),
  change: lengthInFigures(changeSeconds),
  cycles: cycles.toFixed(1),
  way: metres.toFixed(0),
});

/** The load of one segment, or of a whole plan, part by part. */
export function loadRows({ segments }: Pick<PlanLoad, 'segments'>, id?: string): LoadRow[] {
  const counted = segments.filter((one) => id === undefined || one.id === id);
  const parts = counted[0]?.parts.map(({ part }) => part) ?? [];
  return parts.map((part) => {
    const own = counted.flatMap((one) => one.parts.filter((load) => load.part === part));
    const sum = (of: (load: PartLoad) => number) => own.reduce((all, load) => all + of(load), 0);
    return figuresOf({
      part,
      seconds: sum(({ seconds }) => seconds),
      topSeconds: sum(({ topSeconds }) => topSeconds),
      changeSeconds: sum(({ changeSeconds }) => changeSeconds),
      cycles: sum(({ cycles }) => cycles),
      metres: sum(({ metres }) => metres),
    });
  });
}

/** «Effort 2 of 5; the longest singing without a break is 0:42.» */
export function loadInWords({ effort, longest }: Pick<SegmentLoad, 'effort' | 'longest'>): string {
  const stretch =
    longest > 0 ? `; the longest singing without a break is ${lengthInFigures(longest)}` : '';
  return `Effort ${effort} of 5${stretch}.`;
}
