import type { PlanLink } from '@wide-fern/contract';

/** What a link is for that is good for days. */
export const lasting = ['sheet', 'practice'] as const;

export const lastingWords: Readonly<Record<(typeof lasting)[number], string>> = {
  sheet: 'to read these sheets',
  practice: 'to practise at home',
};

/** «for the piano», «by mail, to practise at home, for altos» */
export function linkInWords(
  { note, use, part, asks }: Pick<PlanLink, 'note' | 'use' | 'part' | 'asks'>,
  sections: readonly { readonly id: string; readonly many: string }[],
): string {
  if (use !== 'practice') return note || 'for anyone';
  const many = part === null ? undefined : (sections.find(({ id }) => id === part)?.many ?? part);
  return [
    ...(note ? [note] : []),
    lastingWords.practice,
    many ? `for ${many}` : 'for any part',
    ...(asks ? ['asks how it was'] : []),
  ].join(', ');
}
