import type { Exercise, PlanLink } from '@wide-fern/contract';
import { capitalise, counted } from '../counting';

/** What a link is for that is good for days. */
export const lasting = ['sheet', 'practice'] as const;

export const lastingWords: Readonly<Record<(typeof lasting)[number], string>> = {
  sheet: 'to read these sheets',
  practice: 'to practise at home',
};

/** «for the piano», «by mail, to practise at home, for altos» */
export function linkInWords(
  { note, use, part, asks, bars }: Pick<PlanLink, 'note' | 'use' | 'part' | 'asks' | 'bars'>,
  sections: readonly { readonly id: string; readonly many: string }[],
): string {
  if (use !== 'practice') return note || 'for anyone';
  const many = part === null ? undefined : (sections.find(({ id }) => id === part)?.many ?? part);
  return [
    ...(note ? [note] : []),
    lastingWords.practice,
    many ? `for ${many}` : 'for any part',
    ...(asks ? ['asks how it was'] : []),
    ...(bars > 0 ? [`shows ${counted(bars, 'place', 'places')} of the score`] : []),
  ].join(', ');
}

/** Which marked bars are shown at home: «Lanterns, bars 4, 10 to 11; Ferry, bar 7. One place is left out: …» */
export function barsShownInWords(
  bars: readonly { readonly exercise: Pick<Exercise, 'source'> }[],
  leftOut: number,
): string {
  const byTitle = new Map<string, string[]>();
  for (const { exercise } of bars) {
    if (!exercise.source) continue;
    const { title, fromBar, toBar } = exercise.source;
    const where = fromBar === toBar ? String(fromBar) : `${fromBar} to ${toBar}`;
    byTitle.set(title, [...(byTitle.get(title) ?? []), where]);
  }
  const shown = [...byTitle].map(([title, [first = '', ...others]]) => {
    const isOne = others.length === 0 && !first.includes(' ');
    return `${title}, ${isOne ? 'bar' : 'bars'} ${[first, ...others].join(', ')}`;
  });
  const why = 'too long to be shown, nobody sings there, or there are more than can be shown';
  const places = capitalise(counted(leftOut, 'place is', 'places are'));
  const rest = leftOut > 0 ? [`${places} left out: ${why}.`] : [];
  if (shown.length > 0) return [`${shown.join('; ')}.`, ...rest].join(' ');
  return (
    rest[0] ??
    'No piece of this evening has a score with marked bars. Mark them on the piece’s page first.'
  );
}
