import type { EditFact } from '@wide-fern/contract';
import { lengthInFigures } from '../time';

/** What is said aloud when an edit was done; undefined where the page says enough by itself. */
export function editSaid(fact: EditFact): string | undefined {
  switch (fact.code) {
    case 'added':
      return `${fact.name} is in the plan.`;
    case 'taken-out':
      return `${fact.name} is left out; undo brings it back.`;
    case 'moved':
      return `${fact.name} is now ${fact.place} of ${fact.of}.`;
    case 'instead':
      return `${fact.name} stands in place of ${fact.was}; undo brings it back.`;
    case 'split':
      return `${fact.name} is in two parts now.`;
    case 'built':
      return 'The warm-up that was built is your plan now; undo brings the old one back.';
    case 'fitted':
      return `The plan takes ${lengthInFigures(fact.seconds)} now; undo brings the old one back.`;
    default:
      return undefined;
  }
}
