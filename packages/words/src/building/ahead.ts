/** Where the warm-up of an evening ahead has got to. */
export function aheadStateInWords(
  state: 'open' | 'building' | 'built' | 'nothing' | 'storing' | 'stored' | 'meanwhile',
  {
    hasWarmUp,
    isPlanned,
    isProven,
  }: { readonly hasWarmUp: boolean; readonly isPlanned: boolean; readonly isProven: boolean },
): string {
  if (!hasWarmUp) return 'no warm-up is set aside';
  switch (state) {
    case 'open':
      return isPlanned ? 'planned' : 'nothing planned yet';
    case 'building':
      return 'waiting for its turn';
    case 'built':
      return isProven ? 'proven best; not in its plan yet' : 'best found; not in its plan yet';
    case 'nothing':
      return 'no warm-up was found; open the evening and ask for less';
    case 'storing':
      return 'storing';
    case 'stored':
      return 'in its plan now';
    case 'meanwhile':
      return 'somebody planned it meanwhile; that was left as it is';
  }
}
