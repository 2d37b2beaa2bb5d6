import { noteName, type LoadWarning, type NoteWriting } from '@wide-fern/core';
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
