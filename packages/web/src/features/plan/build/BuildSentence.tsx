import { Box, Flex } from '@chakra-ui/react';
import type { BuildWish, Evening } from '@wide-fern/contract';
import type { BuildRequest } from '@wide-fern/plan';
import { approachName, timeToFill, upToInWords, wishesInWords, type Clock } from '@wide-fern/words';
import { useState, type ReactNode } from 'react';
import { useHere } from '../../../here/session';
import { lazily } from '../../../ui/lazily';
import { SentenceFields, SentenceWord, TickWord } from '../../../ui/Sentence';
import { Label, Name, WordButton } from '../../../ui/words';
import { AskedFor } from './AskedFor';
import { ApproachFields, PhaseFields, TimeFields, TopFields, WishFields } from './sentenceFields';

const CourseOffer = lazily(() => import('./CourseOffer'));

type Word = 'time' | 'approach' | 'top' | 'wishes' | 'quiet' | 'phases' | 'asked';

/** What is known and asked, as one sentence whose words can be changed; changing one builds anew. */
export function BuildSentence({
  evening,
  request,
  wish,
  allotted,
  start,
  clock,
  names,
  onChange,
}: {
  readonly evening: Evening;
  readonly request: BuildRequest;
  readonly wish: BuildWish;
  readonly allotted: number;
  readonly start: number;
  readonly clock: Clock;
  /** Every exercise that could be asked for. */
  readonly names: ReadonlyMap<string, string>;
  readonly onChange: (wish: BuildWish) => void;
}) {
  const { choir } = useHere();
  const [open, setOpen] = useState<Word>();
  const word = (name: Word, children: ReactNode) => (
    <SentenceWord open={open === name} onToggle={() => setOpen(open === name ? undefined : name)}>
      {children}
    </SentenceWord>
  );
  const set = (changed: Partial<BuildWish>) => onChange({ ...wish, ...changed });
  const upTo = upToInWords(request.tonight, wish.top, choir.writing);
  const limited = Object.keys(wish.limits).length;
  const asked = wish.included.length + wish.excluded.length;
  const nameOf = (id: string) => names.get(id) ?? id;
  return (
    <Box px={{ base: '16px', md: '24px' }} pb="8px">
      <Name as="p" fontSize="17px" lineHeight="1.7">
        {word('time', timeToFill(request.seconds))} from {clock.drawn.minute(start)},{' '}
        {word('approach', approachName(request.approach.id, choir.approaches))}
        {', '}
        {word('top', upTo ? `up to ${upTo}` : 'up to wherever is easy')}
        {', '}
        {word('wishes', wishesInWords(request.wishes))}
        {'; '}
        {word('quiet', wish.quiet ? 'nothing loud' : 'strong where it is led up to')}
        {'. '}
        {limited > 0 && word('phases', 'Its parts as long as you said')}
        {limited > 0 && '. '}
        {asked > 0 &&
          word(
            'asked',
            [
              ...(wish.included.length > 0 ? [`With ${wish.included.map(nameOf).join(', ')}`] : []),
              ...(wish.excluded.length > 0
                ? [`without ${wish.excluded.map(nameOf).join(', ')}`]
                : []),
            ].join('; '),
          )}
        {asked > 0 && '. '}
      </Name>
      <Flex gap="16px" wrap="wrap" fontSize="13px">
        {asked === 0 && (
          <WordButton
            fontSize="13px"
            aria-expanded={open === 'asked'}
            onClick={() => setOpen(open === 'asked' ? undefined : 'asked')}
          >
            ask for an exercise, or do without one
          </WordButton>
        )}
        {limited === 0 && (
          <WordButton
            fontSize="13px"
            aria-expanded={open === 'phases'}
            onClick={() => setOpen(open === 'phases' ? undefined : 'phases')}
          >
            more or less of a part
          </WordButton>
        )}
        {evening.forbids.length > 0 && (
          <Label as="span">The place does not allow: {evening.forbids.join(', ')}.</Label>
        )}
      </Flex>
      {open && (
        <SentenceFields onClose={() => setOpen(undefined)}>
          {open === 'time' && (
            <TimeFields seconds={request.seconds} allotted={allotted} set={set} wish={wish} />
          )}
          {open === 'approach' && <ApproachFields request={request} wish={wish} set={set} />}
          {open === 'top' && <TopFields request={request} wish={wish} set={set} />}
          {open === 'wishes' && <WishFields request={request} wish={wish} set={set} />}
          {open === 'quiet' && (
            <TickWord checked={wish.quiet} onChange={(quiet) => set({ quiet })}>
              nothing loud tonight
            </TickWord>
          )}
          {open === 'phases' && <PhaseFields request={request} wish={wish} set={set} />}
          {open === 'asked' && <AskedFor wish={wish} set={set} names={names} />}
        </SentenceFields>
      )}
      <CourseOffer wish={wish} set={set} />
    </Box>
  );
}
