import type { KeyProposal } from '@wide-fern/plan';
import { countInWords } from '../counting';
import { beyondInWords, infeasibleInWords } from '../ladder';
import { keyNamed, type Wording } from '../ladder/wording';
import { keyPath } from './words';

/** What would happen, before it does, and the word it is done by; none where it cannot be. */
export function proposalInWords(
  { why, choices, keys }: KeyProposal,
  wording: Wording,
): { readonly words: string; readonly act: string | undefined } {
  const { best, sung, problem } = keys;
  const number = choices.repetitions;
  const many = number === undefined ? '' : `With ${countInWords(number)} keys `;
  if (!sung || why === 'no key') {
    const reason = best.kind === 'infeasible' ? infeasibleInWords(best, problem, wording) : '';
    return { words: `${many}nobody could start anywhere. ${reason}`.trim(), act: undefined };
  }
  const from = keyNamed(wording, sung.start);
  if (why === 'beyond') {
    const who = beyondInWords(sung, problem, wording);
    const start = many === '' ? `From ${from} ` : many;
    return { words: `${start}${who}. Nothing is changed yet.`, act: 'sing it anyway' };
  }
  return {
    words: `${many}it cannot start where it does: it would go ${keyPath(keys, wording)}.`,
    act: `start on ${from}`,
  };
}
