import { useQuery } from '@tanstack/react-query';
import { ledOnceQuery } from '@wide-fern/client';
import type { Segment } from '@wide-fern/contract';
import { learnedInWords } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { WordRow } from '../../../ui/WordList';
import { WordButton } from '../../../ui/words';

/** What leading this exercise has taught of its talk, the evenings it comes from, and one touch that plans it so. */
export function Learned({
  segment,
  onTalk,
}: {
  readonly segment: Segment;
  /** Nothing where the plan is only looked at. */
  readonly onTalk: ((seconds: number) => void) | undefined;
}) {
  const { choir } = useHere();
  const led = useQuery(ledOnceQuery(choir.id));
  const learned = led.data && learnedInWords(segment, led.data, choir.timeZone);
  if (!learned) return null;
  const { words, talk } = learned;
  return (
    <WordRow label="Led">
      {words}{' '}
      {onTalk && talk !== undefined && (
        <WordButton fontSize="13px" onClick={() => onTalk(talk)}>
          plan {talk} s of talk
        </WordButton>
      )}
    </WordRow>
  );
}
