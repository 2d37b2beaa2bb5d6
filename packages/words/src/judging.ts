import type { Agreement, JudgedTwice, nearPairs } from '@wide-fern/core';
import { allInWords, capitalise, countInWords, counted, formFor, listInWords } from './counting';

export const recordingTooLarge =
  'Recordings up to 20 MB are kept. Choose a shorter one, or save it as MP3 or M4A.';

/** «both say 2», «2 and 3», «from 2 to 4: more than one apart», «one card says 2». */
export function agreementInWords({ scores, nearness }: Agreement): string {
  const [lowest, highest] = [scores[0]!, scores.at(-1)!];
  switch (nearness) {
    case 'alone':
      return `one card says ${lowest}`;
    case 'same':
      return `${allInWords(scores.length, 'card')} say ${lowest}`;
    case 'near':
      return `${lowest} and ${highest}`;
    case 'apart':
      return `from ${lowest} to ${highest}: more than one apart`;
  }
}

/** How often two judges are near to each other; undefined while there is only one. */
export function nearPairsInWords({
  pairs,
  near,
}: ReturnType<typeof nearPairs>): string | undefined {
  if (pairs === 0) return undefined;
  if (near === pairs) return 'Nobody is more than one apart from anybody.';
  const apart = capitalise(countInWords(pairs - near));
  const lie = formFor(pairs - near, 'lies', 'lie');
  return `${apart} of ${counted(pairs, 'pair', 'pairs')} of figures ${lie} more than one apart: listen again there, and talk about what each heard.`;
}

/** «long outflow from 2 to 3 (better to two, the same to one)», «top notes 3 as before (the same to all three)». */
function changeInWords({ skill, from, to, better, same, worse }: JudgedTwice): string {
  const both = better + same + worse;
  const moved = from === to ? `${skill} ${to} as before` : `${skill} from ${from} to ${to}`;
  if (both === 0) return moved;
  const of = (count: number) => (count === both ? allInWords(both, 'judge') : countInWords(count));
  const hows = [
    [better, 'better'],
    [same, 'the same'],
    [worse, 'worse'],
  ] as const;
  const said = hows.filter(([count]) => count > 0).map(([count, how]) => `${how} to ${of(count)}`);
  return `${moved} (${said.join(', ')})`;
}

/** What a second run was beside the first: «After “Slate steps”: long outflow from 2 to 3 (…).» */
export function judgedTwiceInWords(
  changes: readonly JudgedTwice[],
  { tried, group }: { readonly tried: string; readonly group: string },
): string | undefined {
  if (changes.length === 0) return undefined;
  const after = tried ? `After “${tried}”` : 'Beside the time before';
  const said = `${after}: ${listInWords(changes.map(changeInWords))}.`;
  if (!group) return said;
  return `${said} That is one trial with a few: judge it again with the whole choir.`;
}
