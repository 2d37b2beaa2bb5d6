import { countInWords, formFor } from '../counting';

/** Where building has got to, as the page's line says it. */
export function buildStateInWords(
  state: 'working' | 'done' | 'stopped' | 'conflict' | 'unknown' | 'failed',
  {
    ways,
    isProven,
    seconds,
  }: {
    /** How many plans there are. */
    readonly ways: number;
    /** Whether there is no better one than the first. */
    readonly isProven: boolean;
    /** How long the first took; undefined while it is sought. */
    readonly seconds: number | undefined;
  },
): string {
  const found = isProven ? 'proven best' : 'best found';
  const took = seconds === undefined ? '' : ` in ${seconds.toFixed(1)} s`;
  const counted = `${countInWords(ways)} ${formFor(ways, 'way', 'ways')}`;
  switch (state) {
    case 'working':
      if (ways === 0) return 'building a first one';
      return seconds === undefined
        ? 'a first one stands; looking for better ones'
        : `${found}${took} · looking for different ones`;
    case 'done':
      return `${found}${took} · ${counted}`;
    case 'stopped':
      return `the best so far · ${counted}`;
    case 'conflict':
      return 'these wishes do not fit together';
    case 'unknown':
      return 'nothing found in time';
    case 'failed':
      return 'building broke off';
  }
}

/** How sure it is that there is no better plan than this one. */
export function rowStateInWords({
  more,
  isFinal,
  isStopped,
}: {
  /** By how much a better one could be worth more at most; undefined while nothing is known of it. */
  readonly more: number | undefined;
  readonly isFinal: boolean;
  readonly isStopped: boolean;
}): string {
  if (isFinal) return more === 0 ? 'proven best' : `at most ${more} more`;
  if (isStopped) return 'good; not proven best';
  return more !== undefined && more > 0 ? `at most ${more} more` : 'looking for better';
}
