import { useQuery } from '@tanstack/react-query';
import { ledOnceQuery } from '@wide-fern/client';
import type { Segment } from '@wide-fern/contract';
import { learnedInWords } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { WordRow } from '../../../ui/WordList';
import { WordButton } from '../../../ui/words';
import type { BenchActions } from './actions';

/** What leading this exercise has taught of its talk, the evenings it comes from, and one touch that plans it so. */
export function Learned({
  segment,
  choose,
}: {
  readonly segment: Segment;
  /** Nothing where the plan is only looked at. */
  readonly choose: BenchActions['choose'] | undefined;
}) {
  const { choir } = useHere();
  const led = useQuery(ledOnceQuery(choir.id));
  const learned = led.data && learnedInWords(segment, led.data, choir.timeZone);
  if (!learned) return null;
  const { words, talk } = learned;
  return (
    <WordRow label="Led">
      {words}{' '}
      {choose && talk !== undefined && (
        <WordButton fontSize="13px" onClick={() => choose({ talk }, `${segment.id} talk`)}>
          plan {talk} s of talk
        </WordButton>
      )}
    </WordRow>
  );
}
