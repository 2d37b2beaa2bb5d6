import type { PlanDocument, PlanEdit } from '@wide-fern/contract';
import { hasKeys, type LoadWarning } from '@wide-fern/core';
import { choose, moveTo } from '../edit/edits';
import { perform } from '../edit/perform';
import { evaluate, type EvaluatedPlan } from '../evaluate';
import { planLoad } from './planLoad';

/** What would help against a warning, in one edit. */
export interface Remedy {
  readonly act: 'talk-between' | 'fewer' | 'later';
  readonly edit: PlanEdit;
}

/** So long is said between keys to give voices a rest, in seconds. */
const restBetween = 5;
const mostFewer = 5;
const leastKeys = 3;

/** What could help, the smallest change first. */
function candidates({ code, segment: id }: LoadWarning, document: PlanDocument): Remedy[] {
  const { segments } = document;
  const place = segments.findIndex((one) => one.id === id);
  const segment = segments[place];
  if (!segment) return [];
  const { choices, exercise } = segment;
  const fewer = hasKeys(exercise.music)
    ? Array.from({ length: mostFewer }, (_, i) => choices.repetitions - 1 - i)
        .filter((count) => count >= leastKeys)
        .map((repetitions): Remedy => ({ act: 'fewer', edit: choose(id, { repetitions }) }))
    : [];
  const later = segments
    .slice(place + 1)
    .map((_, i): Remedy => ({ act: 'later', edit: moveTo(document, id, place + 1 + i) }));
  switch (code) {
    case 'no-break':
      return [
        { act: 'talk-between', edit: choose(id, { coach: restBetween }) },
        ...fewer,
        ...later,
      ];
    case 'strong-early':
      return later;
    case 'rise':
      return [...fewer, ...later];
  }
}

const sameWarning = (one: LoadWarning) => (other: LoadWarning) =>
  one.code === other.code && one.segment === other.segment;

/** The smallest single change after which a warning is gone and no other came; undefined where there is none. */
export function remedyFor(warning: LoadWarning, plan: EvaluatedPlan): Remedy | undefined {
  const before = planLoad(plan).warnings.length;
  return candidates(warning, plan.document).find(({ edit }) => {
    const document = perform(plan.document, edit)?.document;
    if (!document) return false;
    const { warnings } = planLoad(evaluate(document, plan.allotted));
    return warnings.length < before && !warnings.some(sameWarning(warning));
  });
}
